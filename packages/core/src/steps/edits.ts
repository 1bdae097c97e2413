/** Changes that take several steps: what they must carry with them stands here, not at each caller. */

import { type Attribute, readAttribute } from '../document/attributes.ts';
import { effectiveNames, freeName, freshName, stateNameProblem } from '../document/names.ts';
import { contextOf, readAttributeText } from '../document/property-text.ts';
import { destinationType, placesType } from '../document/property-types.ts';
import { emptyValues, fitting } from '../document/state.ts';
import { locate, walk } from '../document/tree.ts';
import {
  type Column,
  type Control,
  type Draft,
  type Feed,
  inForce,
  type Project,
  type PropertyValue,
  type StateVariable,
} from '../document/types.ts';
import {
  type NameUse,
  namesOf,
  namesOfStatements,
  namesOfTemplate,
  type PointerUse,
  pointersOf,
  renameIn,
} from '../expression/names.ts';
import { parseExpression, parseStatements } from '../expression/parse.ts';
import { escapeBraces, hasExpression, parseTemplate, unescapeBraces } from '../expression/template.ts';
import { kindNamed, kindOf } from '../kinds/catalogue.ts';
import type { Property } from '../kinds/kind.ts';
import { spoken } from '../making/questions.ts';
import type { Step } from './step.ts';

/** A new control of a kind as it is placed, with a name from its kind. */
export function newControl(
  kindName: string,
  project: Project,
  screen: Control,
  newId: () => string,
): Control {
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
      props: { ...kind.starter, ...kind.starterIn?.(project) },
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
    props: { ...kindNamed('screen')!.starter },
    children: [],
  };
}

/** An event's text changed, and likewise what is turned off in it. */
const inEvent = (text: string, change: (text: string) => string): string =>
  change(text).replace(
    /(\/\* off: )([\s\S]*?)(\s*\*\/)/g,
    (_, open: string, inner: string, close: string) => `${open}${change(inner)}${close}`,
  );

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

/** An event in which a screen or control has another name. */
const pointedElsewhere = (text: string, what: PointerUse['what'], from: string, to: string): string =>
  inEvent(text, (part) => {
    const read = parseStatements(part);
    if (!read.ok) return part;
    return pointersOf(read.value)
      .filter((use) => use.what === what && use.name === from)
      .toSorted((a, b) => b.span[0] - a.span[0])
      .reduce((result, { span: [start, end] }) => {
        const quote = result[start]!;
        return `${result.slice(0, start)}${quote}${to}${quote}${result.slice(end)}`;
      }, part);
  });

/**
 * Names a control; events of its screen that name it follow. What people read on it, as far as that is still what a new
 * one begins with, is said after the name.
 *
 * @param name a valid name that is free.
 */
