/** What a component has: what its file declares, and the control that is its root. */
import { parameterGiven } from '../cascade/attributes.ts';
import { valueNameProblem } from '../document/names.ts';
import { didYouMean } from '../document/nearest.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Trees } from '../document/types.ts';
import { kindNamed } from '../kinds/catalogue.ts';
import {
  declaredName,
  eventGives,
  initial,
  isSurround,
  type ParameterType,
  parameterChoices,
  parameterType,
  parameterTypes,
  twoWay,
} from '../kinds/component.ts';
import { ofEveryInstance } from '../kinds/instance.ts';
import type { Kind } from '../kinds/kind.ts';
import { isOneOf } from '../sure.ts';

/** A value that each instance is given. */
export interface Parameter {
  readonly name: string;
  readonly type: ParameterType;
  /** The only values that it may have; absent: any of its type. */
  readonly choices?: readonly string[];
  /** The text of the attribute where an instance does not say it. */
  readonly initial?: string;
  /** It may be bound, and is assigned inside. */
  readonly twoWay: boolean;
  /** The line that declares it. */
  readonly control: Control;
}

/** A value that each instance keeps for itself. */
export interface OwnVariable {
  readonly name: string;
  readonly type: ParameterType;
  readonly initial?: string;
  readonly control: Control;
}

/** Something that an instance tells. */
export interface OwnEvent {
  readonly name: string;
  /** The name by which what comes with it is read. */
  readonly gives?: string;
  readonly control: Control;
}

/** Sample values that it is looked at with. */
export interface SampleCase {
  readonly name: string;
  /** The texts of parameters, by name. */
  readonly given: ReadonlyMap<string, string>;
  readonly control: Control;
}

/** What is wrong with a declaration. */
export interface DeclarationFault {
  readonly control: Control;
  readonly message: string;
}

export interface Definition {
  readonly name: string;
  readonly control: Control;
  readonly parameters: ReadonlyMap<string, Parameter>;
  readonly variables: ReadonlyMap<string, OwnVariable>;
  readonly events: ReadonlyMap<string, OwnEvent>;
  readonly cases: ReadonlyMap<string, SampleCase>;
  /** Lines that declare motions, by name. */
  readonly motions: ReadonlyMap<string, Control>;
  /** By name; the one without a name by an empty text. */
  readonly slots: ReadonlyMap<string, Control>;
  /** What stands in place of an instance; undefined: it has none yet. */
  readonly root: Control | undefined;
  /** It stands around what is on a screen. */
  readonly isSurround: boolean;
  readonly faults: readonly DeclarationFault[];
}

type Declared = NonNullable<Kind['declares']>;

/** Most parameters of a component. */
export const mostParameters = 100;

const textOf = (control: Control, { name }: { readonly name: string }): string | undefined =>
  inForce(control.props[name]);

/** `plain | strong` as the values that it lists. */
const choicesIn = (text: string | undefined): readonly string[] | undefined =>
  text
    ?.split('|')
    .map((each) => each.trim())
    .filter(Boolean);

const typeOf = (control: Control): ParameterType => {
  const said = textOf(control, parameterType) ?? '';
  return isOneOf(parameterTypes, said) ? said : 'text';
};

const known = new WeakMap<Control, Definition>();

/** What a component has; worked out once for each version of it. */
export function definitionOf(control: Control): Definition {
  const found = known.get(control) ?? readDefinition(control);
  known.set(control, found);
  return found;
}

function readDefinition(control: Control): Definition {
  const parameters = new Map<string, Parameter>();
  const variables = new Map<string, OwnVariable>();
  const events = new Map<string, OwnEvent>();
  const cases = new Map<string, SampleCase>();
  const motions = new Map<string, Control>();
  const faults: DeclarationFault[] = [];
  const readers: Readonly<Record<Declared, (line: Control, name: string) => void>> = {
    parameter: (line, name) => parameters.set(name, parameterIn(line, name)),
    variable: (line, name) => {
      const begins = textOf(line, initial);
      variables.set(name, {
        name,
        type: typeOf(line),
        ...(begins === undefined ? {} : { initial: begins }),
        control: line,
      });
    },
    event: (line, name) => {
      const gives = textOf(line, eventGives);
      events.set(name, { name, ...(gives === undefined ? {} : { gives }), control: line });
    },
    case: (line, name) => cases.set(name, { name, given: givenIn(line), control: line }),
    motion: (line, name) => motions.set(name, line),
  };
  for (const line of control.children) {
    const sort = kindNamed(line.kind)?.declares;
    if (!sort) continue;
    const name = textOf(line, declaredName) ?? '';
    const isTaken =
      sort === 'event'
        ? events.has(name)
        : sort === 'case'
          ? cases.has(name)
          : sort === 'motion'
            ? motions.has(name)
            : parameters.has(name) || variables.has(name);
    const message = name === '' ? `This ${sort} has no name.` : nameFault(sort, name, isTaken);
    if (message) faults.push({ control: line, message });
    else readers[sort](line, name);
  }
  if (parameters.size > mostParameters)
    faults.push({ control, message: `A component has at most ${mostParameters} parameters.` });
  const roots = control.children.filter(({ kind }) => !kindNamed(kind)?.declares);
  if (roots[1])
    faults.push({ control: roots[1], message: 'A component has one root; put both into a container.' });
  return {
    name: control.name ?? '',
    control,
    parameters,
    variables,
    events,
    cases,
    motions,
    slots: slotsIn(roots[0], faults),
    root: roots[0],
    isSurround: textOf(control, isSurround) === 'true',
    faults,
  };
}

