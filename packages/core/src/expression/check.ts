/** Holds an expression or event against what it may use: are all names there, are all actions known. */

import { didYouMean } from '../document/nearest.ts';
import type { RequestParameter } from '../document/source.ts';
import { actionNamed, actions, alteringNamed, alterings, askings } from './actions/catalogue.ts';
import { askingProblem } from './asking.ts';
import type { Assigned, Span, Statement, Template } from './ast.ts';
import { readTarget } from './bind-target.ts';
import { itemPlace } from './item-scope.ts';
import { meantBy } from './meant.ts';
import {
  actionsOf,
  allStatements,
  type NameUse,
  namesOf,
  namesOfStatements,
  namesOfTemplate,
  pointersOf,
} from './names.ts';
import { ownCode } from './own-code.ts';
import { parseStatements } from './parse.ts';
import type { Outcome, Problem } from './problem.ts';
import { parseTemplate } from './template.ts';
import { isViewName } from './view-names.ts';

/** What an expression may name. */
export interface Surroundings {
  /** Types of the state variables by name. */
  readonly names: ReadonlyMap<string, string>;
  /** Those of them that are worked out from others: they can be read, not assigned. */
  readonly computed?: ReadonlySet<string>;
  /** Those of them that are requests, with what they are given; absent: it is not known which are. */
  readonly requests?: ReadonlyMap<string, readonly RequestParameter[]>;
  /** Lists whose rows lie behind a service: rows come, change and go, but the list as a whole is not assigned. */
  readonly remote?: ReadonlySet<string>;
  /** Types of the variables that only one screen knows, by the screen's name. */
  readonly ofScreens?: ReadonlyMap<string, ReadonlyMap<string, string>>;
  /** Functions of the project's own code, by name; absent: it is not known which there are. */
  readonly functions?: ReadonlyMap<string, { readonly least: number; readonly most: number }>;
  /** Names of the project's screens. */
  readonly screens: ReadonlySet<string>;
  /** Those of them that are dialogs. */
  readonly dialogs?: ReadonlySet<string>;
  /** Events that the component tells in which it stands; absent: it stands in none. */
  readonly emits?: ReadonlySet<string>;
  /** Names of the controls on the screen; absent: they are not all known yet. */
  readonly controls?: ReadonlySet<string>;
  /** Names of its motions; absent: they are not all known yet. */
  readonly motions?: ReadonlySet<string>;
}

/** The type of a name that stands for the item of a repeat: it can be read, not assigned. */
export const itemType = 'item';

/** Surroundings inside repeats, with the names of their items. */
export function withItems<T extends Surroundings>(around: T, items: readonly string[]): T {
  if (items.length === 0) return around;
  const inner = items.flatMap((name) => [[name, itemType] as const, [itemPlace(name), itemType] as const]);
  // Where every name is known, every name stays known: of the same class.
  const Names = around.names.constructor as MapConstructor;
  return { ...around, names: new Names([...around.names, ...inner]) };
}

function unknownName(
  uses: readonly NameUse[],
  { names, ofScreens, controls, functions }: Surroundings,
): Problem | undefined {
  for (const use of uses) {
    const message = use.given && functions && wrongCall(use.name, use.given, functions);
    if (message) return { message, at: use.span[0] };
  }
  const isKnownThere = ({ name, to }: NameUse) => to !== undefined && ofScreens?.get(to)?.has(name) === true;
  const use = uses.find(
    (each) => !each.given && !names.has(each.name) && !isViewName(each.name) && !isKnownThere(each),
  );
  return (
    use && {
      message: controls?.has(use.name)
        ? `\`${use.name}\` is a control, no variable; what a control holds is read through one that it is kept in.`
        : `There is no state variable \`${use.name}\`.${meantBy(use.name) || didYouMean(use.name, names.keys())}`,
      at: use.span[0],
    }
  );
}

