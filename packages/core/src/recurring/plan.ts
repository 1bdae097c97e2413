/** What a component made of a structure would be: its parameters and events, and the places that it would stand in. */
import { propertyOf, readAttribute } from '../cascade/attributes.ts';
import { propertiesOf } from '../cascade/cascade.ts';
import { effectiveNames, freeName, nameProblem, valueNameProblem } from '../document/names.ts';
import { type Location, locate, pathTo } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { usesIn } from '../expression/renaming.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { ParameterType } from '../kinds/component.ts';
import type { Property } from '../kinds/kind.ts';
import { itemNames } from '../meaning/property-text.ts';
import { sampleOf } from '../meaning/readable.ts';
import { definitionOf } from '../reuse/definition.ts';
import { isOfEveryInstance } from '../reuse/instance-attributes.ts';
import { alikeTo, type Part, partAt, partsOf, type Standing, takesParameter, textAt } from './alike.ts';
import { commonName } from './common-name.ts';

/** An attribute of a part that instances say themselves. */
export interface PlannedParameter {
  readonly path: readonly number[];
  readonly attribute: string;
  /** What it is called at first. */
  readonly name: string;
  readonly type: ParameterType;
  readonly choices?: readonly string[];
  /** `value`: a parameter; `two-way`: one that is bound; `event`: the instance says what is done. */
  readonly as: 'value' | 'two-way' | 'event';
  /** The texts, by the places in their order. */
  readonly texts: readonly string[];
}

/** A place that has the same structure and cannot be an instance. */
export interface Unfit {
  readonly standing: Standing;
  /** Why, in a sentence. */
  readonly message: string;
}

/** A name that only the place knows. */
export interface Passed {
  readonly name: string;
  /** What it is called in the component: the same, unless every instance has something of that name. */
  readonly as: string;
  readonly type: ParameterType;
}

export interface ComponentPlan {
  readonly name: string;
  readonly top: Control;
  /** The first is the one that the component is made of. */
  readonly places: readonly Standing[];
  readonly parameters: readonly PlannedParameter[];
  /** What only the places know and the component reads, such as the item of a repeat: it is given to each instance under its name. */
  readonly passed: readonly Passed[];
  readonly unfit: readonly Unfit[];
  /** Attributes of size and look of the top that all places say alike, so that the component says them. */
  readonly shared: readonly string[];
  /** What parts are called in the component, by their paths with dots; absent: by their kind. */
  readonly partNames: ReadonlyMap<string, string>;
}

/** What the parts of a structure are called, from what they are called in its places. */
function partNamesOf(top: Control, places: readonly Standing[]): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const { path } of partsOf(top)) {
    if (path.length === 0) continue;
    const names = places.map((place) => partAt(place.control, path)?.name);
    const common = names.every((name) => name !== undefined) ? commonName(names) : undefined;
    if (common !== undefined && nameProblem(common) === undefined)
      found.set(
        path.join('.'),
        freeName(common, (name) => [...found.values()].includes(name)),
      );
  }
  return found;
}

/** Of the properties that an instance may say itself, those that all places say alike; where it stands in its parent, each says itself. */
function sharedAtTop(top: Control, places: readonly Standing[]): string[] {
  const properties = propertiesOf(kindOf(top));
  return Object.keys(top.props).filter((attribute) => {
    if (!isOfEveryInstance(attribute)) return false;
    const group = properties.get(propertyOf(attribute))?.group;
    const isOwn = group === 'look' || (group === 'size' && places.length > 1);
    const text = inForce(top.props[attribute]);
    return isOwn && places.every(({ control }) => inForce(control.props[attribute]) === text);
  });
}

/** Names that only the place of a control knows: items of repeats, parameters of the component that it is in. */
function localNames(project: Project, control: Control): ReadonlySet<string> {
  const path = pathTo(project, control.id);
  const items = itemNames(path.slice(0, -1));
  const [tree] = path;
  if (!tree || kindOf(tree).root !== 'components') return new Set(items);
  const { parameters, variables } = definitionOf(tree);
  return new Set([...items, ...parameters.keys(), ...variables.keys()]);
}

const typesByName: Readonly<Record<string, ParameterType>> = {
  flag: 'boolean',
  colour: 'colour',
  icon: 'icon',
  picture: 'picture',
  destination: 'screen',
  date: 'date',
  list: 'list',
  anything: 'record',
  ink: 'colour',
  amount: 'number',
};

/** The type of a parameter that a property of a control is given. */
export function typeFor({ type }: Pick<Property, 'type'>): Pick<PlannedParameter, 'type' | 'choices'> {
  const known = typesByName[type.name];
  if (known) return { type: known };
  if (type.field === 'fill') return { type: 'colour' };
  if (type.steps === 'count') return { type: 'number' };
  return type.words.length > 0 && type.beginnings === undefined && type.takes === undefined && !type.field
    ? { type: 'text', choices: type.words }
    : { type: 'text' };
}