/** What a case gives, by parameter. */
function givenIn(line: Control): ReadonlyMap<string, string> {
  const kind = kindNamed(line.kind)!;
  const texts = Object.entries(line.props).flatMap(([attribute, value]) => {
    const parameter = parameterGiven(kind, attribute);
    const text = inForce(value);
    return parameter === undefined || text === undefined ? [] : [[parameter, text] as const];
  });
  return new Map(texts);
}

function parameterIn(line: Control, name: string): Parameter {
  const choices = choicesIn(textOf(line, parameterChoices));
  const begins = textOf(line, initial);
  return {
    name,
    type: typeOf(line),
    ...(choices ? { choices } : {}),
    ...(begins === undefined ? {} : { initial: begins }),
    twoWay: textOf(line, twoWay) === 'true',
    control: line,
  };
}

function nameFault(sort: Declared, name: string, isTaken: boolean): string | undefined {
  if (isTaken) return `There are two of the name \`${name}\`.`;
  return sort === 'parameter' ? parameterNameProblem(name) : undefined;
}

/** Why a parameter cannot have a name, whatever its component has; undefined where it can. */
export const parameterNameProblem = (name: string): string | undefined =>
  valueNameProblem(name) ??
  (ofEveryInstance.some((property) => property.name === name)
    ? `Every instance has \`${name}\` already; a parameter needs another name.`
    : undefined);

function slotsIn(root: Control | undefined, faults: DeclarationFault[]): ReadonlyMap<string, Control> {
  const slots = new Map<string, Control>();
  for (const control of root ? walk(root) : []) {
    if (!kindNamed(control.kind)?.inComponents) continue;
    const name = textOf(control, declaredName) ?? '';
    if (slots.has(name))
      faults.push({
        control,
        message: name === '' ? 'There are two slots without a name.' : `There are two slots \`${name}\`.`,
      });
    else slots.set(name, control);
  }
  return slots;
}

const byName = new WeakMap<readonly Control[], ReadonlyMap<string, Definition>>();
const none: ReadonlyMap<string, Definition> = new Map();

/** The components of a project by name. */
export function definitionsOf({ components }: Pick<Trees, 'components'>): ReadonlyMap<string, Definition> {
  if (!components) return none;
  let found = byName.get(components);
  if (!found) {
    found = new Map(components.map((control) => [control.name ?? '', definitionOf(control)]));
    byName.set(components, found);
  }
  return found;
}

/** The components that stand in a component, as its instances, by name. */
const heldBy = ({ root }: Definition): string[] =>
  root ? [...walk(root)].flatMap(({ kind }) => (kindNamed(kind)?.open ? kind : [])) : [];

/** The way from a component back to itself, by names, `Bunk` first and last; undefined where it does not hold itself. */
export function circleOf(
  components: ReadonlyMap<string, Definition>,
  name: string,
): readonly string[] | undefined {
  const visit = (at: string, path: readonly string[]): readonly string[] | undefined => {
    const definition = components.get(at);
    if (!definition || path.slice(1, -1).includes(at)) return undefined;
    for (const held of new Set(heldBy(definition))) {
      if (held === name) return [...path, held];
      const found = visit(held, [...path, held]);
      if (found) return found;
    }
    return undefined;
  };
  return visit(name, [name]);
}

/** Whether a component holds another one, itself or by others; one holds itself. */
export function leadsTo(
  components: ReadonlyMap<string, Definition>,
  from: string,
  to: string,
  seen: Set<string> = new Set(),
): boolean {
  if (from === to) return true;
  const definition = components.get(from);
  if (!definition || seen.has(from)) return false;
  seen.add(from);
  return heldBy(definition).some((held) => leadsTo(components, held, to, seen));
}

/** Why there is no component of a name, with what is nearest to it. */
export const noComponent = (name: string, components: Iterable<string>): string =>
  `There is no component \`${name}\`.${didYouMean(name, components)}`;

/** Whether a component has a parameter or a variable of its own of a name. */
export function declaresValue(component: Control, name: string): boolean {
  const { parameters, variables } = definitionOf(component);
  return parameters.has(name) || variables.has(name);
}

/** Why a line of a component cannot have another name; undefined where it can. */
export function declaredNameProblem(component: Control, line: Control, name: string): string | undefined {
  const sort = kindNamed(line.kind)?.declares;
  if (!sort) return undefined;
  const { parameters, variables, events, cases } = definitionOf(component);
  const isOther = (found: { readonly control: Control } | undefined) =>
    found !== undefined && found.control.id !== line.id;
  const isTaken =
    sort === 'event' || sort === 'case'
      ? isOther((sort === 'event' ? events : cases).get(name))
      : isOther(parameters.get(name)) || isOther(variables.get(name));
  if (sort === 'case' && name === '') return 'A case has a name.';
  return nameFault(sort, name, isTaken) ?? (sort === 'case' ? undefined : valueNameProblem(name));
}

/** What can be assigned inside a component beside the project's variables: two-way parameters, own variables. None elsewhere. */
export function assignableIn(
  tree: Control | undefined,
): readonly { readonly name: string; readonly type: ParameterType; readonly computed?: undefined }[] {
  if (!tree || kindNamed(tree.kind)?.root !== 'components') return [];
  const { parameters, variables } = definitionOf(tree);
  return [...[...parameters.values()].filter((parameter) => parameter.twoWay), ...variables.values()].map(
    ({ name, type }) => ({ name, type }),
  );
}
