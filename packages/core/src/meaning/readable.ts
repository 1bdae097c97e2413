/** Everything that an expression of a control can read (names, members, functions), with initial values. */

import { textInForce } from '../cascade/cascade.ts';
import { repetitionOf } from '../cascade/repetition.ts';
import { messageOf } from '../document/error-message.ts';
import { controlNames, effectiveNames } from '../document/names.ts';
import { ownValue } from '../document/same.ts';
import { pathTo } from '../document/tree.ts';
import { type Control, inForce, isDialog, type Project } from '../document/types.ts';
import { actions, alterings, askings } from '../expression/actions/catalogue.ts';
import { functions } from '../expression/all-functions.ts';
import { EvaluationError, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import { constants, methods } from '../expression/functions.ts';
import { ownCode } from '../expression/own-code.ts';
import { ownFunctionsOf } from '../expression/own-functions.ts';
import { parseTemplate } from '../expression/template.ts';
import { viewNames } from '../expression/view-names.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { scopeAround, valuesInside } from '../reuse/samples.ts';
import { entryOf, itemAt } from '../sure.ts';
import { knownOn } from './property-text.ts';

/** Something that can be written into an expression. */
export interface Readable {
  /** What is written. */
  readonly text: string;
  /** What it holds at the start, where that is known. */
  readonly value?: unknown;
  readonly what: 'variable' | 'item' | 'member' | 'function' | 'view' | 'action' | 'screen' | 'control';
}

/** What names mean to a control's expressions as everything begins; inside repeats those of the first item. */
export const scopeAt = (project: Project, control: Control): Scope => scopeAround(project, control).scope;

function attempt<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch (error) {
    if (error instanceof EvaluationError) return undefined;
    throw error;
  }
}

/** What a value with expressions gives as everything begins; a problem where it gives nothing. */
export function sampleOf(
  project: Project,
  control: Control,
  text: string,
): { readonly value: unknown } | { readonly problem: string } {
  const template = parseTemplate(text);
  if (!template.ok) return { problem: template.problem.message };
  try {
    return { value: evaluateTemplate(template.value, scopeAround(project, control).scope) };
  } catch (error) {
    return { problem: messageOf(error) };
  }
}

/** Most values that are looked at to see how they are spread. */
const mostSpread = 2000;

/**
 * The numbers that an expression gives at a control as everything begins: inside a repeat those of all its items,
 * elsewhere one; none where it gives no numbers.
 */
export function numbersOf(project: Project, control: Control, expression: string): readonly number[] {
  const read = parseTemplate(`{${expression}}`);
  if (!read.ok) return [];
  const { scope } = scopeAround(project, control);
  const around = pathTo(project, control.id)
    .slice(0, -1)
    .findLast((each) => repetitionOf(each));
  const { list: property = 'each', as: name } = (around && repetitionOf(around)) ?? {};
  const each = around ? parseTemplate(textInForce(around, { name: property }, ['']) ?? '') : undefined;
  const list = each?.ok ? attempt(() => evaluateTemplate(each.value, scope)) : undefined;
  const scopes: Scope[] = Array.isArray(list)
    ? list.slice(0, mostSpread).map((item: unknown) => (wanted) => (wanted === name ? item : scope(wanted)))
    : [scope];
  return scopes.flatMap((inner) => {
    const value = attempt(() => evaluateTemplate(read.value, inner));
    return typeof value === 'number' && Number.isFinite(value) ? value : [];
  });
}

const pathPattern = /[\p{ID_Start}$_][\p{ID_Continue}$]*(?:\.[\p{ID_Continue}$]*)*$/u;

