/** What differs between a value and what it was before: rows that came, went and changed, in words. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { differences } from '../src/runtime/differences.ts';

const ilka = { id: 1, guest: 'Ilka', people: 2, done: false };
const bram = { id: 2, guest: 'Bram', people: 1, done: false };
const nive = { id: 3, guest: 'Nive', people: 4, done: true };

describe('differences', () => {
  it.each([
    [[ilka, bram], [ilka, { ...bram, done: true, people: 3 }], ['row 2: people 1 → 3, done no → yes']],
    [[ilka, bram], [ilka, bram, nive], ['row 3 is new: Nive']],
    [[ilka, bram, nive], [ilka, nive], ['row 2 is gone: Bram']],
    [[ilka, bram], [{ ...bram, people: 9 }], ['row 1: people 1 → 9', 'row 1 is gone: Ilka']],
    [[ilka], [{ ...ilka, note: null }], []],
    [[ilka], [{ ...ilka, note: 'late' }], ['row 1: note – → late']],
    [
      [1, 2],
      [1, 3],
      ['new: 3', 'gone: 2'],
    ],
    [['a', 'a'], ['a'], ['gone: a']],
    [[], [1, 2, 3, 4, 5, 6, 7, 8, 9, 10], ['new: 1, 2, 3, 4, 5, 6, 7, 8 and 2 more']],
    [ilka, { ...ilka, guest: '' }, ['guest Ilka → “”']],
    [1, 2, []],
    ['a', ['a'], []],
  ])('of %j and %j', (before, after, said) => {
    expect(differences(before, after)).toEqual(said);
  });

  it('are few, and the last says how many more there are', () => {
    const rows = Array.from({ length: 30 }, (_, id) => ({ id, n: 1, m: 1 }));
    const said = differences(
      rows,
      rows.map((row) => ({ ...row, n: 2 })),
    );
    expect(said).toHaveLength(8);
    expect(said.at(-1)).toBe('and 23 more');
  });

  it('are none where nothing differs, and some where something does', () => {
    const list = fc.array(fc.record({ id: fc.nat(5), guest: fc.string() }), { maxLength: 8 });
    fc.assert(
      fc.property(list, list, (before, after) => {
        expect(differences(before, before)).toEqual([]);
        const sorted = (rows: readonly object[]) => rows.map((row) => JSON.stringify(row)).toSorted();
        const isSame = JSON.stringify(sorted(before)) === JSON.stringify(sorted(after));
        expect(differences(before, after).length === 0).toBe(isSame);
      }),
    );
  });
});
