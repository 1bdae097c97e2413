/** Names of controls and state variables: JavaScript identifiers, unique where they are looked up. */

import { forbiddenKeys } from './forbidden-keys.ts';
import { locationsIn, walk } from './tree.ts';
import type { Control, Trees } from './types.ts';

const identifier = /^[\p{ID_Start}$_][\p{ID_Continue}$\u200c\u200d]*$/u;
const reserved = new Set(
  'arguments await break case catch class const continue debugger default delete do else enum eval export extends false finally for function if implements import in instanceof interface let new null package private protected public return static super switch this throw true try typeof undefined var void while with yield NaN Infinity'.split(
    ' ',
  ),
);
/** Longest name, in UTF-16 units. */
export const longestName = 64;

/** Why a text cannot be a name; undefined where it can (ECMAScript 2023 §12.7). */
export function nameProblem(name: string): string | undefined {
  if (name === '') return 'A name is missing.';
  if (name.length > longestName) return `A name has at most ${longestName} characters.`;
  if (/^\d/.test(name)) return `A name cannot begin with a digit${trying(`_${name}`)}.`;
  if (/\s/.test(name)) return `A name has no spaces${trying(camelCase(name))}.`;
  if (!identifier.test(name)) return 'A name has letters, digits, `_` and `$` only.';
  if (reserved.has(name)) return `\`${name}\` is a word of JavaScript and cannot be a name.`;
  return undefined;
}

/** A name to try instead, where it is one. */
const trying = (name: string): string => (nameProblem(name) === undefined ? `; try \`${name}\`` : '');

/** Whether a text can be the name of a component: its instances are elements of that name, which begins with a capital letter. */
export const isComponentName = (name: string): boolean =>
  /^\p{Lu}/u.test(name) && valueNameProblem(name) === undefined;

/** Why a component cannot have a name; undefined where it can. */
export const componentNameProblem = (name: string): string | undefined =>
  valueNameProblem(name) ??
  (/^\p{Lu}/u.test(name)
    ? undefined
    : `The name of a component begins with a capital letter${trying(name.charAt(0).toUpperCase() + name.slice(1))}.`);

/** Why something that expressions name cannot have a name; undefined where it can. */
export const valueNameProblem = (name: string): string | undefined =>
  nameProblem(name) ??
  (forbiddenKeys.has(name) ? `\`${name}\` cannot be a name: it is out of reach for expressions.` : undefined);

function camelCase(words: string): string {
  return words.trim().replace(/\s+(\S)/g, (_, letter: string) => letter.toUpperCase());
}

/** Why a control of a screen cannot have a name; undefined where it can. */
export function controlNameProblem(screen: Control, control: Control, name: string): string | undefined {
  const problem = nameProblem(name);
  if (problem) return problem;
  for (const other of walk(screen)) {
    if (other.id === control.id || other.name !== name) continue;
    return other.id === screen.id
      ? `The screen itself is called \`${name}\`.`
      : `\`${name}\` is taken by another ${other.kind} on this screen.`;
  }
  return undefined;
}

/** Why a screen or a component cannot have a name; undefined where it can. */
export function treeNameProblem(project: Trees, treeId: string, name: string): string | undefined {
  const { screens, components = [] } = project;
  const isComponent = components.some(({ id }) => id === treeId);
  const problem = isComponent ? componentNameProblem(name) : nameProblem(name);
  if (problem) return problem;
  const others = isComponent ? components : screens;
  const tree = others.find(({ id }) => id === treeId);
  const word = isComponent ? 'component' : 'screen';
  if (others.some((other) => other.id !== treeId && other.name === name))
    return `There is already a ${word} \`${name}\`.`;
  const inside = tree && [...walk(tree)].some((control) => control.id !== treeId && control.name === name);
  return inside ? `A control in this ${word} is called \`${name}\`.` : undefined;
}

/** The first of `stem1`, `stem2` … that is not taken. */
export function freshName(stem: string, taken: (name: string) => boolean): string {
  for (let count = 1; ; count++) if (!taken(`${stem}${count}`)) return `${stem}${count}`;
}

/** `name` itself where it is free, else with the first number behind it that is (an old number is replaced). */
export function freeName(name: string, taken: (name: string) => boolean): string {
  return taken(name) ? freshName(name.replace(/\d+$/, ''), taken) : name;
}

const effective = new WeakMap<Control, ReadonlyMap<string, string>>();

/**
 * The name of every control of a screen by id: its own, or one made from its kind and counted in document order
 * (`row1`, `text3`), passing over names that are taken.
 */
export function effectiveNames(screen: Control): ReadonlyMap<string, string> {
  const known = effective.get(screen);
  if (known) return known;
  const names = new Map<string, string>();
  const taken = new Set<string>();
  for (const { control } of locationsIn(screen).values())
    if (control.name !== undefined) taken.add(control.name);
  const counts = new Map<string, number>();
  for (const { control } of locationsIn(screen).values()) {
    let name = control.name;
    while (name === undefined) {
      const count = (counts.get(control.kind) ?? 0) + 1;
      counts.set(control.kind, count);
      if (!taken.has(`${control.kind}${count}`)) name = `${control.kind}${count}`;
    }
    names.set(control.id, name);
  }
  effective.set(screen, names);
  return names;
}

const named = new WeakMap<Control, ReadonlySet<string>>();

/** The names of all controls of a screen, as `effectiveNames` gives them. */
export function controlNames(screen: Control): ReadonlySet<string> {
  const known = named.get(screen) ?? new Set(effectiveNames(screen).values());
  named.set(screen, known);
  return known;
}
