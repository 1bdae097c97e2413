/** A measured value within its range: a gauge. */
import { type ColourRange, rangesType, textType } from '../document/property-types.ts';
import { colourCss } from '../document/theme.ts';
import type { Values } from '../document/values.ts';
import { content } from './field.ts';
import { gaugeCss, gaugeElement, gaugeInside, gaugeNumber, partOf } from './gauge.ts';
import type { Kind, PageElement } from './kind.ts';
import { boxLook, padding, placing, sizing, words } from './properties.ts';

/** The colour of a number's range; undefined below the first. */
export const colourOf = (value: number, ranges: readonly ColourRange[] | undefined): string | undefined =>
  ranges?.findLast(({ from }) => value >= from)?.colour;

const shown = (values: Values): string => {
  const value = values.number('value');
  return value === undefined ? '–' : `${value}${values.text('unit') ? ` ${values.text('unit')}` : ''}`;
};
const limits = (values: Values) => ({ min: values.number('min') ?? 0, max: values.number('max') ?? 100 });

/** The element of a meter, filled to its value. */
export function meterElement(values: Values, name: string): PageElement {
  const { min, max } = limits(values);
  const value = values.number('value');
  const part = partOf(value ?? min, min, max);
  return gaugeElement(
    values,
    name,
    {
      tag: 'div',
      classes: ['part-bar'],
      attributes: {
        role: 'meter',
        'aria-labelledby': `${name}-label`,
        'aria-valuemin': String(min),
        'aria-valuemax': String(max),
        ...(value === undefined ? {} : { 'aria-valuenow': String(value), 'aria-valuetext': shown(values) }),
      },
      children: [
        {
          tag: 'div',
          classes: ['part-filled'],
          attributes: {
            style: `width: ${Number((part * 100).toFixed(2))}%; background: ${colourCss(colourOf(value ?? min, values.get('colors')) ?? 'accent')}`,
          },
        },
      ],
    },
    shown(values),
  );
}

export const meter: Kind = {
  name: 'meter',
  label: 'Meter',
  group: 'show',
  purpose: 'A measured value within its range, in colour by value.',
  findBy: ['gauge', 'level', 'battery', 'temperature', 'measure', 'wind', 'speed', 'live'],
  container: false,
  properties: [
    words('label', 'Label', { as: 'text', part: 'part-label' }),
    { ...gaugeNumber('value', 'Value'), effect: 'layout', page: { as: 'inside' } },
    { ...gaugeNumber('min', 'Least', '0'), page: { as: 'inside' } },
    { ...gaugeNumber('max', 'Greatest', '100'), page: { as: 'inside' } },
    content('unit', 'Unit', textType, { effect: 'layout', page: { as: 'inside' } }),
    content('colors', 'Colours by value', rangesType, { page: { as: 'inside' } }),
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
  ],
  events: [],
  starter: { label: 'Battery', value: '72', unit: '%', colors: '0 alert | 20 warm | 40 accent' },
  inside(values, make) {
    const { min, max } = limits(values);
    const value = values.number('value');
    const colour = value === undefined ? undefined : colourOf(value, values.get('colors'));
    return gaugeInside(values, make, partOf(value ?? min, min, max), colour ?? 'accent', shown(values));
  },
  element: (values, _, name) => meterElement(values, name),
  sharedCss: [gaugeCss],
  css: `.k-meter .part-filled {
  height: 100%;
}`,
};