/** What a parameter is called: after the control where it is its words, else after both. */
export function parameterName(
  own: string | undefined,
  kind: string,
  attribute: string,
  taken: (name: string) => boolean,
): string {
  const plain = attribute
    .replace(/^on\.|\.bind$/g, '')
    .replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());
  const isWords = ['text', 'label', 'value'].includes(plain);
  const wanted =
    own === undefined ? plain : isWords ? own : `${own}${plain.charAt(0).toUpperCase()}${plain.slice(1)}`;
  const stem = valueNameProblem(wanted) === undefined ? wanted : kind;
  return freeName(stem, taken);
}

/** The attributes that a part has in some of the places, and that are the component's matter: at the top without those of its place. */
const partAttributes = ({ control, path }: Part, places: readonly Standing[]): string[] => {
  const all = [control, ...places.flatMap((place) => partAt(place.control, path) ?? [])];
  const said = all.flatMap(({ props }) =>
    Object.keys(props).filter((attribute) => inForce(props[attribute]) !== undefined),
  );
  return [...new Set(said)].filter((attribute) => !(path.length === 0 && isOfEveryInstance(attribute)));
};

/** Why a place cannot be an instance of what another one is: it differs where no parameter can stand. */
function unfitness(top: Control, other: Control): string | undefined {
  for (const part of partsOf(top))
    for (const attribute of partAttributes(part, [])) {
      const [mine, its] = [part.control, partAt(other, part.path)!].map(({ props }) =>
        inForce(props[attribute]),
      );
      if (mine !== its && !takesParameter(part.control, attribute))
        return `\`${attribute}\` of its ${part.control.kind} differs, \`${its}\` instead of \`${mine}\`, and follows no expression.`;
    }
  return undefined;
}

/**
 * What a component made of a control would be.
 *
 * @param id a control that is no screen. @returns why it cannot become one, where it cannot.
 */
export function componentPlan(project: Project, id: string): ComponentPlan | string {
  const found = locate(project, id);
  if (!found?.parent) return 'A whole screen cannot become a component; choose something on it.';
  const top = found.control;
  const names = effectiveNames(found.screen);
  const all = alikeTo(project, top);
  const unfit = all.flatMap((standing): Unfit[] => {
    const message = unfitness(top, standing.control);
    return message === undefined ? [] : [{ standing, message }];
  });
  const places = all.filter((standing) => !unfit.some((each) => each.standing === standing));
  const locals = places.map(({ control }) => localNames(project, control));
  const partNames = partNamesOf(top, places);
  const shared = sharedAtTop(top, places);
  const parameters: PlannedParameter[] = [];
  const passed = new Set<string>();
  const taken = (name: string) =>
    isOfEveryInstance(name) ||
    locals.some((each) => each.has(name)) ||
    parameters.some((parameter) => parameter.name === name);
  for (const part of partsOf(top))
    for (const attribute of [...partAttributes(part, places), ...(part.path.length === 0 ? shared : [])]) {
      const { control, path } = part;
      const meaning = readAttribute(kindOf(control), attribute, project.bands);
      if (typeof meaning === 'string') continue;
      const texts = places.map((place) => textAt(partAt(place.control, path)!, attribute) ?? '');
      if (new Set(texts).size < 2) {
        for (const { name, written } of usesIn(meaning, texts[0] ?? '')) {
          if (!locals[0]!.has(name)) continue;
          if (written)
            return `\`${attribute}\` of \`${names.get(control.id)}\` changes \`${name}\`, which only the place knows.`;
          passed.add(name);
        }
        continue;
      }
      parameters.push({
        path,
        attribute,
        name: parameterName(partNames.get(path.join('.')), control.kind, attribute, taken),
        ...(meaning.role === 'event' ? { type: 'text' } : typeFor(meaning.property)),
        as: meaning.role === 'event' ? 'event' : meaning.role === 'bind' ? 'two-way' : 'value',
        texts,
      });
    }
  return {
    name: componentName(project, topName(found, places, names)),
    top,
    places,
    parameters,
    passed: [...passed].map((name) => ({
      name,
      as: isOfEveryInstance(name) ? freeName(`${name}1`, taken) : name,
      type: typeNow(project, top, name),
    })),
    unfit,
    shared,
    partNames,
  };
}

/** The type of what a name holds at a control as everything begins. */
function typeNow(project: Project, control: Control, name: string): ParameterType {
  const sample = sampleOf(project, control, `{${name}}`);
  const value = 'value' in sample ? sample.value : undefined;
  if (Array.isArray(value)) return 'list';
  const type = typeof value;
  return type === 'number' || type === 'boolean' ? type : type === 'string' ? 'text' : 'record';
}

/** What a structure is called: what its places have in common, else what is around them, one of it. */
function topName(
  { control, parent }: Location,
  places: readonly Standing[],
  names: ReadonlyMap<string, string>,
): string {
  const all = places.map((place) => place.control.name);
  const common = all.every((name) => name !== undefined) ? commonName(all) : undefined;
  const around = parent?.name?.replace(/s$/, '');
  return common ?? (places.length > 1 ? around : undefined) ?? names.get(control.id) ?? control.kind;
}

/** A free name for a component, after a control's. */
export function componentName(project: Project, from: string): string {
  const stem = from.replace(/\d+$/, '') || 'Part';
  const wanted = stem.charAt(0).toUpperCase() + stem.slice(1);
  return freeName(wanted, (name) => (project.components ?? []).some((each) => each.name === name));
}
