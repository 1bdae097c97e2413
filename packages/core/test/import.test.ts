/** Rows of files that come to tables: mapped, appended, updated by key, and what is not right given back. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Column,
  guessColumns,
  type ImportMode,
  importLines,
  planProblem,
  textOfFile,
} from '../src/index.ts';

const columns: readonly Column[] = [
  { name: 'id', type: 'number', role: 'key' },
  { name: 'guestName', type: 'text', required: true },
  { name: 'price', type: 'number' },
];
const rows = [
  { id: 1, guestName: 'Ilka', price: 3 },
  { id: 2, guestName: 'Teo' },
];
const take = (lines: readonly string[][], mode: ImportMode, onlyGood = false) =>
  importLines(
    lines,
    { mode, onlyGood, columns: guessColumns(lines[0]!, columns) },
    { columns, rows, state: [] },
  );

describe('the heads of a file', () => {
  it('go to columns of the same name, whatever its case and spaces; others become columns', () => {
    expect(guessColumns(['Guest name', 'ID', 'Nights', ''], columns)).toEqual({
      'Guest name': 'guestName',
      ID: 'id',
      Nights: 'Nights',
      '': null,
    });
    // What is called exactly so goes first.
    expect(guessColumns(['GUESTNAME', 'guestName'], columns)).toEqual({
      guestName: 'guestName',
      GUESTNAME: 'GUESTNAME',
    });
  });

  it.each([
    [{ a: 'id', b: 'id' }, 'append', 'Two columns of the file go to `id`.'],
    [{ a: null }, 'append', 'No column of the file is taken.'],
    [{ a: '__proto__' }, 'append', 'A column cannot be called `__proto__`.'],
    [{ a: 'price' }, 'update', 'No column of the file goes to the key `id`.'],
    [{ a: 'id' }, 'update', undefined],
  ] as const)('%j, %s: %s', (mapped, mode, problem) => {
    expect(planProblem({ mode, columns: { ...mapped }, onlyGood: false }, ['a', 'b'], columns)).toBe(problem);
  });
});

it('a plan as a whole says what keeps it from being carried out', () => {
  const plan = { mode: 'update', columns: { a: 'x' }, onlyGood: false } as const;
  expect(planProblem(plan, ['a'], [])).toContain('has none');
  expect(planProblem(plan, ['a', 'a'], columns)).toBe('The file has two columns `a`.');
  expect(planProblem(plan, ['', ' '], columns)).toContain('it is empty');
});

describe('lines', () => {
  const lines = [
    ['id', 'Guest name', 'price'],
    ['2', 'Teodora', '1,5'],
    ['3', 'Nils', '1.200'],
    ['', 'Bruni', ''],
  ];

  it('come behind the rows there, the next key where they have none', () => {
    expect(take([lines[0]!, lines[3]!], 'append').rows).toEqual([...rows, { id: 3, guestName: 'Bruni' }]);
  });

  it('get no key that a later line of the file has', () => {
    const { rows: all, bad } = take(
      [
        ['id', 'guestName'],
        ['', 'Bo'],
        ['3', 'Cira'],
        ['', 'Dov'],
      ],
      'append',
    );
    expect(bad).toEqual([]);
    expect(all.slice(2).map(({ id }) => id)).toEqual([4, 3, 5]);
  });

  it('change the row of the same key, and leave alone what they do not say', () => {
    const { rows: after, taken, bad } = take(lines, 'update');
    expect(after).toEqual([
      rows[0],
      { id: 2, guestName: 'Teodora', price: 1.5 },
      { id: 3, guestName: 'Nils', price: 1200 },
      { id: 4, guestName: 'Bruni' },
    ]);
    expect([taken, bad]).toEqual([3, []]);
  });

  it('take the place of the rows there', () => {
    expect(take(lines, 'replace').rows.map(({ guestName }) => guestName)).toEqual([
      'Teodora',
      'Nils',
      'Bruni',
    ]);
  });

  it('that are not right are all told in one round, and left out', () => {
    const {
      rows: after,
      bad,
      taken,
    } = take(
      [
        lines[0]!,
        ['1', 'Again', ''],
        ['5', '', ''],
        ['6', 'Ok', 'many'],
        ['7', 'Fine', '2'],
        ['8', 'x', '1', 'y'],
      ],
      'append',
    );
    expect(bad.map(({ line, message }) => `${line} ${message}`)).toEqual([
      '2 `id` is the same in row 1.',
      '3 `guestName` is required.',
      '4 price: “many” is no number.',
      '6 There are 4 values, but 3 columns.',
    ]);
    expect(bad[0]!.cells).toEqual(['1', 'Again', '']);
    expect(taken).toBe(1);
    expect(after).toEqual([...rows, { id: 7, guestName: 'Fine', price: 2 }]);
  });

  it('with a comma before the fraction are numbers only where all of a column can be', () => {
    const read = (...texts: string[]) =>
      importLines(
        [['n'], ...texts.map((text) => [text])],
        { mode: 'append', onlyGood: false, columns: { n: 'n' } },
        {
          columns: [],
          rows: [],
          state: [],
        },
      );
    expect(read('3,5', '1.204,25', '7').rows).toEqual([{ n: 3.5 }, { n: 1204.25 }, { n: 7 }]);
    expect(read('3,5', 'a').columns).toEqual([{ name: 'n', type: 'text' }]);
    expect(read('1,204', '3.5').columns).toEqual([{ name: 'n', type: 'text' }]);
  });

  it('property: what is taken and what is not are all lines, and the rows there stay', () => {
    const cell = fc.constantFrom('', '1', '2', '9', 'x', 'Ilka');
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { maxLength: 8 }), (body) => {
        const { taken, bad, rows: after } = take([['id', 'guestName', 'price'], ...body], 'append');
        expect(taken + bad.length).toBe(body.length);
        expect(after.slice(0, 2)).toEqual(rows);
        expect(after).toHaveLength(2 + taken);
      }),
    );
  });
});

it('a file is read in the encoding that it is in', () => {
  expect(textOfFile(new TextEncoder().encode('Küche'))).toBe('Küche');
  expect(textOfFile(new Uint8Array([0x4b, 0xfc, 0x63, 0x68, 0x65]))).toBe('Küche');
  expect(textOfFile(new Uint8Array([0xff, 0xfe, 0x4b, 0, 0xfc, 0]))).toBe('Kü');
  expect(textOfFile(new Uint8Array([0xfe, 0xff, 0, 0x4b]))).toBe('K');
});
