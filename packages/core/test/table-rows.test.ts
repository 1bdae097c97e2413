import fc from 'fast-check';
import { expect, it } from 'vitest';
import { nextSort, sortedRows } from '../src/kinds/table-rows.ts';

const value = fc.oneof(
  fc.integer({ min: -20, max: 20 }),
  fc.constantFrom('', 'Bunk 2', 'Bunk 10', 'ä', 'b'),
  fc.constant(null),
);

it('rows are sorted, those without a value last, and those that are alike stay as they were', () => {
  fc.assert(
    fc.property(fc.array(fc.record({ id: fc.nat(), a: value })), fc.boolean(), (rows, down) => {
      const sorted = sortedRows(rows, down ? '-a' : 'a');
      expect(new Set(sorted)).toEqual(new Set(rows));
      expect(sorted).toHaveLength(rows.length);
      const missing = sorted.map(({ a }) => a === '' || a === null);
      expect(missing).toEqual(missing.toSorted((x, y) => Number(x) - Number(y)));
      const numbers = sortedRows(
        rows.filter(({ a }) => typeof a === 'number'),
        down ? '-a' : 'a',
      ).map(({ a }) => a as number);
      expect(numbers).toEqual(numbers.toSorted((x, y) => (down ? y - x : x - y)));
    }),
  );
  const rooms = ['Bunk 10', 'Bunk 2', ''].map((a) => ({ a }));
  expect(sortedRows(rooms, 'a').map(({ a }) => a)).toEqual(['Bunk 2', 'Bunk 10', '']);
  expect(sortedRows(rooms, '')).toBe(rooms);
  expect(sortedRows(rooms, 'constructor')).toEqual(rooms);
});

it('a press on a head sorts by it, another one the other way', () => {
  expect([nextSort('', 'a'), nextSort('a', 'a'), nextSort('-a', 'a'), nextSort('b', 'a')]).toEqual([
    'a',
    '-a',
    'a',
    'a',
  ]);
});
