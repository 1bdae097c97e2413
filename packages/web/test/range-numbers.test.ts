/** Ranges of a number while they are edited. */
import { kindNamed, type Property, type Ranges, themeOf } from '@hovrin/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  asNumber,
  countedIn,
  endsOf,
  extentOf,
  fine,
  firstRanges,
  mappable,
  movedTo,
  refusedAt,
  withOneMore,
} from '../src/workbench/fields/rangeNumbers.ts';

const theme = themeOf({});
const ranges: Ranges = {
  of: 'wind',
  blended: false,
  stops: [
    { from: 0, value: 'green' },
    { from: 10, value: 'yellow' },
    { from: 20, value: 'red' },
  ],
  end: 40,
};
const property = (kind: string, name: string): Property => {
  const found = kindNamed(kind)?.properties.find((each) => each.name === name);
  if (!found) throw new Error(`No ${name} of ${kind}`);
  return found;
};

describe('an end', () => {
  it('goes as far as its neighbours leave room', () => {
    fc.assert(
      fc.property(fc.nat(3), fc.double({ min: -1e4, max: 1e4, noNaN: true }), (index, value) => {
        const ends = endsOf(movedTo(ranges, index, value, 40));
        expect(ends).toEqual(ends.toSorted((a, b) => a - b));
        expect(new Set(ends).size).toBe(4);
        for (const [at, end] of ends.entries()) if (at !== index) expect(end).toBe(endsOf(ranges)[at]);
      }),
    );
  });

  it('that is typed where another one is says why not', () => {
    expect(refusedAt(ranges, 1, 5)).toBeUndefined();
    expect(refusedAt(ranges, 1, 0)).toBe('This begins at 0 or below; more is needed here.');
    expect(refusedAt(ranges, 1, 20)).toBe('The next one begins at 20; less is needed here.');
    expect(refusedAt(ranges, 3, 20)).toBe('This begins at 20 or below; more is needed here.');
    expect(refusedAt(ranges, 3, 1e9)).toBeUndefined();
  });
});

describe('one more range', () => {
  it('begins behind the last, before the end', () => {
    expect(withOneMore(ranges, 40).stops.at(-1)).toEqual({ from: 28, value: 'red' });
    expect(withOneMore({ ...ranges, end: 24 }, 40).stops.at(-1)).toEqual({ from: 22, value: 'red' });
    const { end: _, ...open } = ranges;
    expect(withOneMore(open, 100).stops.at(-1)?.from).toBe(40);
  });
});

describe('the scale', () => {
  it('reaches over all numbers with some room, also where there is one or none', () => {
    expect(extentOf([])).toEqual([0, 100]);
    expect(extentOf([4])).toEqual([2, 6]);
    expect(extentOf([0])).toEqual([-1, 1]);
    expect(extentOf([0, 100])).toEqual([-10, 110]);
  });

  it('counts every number once, those outside at its edges', () => {
    expect(countedIn(4, [-5, 0, 24, 25, 99, 100, 500], 0, 100)).toEqual([3, 1, 0, 3]);
    fc.assert(
      fc.property(fc.array(fc.double({ min: -50, max: 150, noNaN: true })), (numbers) => {
        expect(countedIn(25, numbers, 0, 100).reduce((sum, count) => sum + count, 0)).toBe(numbers.length);
      }),
    );
  });

  it('shows numbers as fine as its px', () => {
    expect(fine(12.3456, 100)).toBe(12);
    expect(fine(12.3456, 10)).toBe(12.3);
    expect(fine(0.000123456, 0.001)).toBe(0.00012);
    expect(fine(0.123456789, 0)).toBe(0.123457);
  });
});

describe('what is bound', () => {
  it('can be mapped where it is one expression without ranges yet', () => {
    expect(mappable('{ wind.speed }')).toBe('wind.speed');
    expect(mappable('wind')).toBeUndefined();
    expect(mappable('{Range.of(wind, 0, 1)}')).toBeUndefined();
  });

  it('begins with thirds of where the numbers lie, with values that fit the property', () => {
    const first = firstRanges('wind', [0, 30], property('text', 'size'), theme);
    expect(first.stops.map(({ from }) => from)).toEqual([-3, 9, 21]);
    expect(first.of).toBe('wind');
    expect(first.stops.map(({ value }) => value)).toEqual([16, 24, 32]);
    for (const name of ['color', 'size', 'weight'])
      for (const { value } of firstRanges('wind', [], property('text', name), theme).stops)
        expect(property('text', name).type.read(String(value)).ok).toBe(true);
  });

  it('takes a text that is a number for one', () => {
    expect(asNumber('4.5')).toBe(4.5);
    expect(asNumber('04')).toBe('04');
    expect(asNumber(' ')).toBe(' ');
    expect(asNumber('red')).toBe('red');
  });
});