/** What is wrong with a call of the project's own code. */
function wrongCall(
  name: string,
  given: NonNullable<NameUse['given']>,
  functions: NonNullable<Surroundings['functions']>,
): string | undefined {
  const own = name.slice(ownCode.length);
  const found = functions.get(own);
  if (!found) return `The project’s code has no function \`${own}\`.${didYouMean(own, functions.keys())}`;
  if (given.some(({ type }) => type === 'spread')) return undefined;
  const { least, most } = found;
  if (given.length >= least && given.length <= most) return undefined;
  const count =
    least === most
      ? `${least}`
      : most === Number.POSITIVE_INFINITY
        ? `${least} or more`
        : `${least} to ${most}`;
  return `\`${name}\` takes ${count} ${count === '1' ? 'value' : 'values'}.`;
}

/** Reads and checks a property value with expressions. */
export function checkTemplate(text: string, around: Surroundings): Outcome<Template> {
  const read = parseTemplate(text);
  if (!read.ok) return read;
  const problem = unknownName(namesOfTemplate(read.value), around);
  return problem ? { ok: false, problem } : read;
}

/** Reads and checks what an event does. */
export function checkStatements(text: string, around: Surroundings): Outcome<Statement[]> {
  const read = parseStatements(text);
  if (!read.ok) return read;
  const uses = namesOfStatements(read.value);
  const problem =
    unknownName(uses, around) ??
    assignedItem(read.value, around.names) ??
    assignedComputed(uses, around) ??
    assignedRemote(read.value, around) ??
    alteringProblem(read.value, around) ??
    askingProblem(allStatements(read.value), around) ??
    emitProblem(read.value, around) ??
    actionProblem(text, read.value, around);
  return problem ? { ok: false, problem } : read;
}

const remoteProblem = (name: string) =>
  `The rows of \`${name}\` lie behind a service: they are added, changed and removed one by one.`;

/** What a statement assigns as a whole. */
function wholesOf(statement: Statement): readonly { readonly name: string; readonly span: Span }[] {
  const gives = 'gives' in statement && statement.gives?.path.length === 0 ? [statement.gives] : [];
  if (statement.type === 'assign') return statement.path.length === 0 ? [statement] : [];
  if (statement.type === 'action') return statement.brings ?? [];
  return statement.type === 'alter' && statement.action === 'reset' ? [statement, ...gives] : gives;
}

/** A list behind a service that is assigned as a whole: what it does not hold any more would go there, too. */
function assignedRemote(statements: readonly Statement[], { remote }: Surroundings): Problem | undefined {
  const whole = allStatements(statements)
    .flatMap(wholesOf)
    .find(({ name }) => remote?.has(name));
  return whole && { message: remoteProblem(whole.name), at: whole.span[0] };
}

/** An item that is assigned as a whole; a place in it may be. */
function assignedItem(
  statements: readonly Statement[],
  names: ReadonlyMap<string, string>,
): Problem | undefined {
  for (const statement of allStatements(statements)) {
    const targets = [
      ...(statement.type === 'assign' || statement.type === 'alter' ? [statement] : []),
      ...('gives' in statement && statement.gives ? [statement.gives] : []),
    ];
    const item = targets.find(({ name, path }) => path.length === 0 && names.get(name) === itemType);
    if (item)
      return {
        message: `\`${item.name}\` is the item of a repeat; it cannot be assigned. A value of it can: \`${item.name}.title = …\`.`,
        at: item.span[0],
      };
  }
  return undefined;
}

const computedProblem = (name: string) => `\`${name}\` follows other values; nothing can be assigned to it.`;

const requestProblem = (name: string) =>
  `\`${name}\` holds what its service answers: it is asked by \`ask(${name})\`, and nothing can be assigned to it.`;

function assignedComputed(
  uses: readonly NameUse[],
  { computed, requests }: Surroundings,
): Problem | undefined {
  const use = uses.find(({ name, written }) => written && (computed?.has(name) || requests?.has(name)));
  if (!use) return undefined;
  const message = requests?.has(use.name) ? requestProblem(use.name) : computedProblem(use.name);
  return { message, at: use.span[0] };
}

/** Events that are told, where there is nobody to hear them. */
function emitProblem(statements: readonly Statement[], { emits }: Surroundings): Problem | undefined {
  for (const statement of allStatements(statements)) {
    if (statement.type !== 'emit') continue;
    const at = statement.span[0];
    if (!emits) return { message: '`emit` stands in a component only.', at };
    if (!emits.has(statement.event))
      return {
        message: `The component declares no event \`${statement.event}\`.${didYouMean(statement.event, emits)}`,
        at,
      };
  }
  return undefined;
}

