/** Going through a table, choosing cells in it, pasting into it. */
import type { Column } from '@hovrin/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  boxBetween,
  cellAfter,
  clampedCell,
  isInBox,
  pastedInto,
  pasteEdit,
  valueTyped,
  widthOf,
  withValue,
} from '../src/data/grid/cells.ts';

const columns: readonly Column[] = [
  { name: 'guest', type: 'text' },
  { name: 'nights', type: 'number' },
  { name: 'late', type: 'boolean' },
];
const size = { row: 100, column: 3 };

describe('a key', () => {
  const from = { row: 10, column: 1 };
  const after = (key: string, far = false) => cellAfter(key, from, { size, page: 20, far });
  it.each([
    ['ArrowDown', { row: 11, column: 1 }],
    ['ArrowUp', { row: 9, column: 1 }],
    ['ArrowRight', { row: 10, column: 2 }],
    ['ArrowLeft', { row: 10, column: 0 }],
    ['PageDown', { row: 30, column: 1 }],
    ['PageUp', { row: -10, column: 1 }],
    ['Home', { row: 10, column: 0 }],
    ['End', { row: 10, column: 2 }],
  ])('%s leads to another cell', (key, to) => expect(after(key)).toEqual(to));

  it('with Control leads to the first and the last of all', () => {
    expect(after('Home', true)).toEqual({ row: 0, column: 0 });
    expect(after('End', true)).toEqual({ row: 99, column: 2 });
  });

  it('that is a letter, or a name every object has, leads nowhere', () => {
    expect(after('x')).toBeUndefined();
    expect(after('toString')).toBeUndefined();
  });

  it('never leads out of the table once its cell is clamped', () => {
    const keys = fc.constantFrom(
      'ArrowDown',
      'ArrowUp',
      'ArrowRight',
      'ArrowLeft',
      'PageDown',
      'PageUp',
      'End',
    );
    fc.assert(
      fc.property(fc.array(keys, { maxLength: 40 }), fc.nat(99), fc.nat(2), (pressed, row, column) => {
        let cell = { row, column };
        for (const key of pressed)
          cell = clampedCell(cellAfter(key, cell, { size, page: 20, far: false }) ?? cell, size);
        expect(cell.row).toBeGreaterThanOrEqual(0);
        expect(cell.row).toBeLessThan(size.row);
        expect(cell.column).toBeGreaterThanOrEqual(0);
        expect(cell.column).toBeLessThan(size.column);
      }),
    );
  });
});

describe('chosen cells', () => {
  const cell = fc.record({ row: fc.nat(50), column: fc.nat(10) });
  it('are the same from either corner, and both corners are among them', () => {
    fc.assert(
      fc.property(cell, cell, (one, other) => {
        const box = boxBetween(one, other);
        expect(boxBetween(other, one)).toEqual(box);
        for (const { row, column } of [one, other]) expect(isInBox(row, column, box)).toBe(true);
        expect(isInBox(box.bottom + 1, box.left, box)).toBe(false);
        expect(isInBox(box.top, box.left - 1, box)).toBe(false);
      }),
    );
  });
});

describe('a cell', () => {
  it('takes what was typed as its column’s type, or as it was typed', () => {
    expect(valueTyped({ name: 'nights', type: 'number' }, '3')).toBe(3);
    expect(valueTyped({ name: 'nights', type: 'number' }, 'three')).toBe('three');
    expect(valueTyped({ name: 'late', type: 'boolean' }, 'yes')).toBe(true);
  });

  it('that is emptied is no part of its row any more', () => {
    expect(withValue({ guest: 'Ilka', nights: 2 }, 'nights', undefined)).toEqual({ guest: 'Ilka' });
    expect(withValue({ guest: 'Ilka' }, 'nights', 2)).toEqual({ guest: 'Ilka', nights: 2 });
  });

  it('is as wide as the longest text, within reason', () => {
    const column: Column = { name: 'guest', type: 'text' };
    const narrow = widthOf(column, [{ guest: 'Ilka' }]);
    expect(widthOf(column, [{ guest: 'Ilka' }, { guest: 'Ilka Brandeis of Velmora' }])).toBeGreaterThan(
      narrow,
    );
    expect(widthOf(column, [{ guest: 'x'.repeat(500) }])).toBe(320);
    expect(widthOf({ name: 'n', type: 'text' }, [])).toBeGreaterThanOrEqual(100);
    expect(widthOf({ ...column, required: true }, [])).toBeGreaterThan(widthOf(column, []));
  });
});

describe('pasting', () => {
  const box = { top: 4, bottom: 6, left: 0, right: 1 };
  it('one value fills all that is chosen', () => {
    expect(pastedInto([['7']], box)).toEqual({
      texts: [
        ['7', '7'],
        ['7', '7'],
        ['7', '7'],
      ],
      height: 3,
    });
  });

  it('a stretch keeps its own size', () => {
    expect(
      pastedInto(
        [
          ['a', '1'],
          ['b', '2'],
        ],
        box,
      ).height,
    ).toBe(2);
    expect(pastedInto([], box)).toEqual({ texts: [], height: 0 });
  });

  it('changes the rows under it, adds those that are missing, and leaves out what has no column', () => {
    const under = [{ place: 4, row: { guest: 'Ilka', late: true } }];
    const edit = pasteEdit(
      [
        ['2', 'no', 'more'],
        ['3', 'yes', 'more'],
      ],
      under,
      columns,
      1,
    );
    expect(edit).toEqual({
      changed: [
        { place: 4, row: { guest: 'Ilka', late: true }, to: { guest: 'Ilka', nights: 2, late: false } },
      ],
      added: [{ nights: 3, late: true }],
    });
  });
});
