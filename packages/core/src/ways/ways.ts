/**
 * The ways of an application: from which control of which screen one gets to which other screen, by events, links,
 * navigations and a splash, those of components and surrounds included.
 */
import { readAttribute } from '../cascade/attributes.ts';
import { splashOf } from '../document/menu.ts';
import type { Transition } from '../document/transitions.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, startScreen } from '../document/types.ts';
import { actionNamed } from '../expression/actions/catalogue.ts';
import type { Expression, Span } from '../expression/ast.ts';
import { type ActionUse, actionsOf } from '../expression/names.ts';
import { parseStatements } from '../expression/parse.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { placesType } from '../property-types/index.ts';
import { expandedOn } from '../reuse/expand.ts';

/** By what one goes: an action of an event, a link, a place of a navigation, the end of a splash. */
export type WayBy = 'go' | 'open' | 'back' | 'close' | 'link' | 'place' | 'splash';

/** One way. */
export interface Way {
  /** Name of the screen that it leads from. */
  readonly from: string;
  /** Name of the screen that it leads to, which need not be there; undefined: it follows from what happened before, or as it runs. */
  readonly to: string | undefined;
  readonly by: WayBy;
  /** Id of the control that leads there, on the expanded screen (`c4/c9` for a part of an instance). */
  readonly control: string;
  /** The attribute that says so; empty where nothing does, in a navigation with the menu. */
  readonly attribute: string;
  /** Of an event: where the name is written in its text, quotes included. */
  readonly span?: Span;
  /** How the screen comes, where this way says so. */
  readonly transition?: Transition;
  /** Nothing of the screen itself leads there: it stands in its surround. */
  readonly isAround: boolean;
}

/** The names that an expression may come to, as far as they are written there. */
function namesIn(expression: Expression | undefined): { name?: string; span?: Span }[] {
  if (expression?.type === 'literal' && typeof expression.value === 'string')
    return [{ name: expression.value, ...(expression.span ? { span: expression.span } : {}) }];
  if (expression?.type === 'choice')
    return [...namesIn(expression.whenTrue), ...namesIn(expression.whenFalse)];
  return [{}];
}

/** A way as a text says it. */
export type WaySaid = Pick<Way, 'to' | 'by' | 'span' | 'transition'>;

const actionWays = {
  go: 'go',
  open: 'open',
  back: 'back',
  close: 'close',
} as const satisfies Record<string, WayBy>;

function waysOfAction({ name, arguments: given, transition }: ActionUse): WaySaid[] {
  const by = Object.hasOwn(actionWays, name) ? actionWays[name as keyof typeof actionWays] : undefined;
  if (!by) return [];
  if (actionNamed(name)?.pointsTo !== 'screen') return [{ to: undefined, by }];
  return namesIn(given[0]).map(({ name: to, span }) => ({
    to,
    by,
    ...(span ? { span } : {}),
    ...(transition ? { transition } : {}),
  }));
}

/** The ways that an event's text leads. */
function waysOfEvent(text: string): WaySaid[] {
  const read = parseStatements(text);
  if (!read.ok) return [];
  return [
    ...actionsOf(read.value).flatMap(waysOfAction),
    // Code of one's own may go anywhere.
    ...(text.includes('handlers.') ? [{ to: undefined, by: 'go' } as const] : []),
  ];
}

/** The ways that an attribute leads, from its text alone. */
export function waysSaid(
  control: Control,
  attribute: string,
  text: string,
  bands: Project['bands'],
): WaySaid[] {
  const meaning = readAttribute(kindOf(control), attribute, bands);
  if (typeof meaning === 'string') return [];
  if (meaning.role === 'event') return waysOfEvent(text);
  const type = meaning.role === 'value' ? meaning.property.type : undefined;
  if (type?.refers?.to !== 'screen') return [];
  const by = type.name === placesType.name ? 'place' : 'link';
  if (hasExpression(text)) return [{ to: undefined, by }];
  const read = type.read(text);
  return read.ok ? type.refers.in(read.value).map((to) => ({ to, by })) : [];
}

/** The ways that lead from one screen. */
function waysFrom(project: Project, source: Control): Way[] {
  const { screen } = expandedOn(project, source);
  const from = source.name ?? '';
  const own = new Map([...walk(source)].map(({ id, props }) => [id, props]));
  const ways: Way[] = [];
  for (const control of walk(screen)) {
    // A surround stands for its screen, as instances stand for themselves.
    const isAround = control.id.startsWith(`${source.id}/`);
    const said = own.get(control.id);
    for (const [attribute, value] of Object.entries(control.props)) {
      const text = inForce(value);
      if (text === undefined) continue;
      const isSaid = said === undefined || Object.hasOwn(said, attribute);
      for (const found of waysSaid(control, attribute, text, project.bands))
        ways.push({ ...found, from, control: control.id, attribute: isSaid ? attribute : '', isAround });
    }
  }
  const splash = source === startScreen(project) ? splashOf(project, source) : undefined;
  if (splash?.to !== undefined)
    ways.push({
      from,
      to: splash.to,
      by: 'splash',
      control: source.id,
      attribute: 'splash',
      isAround: false,
    });
  return ways;
}

const known = new WeakMap<Project, readonly Way[]>();

/** All ways of a project, screen by screen; worked out once for each version. */
export function waysOf(project: Project): readonly Way[] {
  let ways = known.get(project);
  if (!ways) {
    ways = project.screens.flatMap((screen) => waysFrom(project, screen));
    known.set(project, ways);
  }
  return ways;
}
