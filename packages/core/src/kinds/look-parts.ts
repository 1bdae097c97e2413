/**
 * Parts of a kind that have a look of their own: `part(thumb).background`. The kind says which boxes and which elements they are.
 */
import type { Values } from '../cascade/values.ts';
import type { LookPart, Property } from './kind.ts';
import {
  background,
  borderColour,
  colour,
  corner,
  opacity,
  rotate,
  scale,
  shadow,
  shift,
} from './properties.ts';

const looks: readonly Property[] = [
  background,
  corner,
  borderColour,
  shadow,
  opacity,
  colour,
  rotate,
  scale,
  shift,
];

/** What stands in front of the properties of a part. */
export const partPrefix = (part: string): string => `part(${part}).`;

/** What is said of a part, by the names that its properties have on a control. */
export const saidOfPart = (values: Values, { name, within }: LookPart): Values =>
  values.ofPart(...(within === undefined ? [] : [partPrefix(within)]), partPrefix(name));

/** The properties of parts: each has nothing by itself, since the kind says what a part looks like. */
export const partLooks = (parts: readonly LookPart[]): readonly Property[] =>
  parts.flatMap(({ name, label }) =>
    looks.map(({ default: _, ...property }) => ({
      ...property,
      group: 'parts',
      name: `${partPrefix(name)}${property.name}`,
      label: `${label}: ${property.label.toLowerCase()}`,
    })),
  );
