/** Both axes of a grid, columns first, and once more where rows change what columns are asked for (CSS Grid 1 §12.1). */
import type { Box, GridContent, Track } from '../box.ts';
import type { Measured, Widths } from '../laid.ts';
import { followsIn } from '../make-box.ts';
import type { Pass } from '../record.ts';
import {
  asksAfresh,
  down,
  fills,
  heightRange,
  isByContent,
  isFraction,
  pixels,
  widthRange,
} from '../sizes.ts';
import { isCompressible, widthsWithin } from '../widths.ts';
import { alignOf, areaSize, carriedOf, itemWidth, justifyOf } from './areas.ts';
import { baselineOf } from './baselines.ts';
import { columnContributors, rowContributors, widthsAtHeight } from './contributions.ts';
import { type Placed, type Placement, placeItems } from './placement.ts';
import { type Axis, asksContent, isFlexible, type SizedTrack, sizeTracks, startTracks } from './sizing.ts';
import { autoTrack, type ExplicitTracks } from './tracks.ts';

/** What there is to size a grid with. */
export interface GridRoom {
  readonly columnList: ExplicitTracks;
  readonly rowList: ExplicitTracks;
  /** `least`: the width that the grid has at least, where `room` is undefined. */
  readonly columns: Pick<Axis, 'room' | 'wanted' | 'least'>;
  /** `room` undefined: rows are as high as their content, `least` and `most` as far as they can be known. */
  readonly rows: Pick<Axis, 'room' | 'wanted' | 'least' | 'most'>;
  readonly measured: Measured;
  /** Whether the room of rows was not known when that was asked. */
  readonly late: boolean;
}

/** Sized tracks. */
export interface GridTracks {
  readonly placement: Placement;
  readonly columns: readonly SizedTrack[];
  /** As high as the first columns make them: the height by content is theirs, as in browsers. */
  readonly rows: readonly SizedTrack[];
  /** Whether columns may have changed since the rows were sized. */
  readonly stale: boolean;
  /** How the height of an item's rows is known before anything is sized: of itself or by the grid's; undefined where it is not. */
  areaKnown(item: Placed): 'of itself' | 'by the grid' | undefined;
  /** Rows at another room, with the columns as they are. */
  rowsIn(room: number): SizedTrack[];
}

/** All tracks of an axis: implicit ones before and behind the explicit grid included (§7.5). */
function tracksOf(
  explicit: ExplicitTracks,
  implicit: readonly Track[],
  before: number,
  count: number,
  occupied: (index: number) => boolean,
): { track: Track; collapsed: boolean }[] {
  const pattern = implicit.length > 0 ? implicit : [autoTrack];
  return Array.from({ length: count }, (_, index) => {
    const at = index - before;
    const track = explicit.tracks[at];
    if (track === undefined) {
      // The pattern runs on behind the explicit grid, and backwards in front of it.
      const turn = at < 0 ? at : at - explicit.tracks.length;
      return {
        track: pattern[((turn % pattern.length) + pattern.length) % pattern.length]!,
        collapsed: false,
      };
    }
    const [from, length] = explicit.collapsible ?? [0, 0];
    return { track, collapsed: at >= from && at < from + length && !occupied(index) };
  });
}

/**
 * Whether the content of what spans some tracks has to do with their sizes. Where one of several is flexible only such count,
 * and the automatic minimum is none (§6.6, §12.5 step 4).
 */
function spanAsksContent(over: readonly Track[], room: number | undefined): boolean {
  if (room === undefined || over.length === 1 || !over.some((track) => isFlexible(track)))
    return over.some((track) => asksContent(track, room));
  return over.some(
    (track) => isFlexible(track) && (track.min === 'min-content' || track.min === 'max-content'),
  );
}

