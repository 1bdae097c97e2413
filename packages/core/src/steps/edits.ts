/** Changes that take several steps: what they must carry with them stands here, not at each caller. */

import { readAttribute } from '../cascade/attributes.ts';
import { withKeysRenamed } from '../collections/locales.ts';
import type { Locale } from '../document/locale.ts';
import { effectiveNames, freeName, freshName } from '../document/names.ts';
import { spoken } from '../document/spoken.ts';
import { emptyValues, fitting } from '../document/state.ts';
import { type Task, withControlRenamed } from '../document/task.ts';
import { locate, locationOf, walk } from '../document/tree.ts';
import {
  type Control,
  type Draft,
  inForce,
  type Project,
  type PropertyValue,
  treesOf,
} from '../document/types.ts';
import { pointedElsewhere } from '../expression/renaming.ts';
import { escapeBraces, hasExpression, unescapeBraces } from '../expression/template.ts';
import { kindNamed, kindOf } from '../kinds/catalogue.ts';
import type { Property } from '../kinds/kind.ts';
import { keyControl, keyKind } from '../kinds/motion.ts';
import { surroundOf } from '../kinds/screen.ts';
import { contextOf, readAttributeText } from '../meaning/property-text.ts';
import { stateNameProblem } from '../meaning/state-names.ts';
import { definitionsOf } from '../reuse/definition.ts';
import { entryOf, itemAt } from '../sure.ts';
import { changing, putting } from './entities.ts';
import type { Step } from './step.ts';
import { treeListOf } from './tree-place.ts';

/** A new control of a kind as it is placed, with a name from its kind. */
export function newControl(kindName: string, screen: Control, newId: () => string): Control {
  const taken = new Set(effectiveNames(screen).values());
  const make = (wanted: string): Control => {
    const kind = kindNamed(wanted);
    if (!kind) throw new Error(`There is no kind ${wanted}`);
    const name = freshName(kind.name, (candidate) => taken.has(candidate));
    taken.add(name);
    return {
      id: newId(),
      kind: kind.name,
      name,
      props: { ...kind.starter },
      children: (kind.starterChildren ?? []).map(make),
    };
  };
  return make(kindName);
}

/** A new, empty screen. */
export function newScreen(project: Project, newId: () => string): Control {
  const taken = new Set(project.screens.map((screen) => screen.name));
  return {
    id: newId(),
    kind: 'screen',
    name: freshName('Screen', (name) => taken.has(name)),
    props: {
      ...kindOf({ kind: 'screen' }).starter,
      ...(project.surround !== undefined && definitionsOf(project).has(project.surround)
        ? { [surroundOf.name]: project.surround }
        : {}),
    },
    children: [],
  };
}

/** The steps that change texts of attributes, where they become others. */
function changedTexts(
  screens: readonly Control[],
  change: (control: Control, property: string, text: string) => string | undefined,
): Step[] {
  return screens.flatMap((screen) =>
    [...walk(screen)].flatMap((control) =>
      Object.entries(control.props).flatMap(([property, value]): Step[] => {
        const text = inForce(value);
        const changed = text === undefined ? undefined : change(control, property, text);
        return changed === undefined || changed === text
          ? []
          : [{ type: 'set', control: control.id, property, value: changed }];
      }),
    ),
  );
}

/**
 * Names a control; events of its screen that name it follow. What people read on it, as far as that is still what a new
 * one begins with, is said after the name.
 *
 * @param name a valid name that is free. @param tasks the project's: steps that name it follow.
 * @param locales its languages: translations follow.
 */
export function nameControl(
  screen: Control,
  control: Control,
  name: string,
  tasks: readonly Task[] = [],
  locales: readonly Locale[] = [],
): Step[] {
  const kind = kindOf(control);
  const word = kind.group === 'ask' ? 'label' : kind.group === 'act' ? 'text' : undefined;
  const starter = word === undefined ? undefined : kind.starter[word];
  const from = effectiveNames(screen).get(control.id);
  const steps: Step[] = [{ type: 'name', control: control.id, name }];
  if (from !== undefined)
    steps.push(
      ...changedTexts([screen], ({ kind: of }, property, text) => {
        if (property.startsWith('on.')) return pointedElsewhere(text, 'control', from, name);
        // Keys of motions say by its name which control they are about.
        return of === keyKind && property === keyControl.name && text === from ? name : undefined;
      }),
    );
  if (from !== undefined)
    for (const task of tasks)
      steps.push(...changing('tasks', task, withControlRenamed(task, screen.name ?? '', from, name)));
  if (from !== undefined)
    for (const locale of locales)
      steps.push(
        ...changing(
          'locales',
          locale,
          withKeysRenamed(locale, `${screen.name}.${from}`, `${screen.name}.${name}`),
        ),
      );
  if (word !== undefined && starter !== undefined && control.props[word] === starter)
    steps.push({ type: 'set', control: control.id, property: word, value: escapeBraces(spoken(name)) });
  return steps;
}

