/** Screens that nobody reaches, and screens that nobody leaves. */
import { type Control, inForce, isDialog, type Project, startScreen } from '../../document/types.ts';
import { addressedOf } from '../../meaning/addressed.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';
import { type Ways, waysOf } from '../ways.ts';

/** Names of the screens that are reached from the first one. */
function reached(project: Project, ways: ReadonlyMap<string, Ways>): ReadonlySet<string> {
  const start = startScreen(project)?.name ?? '';
  const found = new Set([start]);
  const waiting = [start];
  for (let name = waiting.pop(); name !== undefined; name = waiting.pop())
    for (const to of ways.get(name)?.to ?? [])
      if (!found.has(to)) {
        found.add(to);
        waiting.push(to);
      }
  return found;
}

const at = (screen: Control, sentence: string): FoundProblem => ({
  place: { in: 'control', tree: screen, control: screen },
  sentence,
});

export const unreached: ProblemKind = {
  name: 'unreached',
  title: 'Nobody gets there',
  severity: 'warning',
  find(project) {
    const ways = waysOf(project);
    const known = reached(project, ways);
    // Where a way is worked out as the application runs, it may lead anywhere.
    if ([...known].some((name) => ways.get(name)?.elsewhere)) return [];
    return project.screens
      .filter(({ name = '' }) => !known.has(name))
      .map((screen) =>
        at(screen, `No way leads to \`${screen.name}\`: no link, no navigation, no \`go\`, no \`open\`.`),
      );
  },
};

/** Attributes of screens that a dialog has no use for, each with a sentence. */
const ofScreens: Readonly<Record<string, string>> = {
  leaving: 'A dialog is closed without a question; a screen can ask.',
  comes: 'A dialog opens over the screen, at once; a screen comes by a transition.',
};

/** Wrong addresses of screens, and what a dialog says in vain. */
export const addresses: ProblemKind = {
  name: 'address',
  title: 'Says what it cannot do',
  severity: 'error',
  find: ({ screens, state }) =>
    screens.flatMap((screen) => {
      const { wrong } = addressedOf(screen, state);
      const ofDialog = isDialog(screen)
        ? Object.entries(ofScreens).filter(([attribute]) => inForce(screen.props[attribute]) !== undefined)
        : [];
      const said = (attribute: string, sentence: string): FoundProblem => ({
        place: { in: 'control', tree: screen, control: screen, attribute },
        sentence,
      });
      return [
        ...(wrong === undefined ? [] : [said('address', wrong)]),
        ...ofDialog.map(([attribute, sentence]) => said(attribute, sentence)),
      ];
    }),
};

export const noWayOut: ProblemKind = {
  name: 'no-way-out',
  title: 'No way out',
  severity: 'advice',
  find(project) {
    if (project.screens.filter((screen) => !isDialog(screen)).length < 2) return [];
    const ways = waysOf(project);
    const leads = (screen: Control): boolean => {
      const { to = new Set(), elsewhere = false, back = false } = ways.get(screen.name ?? '') ?? {};
      return elsewhere || back || [...to].some((name) => name !== screen.name);
    };
    return project.screens
      .filter((screen) => !isDialog(screen) && !leads(screen))
      .map((screen) => at(screen, `Whoever is on \`${screen.name}\` finds no way to another screen on it.`));
  },
};
