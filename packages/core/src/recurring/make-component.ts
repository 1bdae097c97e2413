/** The steps that make a component of a structure, and instances of it wherever that stands. */

import { locate } from '../document/tree.ts';
import type { Control, Project, PropertyValue } from '../document/types.ts';
import { inForce } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { isOfEveryInstance } from '../reuse/instance-attributes.ts';
import type { Step } from '../steps/step.ts';
import { partAt, partsOf, type Standing } from './alike.ts';
import type { ComponentPlan, PlannedParameter } from './plan.ts';

/** What of a plan is wanted. */
export interface Wanted {
  readonly name: string;
  /** The places that become instances, the first of the plan among them. */
  readonly places: readonly Standing[];
  readonly parameters: readonly PlannedParameter[];
  /** The path of the container whose children each place keeps for itself, in a slot; absent: there is none. */
  readonly slot?: readonly number[];
}

const isAt = (one: readonly number[], other: readonly number[]): boolean => one.join() === other.join();

/** Whether a path leads into what another one leads to. */
const isBelow = (path: readonly number[], other: readonly number[]): boolean =>
  path.length > other.length && isAt(path.slice(0, other.length), other);

/** What stands in a part for what instances say. */
function placeholder({ name, as }: PlannedParameter): string {
  if (as === 'two-way') return name;
  return as === 'event' ? `emit('${name}')` : `{${name}}`;
}

/** A control of the structure as the component has it. */
function asPart(
  control: Control,
  path: readonly number[],
  { parameters, slot }: Wanted,
  newId: () => string,
): Control {
  const props: Record<string, PropertyValue> = {};
  for (const [attribute, value] of Object.entries(control.props)) {
    if (inForce(value) === undefined || (path.length === 0 && isOfEveryInstance(attribute))) continue;
    const parameter = parameters.find((each) => isAt(each.path, path) && each.attribute === attribute);
    props[attribute] = parameter ? placeholder(parameter) : inForce(value)!;
  }
  const children =
    slot && isAt(slot, path)
      ? [{ id: newId(), kind: 'slot', props: {}, children: [] }]
      : control.children.map((child, index) =>
          asPart(
            child,
            [...path, index],
            { name: '', places: [], parameters, ...(slot ? { slot } : {}) },
            newId,
          ),
        );
  const name = path.length > 0 && control.name !== undefined ? { name: control.name } : {};
  return { id: newId(), kind: control.kind, ...name, props, children };
}

/** The line that declares a parameter or event. */
function declaration(parameter: PlannedParameter, newId: () => string): Control {
  const { as, name, type, choices, texts } = parameter;
  const [first = ''] = texts;
  const begins = as === 'value' && !hasExpression(first) && first !== '' ? { initial: first } : {};
  const props: Record<string, string> =
    as === 'event'
      ? { name }
      : {
          name,
          ...(type === 'text' ? {} : { type }),
          ...(choices ? { values: choices.join(' | ') } : {}),
          ...begins,
          ...(as === 'two-way' ? { 'two-way': 'true' } : {}),
        };
  return { id: newId(), kind: as === 'event' ? 'event' : 'parameter', props, children: [] };
}

/** The attribute of an instance that stands for a parameter. */
const attributeOf = ({ name, as }: PlannedParameter): string =>
  as === 'event' ? `on.${name}` : as === 'two-way' ? `${name}.bind` : name;

/** An instance in place of a structure. */
function instanceOf(place: Standing, plan: ComponentPlan, wanted: Wanted, newId: () => string): Control {
  const { control } = place;
  const at = plan.places.indexOf(place);
  const given = wanted.parameters.flatMap((parameter) => {
    const text = parameter.texts[at];
    return text === undefined || text === '' ? [] : [[attributeOf(parameter), text] as const];
  });
  const own = Object.entries(control.props).filter(([attribute]) => isOfEveryInstance(attribute));
  const slotted = wanted.slot && partAt(control, wanted.slot);
  return {
    id: newId(),
    kind: wanted.name,
    ...(control.name === undefined ? {} : { name: control.name }),
    props: Object.fromEntries([...given, ...own]),
    children: slotted ? slotted.children : [],
  };
}

/**
 * The steps that make a component, and instances in its places; the first place gives it what does not differ.
 *
 * @returns the steps and the id of the instance at the first place.
 */
export function makeComponent(
  project: Project,
  plan: ComponentPlan,
  wanted: Wanted,
  newId: () => string,
): { readonly steps: Step[]; readonly component: string; readonly instance: string } {
  const inSlot = (path: readonly number[]) => wanted.slot !== undefined && isBelow(path, wanted.slot);
  const parameters = wanted.parameters.filter(({ path }) => !inSlot(path));
  const chosen = { ...wanted, parameters };
  const component: Control = {
    id: newId(),
    kind: 'component',
    name: wanted.name,
    props: {},
    children: [
      ...parameters.map((parameter) => declaration(parameter, newId)),
      asPart(plan.top, [], chosen, newId),
    ],
  };
  const steps: Step[] = [
    { type: 'insert', parent: null, index: (project.components ?? []).length, control: component },
  ];
  let first = '';
  for (const place of wanted.places) {
    const { parent, index } = locate(project, place.control.id)!;
    const instance = instanceOf(place, plan, chosen, newId);
    if (place.control.id === plan.top.id) first = instance.id;
    steps.push(
      { type: 'remove', control: place.control.id },
      { type: 'insert', parent: parent!.id, index, control: instance },
    );
  }
  return { steps, component: component.id, instance: first };
}

/** How many controls and attributes a component would say once instead of in every place. */
export const savedBy = (plan: ComponentPlan, places: number): number =>
  partsOf(plan.top).length * Math.max(0, places - 1);