function actionProblem(
  text: string,
  statements: readonly Statement[],
  around: Surroundings,
): Problem | undefined {
  for (const use of actionsOf(statements)) {
    const at = Math.max(0, text.indexOf(use.name));
    const action = actionNamed(use.name);
    if (!action)
      return {
        message: `There is no action \`${use.name}\`.${
          meantBy(use.name) ||
          didYouMean(
            use.name,
            [...actions, ...alterings, ...askings].map(({ name }) => name),
          )
        }`,
        at,
      };
    const given = use.arguments.length;
    if (given < action.count || given > (action.most ?? action.count))
      return { message: `\`${use.name}\` takes ${action.takes}.`, at };
  }
  for (const use of pointersOf(statements)) {
    const message =
      use.what === 'screen'
        ? wrongScreen(use.action, use.name, around)
        : use.what === 'motion'
          ? wrongMotion(use.name, around)
          : wrongControl(use.name, around);
    if (message) return { message, at: use.span[0] };
  }
  return undefined;
}

/** Why an action cannot lead to a control. */
const wrongControl = (name: string, { controls }: Surroundings): string | undefined =>
  !controls || controls.has(name)
    ? undefined
    : `There is no control \`${name}\` on this screen.${didYouMean(name, controls)}`;

/** Why an action cannot be about a motion. */
const wrongMotion = (name: string, { motions }: Surroundings): string | undefined =>
  !motions || motions.has(name)
    ? undefined
    : `There is no motion \`${name}\` on this screen.${didYouMean(name, motions)}`;

/** Why an action cannot lead to a screen. */
function wrongScreen(action: string, screen: string, { screens, dialogs }: Surroundings): string | undefined {
  if (!screens.has(screen)) return `There is no screen \`${screen}\`.${didYouMean(screen, screens)}`;
  if (!dialogs) return undefined;
  return actionNamed(action)?.misled?.(screen, dialogs.has(screen));
}

/** Whether actions on variables fit the variables' types. What lies inside one can be of any type. */
function alteringProblem(statements: readonly Statement[], { names }: Surroundings): Problem | undefined {
  for (const statement of allStatements(statements)) {
    if (statement.type !== 'alter' || statement.path.length > 0) continue;
    const on = alteringNamed(statement.action)?.on;
    const type = names.get(statement.name);
    if (on && type !== undefined && !on.some((each) => each === type))
      return {
        message: `\`${statement.action}\` takes a ${on.join(' or ')}; \`${statement.name}\` is a ${type}.`,
        at: statement.span[0],
      };
  }
  return undefined;
}

/**
 * Reads and checks the target of a two-way binding: a state variable, or a place in one or in an item of a repeat.
 *
 * @param takes the types of variable that the property can be bound to; what lies inside one can be of any type.
 */
export function checkTarget(text: string, takes: readonly string[], around: Surroundings): Outcome<Assigned> {
  const fail = (message: string, at = 0): Outcome<Assigned> => ({ ok: false, problem: { message, at } });
  const read = readTarget(text);
  if (!read.ok) return read;
  const { name, path, span } = read.value;
  const unknown = unknownName([{ name, span, written: true }, ...path.flatMap(namesOf)], around);
  if (unknown) return { ok: false, problem: unknown };
  if (around.computed?.has(name)) return fail(computedProblem(name), span[0]);
  if (around.requests?.has(name)) return fail(requestProblem(name), span[0]);
  if (around.remote?.has(name) && path.length === 0) return fail(remoteProblem(name), span[0]);
  const type = around.names.get(name);
  if (path.length > 0) return read;
  if (type === itemType)
    return fail(`\`${name}\` is an item of a repeat: bind one of its values, \`${name}.title\`.`, span[0]);
  if (type !== undefined && !takes.includes(type))
    return fail(`\`${name}\` is a ${type}; a ${takes.join(' or ')} is needed here.`, span[0]);
  return read;
}