/** A control with all below it as new ones: new ids, and names that are free on a screen. */
export function copyFor(screen: Control | undefined, control: Control, newId: () => string): Control {
  const taken = new Set(screen ? [...walk(screen)].flatMap((other) => other.name ?? []) : []);
  const copy = (from: Control): Control => {
    const name =
      from.name === undefined ? undefined : freeName(from.name, (candidate) => taken.has(candidate));
    if (name !== undefined) taken.add(name);
    return {
      ...from,
      id: newId(),
      ...(name === undefined ? {} : { name }),
      children: from.children.map(copy),
    };
  };
  return copy(control);
}

/**
 * The value to keep for what was typed: canonical where it is valid; else a draft, which keeps the last good
 * value at work.
 *
 * @param before what the property holds now.
 */
export function valueTyped(
  project: Project,
  control: Control,
  property: string,
  text: string,
  before: PropertyValue | undefined,
): { value: PropertyValue | null; problem?: { message: string; at: number } } {
  if (text === '' && !isWords(control, property)) return { value: null };
  const reading = readAttributeText(kindOf(control), property, text, contextOf(project, control));
  if (reading.ok) return { value: reading.text };
  const good = inForce(before);
  const draft: Draft = good === undefined ? { draft: text } : { draft: text, good };
  return { value: draft, problem: reading };
}

/** Kinds of steps that make names known. */
const makingKnown: ReadonlySet<Step['type']> = new Set(['put', 'change', 'rename', 'name', 'insert']);

/**
 * The steps that put typed texts into force that could not be read before: the names in them exist now.
 *
 * @param steps those that led to the project; what they make known is looked for, and nothing where they make nothing known.
 */
export function typedNowValid(project: Project, steps: readonly Step[]): Step[] {
  if (!steps.some(({ type }) => makingKnown.has(type))) return [];
  return treesOf(project).flatMap((screen) =>
    [...walk(screen)].flatMap((control) =>
      Object.entries(control.props).flatMap(([property, value]): Step[] => {
        if (typeof value === 'string') return [];
        const reading = readAttributeText(
          kindOf(control),
          property,
          value.draft,
          contextOf(project, control),
        );
        return reading.ok ? [{ type: 'set', control: control.id, property, value: reading.text }] : [];
      }),
    ),
  );
}

/** Whether an empty text is a value of the property, rather than its absence. */
function isWords(control: Control, property: string): boolean {
  const meaning = readAttribute(kindOf(control), property, []);
  return typeof meaning !== 'string' && meaning.role === 'value' && meaning.property.type.field === 'words';
}

/**
 * Keeps what a control holds in a variable that is made for it, called as it is called; it begins with what the control
 * says now.
 *
 * @param property one that can be bound in both directions.
 */
export function keptInNew(
  project: Project,
  control: Control,
  property: Property,
): { readonly variable: string; readonly steps: Step[] } {
  const screen = locationOf(project, control.id).screen;
  const name = entryOf(effectiveNames(screen), control.id);
  const wanted =
    property.group === 'content'
      ? name
      : `${name}${property.name.charAt(0).toUpperCase()}${property.name.slice(1)}`;
  const variable = freeName(wanted, (candidate) => stateNameProblem(project, candidate) !== undefined);
  const type = itemAt(property.twoWay!, 0);
  const said = inForce(control.props[property.name]);
  const plain = said === undefined || hasExpression(said) ? undefined : unescapeBraces(said);
  const begins =
    plain === undefined ? undefined : fitting(type, type === 'boolean' ? plain === 'true' : plain);
  // What nobody has entered yet is nothing.
  const empty = type === 'number' ? { nullable: true, initial: null } : { initial: emptyValues[type] };
  return {
    variable,
    steps: [
      putting('state', { name: variable, type, ...(begins === undefined ? empty : { initial: begins }) }),
      { type: 'set', control: control.id, property: `${property.name}.bind`, value: variable },
    ],
  };
}

/** Renames a state variable together with every expression, binding and event that uses it. */
export const renameState = (from: string, to: string): Step[] => [
  { type: 'rename', of: 'state', key: from, to },
];

/** Renames a screen with every `go("…")`, link and navigation that leads to it; a component with all its instances. */
export function renameTree(project: Project, id: string, to: string): Step[] {
  const tree = locate(project, id)?.control;
  const list = tree && treeListOf(tree);
  return tree?.name === undefined || list === undefined
    ? [{ type: 'name', control: id, name: to }]
    : [{ type: 'rename', of: list, key: tree.name, to }];
}
