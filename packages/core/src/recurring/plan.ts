/** What a component made of a structure would be: its parameters and events, and the places that it would stand in. */
import { conditionsOf, readAttribute } from '../cascade/attributes.ts';
import { effectiveNames, freeName, valueNameProblem } from '../document/names.ts';
import { locate, pathTo } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { usesIn } from '../expression/renaming.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { ParameterType } from '../kinds/component.ts';
import type { Property } from '../kinds/kind.ts';
import { itemNames } from '../meaning/property-text.ts';
import { definitionOf } from '../reuse/definition.ts';
import { isOfEveryInstance } from '../reuse/instance-attributes.ts';
import { alikeTo, type Part, partAt, partsOf, type Standing } from './alike.ts';

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
  /** It has to be one: it reads what only the place knows, the item of a repeat. */
  readonly isNeeded: boolean;
  /** The texts, by the places in their order. */
  readonly texts: readonly string[];
}

/** A place that has the same structure and cannot be an instance. */
export interface Unfit {
  readonly standing: Standing;
  /** Why, in a sentence. */
  readonly message: string;
}

export interface ComponentPlan {
  readonly name: string;
  readonly top: Control;
  /** The first is the one that the component is made of. */
  readonly places: readonly Standing[];
  readonly parameters: readonly PlannedParameter[];
  readonly unfit: readonly Unfit[];
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

/** Whether an attribute may follow an expression, so that a parameter can stand in it. */
function takesParameter(control: Control, attribute: string): boolean {
  const meaning = readAttribute(kindOf(control), attribute, []);
  if (typeof meaning === 'string') return false;
  if (meaning.role !== 'value') return true;
  return attribute !== 'states' && !meaning.property.plain && conditionsOf(attribute).length === 0;
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
  amount: 'number',
};

/** The type of a parameter that a property of a control is given. */
export function typeFor({ type }: Pick<Property, 'type'>): Pick<PlannedParameter, 'type' | 'choices'> {
  const known = typesByName[type.name];
  if (known) return { type: known };
  if (type.steps === 'count') return { type: 'number' };
  return type.words.length > 0 && type.beginnings === undefined && type.takes === undefined && !type.field
    ? { type: 'text', choices: type.words }
    : { type: 'text' };
}

/** What a parameter is called: after the control where it is its words, else after both. */
export function parameterName(
  control: Control,
  name: string,
  attribute: string,
  taken: (name: string) => boolean,
): string {
  const plain = attribute
    .replace(/^on\.|\.bind$/g, '')
    .replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());
  const own = control.name;
  const isWords = ['text', 'label', 'value'].includes(plain);
  const wanted =
    own === undefined ? plain : isWords ? own : `${own}${plain.charAt(0).toUpperCase()}${plain.slice(1)}`;
  const stem = valueNameProblem(wanted) === undefined ? wanted : name;
  return freeName(stem, taken);
}

/** The attributes of a part that are the component's matter: at the top without those of its place. */
const partAttributes = ({ control, path }: Part): string[] =>
  Object.keys(control.props).filter(
    (attribute) =>
      inForce(control.props[attribute]) !== undefined && !(path.length === 0 && isOfEveryInstance(attribute)),
  );

/** Why a place cannot be an instance of what another one is: it differs where no parameter can stand. */
function unfitness(top: Control, other: Control): string | undefined {
  for (const part of partsOf(top))
    for (const attribute of partAttributes(part)) {
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
  const parameters: PlannedParameter[] = [];
  const taken = (name: string) =>
    isOfEveryInstance(name) || parameters.some((parameter) => parameter.name === name);
  for (const part of partsOf(top))
    for (const attribute of partAttributes(part)) {
      const { control, path } = part;
      const meaning = readAttribute(kindOf(control), attribute, project.bands);
      if (typeof meaning === 'string') continue;
      const texts = places.map((place) => inForce(partAt(place.control, path)!.props[attribute]) ?? '');
      const isNeeded = texts.some((text, index) =>
        usesIn(meaning, text).some(({ name }) => locals[index]!.has(name)),
      );
      if (isNeeded && !takesParameter(control, attribute))
        return `\`${attribute}\` of \`${names.get(control.id)}\` reads \`${[...locals[0]!].join('`, `')}\`, which a component cannot; put it on a control around it.`;
      if (!isNeeded && new Set(texts).size < 2) continue;
      parameters.push({
        path,
        attribute,
        name: parameterName(control, names.get(control.id) ?? control.kind, attribute, taken),
        ...(meaning.role === 'event' ? { type: 'text' } : typeFor(meaning.property)),
        as: meaning.role === 'event' ? 'event' : meaning.role === 'bind' ? 'two-way' : 'value',
        isNeeded,
        texts,
      });
    }
  return { name: componentName(project, names.get(id) ?? top.kind), top, places, parameters, unfit };
}

/** A free name for a component, after a control's. */
export function componentName(project: Project, from: string): string {
  const stem = from.replace(/\d+$/, '') || 'Part';
  const wanted = stem.charAt(0).toUpperCase() + stem.slice(1);
  return freeName(wanted, (name) => (project.components ?? []).some((each) => each.name === name));
}
