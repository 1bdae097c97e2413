/** What meters and dials show: a number within its range, its unit, and its colour by value. */
import type { Values } from '../cascade/values.ts';
import { type ColourRange, rangesType, textType } from '../property-types/index.ts';
import { content } from './field.ts';
import { gaugeNumber, partOf } from './gauge.ts';
import type { PageElement } from './kind.ts';

export const measured = {
  value: gaugeNumber('value', 'Value', { effect: 'layout' }),
  min: gaugeNumber('min', 'Min', { default: '0', says: 'The value at its empty end.' }),
  max: gaugeNumber('max', 'Max', { default: '100', says: 'The value at its full end.' }),
  unit: content('unit', 'Unit', textType, { effect: 'layout', page: { as: 'inside' } }),
  colors: content('colors', 'Colours by value', rangesType, { page: { as: 'inside' } }),
};

/** The colour of a number's range; undefined below the first. */
export const colourOf = (value: number, ranges: readonly ColourRange[] | undefined): string | undefined =>
  ranges?.findLast(({ from }) => value >= from)?.colour;

/** What is measured, worked out. */
export interface Measurement {
  readonly value: number | undefined;
  readonly min: number;
  readonly max: number;
  /** How much of the range it fills, from 0 to 1. */
  readonly part: number;
  /** The number with its unit; a dash where there is none. */
  readonly words: string;
  /** That of its range, where it has one. */
  readonly colour: string | undefined;
}

export function measurementOf(values: Values): Measurement {
  const value = values.get(measured.value);
  const [min, max] = [values.get(measured.min) ?? 0, values.get(measured.max) ?? 100];
  const unit = values.text(measured.unit);
  return {
    value,
    min,
    max,
    part: partOf(value ?? min, min, max),
    words: value === undefined ? '–' : `${value}${unit ? ` ${unit}` : ''}`,
    colour: value === undefined ? undefined : colourOf(value, values.get(measured.colors)),
  };
}

/** What assistive technology is told of it (ARIA 1.2, `meter`). */
export const meterAttributes = (
  name: string,
  { value, min, max, words }: Measurement,
): NonNullable<PageElement['attributes']> => ({
  role: 'meter',
  'aria-labelledby': `${name}-label`,
  'aria-valuemin': min,
  'aria-valuemax': max,
  'aria-valuenow': value ?? false,
  'aria-valuetext': words,
});
