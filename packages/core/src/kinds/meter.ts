/** A measured value within its range: a gauge. */

import type { Values } from '../cascade/values.ts';
import { colourCss } from '../values/theme.ts';
import { barElement, gaugeCss, gaugeElement, gaugeInside, gaugeParts, label } from './gauge.ts';
import type { Kind, Manner, PageElement } from './kind.ts';
import { partLooks } from './look-parts.ts';
import { inside } from './made-anew.ts';
import { measured, measurementOf } from './measured.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

/** The element of a meter, filled to its value. */
export function meterElement(values: Values, name: string): PageElement {
  const { value, min, max, words, colour } = measurementOf(values);
  return gaugeElement(
    values,
    name,
    barElement(name, { role: 'meter', min, max, value, words, colour: colour && colourCss(colour) }),
    words,
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
    ...Object.values(measured),
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
    const { part, colour, words } = measurementOf(values);
    return gaugeInside(values, make, part, colour ?? 'accent', words);
  },
  element: (values, _, name) => meterElement(values, name),
  sharedCss: [gaugeCss],
  css: () => '',
};
