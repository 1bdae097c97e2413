/** Which cells items get (CSS Grid 1 §8.5). */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Box } from '../src/layout/box.ts';
import { placeItems } from '../src/layout/grid/placement.ts';

type Said = Partial<NonNullable<Box['style']['area']>>;
const box = (area: Said): Box =>
  ({ style: { area: { columnSpan: 1, rowSpan: 1, ...area } } }) as unknown as Box;

/** Where items come to stand in a grid, as `column,row`, counted from the implicit grid's start. */
function placed(
  items: readonly Said[],
  { columns = 3, rows = 0, flow = 'row' as 'row' | 'column', dense = false } = {},
) {
  const found = placeItems({ flow, dense, layers: false }, items.map(box), columns, rows);
  return {
    cells: found.items.map(({ column, row }) => `${column},${row}`),
    size: `${found.columns} × ${found.rows}`,
    before: `${found.columnsBefore},${found.rowsBefore}`,
  };
}

describe('items of a grid', () => {
  it('fill it row by row', () => {
    expect(placed([{}, {}, {}, {}])).toEqual({
      cells: ['0,0', '1,0', '2,0', '0,1'],
      size: '3 × 2',
      before: '0,0',
    });
  });

  it('fill it column by column where it flows so', () => {
    expect(placed([{}, {}, {}], { columns: 0, rows: 2, flow: 'column' }).cells).toEqual([
      '0,0',
      '0,1',
      '1,0',
    ]);
  });

  it('that span go to the next row where they do not fit; dense ones go back into the gaps', () => {
    const wide = [{}, { columnSpan: 3 }, {}];
    expect(placed(wide).cells).toEqual(['0,0', '0,1', '0,2']);
    expect(placed(wide, { dense: true }).cells).toEqual(['0,0', '0,1', '1,0']);
  });

  it('with both places stand there first, and others go around them (step 1)', () => {
    expect(placed([{}, {}, { column: 1, row: 1 }]).cells).toEqual(['1,0', '2,0', '0,0']);
  });

  it('locked to a row stand behind each other in it (step 2), dense ones in its first free cell', () => {
    const locked = [{ row: 1, columnSpan: 2 }, { row: 2 }, { row: 1 }, { column: 1, row: 2 }];
    expect(placed(locked).cells).toEqual(['0,0', '1,1', '2,0', '0,1']);
    // The gap in front of the second stays, but for dense ones.
    const back = [{ column: 2, row: 1 }, { row: 1, columnSpan: 2 }, { row: 1 }];
    expect(placed(back, { columns: 4 }).cells).toEqual(['1,0', '2,0', '4,0']);
    expect(placed(back, { columns: 4, dense: true }).cells).toEqual(['1,0', '2,0', '0,0']);
  });

  it('locked to a column stand in it, below the last one where that was farther on (step 4)', () => {
    const of = (dense: boolean) => placed([{ column: 3 }, { column: 1 }, { column: 2 }], { dense }).cells;
    expect(of(false)).toEqual(['2,0', '0,1', '1,1']);
    expect(of(true)).toEqual(['2,0', '0,0', '1,0']);
  });

  it('in front of the explicit grid add tracks there', () => {
    expect(placed([{ column: -5 }, {}])).toEqual({ cells: ['0,0', '1,0'], size: '4 × 1', before: '1,0' });
    expect(placed([{ column: -1 }]).cells).toEqual(['3,0']);
  });

  const area = fc.record(
    {
      column: fc.integer({ min: -4, max: 4 }).filter((line) => line !== 0),
      row: fc.integer({ min: -4, max: 4 }).filter((line) => line !== 0),
      columnSpan: fc.integer({ min: 1, max: 3 }),
      rowSpan: fc.integer({ min: 1, max: 3 }),
    },
    { requiredKeys: [] },
  );
  const grid = fc.record({
    columns: fc.integer({ min: 1, max: 4 }),
    rows: fc.integer({ min: 1, max: 3 }),
    flow: fc.constantFrom('row' as const, 'column' as const),
    dense: fc.boolean(),
  });

  it('lie inside it, and over none that was not placed there', () => {
    fc.assert(
      fc.property(fc.array(area, { maxLength: 12 }), grid, (areas, { columns, rows, flow, dense }) => {
        const found = placeItems({ flow, dense, layers: false }, areas.map(box), columns, rows);
        const taken = new Map<string, number>();
        for (const [index, item] of found.items.entries()) {
          expect(item.column).toBeGreaterThanOrEqual(0);
          expect(item.row).toBeGreaterThanOrEqual(0);
          expect(item.column + item.columnSpan).toBeLessThanOrEqual(found.columns);
          expect(item.row + item.rowSpan).toBeLessThanOrEqual(found.rows);
          const { column, row } = areas[index]!;
          if (column !== undefined && row !== undefined) continue;
          for (let x = item.column; x < item.column + item.columnSpan; x++)
            for (let y = item.row; y < item.row + item.rowSpan; y++) {
              expect(taken.has(`${x},${y}`)).toBe(false);
              taken.set(`${x},${y}`, index);
            }
        }
      }),
    );
  });

  it('by columns are placed as by rows with the axes changed', () => {
    const turned = ({ column, row, columnSpan, rowSpan }: Said): Said => ({
      ...(row === undefined ? {} : { column: row }),
      ...(column === undefined ? {} : { row: column }),
      ...(rowSpan === undefined ? {} : { columnSpan: rowSpan }),
      ...(columnSpan === undefined ? {} : { rowSpan: columnSpan }),
    });
    fc.assert(
      fc.property(fc.array(area, { maxLength: 8 }), grid, (areas, { columns, rows, dense }) => {
        const byRow = placed(areas, { columns, rows, dense, flow: 'row' });
        const byColumn = placed(areas.map(turned), {
          columns: rows,
          rows: columns,
          dense,
          flow: 'column',
        });
        expect(byColumn.cells).toEqual(byRow.cells.map((cell) => cell.split(',').reverse().join(',')));
      }),
    );
  });
});
