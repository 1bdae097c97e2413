/**
 * Finds rows, columns and grids in controls that were placed roughly: by cutting the picture apart where a clear line
 * goes through it, again and again. Pure geometry; CSS px.
 */

import { outlineOf, type Rectangle } from '../layout/rectangle.ts';
import { itemAt } from '../sure.ts';

/** Something that was placed. */
export interface Placed extends Rectangle {
  readonly id: string;
}

export type Structure =
  | { readonly type: 'leaf'; readonly area: Rectangle; readonly id: string }
  | { readonly type: 'row' | 'column'; readonly area: Rectangle; readonly parts: readonly Structure[] }
  | {
      readonly type: 'grid';
      readonly area: Rectangle;
      /** Row by row, each with the same number of cells. */
      readonly cells: readonly (readonly Structure[])[];
    }
  /** What lies over each other and cannot be cut apart. */
  | { readonly type: 'heap'; readonly area: Rectangle; readonly ids: readonly string[] };

type Axis = 'x' | 'y';
const sizeOf = { x: 'width', y: 'height' } as const;

/**
 * Groups that a straight line through the picture separates, in order.
 *
 * @param noise groups may overlap by so much and still count as apart.
 */
function cut(items: readonly Placed[], axis: Axis, noise: number): Placed[][] {
  const size = sizeOf[axis];
  const groups: Placed[][] = [];
  let end = Number.NEGATIVE_INFINITY;
  for (const item of items.toSorted((a, b) => a[axis] - b[axis] || b[size] - a[size])) {
    // What is thinner than the noise cannot be told apart by it.
    const slack = Math.min(noise, item[size] / 3);
    if (item[axis] >= end - slack) groups.push([item]);
    else itemAt(groups, -1).push(item);
    end = Math.max(end, item[axis] + item[size]);
  }
  return groups;
}

/** What two stretches have at the same place. */
function inLine(
  a: Rectangle,
  b: Rectangle,
  noise: number,
): { start: boolean; end: boolean; middle: boolean } {
  const near = (one: number, other: number) => Math.abs(one - other) <= noise;
  return {
    start: near(a.x, b.x),
    end: near(a.x + a.width, b.x + b.width),
    middle: near(a.x + a.width / 2, b.x + b.width / 2),
  };
}

/**
 * Whether a part belongs to a column: it begins where the column does; or it ends or has its middle where the column
 * has, if that is what the column is made by, and not a short thing below long ones.
 */
function belongs(area: Rectangle, column: Rectangle, rows: readonly Rectangle[], noise: number): boolean {
  const here = inLine(area, column, noise);
  if (here.start) return true;
  if (!here.end && !here.middle) return false;
  const filled = rows.length > 1 && rows.every((row) => inLine(row, column, noise).start);
  return !filled && area.width > column.width / 2;
}

/** A stretch of rows whose parts stand in the same columns. */
interface Run {
  readonly rows: Placed[][][];
  columns: Rectangle[];
}

/** Rows that follow each other and have their parts in the same columns belong together. */
function runsOf(rows: readonly Placed[][], noise: number): Run[] {
  const runs: Run[] = [];
  for (const row of rows) {
    const parts = cut(row, 'x', noise);
    const areas = parts.map(outlineOf);
    const run = runs.at(-1);
    const fits =
      run !== undefined &&
      parts.length > 1 &&
      run.columns.length === parts.length &&
      areas.every((area, index) =>
        belongs(
          area,
          itemAt(run.columns, index),
          run.rows.map((cells) => outlineOf(itemAt(cells, index))),
          noise,
        ),
      ) &&
      // Columns stay apart from each other, taken over all rows.
      areas.every((area, index) => {
        const next = run.columns[index + 1];
        const before = run.columns[index - 1];
        return (
          (!next || area.x + area.width <= next.x + noise) &&
          (!before || before.x + before.width <= area.x + noise)
        );
      });
    if (fits) {
      run.rows.push(parts);
      run.columns = run.columns.map((column, index) => outlineOf([column, itemAt(areas, index)]));
    } else runs.push({ rows: [parts], columns: areas });
  }
  return runs;
}

const gridOf = ({ rows }: Run, noise: number): Structure => ({
  type: 'grid',
  area: outlineOf(rows.flat(2)),
  cells: rows.map((row) => row.map((cell) => structureOf(cell, noise))),
});

/**
 * @param items what was placed, at least one.
 * @param noise how far edges that are meant to be equal may differ.
 */
export function structureOf(items: readonly Placed[], noise: number): Structure {
  const area = outlineOf(items);
  const [first] = items;
  if (items.length === 1) return { type: 'leaf', area, id: first!.id };
  const rows = cut(items, 'y', noise);
  if (rows.length > 1) {
    const parts = runsOf(rows, noise).flatMap((run) =>
      run.rows.length > 1 ? [gridOf(run, noise)] : [structureOf(itemAt(run.rows, 0).flat(), noise)],
    );
    return parts.length === 1 ? itemAt(parts, 0) : { type: 'column', area, parts };
  }
  const columns = cut(items, 'x', noise);
  if (columns.length > 1)
    return { type: 'row', area, parts: columns.map((column) => structureOf(column, noise)) };
  return { type: 'heap', area, ids: items.map(({ id }) => id) };
}
