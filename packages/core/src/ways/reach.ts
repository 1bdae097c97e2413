/** Which screens of an application are reached, and which are left. */
import { isDialog, type Project, startScreen } from '../document/types.ts';
import { type Way, waysOf } from './ways.ts';

/** Screens that something is wrong with, by name. */
export interface Reach {
  /** No way leads there from the screen that opens first; empty where a way is worked out as the application runs. */
  readonly unreached: ReadonlySet<string>;
  /** Whoever is there finds no way to another screen. */
  readonly noWayOut: ReadonlySet<string>;
  /** Ways to screens that are not there. */
  readonly nowhere: readonly Way[];
}

const leadsBack = ({ by }: Way): boolean => by === 'back' || by === 'close';

/** Whether nobody knows where a way leads before it is gone. */
const isOpen = (way: Way): boolean => way.to === undefined && !leadsBack(way);

/** The names of the screens that are reached from the first one, and whether all of them are known. */
function reachedFrom(start: string, byScreen: ReadonlyMap<string, readonly Way[]>) {
  const found = new Set([start]);
  const waiting = [start];
  let all = true;
  for (let name = waiting.pop(); name !== undefined; name = waiting.pop())
    for (const way of byScreen.get(name) ?? []) {
      if (isOpen(way)) all = false;
      if (way.to === undefined || found.has(way.to)) continue;
      found.add(way.to);
      waiting.push(way.to);
    }
  return { found, all };
}

/** Looks at the ways of a project as a whole. */
export function reachOf(project: Project): Reach {
  const ways = waysOf(project);
  const byScreen = new Map<string, Way[]>();
  for (const way of ways) byScreen.set(way.from, [...(byScreen.get(way.from) ?? []), way]);
  const names = project.screens.map(({ name = '' }) => name);
  const { found, all } = reachedFrom(startScreen(project)?.name ?? '', byScreen);
  const shown = project.screens.filter((screen) => !isDialog(screen)).map(({ name = '' }) => name);
  const leads = (name: string) =>
    (byScreen.get(name) ?? []).some(
      (way) => isOpen(way) || way.by === 'back' || (way.to !== undefined && way.to !== name),
    );
  return {
    unreached: new Set(all ? names.filter((name) => !found.has(name)) : []),
    noWayOut: new Set(shown.length < 2 ? [] : shown.filter((name) => !leads(name))),
    nowhere: ways.filter(({ to }) => to !== undefined && !names.includes(to)),
  };
}
