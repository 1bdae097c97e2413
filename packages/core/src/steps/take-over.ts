/** Giving one control's look or size to others. */

import { propertyOf } from '../cascade/attributes.ts';
import type { Control, PropertyValue } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Property, PropertyGroup } from '../kinds/kind.ts';
import type { Step } from './step.ts';

/** What is taken over: how a control looks, or its size. */
export type Aspect = 'look' | 'size';

/** Parts of a look that can be given by themselves. */
export const partsOfLook = ['fill', 'text', 'border', 'effects'] as const;
export type PartOfLook = (typeof partsOfLook)[number];

const groups: Readonly<Record<Aspect, readonly PropertyGroup[]>> = {
  look: ['look', 'letters', 'effects', 'parts'],
  size: ['size'],
};
/** What belongs to the look besides its groups, and what of them does not: states read what is at one control alone. */
const alsoLook = new Set(['padding']);
const notLook = new Set(['states']);

const isFill = (name: string): boolean => name === 'background' || name === 'opacity';
const isBorder = (name: string): boolean => name.startsWith('border-') || name === 'corner';
const inPart: Readonly<Record<PartOfLook, (property: Property) => boolean>> = {
  fill: ({ name }) => isFill(name),
  text: ({ group }) => group === 'letters',
  border: ({ name }) => isBorder(name),
  effects: ({ group, name }) => group === 'effects' || name === 'shadow',
};

const belongs = (aspect: Aspect | PartOfLook, property: Property): boolean => {
  const { group, name } = property;
  if (aspect !== 'look' && aspect !== 'size') return inPart[aspect](property);
  return (groups[aspect].includes(group) && !notLook.has(name)) || (aspect === 'look' && alsoLook.has(name));
};

/** A control's look or size, as values by attribute; `kind` tells which of them it could have. */
export interface Taken {
  readonly kind: string;
  readonly values: Readonly<Record<string, PropertyValue>>;
}

/** What of a control is to be given to others. */
export function takeFrom(control: Control, aspect: Aspect): Taken {
  const names = new Set(
    kindOf(control)
      .properties.filter((property) => belongs(aspect, property))
      .map(({ name }) => name),
  );
  return {
    kind: control.kind,
    values: Object.fromEntries(
      Object.entries(control.props).filter(
        ([attribute]) => !attribute.startsWith('on.') && names.has(propertyOf(attribute)),
      ),
    ),
  };
}

/** Gives a look, a part of one, or a size to a control: what the other did not say goes back to its default. */
export function giveTo(control: Control, aspect: Aspect | PartOfLook, { values }: Taken): Step[] {
  const names = new Set(
    kindOf(control)
      .properties.filter((property) => belongs(aspect, property))
      .map(({ name }) => name),
  );
  const steps: Step[] = [];
  for (const attribute of Object.keys(control.props))
    if (!attribute.startsWith('on.') && names.has(propertyOf(attribute)) && !(attribute in values))
      steps.push({ type: 'set', control: control.id, property: attribute, value: null });
  for (const [property, value] of Object.entries(values))
    if (names.has(propertyOf(property)) && control.props[property] !== value)
      steps.push({ type: 'set', control: control.id, property, value });
  return steps;
}

/** Whether two controls look the same. */
export function sameLook(one: Control, other: Control): boolean {
  if (one.kind !== other.kind) return false;
  const text = (control: Control) =>
    JSON.stringify(Object.entries(takeFrom(control, 'look').values).toSorted(([a], [b]) => (a < b ? -1 : 1)));
  return text(one) === text(other);
}
