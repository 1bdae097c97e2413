/** How far something has come. */

import type { Values } from '../cascade/values.ts';
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
  value: gaugeNumber('value', 'Value'),
  max: gaugeNumber('max', 'Max', { default: '100', says: 'The value at which it is full.' }),
};

const wholeOf = (values: Values): number => values.get(own.max) ?? 100;
const part = (values: Values): number => partOf(values.get(own.value) ?? 0, 0, wholeOf(values));

/** The element of a progress: without a value it says that it is going on (ARIA 1.2, `progressbar`). */
const progressElement = (values: Values, name: string): PageElement =>
  gaugeElement(
    values,
    name,
    barElement(name, { role: 'progressbar', min: 0, max: wholeOf(values), value: values.get(own.value) }),
    '',
  );

export const manner: Manner = { anew: (values, name) => inside(progressElement(values, name)) };

export const progress: Kind = {
  name: 'progress',
  label: 'Progress',
  group: 'show',
  purpose: 'Shows how far something has come; without a value, that it is going on.',
  glyph: 'loader',
  findBy: ['loading', 'wait', 'percent', 'done', 'bar', 'busy', 'spinner', 'waiting'],
  container: false,
  manner,
  properties: [
    label,
    own.value,
    own.max,
    ...sizing,
    ...placing(),
    padding,
    ...boxLook(),
    ...partLooks(gaugeParts),
  ],
  lookParts: gaugeParts,
  events: [],
  starter: { label: 'Checked in', value: '60' },
  inside: (values, make) => gaugeInside(values, make, part(values), 'accent', ''),
  element: (values, _, name) => progressElement(values, name),
  sharedCss: [gaugeCss],
  css: () => '',
};