export function nameControl(screen: Control, control: Control, name: string): Step[] {
  const kind = kindOf(control);
  const word = kind.group === 'ask' ? 'label' : kind.group === 'act' ? 'text' : undefined;
  const starter = word === undefined ? undefined : kind.starter[word];
  const from = effectiveNames(screen).get(control.id);
  const steps: Step[] = [{ type: 'rename', control: control.id, name }];
  if (from !== undefined)
    steps.push(
      ...changedTexts([screen], (_, property, text) =>
        property.startsWith('on.') ? pointedElsewhere(text, 'control', from, name) : undefined,
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

/**
 * The steps that put into force what was typed before it could be read: what it names is there now.
 *
 * @param steps those that led to the project; what they make known is looked for, and nothing where they make nothing known.
 */
export function typedNowValid(project: Project, steps: readonly Step[]): Step[] {
  const names = steps.some(
    (step) =>
      (step.type === 'project' && step.key === 'state') || step.type === 'rename' || step.type === 'insert',
  );
  if (!names) return [];
  return project.screens.flatMap((screen) =>
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
  return typeof meaning !== 'string' && meaning.role === 'value' && meaning.property.type.name === 'text';
}

/** Names that an attribute's text reads or writes; none where it cannot be read. */
function usesIn(meaning: Attribute, text: string): NameUse[] {
  if (meaning.role === 'bind') return [{ name: text, span: [0, text.length], written: true }];
  if (meaning.role === 'event') {
    const read = parseStatements(text);
    return read.ok ? namesOfStatements(read.value) : [];
  }
  const read = hasExpression(text) ? parseTemplate(text) : undefined;
  return read?.ok ? namesOfTemplate(read.value) : [];
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
  const screen = locate(project, control.id)!.screen;
  const name = effectiveNames(screen).get(control.id)!;
  const wanted =
    property.group === 'content'
      ? name
      : `${name}${property.name[0]!.toUpperCase()}${property.name.slice(1)}`;
  const variable = freeName(wanted, (candidate) => stateNameProblem(project, candidate) !== undefined);
  const type = property.twoWay![0]!;
  const said = inForce(control.props[property.name]);
  const plain = said === undefined || hasExpression(said) ? undefined : unescapeBraces(said);
  const begins =
    plain === undefined ? undefined : fitting(type, type === 'boolean' ? plain === 'true' : plain);
  return {
    variable,
    steps: [
      {
        type: 'project',
        key: 'state',
        value: [...project.state, { name: variable, type, initial: begins ?? emptyValues[type] }],
      },
      { type: 'set', control: control.id, property: `${property.name}.bind`, value: variable },
    ],
  };
}

/** Where a state variable is used. */
export interface StateUse {
  readonly screen: Control;
  readonly control: Control;
  readonly property: string;
  /** Whether it is set there; otherwise it is only read. */
  readonly written: boolean;
}

/** All attributes that read or write a state variable. */
export function usesOfState(project: Project, name: string): StateUse[] {
  return project.screens.flatMap((screen) =>
    [...walk(screen)].flatMap((control) =>
      Object.entries(control.props).flatMap(([property, value]) => {
        const meaning = readAttribute(kindOf(control), property, project.bands);
        const text = inForce(value);
        if (typeof meaning === 'string' || text === undefined) return [];
        const uses = usesIn(meaning, text).filter((use) => use.name === name);
        const written = uses.some((use) => use.written);
        return uses.length > 0 ? [{ screen, control, property, written }] : [];
      }),
    ),
  );
}

const renamedReference = (column: Column, from: string, to: string): Column =>
  column.refers?.list === from ? { ...column, refers: { ...column.refers, list: to } } : column;

function renamedFeed(feed: Feed, from: string, to: string): Feed {
  const read = parseTemplate(feed.address);
  return {
    ...feed,
    address: read.ok ? renameIn(feed.address, namesOfTemplate(read.value), from, to) : feed.address,
    ...(feed.status === from ? { status: to } : {}),
  };
}

/** Renames a state variable together with every expression, binding and event that uses it. */
export function renameState(project: Project, from: string, to: string): Step[] {
  const state = project.state.map((variable): StateVariable => {
    const { computed } = variable;
    const expression = computed === undefined ? undefined : parseExpression(computed);
    return {
      ...variable,
      ...(variable.name === from ? { name: to } : {}),
      ...(variable.columns
        ? { columns: variable.columns.map((column) => renamedReference(column, from, to)) }
        : {}),
      ...(variable.feed ? { feed: renamedFeed(variable.feed, from, to) } : {}),
      ...(variable.table?.status === from ? { table: { ...variable.table, status: to } } : {}),
      ...(expression?.ok ? { computed: renameIn(computed!, namesOf(expression.value), from, to) } : {}),
    };
  });
  const followers = changedTexts(project.screens, (control, property, text) => {
    const meaning = readAttribute(kindOf(control), property, project.bands);
    if (typeof meaning === 'string') return undefined;
    return inEvent(text, (part) => renameIn(part, usesIn(meaning, part), from, to));
  });
  return [{ type: 'project', key: 'state', value: state }, ...followers];
}

/** A value that names screens, with one of them under another name; undefined where it does not name it. */
function leadingElsewhere(control: Control, property: string, text: string, from: string, to: string) {
  const meaning = readAttribute(kindOf(control), property, []);
  if (typeof meaning === 'string' || meaning.role !== 'value') return undefined;
  const { type } = meaning.property;
  if (type === destinationType) return text === from ? to : undefined;
  const places = type === placesType ? placesType.read(text) : undefined;
  if (!places?.ok || !places.value.some(({ value }) => value === from)) return undefined;
  // What a person read stays what it was.
  return places.value
    .map(({ value, label }) =>
      value === from ? `${to}: ${label}` : value === label ? label : `${value}: ${label}`,
    )
    .join(' | ');
}

/** Renames a screen together with every `go("…")`, link and navigation that leads to it. */
export function renameScreen(project: Project, id: string, to: string): Step[] {
  const screen = locate(project, id)?.control;
  const from = screen?.name;
  const steps: Step[] = [{ type: 'rename', control: id, name: to }];
  if (from === undefined) return steps;
  steps.push(
    ...changedTexts(project.screens, (control, property, text) =>
      property.startsWith('on.')
        ? pointedElsewhere(text, 'screen', from, to)
        : leadingElsewhere(control, property, text, from, to),
    ),
  );
  if (project.state.some((variable) => variable.screen === from))
    steps.push({
      type: 'project',
      key: 'state',
      value: project.state.map((variable) =>
        variable.screen === from ? { ...variable, screen: to } : variable,
      ),
    });
  if (project.start === from) steps.push({ type: 'project', key: 'start', value: to });
  return steps;
}