export function sizeAxes(pass: Pass, box: Box, content: GridContent, given: GridRoom): GridTracks {
  const { columnList, rowList } = given;
  const placement = placeItems(content, box.children, columnList.tracks.length, rowList.tracks.length);
  const { items } = placement;

  const columnTracks = tracksOf(
    columnList,
    content.autoColumns,
    placement.columnsBefore,
    placement.columns,
    (index) => items.some((item) => item.column <= index && index < item.column + item.columnSpan),
  );
  /** `known`: widths of items that follow from their rows. */
  const sizeColumns = (known: ReadonlyMap<Placed, Widths>) => {
    const sized = startTracks(columnTracks, given.columns.room);
    for (const [{ box: item }, { min, max }] of known) {
      const range = widthRange(item, undefined);
      pass.held(item, min, range.min, range.max);
      pass.held(item, max, range.min, range.max);
    }
    sizeTracks(pass, box, sized, columnContributors(pass, content, placement, sized, known), {
      ...given.columns,
      most: Infinity,
      flexByContent: true,
      gap: content.columnGap,
    });
    return sized;
  };
  const widthsIn = (columns: readonly SizedTrack[]) =>
    items.map((item) => {
      const area = areaSize(columns, item.column, item.columnSpan, content.columnGap);
      return itemWidth(pass, item.box, content, area, { height: pixels(item.box.style.height, undefined) })
        .width;
    });
  const rowTracks = tracksOf(rowList, content.autoRows, placement.rowsBefore, placement.rows, (index) =>
    items.some((item) => item.row <= index && index < item.row + item.rowSpan),
  );
  const columnsOf = ({ column, columnSpan }: Placed) =>
    columnTracks.slice(column, column + columnSpan).map(({ track }) => track);
  // §12.1 step 1: rows with a definite greatest size are taken to have it.
  const greatest = ({ max }: Track, isLate: boolean) =>
    typeof max === 'number' ? max : isFraction(max) && !isLate ? pixels(max, given.rows.room) : undefined;
  const rowsOf = ({ row, rowSpan }: Placed) => rowTracks.slice(row, row + rowSpan);
  const assumedArea = (item: Placed) => {
    let area = (item.rowSpan - 1) * content.rowGap;
    const isLate = given.late && !asksAfresh(item.box);
    for (const { track } of rowsOf(item)) {
      const size = greatest(track, isLate);
      if (size === undefined) return undefined;
      area += size;
    }
    return area;
  };
  const areaKnown = (item: Placed) => {
    if (assumedArea(item) === undefined) return undefined;
    return rowsOf(item).every(({ track }) => typeof track.max === 'number') ? 'of itself' : 'by the grid';
  };
  const measuredIn = (item: Placed): Measured => {
    const { width, height } = item.box.style;
    if (!item.box.keepsAnswer || typeof width === 'number') return false;
    const isAsked =
      spanAsksContent(columnsOf(item), given.measured ? undefined : given.columns.room) ||
      (isByContent(width) && !fills(width, justifyOf(item.box, content)));
    if (!isAsked) return false;
    const isHeld = isFraction(height) || fills(height, alignOf(item.box, content));
    return isHeld && assumedArea(item) !== undefined ? 'known' : 'free';
  };
  for (const item of items) item.measured = measuredIn(item);
  const sizeRows = (widths: readonly number[], room: number | undefined, flexByContent = false) => {
    for (const item of items) {
      const over = rowsOf(item).map(({ track }) => track);
      item.baseline = baselineOf(item, content, over, room !== undefined);
    }
    const rows = startTracks(rowTracks, room);
    sizeTracks(pass, box, rows, rowContributors(pass, items, widths, rows), {
      ...given.rows,
      flexByContent,
      room,
      gap: content.rowGap,
    });
    return rows;
  };

  // What nobody asks about changes nothing: columns that are as wide as they say.
  const asking = items.filter(
    (item) => followsIn(content, item.box) && spanAsksContent(columnsOf(item), given.columns.room),
  );
  const again = asking.filter(({ box: item }) => item.asksAgain);
  /** Whether the height of its rows was known when it was asked first. */
  const isEarly = (item: Placed) => {
    const how = areaKnown(item);
    return how === 'of itself' || (how === 'by the grid' && !given.late);
  };
  /** Widths of such items at the height that rows of some size give them. */
  const widthsBy = (rowsUnder: (item: Placed) => number | undefined) => {
    const known = new Map<Placed, Widths>();
    for (const item of asking) {
      const area = rowsUnder(item);
      const { style } = item.box;
      if (area === undefined || typeof style.width === 'number') continue;
      const range = heightRange(item.box, area, pass);
      const fill = fills(style.height, alignOf(item.box, content)) ? area - down(style.margin) : undefined;
      const asked = pixels(style.height, area) ?? fill;
      const isLate = typeof style.height !== 'number' && !isEarly(item);
      if (asked === undefined) {
        const carried = carriedOf(item.box, content);
        const { min, max } = widthsWithin(pass, item.box, { heightOf: area, carried, isLate });
        known.set(item, { min: isCompressible(item.box) ? 0 : min, max });
        continue;
      }
      pass.held(item.box, asked, range.min, range.max);
      known.set(
        item,
        widthsAtHeight(pass, item.box, Math.max(range.min, Math.min(range.max, asked)), isLate),
      );
    }
    return known;
  };
  let columns = sizeColumns(widthsBy(assumedArea));
  if (given.columns.room === undefined && again.length === 0)
    return { placement, columns, rows: [], stale: false, areaKnown, rowsIn: () => [] };
  let widths = widthsIn(columns);
  const firstRows = sizeRows(widths, given.rows.room);
  // Columns do not look at what limits of the height make of flexible rows (as browsers do it).
  const isFlexed =
    again.length > 0 && given.rows.room === undefined && rowTracks.some(({ track }) => isFlexible(track));
  const askedRows = isFlexed ? sizeRows(widths, undefined, true) : firstRows;
  const firstArea = (item: Placed) => areaSize(askedRows, item.row, item.rowSpan, content.rowGap);
  // Steps 3 and 4: where nothing could be assumed of the rows of an item that asks for them, or they came out otherwise,
  // once more.
  const stale = again.some((item) => {
    const assumed = assumedArea(item);
    return assumed === undefined || !pass.equal(item.box, 'largest', firstArea(item), assumed);
  });
  if (stale) {
    columns = sizeColumns(widthsBy((item) => (item.box.asksAgain ? firstArea(item) : assumedArea(item))));
    widths = widthsIn(columns);
  }
  return {
    placement,
    columns,
    rows: firstRows,
    stale,
    areaKnown,
    rowsIn: (room) => sizeRows(widths, room),
  };
}
