/** Which cells the items of a grid stand in (CSS Grid 1 §8.5). */
import type { Box, GridContent } from '../box.ts';
import type { Measured } from '../laid.ts';

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
      this.rows[r] ??= [];
      const cells = this.rows[r]!;
      for (let c = column; c < column + columnSpan; c++) cells[c] = true;
    }
  }
}

/** Line 1 is track 0; line −1 is the end of the explicit grid. Undefined: automatic. */
const firstTrack = (line: number | undefined, explicit: number): number | undefined =>
  line === undefined ? undefined : line > 0 ? line - 1 : explicit + 1 + line;

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
  if (content.layers)
    return {
      items: children.map((box) => ({
        box,
        column: 0,
        row: 0,
        columnSpan: 1,
        rowSpan: 1,
        baseline: 'none',
        measured: false,
      })),
      columns: 1,
      rows: 1,
      columnsBefore: 0,
      rowsBefore: 0,
    };
  // Everything below is written for the flow by rows; by columns the axes change places.
  const byRow = content.flow === 'row';
  const items = children.map((box) => {
    const area = box.style.area;
    const column = firstTrack(area?.column, columns);
    const row = firstTrack(area?.row, rows);
    const columnSpan = area?.columnSpan ?? 1;
    const rowSpan = area?.rowSpan ?? 1;
    return byRow
      ? { box, major: row, minor: column, majorSpan: rowSpan, minorSpan: columnSpan }
      : { box, major: column, minor: row, majorSpan: columnSpan, minorSpan: rowSpan };
  });
  const before = (pick: (item: (typeof items)[number]) => number | undefined) =>
    Math.max(0, ...items.map((item) => -(pick(item) ?? 0)));
  const majorBefore = before((item) => item.major);
  const minorBefore = before((item) => item.minor);
  let minorCount = (byRow ? columns : rows) + minorBefore;
  for (const { minor, minorSpan } of items)
    minorCount = Math.max(minorCount, minor === undefined ? minorSpan : minor + minorBefore + minorSpan);

  const cells = new Cells();
  const placed = new Map<Box, { major: number; minor: number }>();
  const put = (item: (typeof items)[number], major: number, minor: number) => {
    cells.take(major, minor, item.majorSpan, item.minorSpan);
    placed.set(item.box, { major, minor });
  };
  const free = (item: (typeof items)[number], major: number, minor: number) =>
    cells.free(major, minor, item.majorSpan, item.minorSpan);

  // Step 1 (§8.5): items with both places.
  for (const item of items)
    if (item.major !== undefined && item.minor !== undefined)
      put(item, item.major + majorBefore, item.minor + minorBefore);
  // Step 2: items locked to a row; sparse packing goes on behind the last one in the same row.
  const cursors = new Map<number, number>();
  for (const item of items) {
    if (item.major === undefined || item.minor !== undefined) continue;
    const major = item.major + majorBefore;
    let minor = content.dense ? 0 : (cursors.get(major) ?? 0);
    while (!free(item, major, minor)) minor++;
    put(item, major, minor);
    cursors.set(major, minor + item.minorSpan);
    minorCount = Math.max(minorCount, minor + item.minorSpan);
  }
  // Step 4: the others, in order.
  let cursorMajor = 0;
  let cursorMinor = 0;
  for (const item of items) {
    if (item.major !== undefined) continue;
    if (item.minor !== undefined) {
      const minor = item.minor + minorBefore;
      let major = 0;
      if (!content.dense) {
        if (minor < cursorMinor) cursorMajor++;
        major = cursorMajor;
      }
      while (!free(item, major, minor)) major++;
      put(item, major, minor);
      cursorMajor = major;
      cursorMinor = minor;
      continue;
    }
    let major = content.dense ? 0 : cursorMajor;
    let minor = content.dense ? 0 : cursorMinor;
    while (minor + item.minorSpan > minorCount || !free(item, major, minor)) {
      minor++;
      if (minor + item.minorSpan > minorCount) {
        major++;
        minor = 0;
      }
    }
    put(item, major, minor);
    cursorMajor = major;
    cursorMinor = minor;
  }

  let majorCount = (byRow ? rows : columns) + majorBefore;
  const result = items.map((item): Placed => {
    const { major, minor } = placed.get(item.box)!;
    majorCount = Math.max(majorCount, major + item.majorSpan);
    return byRow
      ? {
          box: item.box,
          column: minor,
          row: major,
          columnSpan: item.minorSpan,
          rowSpan: item.majorSpan,
          baseline: 'none',
          measured: false,
        }
      : {
          box: item.box,
          column: major,
          row: minor,
          columnSpan: item.majorSpan,
          rowSpan: item.minorSpan,
          baseline: 'none',
          measured: false,
        };
  });
  return {
    items: result,
    columns: byRow ? minorCount : majorCount,
    rows: byRow ? majorCount : minorCount,
    columnsBefore: byRow ? minorBefore : majorBefore,
    rowsBefore: byRow ? majorBefore : minorBefore,
  };
}
