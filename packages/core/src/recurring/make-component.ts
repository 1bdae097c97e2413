/** The steps that make a component of a structure, and instances of it wherever that stands. */

import { readAttribute } from '../cascade/attributes.ts';
import { locate } from '../document/tree.ts';
import type { Control, Project, PropertyValue } from '../document/types.ts';
import { inForce } from '../document/types.ts';
import { renameIn } from '../expression/names.ts';
import { inEvent, usesIn } from '../expression/renaming.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { isOfEveryInstance } from '../reuse/instance-attributes.ts';
import type { Step } from '../steps/step.ts';
import { partAt, type Standing } from './alike.ts';
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

/** A text in which what the place gives is called as it is in the component. */
function withPassed(
  control: Control,
  attribute: string,
  text: string,
  { passed }: Pick<ComponentPlan, 'passed'>,
): string {
  const meaning = readAttribute(kindOf(control), attribute, []);
  if (typeof meaning === 'string') return text;
  return passed.reduce(
    (now, { name, as }) =>
      name === as ? now : inEvent(now, (part) => renameIn(part, usesIn(meaning, part), name, as)),
    text,
  );
}

/** A control of the structure as the component has it. */
function asPart(
  control: Control,
  path: readonly number[],
  wanted: Pick<Wanted, 'parameters' | 'slot'> & Pick<ComponentPlan, 'shared' | 'partNames' | 'passed'>,
  newId: () => string,
): Control {
  const { parameters, slot, shared, partNames } = wanted;
  const props: Record<string, PropertyValue> = {};
  const isLeft = (attribute: string) =>
    path.length === 0 && isOfEveryInstance(attribute) && !shared.includes(attribute);
  for (const [attribute, value] of Object.entries(control.props)) {
    const text = inForce(value);
    if (text !== undefined && !isLeft(attribute))
      props[attribute] = withPassed(control, attribute, text, wanted);
  }
  for (const parameter of parameters)
    if (isAt(parameter.path, path)) props[parameter.attribute] = placeholder(parameter);
  const children =
    slot && isAt(slot, path)
      ? [{ id: newId(), kind: 'slot', props: {}, children: [] }]
      : control.children.map((child, index) => asPart(child, [...path, index], wanted, newId));
  const own = partNames.get(path.join('.'));
  const name = own === undefined ? {} : { name: own };
  return { id: newId(), kind: control.kind, ...name, props, children };
}

/** What a parameter begins with: what most places say, where that is plain; undefined: nothing. */
function beginningOf({ as, texts }: PlannedParameter): string | undefined {
  if (as !== 'value') return undefined;
  const counts = new Map<string, number>();
  for (const text of texts)
    if (!hasExpression(text) && text !== '') counts.set(text, (counts.get(text) ?? 0) + 1);
  const [most] = [...counts].toSorted(([, one], [, other]) => other - one);
  return most?.[0];
}

/** The line that declares a parameter or event. */
function declaration(parameter: PlannedParameter, newId: () => string): Control {
  const { as, name, type, choices } = parameter;
  const initial = beginningOf(parameter);
  const begins = initial === undefined ? {} : { initial };
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
    const begins = beginningOf(parameter);
    return text === undefined || text === (begins ?? '') ? [] : [[attributeOf(parameter), text] as const];
  });
  const own = Object.entries(control.props).filter(
    ([attribute]) => isOfEveryInstance(attribute) && !plan.shared.includes(attribute),
  );
  const slotted = wanted.slot && partAt(control, wanted.slot);
  return {
    id: newId(),
    kind: wanted.name,
    ...(control.name === undefined ? {} : { name: control.name }),
    props: Object.fromEntries([
      ...plan.passed.map(({ name, as }) => [as, `{${name}}`] as const),
      ...given,
      ...own,
    ]),
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
      ...plan.passed.map(
        ({ as, type }): Control => ({
          id: newId(),
          kind: 'parameter',
          props: { name: as, ...(type === 'text' ? {} : { type }) },
          children: [],
        }),
      ),
      ...parameters.map((parameter) => declaration(parameter, newId)),
      asPart(
        plan.top,
        [],
        { ...chosen, shared: plan.shared, partNames: plan.partNames, passed: plan.passed },
        newId,
      ),
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
