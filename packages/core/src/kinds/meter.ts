/** A measured value within its range: a gauge. */

import type { Values } from '../cascade/values.ts';
import { type ColourRange, rangesType, textType } from '../property-types/index.ts';
import { colourCss } from '../values/theme.ts';
import { content } from './field.ts';
import {
  barElement,
  gaugeCss,
  gaugeElement,
  gaugeInside,
  gaugeNumber,
  gaugeParts,
  label,
  partOf,
} from './gauge.ts';
import type { Kind, Manner, PageElement } from './kind.ts';
import { partLooks } from './look-parts.ts';
import { inside } from './made-anew.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

const own = {
  value: gaugeNumber('value', 'Value', { effect: 'layout' }),
  min: gaugeNumber('min', 'Min', { default: '0', says: 'The value at its empty end.' }),
  max: gaugeNumber('max', 'Max', { default: '100', says: 'The value at its full end.' }),
  unit: content('unit', 'Unit', textType, { effect: 'layout', page: { as: 'inside' } }),
  colors: content('colors', 'Colours by value', rangesType, { page: { as: 'inside' } }),
};

/** The colour of a number's range; undefined below the first. */
export const colourOf = (value: number, ranges: readonly ColourRange[] | undefined): string | undefined =>
  ranges?.findLast(({ from }) => value >= from)?.colour;

const shown = (values: Values): string => {
  const value = values.get(own.value);
  return value === undefined ? '–' : `${value}${values.text(own.unit) ? ` ${values.text(own.unit)}` : ''}`;
};
const limits = (values: Values) => ({ min: values.get(own.min) ?? 0, max: values.get(own.max) ?? 100 });

/** The element of a meter, filled to its value. */
export function meterElement(values: Values, name: string): PageElement {
  const { min, max } = limits(values);
  const value = values.get(own.value);
  const ranged = colourOf(value ?? min, values.get(own.colors));
  return gaugeElement(
    values,
    name,
    barElement(name, {
      role: 'meter',
      min,
      max,
      value,
      words: shown(values),
      colour: ranged && colourCss(ranged),
    }),
    shown(values),
  );
}

export const manner: Manner = { anew: (values, name) => inside(meterElement(values, name)) };

export const meter: Kind = {
  name: 'meter',
  label: 'Meter',
  group: 'show',
  purpose: 'A measured value within its range, in colour by value.',
  glyph: 'gauge',
  findBy: ['gauge', 'level', 'battery', 'temperature', 'measure', 'wind', 'speed', 'live'],
  container: false,
  manner,
  properties: [
    label,
    own.value,
    own.min,
    own.max,
    own.unit,
    own.colors,
    ...sizing,
    ...placing(),
    padding,
    ...boxLook(),
    ...partLooks(gaugeParts),
  ],
  lookParts: gaugeParts,
  events: [],
  starter: { label: 'Battery', value: '72', unit: '%', colors: '0 alert | 20 warm | 40 accent' },
  inside(values, make) {
    const { min, max } = limits(values);
    const value = values.get(own.value);
    const colour = value === undefined ? undefined : colourOf(value, values.get(own.colors));
    return gaugeInside(values, make, partOf(value ?? min, min, max), colour ?? 'accent', shown(values));
  },
  element: (values, _, name) => meterElement(values, name),
  sharedCss: [gaugeCss],
  css: () => '',
};
