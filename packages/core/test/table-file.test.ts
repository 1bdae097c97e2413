/** Tables as files: what leaves comes back, whatever stands in the cells. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { type Column, csvOf, type Row } from '../src/index.ts';
import { readTableFile } from './table-reading.ts';

const columns: readonly Column[] = [
  { name: 'who', type: 'text' },
  { name: 'nights', type: 'number' },
  { name: 'paid', type: 'boolean' },
  { name: 'from', type: 'date' },
];

it('numbers below 0 stay numbers, and texts that begin like formulas are guarded', () => {
  const rows = [
    { who: '=SUM(A1)', nights: -1 },
    { who: "'=1", nights: -0.5 },
    { who: '-5', nights: 2 },
    { who: '@x', nights: 1e21 },
  ];
  const csv = csvOf(columns.slice(0, 2), rows);
  expect(csv.split('\r\n')).toEqual(['who,nights', "'=SUM(A1),-1", "''=1,-0.5", "'-5,2", "'@x,1e+21"]);
  expect(readTableFile('a.csv', csv, columns.slice(0, 2))).toMatchObject({ ok: true, rows });
});

it('all tables that can be read come back as they left', () => {
  // Empty cells and those of spaces alone are nothing; a text keeps its spaces.
  const text = fc
    .oneof(
      fc.string({ unit: 'grapheme', maxLength: 12 }),
      fc.constantFrom('=1', "'=1", '-', '+4', '"', 'a,b', 'a\nb', 'a\r\nb', ';', '\t', "'"),
    )
    .filter((each) => each.trim() !== '');
  const row = fc.record(
    {
      who: text,
      nights: fc
        .double({ noNaN: true, noDefaultInfinity: true })
        .map((value) => (Object.is(value, -0) ? 0 : value)),
      paid: fc.boolean(),
      from: fc.constantFrom('2026-07-14', '2024-02-29'),
    },
    { requiredKeys: ['nights'] },
  );
  fc.assert(
    fc.property(fc.array(row, { maxLength: 6 }), (rows) => {
      const back = readTableFile('a.csv', csvOf(columns, rows as Row[]), columns);
      expect(back).toEqual({ ok: true, columns, rows });
    }),
    { numRuns: 500 },
  );
});
