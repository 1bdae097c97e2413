/** Which cells the items of a grid stand in (CSS Grid 1 §8.5). */

import type { Box, GridContent } from '../box.ts';
import type { Measured } from '../laid.ts';
import { largestOf, plainMax } from '../plain-limits.ts';

/** An item and its cells: first track and number of tracks in each axis, counted from the implicit grid's start. */
export interface Placed {
  readonly box: Box;
  column: number;
  row: number;
  readonly columnSpan: number;
  readonly rowSpan: number;
  /** Which baselines are lined up with those of its row; `sizeAxes` finds that out whenever it sizes rows. */
  baseline: 'none' | 'its own' | 'any';
  /** `sizeAxes` finds that out, too. */
  measured: Measured;
}

export interface Placement {
  readonly items: readonly Placed[];
  readonly columns: number;
  readonly rows: number;
  /** Implicit tracks in front of the explicit grid. */
  readonly columnsBefore: number;
  readonly rowsBefore: number;
}

/** Cells that are taken, by row and column. */
class Cells {
  private readonly rows: boolean[][] = [];

  free(row: number, column: number, rowSpan: number, columnSpan: number): boolean {
    for (let r = row; r < row + rowSpan; r++) {
      const cells = this.rows[r];
      if (!cells) continue;
      for (let c = column; c < column + columnSpan; c++) if (cells[c]) return false;
    }
    return true;
  }
  take(row: number, column: number, rowSpan: number, columnSpan: number): void {
    for (let r = row; r < row + rowSpan; r++) {
      const cells = this.rows[r] ?? [];
      for (let c = column; c < column + columnSpan; c++) cells[c] = true;
      this.rows[r] = cells;
    }
  }
}

/** Line 1 is track 0; line −1 is the end of the explicit grid. Undefined: automatic. */
const firstTrack = (line: number | undefined, explicit: number): number | undefined =>
  line === undefined ? undefined : line > 0 ? line - 1 : explicit + 1 + line;

/** What sizing finds out of an item later. */
const unmeasured = { baseline: 'none', measured: false } as const;

/**
 * An item while it is placed. The rules are written for the flow by rows, where `major` is its row; by columns the
 * axes change places.
 */
interface Item {
  readonly box: Box;
  /** First track from the explicit grid's start, negative in front of it; undefined: automatic. */
  readonly major: number | undefined;
  readonly minor: number | undefined;
  readonly majorSpan: number;
  readonly minorSpan: number;
  /** Where it is put, from the implicit grid's start. */
  at: { major: number; minor: number };
}

/** The tracks that an item asks for along an axis; all of the explicit grid are one where it has none (§8.3.1: equal lines). */
const askedTracks = (line: number | undefined, span: number | 'all', explicit: number) =>
  span === 'all'
    ? { first: 0, count: plainMax(1, explicit) }
    : { first: firstTrack(line, explicit), count: span };

function itemOf(box: Box, byRow: boolean, columns: number, rows: number): Item {
  const { area } = box.style;
  const { first: column, count: columnSpan } = askedTracks(area?.column, area?.columnSpan ?? 1, columns);
  const { first: row, count: rowSpan } = askedTracks(area?.row, area?.rowSpan ?? 1, rows);
  const at = { major: 0, minor: 0 };
  return byRow
    ? { box, major: row, minor: column, majorSpan: rowSpan, minorSpan: columnSpan, at }
    : { box, major: column, minor: row, majorSpan: columnSpan, minorSpan: rowSpan, at };
}

/** The steps of §8.5 over one grid. */
class Placing {
  private readonly cells = new Cells();
  readonly majorBefore: number;
  readonly minorBefore: number;
  minorCount: number;

  constructor(
    private readonly items: readonly Item[],
    private readonly dense: boolean,
    explicitMinor: number,
  ) {
    const before = (first: (item: Item) => number | undefined) =>
      largestOf([0, ...items.map((item) => -(first(item) ?? 0))]);
    this.majorBefore = before((item) => item.major);
    this.minorBefore = before((item) => item.minor);
    this.minorCount = explicitMinor + this.minorBefore;
    for (const { minor, minorSpan } of items)
      this.grow(minor === undefined ? minorSpan : minor + this.minorBefore + minorSpan);
  }

