/** The kinds of instances where the project is known: with the parameters and events that their components declare. */
import type { Control, Trees } from '../document/types.ts';
import { inForce } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { kindNamed, kindOf } from '../kinds/catalogue.ts';
import type { ParameterType } from '../kinds/component.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import { surroundOf } from '../kinds/screen.ts';
import {
  amountType,
  anyType,
  choiceType,
  colourType,
  dateType,
  destinationType,
  flagType,
  iconType,
  listType,
  type PropertyType,
  pictureType,
  textType,
} from '../property-types/index.ts';
import { isOneOf } from '../sure.ts';
import { type Definition, definitionsOf, type Parameter } from './definition.ts';

const types: Readonly<Record<ParameterType, PropertyType>> = {
  text: textType,
  number: amountType,
  boolean: flagType,
  date: dateType,
  list: listType,
  record: anyType,
  colour: colourType,
  icon: iconType,
  picture: pictureType,
  screen: destinationType,
};

const stateTypes = ['text', 'number', 'boolean', 'date', 'list', 'record'] as const;

/** The type of a property that holds a parameter's value. */
export const typeOfParameter = ({ type, choices, name }: Pick<Parameter, 'type' | 'choices' | 'name'>) =>
  choices ? choiceType(name, choices) : types[type];

/** A parameter as an instance has it. */
function propertyOfParameter(parameter: Parameter, attribute = parameter.name): Property {
  const { name, type, initial, twoWay } = parameter;
  return {
    name: attribute,
    label: name,
    group: 'content',
    type: typeOfParameter(parameter),
    effect: 'layout',
    perBand: false,
    ...(initial === undefined ? {} : { default: initial }),
    ...(twoWay && isOneOf(stateTypes, type) ? { twoWay: [type] } : {}),
  };
}

/** What every instance may say: where it does not, its component's root does. */
function asRootSays(property: Property, { root }: Definition): Property {
  const said = root && inForce(root.props[property.name]);
  return said === undefined || hasExpression(said) ? property : { ...property, default: said };
}

const made = new WeakMap<Definition, Kind>();

/** The kind of a component's instances. */
export function kindOfInstances(definition: Definition): Kind {
  let kind = made.get(definition);
  if (!kind) {
    const { name, parameters, events, slots } = definition;
    const { open: _, ...rest } = kindOf({ kind: name });
    kind = {
      ...rest,
      slots: [...slots.keys()],
      properties: [
        ...[...parameters.values()].map((parameter) => propertyOfParameter(parameter)),
        ...rest.properties.map((property) => asRootSays(property, definition)),
      ],
      events: [...events.values()].map((event) => ({
        name: event.name,
        label: event.name,
        dom: '',
        ...(event.gives === undefined ? {} : { gives: event.gives }),
      })),
    };
    made.set(definition, kind);
  }
  return kind;
}

const ofComponents = new WeakMap<ReadonlyMap<string, Definition>, ReadonlyMap<string, Kind>>();

/** The kinds of the instances of all components of a project, by name. */
export function instanceKindsOf(project: Pick<Trees, 'components'>): ReadonlyMap<string, Kind> {
  const definitions = definitionsOf(project);
  let found = ofComponents.get(definitions);
  if (!found) {
    found = new Map([...definitions].map(([name, definition]) => [name, kindOfInstances(definition)]));
    ofComponents.set(definitions, found);
  }
  return found;
}

/** The name of the component that a case belongs to. */
function holderOf(
  { components = [] }: Pick<Trees, 'components'>,
  { kind, id }: { readonly kind: string; readonly id?: string },
): string | undefined {
  if (kindNamed(kind)?.declares !== 'case') return undefined;
  return components.find(({ children }) => children.some((line) => line.id === id))?.name;
}

const withCases = new WeakMap<Definition, Kind>();

/** The kind of a component's cases: with its parameters. */
function kindOfCases(kind: Kind, definition: Definition): Kind {
  let found = withCases.get(definition);
  if (!found) {
    const { gives = '', ...rest } = kind;
    found = withParameters(rest, definition, gives);
    withCases.set(definition, found);
  }
  return found;
}

/** A kind that gives values to a component, with that one's parameters among its properties. */
function withParameters(kind: Kind, { parameters }: Definition, front: string): Kind {
  const given = [...parameters.values()].map((parameter) =>
    propertyOfParameter(parameter, `${front}.${parameter.name}`),
  );
  return { ...kind, properties: [...kind.properties, ...given] };
}

/**
 * The kind of a control in its project: of an instance with what its component declares, of a screen with what its surround
 * does, of a case with the parameters of its component.
 *
 * @param component name of the component in which a case stands; absent: it is looked for.
 */
export function kindIn(
  project: Pick<Trees, 'components'>,
  control: Pick<Control, 'kind' | 'props'> & { readonly id?: string },
  component = holderOf(project, control),
): Kind {
  const kind = kindOf(control);
  if (kind.declares === 'case') {
    const definition = definitionsOf(project).get(component ?? '');
    return definition ? kindOfCases(kind, definition) : kind;
  }
  if (kind.open) return instanceKindsOf(project).get(kind.name) ?? kind;
  const around = inForce(control.props[surroundOf.name]);
  const definition =
    around !== undefined && kind.properties.includes(surroundOf)
      ? definitionsOf(project).get(around)
      : undefined;
  return definition ? withSurround(kind, definition) : kind;
}

const surrounded = new WeakMap<Definition, Kind>();

/** A screen's kind with the parameters of the component around it. */
function withSurround(kind: Kind, definition: Definition): Kind {
  let found = surrounded.get(definition);
  if (!found) {
    const slots = [...definition.slots.keys()];
    found = { ...withParameters(kind, definition, surroundOf.name), slots };
    surrounded.set(definition, found);
  }
  return found;
}

/** Why something cannot be put into a control whose kind has slots; undefined where it can. @param slot its name; empty: none. */
export function slotProblem({ name, slots }: Kind, slot: string): string | undefined {
  if (!slots || slots.includes(slot)) return undefined;
  if (slots.length === 0) return `\`${name}\` has no slot: nothing can be put into it.`;
  const known = slots.map((each) => (each === '' ? 'the one without a name' : `\`${each}\``)).join(', ');
  return slot === ''
    ? `Into which slot of \`${name}\`? \`slot\` says it: ${known}.`
    : `\`${name}\` has no slot \`${slot}\`; it has ${known}.`;
}

/** Whether a control is an instance of a component. */
export const isInstance = ({ kind }: Pick<Control, 'kind'>): boolean => kindNamed(kind)?.open === true;