/** A text that an action has begun to be given: the name of a screen or of a control. */
const pointerPattern = /\b(go|open|focus|scrollTo)\(\s*["'`]([\p{ID_Continue}$]*)$/u;

/** An end in a text, or right behind one. */
const inText = /["'`]\w*$/;

/** What an action leads to, by name. */
function pointedAt(project: Project, control: Control, action: string): Readable[] {
  const screen = pathTo(project, control.id)[0];
  if (action === 'focus' || action === 'scrollTo')
    return [...(screen ? controlNames(screen) : [])].map((text) => ({ text, what: 'control' }));
  return project.screens
    .filter((each) => isDialog(each) === (action === 'open'))
    .flatMap(({ name }) => (name === undefined ? [] : { text: name, what: 'screen' as const }));
}

/**
 * What could be written on, at a place in an expression.
 *
 * @param before the expression up to there.
 * @param isEvent it is the text of an event: actions are offered as well, and names of the screens and dialogs that they lead to.
 * @returns what fits, best first (in a text only what an action leads to), and how many characters of `before` it takes the place of.
 */
export function readableAt(
  project: Project,
  control: Control,
  before: string,
  isEvent = false,
): { readonly found: readonly Readable[]; readonly replaces: number } {
  const pointer = isEvent ? pointerPattern.exec(before) : undefined;
  if (pointer) {
    const [, path = '', typed = ''] = pointer;
    return fitting(pointedAt(project, control, path), typed);
  }
  if (inText.test(before)) return { found: [], replaces: 0 };
  const path = pathPattern.exec(before)?.[0] ?? '';
  const names = path.split('.');
  const begun = names.pop() ?? '';
  const { scope, items } = scopeAround(project, control);
  const own = ownCalls(project);
  if (names.length === 1 && names[0] === 'code' && own.length > 0)
    return fitting(
      own.map(({ text, ...rest }) => ({ ...rest, text: text.slice(ownCode.length) })),
      begun,
    );
  if (names.length > 0) return fitting(membersOf(scope, names), begun);
  return fitting(
    [...namesIn(knownTo(project, control), scope, items), ...own, ...(isEvent ? actionsToCall : [])],
    begun,
  );
}

/** Calls of the project's own functions. */
const ownCalls = (project: Project): Readable[] =>
  [...ownFunctionsOf(project).keys()].map((name) => ({ text: `${ownCode}${name}()`, what: 'function' }));

const actionsToCall = [...alterings, ...askings, ...actions].map(
  ({ name }): Readable => ({ text: `${name}()`, what: 'action' }),
);

/** Those of some names that have what was begun in them, those that begin so first. */
function fitting(
  all: readonly Readable[],
  begun: string,
): { readonly found: readonly Readable[]; readonly replaces: number } {
  const wanted = begun.toLowerCase();
  const rank = ({ text }: Readable) => (text.toLowerCase().startsWith(wanted) ? 0 : 1);
  const found = all
    .filter(({ text }) => text.toLowerCase().includes(wanted) && text !== begun)
    .toSorted((a, b) => rank(a) - rank(b));
  return { found, replaces: begun.length };
}

/** A name that can be read, with the members inside it. */
export interface ReadableBranch extends Readable {
  /** What it is called in its branch; `text` is all that has to be written. */
  readonly label: string;
  readonly children: readonly ReadableBranch[];
  /** What another control holds that is kept nowhere yet: it has to be, in a variable of its own, to be read. */
  readonly unkept?: { readonly control: string; readonly property: string };
}

/** How deep records are looked into, and most members of one that are listed. */
const deepestBranch = 3;
const mostMembers = 40;

function branchOf(
  label: string,
  path: string,
  what: Readable['what'],
  value: unknown,
  depth: number,
): ReadableBranch {
  const inner =
    depth < deepestBranch && typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.entries(value)
          .filter(([name]) => /^[\p{ID_Start}$_][\p{ID_Continue}$]*$/u.test(name))
          .slice(0, mostMembers)
          .map(([name, held]) => branchOf(name, `${path}.${name}`, 'member', held, depth + 1))
      : [];
  const first: unknown = Array.isArray(value) ? value[0] : undefined;
  const list =
    depth < deepestBranch && Array.isArray(value) && first !== undefined
      ? [
          branchOf('length', `${path}.length`, 'member', value.length, depth + 1),
          branchOf('the first', `${path}[0]`, 'member', first, depth + 1),
        ]
      : [];
  return { label, text: path, what, value, children: [...inner, ...list] };
}

/** All that expressions of a control can read: items of the repeats around it, variables, and functions. */
export function readableTree(project: Project, control: Control): readonly ReadableBranch[] {
  const { scope, items } = scopeAround(project, control);
  const named = (name: string, what: 'item' | 'variable') =>
    branchOf(
      name,
      name,
      what,
      attempt(() => scope(name)),
      0,
    );
  const calls = new Map<string, ReadableBranch[]>();
  const own = ownCalls(project).map(
    (call): ReadableBranch => ({ ...call, label: call.text.slice(ownCode.length, -2), children: [] }),
  );
  if (own.length > 0) calls.set('Code', own);
  for (const name of [...Object.keys(functions), ...Object.keys(constants)]) {
    const [space = '', inner] = name.split('.');
    const text = Object.hasOwn(functions, name) ? `${name}()` : name;
    const branch: ReadableBranch = { label: inner ?? name, text, what: 'function', children: [] };
    const group = inner === undefined ? 'Others' : space;
    calls.set(group, [...(calls.get(group) ?? []), branch]);
  }
  const controls = controlsAround(project, control, scope);
  return [
    ...items.map((name) => named(name, 'item')),
    ...knownTo(project, control).map(({ name }) => named(name, 'variable')),
    ...(controls.length > 0
      ? [{ label: 'Controls', text: '', what: 'control' as const, children: controls }]
      : []),
    {
      label: 'View',
      text: '',
      what: 'view',
      children: viewNamesAt(scope).map((readable) => ({
        ...readable,
        label: readable.text.slice('View.'.length),
        children: [],
      })),
    },
    ...[...calls].map(
      ([label, children]): ReadableBranch => ({ label, text: '', what: 'function', children }),
    ),
  ];
}

/**
 * What the other controls of its screen hold, and what is known of them, as far as expressions of a control can read it:
 * through the variables that it is kept in.
 */
function controlsAround(project: Project, reader: Control, scope: Scope): ReadableBranch[] {
  const path = pathTo(project, reader.id);
  const [screen] = path;
  if (!screen) return [];
  const names = effectiveNames(screen);
  const found: ReadableBranch[] = [];
  const visit = (control: Control) => {
    const parts = kindOf(control).properties.filter(({ twoWay }) => twoWay !== undefined);
    if (control !== reader && parts.length > 0)
      found.push({
        label: entryOf(names, control.id),
        text: '',
        what: 'control',
        children: parts.map(({ name }): ReadableBranch => {
          const variable = inForce(control.props[`${name}.bind`]);
          const plain = { label: name, what: 'variable' as const, children: [] };
          return variable === undefined
            ? { ...plain, text: '', unkept: { control: control.id, property: name } }
            : { ...plain, text: variable, value: attempt(() => scope(variable)) };
        }),
      });
    // Of what is repeated each item holds something else; only the reader's own item is meant.
    if (!repetitionOf(control) || path.includes(control)) control.children.forEach(visit);
  };
  visit(screen);
  return found;
}

/** Readable values of the view (band, language, clock), with their current values. */
const viewNamesAt = (scope: Scope): Readable[] =>
  viewNames.map((text) => ({ text, what: 'view', value: attempt(() => scope(text)) }));

/** The variables that a control's expressions know; inside a component its parameters and own variables first. */
function knownTo(project: Project, control: Control): readonly { readonly name: string }[] {
  const [tree] = pathTo(project, control.id);
  return [
    ...[...valuesInside(project, tree).keys()].map((name) => ({ name })),
    ...knownOn(project, tree?.name),
  ];
}

function namesIn(
  state: readonly { readonly name: string }[],
  scope: Scope,
  items: readonly string[],
): Readable[] {
  const holding = (name: string) => {
    const value = attempt(() => scope(name));
    return value === undefined ? {} : { value };
  };
  return [
    ...items.map((text): Readable => ({ text, what: 'item', ...holding(text) })),
    ...state.map(({ name }): Readable => ({ text: name, what: 'variable', ...holding(name) })),
    ...Object.keys(functions).map((name): Readable => ({ text: `${name}()`, what: 'function' })),
    ...Object.keys(constants).map((text): Readable => ({ text, what: 'function' })),
    ...viewNamesAt(scope),
  ];
}

/** What stands behind the dot of a path: the entries of a record, what can be asked of a list or a text. */
function membersOf(scope: Scope, names: readonly string[]): Readable[] {
  const [space] = names;
  const under = `${names.join('.')}.`;
  if (names.length === 1 && space === 'View')
    return viewNamesAt(scope).map((readable) => ({ ...readable, text: readable.text.slice(under.length) }));
  const spaced = [...Object.keys(functions), ...Object.keys(constants)].filter((name) =>
    name.startsWith(under),
  );
  if (names.length === 1 && spaced.length > 0 && space !== undefined)
    return spaced.map((name) => ({
      text: Object.hasOwn(functions, name) ? `${name.slice(under.length)}()` : name.slice(under.length),
      what: 'function',
    }));
  let value = attempt(() => scope(itemAt(names, 0)));
  for (const name of names.slice(1)) value = ownValue(value, name);
  const type = Array.isArray(value) ? 'list' : typeof value;
  const calls =
    type === 'list' || type === 'string' || type === 'number' || type === 'boolean'
      ? [...methods[type]].map((name): Readable => ({ text: `${name}()`, what: 'function' }))
      : [];
  if (typeof value === 'string' || Array.isArray(value))
    return [{ text: 'length', what: 'member', value: value.length }, ...calls];
  if (typeof value === 'object' && value !== null)
    return Object.entries(value).map(([text, held]) => ({ text, what: 'member', value: held }));
  return calls;
}