  private grow(minors: number): void {
    this.minorCount = plainMax(this.minorCount, minors);
  }
  private put(item: Item, major: number, minor: number): void {
    this.cells.take(major, minor, item.majorSpan, item.minorSpan);
    item.at = { major, minor };
  }
  private free(item: Item, major: number, minor: number): boolean {
    return this.cells.free(major, minor, item.majorSpan, item.minorSpan);
  }

  /** Step 1: items with both places. */
  fixed(): void {
    for (const item of this.items)
      if (item.major !== undefined && item.minor !== undefined)
        this.put(item, item.major + this.majorBefore, item.minor + this.minorBefore);
  }

  /** Step 2: items locked to a row; sparse packing goes on behind the last one in the same row. */
  locked(): void {
    const cursors = new Map<number, number>();
    for (const item of this.items) {
      if (item.major === undefined || item.minor !== undefined) continue;
      const major = item.major + this.majorBefore;
      let minor = this.dense ? 0 : (cursors.get(major) ?? 0);
      while (!this.free(item, major, minor)) minor++;
      this.put(item, major, minor);
      cursors.set(major, minor + item.minorSpan);
      this.grow(minor + item.minorSpan);
    }
  }

  /** Step 4: the others, in order; sparse packing goes on where the last one was put. */
  others(): void {
    let cursor = { major: 0, minor: 0 };
    for (const item of this.items) {
      if (item.major !== undefined) continue;
      const from = this.dense ? { major: 0, minor: 0 } : cursor;
      if (item.minor === undefined) this.anywhere(item, from);
      else this.inColumn(item, item.minor + this.minorBefore, from);
      cursor = item.at;
    }
  }

  private inColumn(item: Item, minor: number, from: { major: number; minor: number }): void {
    let major = minor < from.minor ? from.major + 1 : from.major;
    while (!this.free(item, major, minor)) major++;
    this.put(item, major, minor);
  }

  private anywhere(item: Item, from: { major: number; minor: number }): void {
    let { major, minor } = from;
    while (minor + item.minorSpan > this.minorCount || !this.free(item, major, minor)) {
      minor++;
      if (minor + item.minorSpan > this.minorCount) {
        major++;
        minor = 0;
      }
    }
    this.put(item, major, minor);
  }
}

/** All items in one cell. */
const layered = (children: readonly Box[]): Placement => ({
  items: children.map((box) => ({ box, column: 0, row: 0, columnSpan: 1, rowSpan: 1, ...unmeasured })),
  columns: 1,
  rows: 1,
  columnsBefore: 0,
  rowsBefore: 0,
});

/**
 * Places all items.
 *
 * @param children in layout order.
 * @param columns tracks of the explicit grid.
 */
export function placeItems(
  content: Pick<GridContent, 'flow' | 'dense' | 'layers'>,
  children: readonly Box[],
  columns: number,
  rows: number,
): Placement {
  if (content.layers) return layered(children);
  const byRow = content.flow === 'row';
  const items = children.map((box) => itemOf(box, byRow, columns, rows));
  const placing = new Placing(items, content.dense, byRow ? columns : rows);
  placing.fixed();
  placing.locked();
  placing.others();
  const { majorBefore, minorBefore, minorCount } = placing;
  let majorCount = (byRow ? rows : columns) + majorBefore;
  for (const { at, majorSpan } of items) majorCount = plainMax(majorCount, at.major + majorSpan);
  return byRow
    ? {
        items: items.map(({ box, at, majorSpan, minorSpan }) => ({
          box,
          column: at.minor,
          row: at.major,
          columnSpan: minorSpan,
          rowSpan: majorSpan,
          ...unmeasured,
        })),
        columns: minorCount,
        rows: majorCount,
        columnsBefore: minorBefore,
        rowsBefore: majorBefore,
      }
    : {
        items: items.map(({ box, at, majorSpan, minorSpan }) => ({
          box,
          column: at.major,
          row: at.minor,
          columnSpan: majorSpan,
          rowSpan: minorSpan,
          ...unmeasured,
        })),
        columns: majorCount,
        rows: minorCount,
        columnsBefore: majorBefore,
        rowsBefore: minorBefore,
      };
}
