/** Both axes of a grid, columns first, and once more where rows change what columns are asked for (CSS Grid 1 §12.1). */

import type { Track } from '../../values/css.ts';
import type { Box, GridContent } from '../box.ts';
import type { Measured, Widths } from '../laid.ts';
import { followsIn } from '../make-box.ts';
import { plainClamp } from '../plain-limits.ts';
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
import { type Axis, asksContent, isFlexible, type SizedTrack, startTracks } from './sized-tracks.ts';
import { sizeTracks } from './sizing.ts';
import { autoTrack, type ExplicitTracks } from './tracks.ts';

/** The inputs of sizing a grid. */
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
  return new Axes(pass, box, content, given).sized();
}

/** A track before it has a size. */
type Unsized = ReturnType<typeof tracksOf>[number];

/** Both axes of a grid on their way to a size. */
class Axes {
  private readonly placement: Placement;
  private readonly items: readonly Placed[];
  private readonly columnTracks: readonly Unsized[];
  private readonly rowTracks: readonly Unsized[];
  /**
   * The items of which somebody asks how wide they are by content. What nobody asks about changes nothing: columns that are
   * as wide as they say.
   */
  private readonly asking: readonly Placed[];

  constructor(
    private readonly pass: Pass,
    private readonly box: Box,
    private readonly content: GridContent,
    private readonly given: GridRoom,
  ) {
    const { columnList, rowList } = given;
    const placement = placeItems(content, box.children, columnList.tracks.length, rowList.tracks.length);
    const { items } = placement;
    this.placement = placement;
    this.items = items;
    this.columnTracks = tracksOf(
      columnList,
      content.autoColumns,
      placement.columnsBefore,
      placement.columns,
      (index) => items.some((item) => item.column <= index && index < item.column + item.columnSpan),
    );
    this.rowTracks = tracksOf(rowList, content.autoRows, placement.rowsBefore, placement.rows, (index) =>
      items.some((item) => item.row <= index && index < item.row + item.rowSpan),
    );
    this.asking = items.filter(
      (item) => followsIn(content, item.box) && spanAsksContent(this.columnsOf(item), given.columns.room),
    );
    for (const item of items) item.measured = this.measuredIn(item);
  }

  sized(): GridTracks {
    const { given, placement, content } = this;
    const areaKnown = (item: Placed) => this.areaKnown(item);
    const again = this.asking.filter(({ box }) => box.asksAgain);
    let columns = this.sizeColumns(this.widthsBy((item) => this.assumedArea(item)));
    if (given.columns.room === undefined && again.length === 0)
      return { placement, columns, rows: [], stale: false, areaKnown, rowsIn: () => [] };
    let widths = this.widthsIn(columns);
    const firstRows = this.sizeRows(widths, given.rows.room);
    // Columns do not look at what limits of the height make of flexible rows (as browsers do it).
    const isFlexed =
      again.length > 0 &&
      given.rows.room === undefined &&
      this.rowTracks.some(({ track }) => isFlexible(track));
    const askedRows = isFlexed ? this.sizeRows(widths, undefined, true) : firstRows;
    const firstArea = (item: Placed) => areaSize(askedRows, item.row, item.rowSpan, content.rowGap);
    // Steps 3 and 4: where nothing could be assumed of the rows of an item that asks for them, or they came out otherwise,
    // once more.
    const stale = again.some((item) => {
      const assumed = this.assumedArea(item);
      return assumed === undefined || !this.pass.equal(item.box, 'largest', firstArea(item), assumed);
    });
    if (stale) {
      columns = this.sizeColumns(
        this.widthsBy((item) => (item.box.asksAgain ? firstArea(item) : this.assumedArea(item))),
      );
      widths = this.widthsIn(columns);
    }
    const rowsIn = (room: number) => this.sizeRows(widths, room);
    return { placement, columns, rows: firstRows, stale, areaKnown, rowsIn };
  }

  /** @param known widths of items that follow from their rows. */
  private sizeColumns(known: ReadonlyMap<Placed, Widths>): SizedTrack[] {
    const { pass, box, content, given, placement } = this;
    const sized = startTracks(this.columnTracks, given.columns.room);
    for (const [{ box: item }, { min, max }] of known) {
      const range = widthRange(item, undefined);
      pass.held(item, min, range.min, range.max);
      pass.held(item, max, range.min, range.max);
    }
    const items = columnContributors(pass, content, placement, sized, known);
    const axis = { ...given.columns, most: Infinity, flexByContent: true, gap: content.columnGap };
    sizeTracks({ pass, grid: box, tracks: sized, items, axis });
    return sized;
  }

  private sizeRows(widths: readonly number[], room: number | undefined, flexByContent = false): SizedTrack[] {
    const { pass, box, content, given, items } = this;
    for (const item of items) {
      const over = this.rowsOf(item).map(({ track }) => track);
      item.baseline = baselineOf(item, content, over, room !== undefined);
    }
    const rows = startTracks(this.rowTracks, room);
    const axis = { ...given.rows, flexByContent, room, gap: content.rowGap };
    const asking = rowContributors(pass, items, widths, rows);
    sizeTracks({ pass, grid: box, tracks: rows, items: asking, axis });
    return rows;
  }

  /** The width of each item in some columns. */
  private widthsIn(columns: readonly SizedTrack[]): number[] {
    const { pass, content } = this;
    return this.items.map(({ box, column, columnSpan }) => {
      const area = areaSize(columns, column, columnSpan, content.columnGap);
      return itemWidth(pass, box, content, area, { height: pixels(box.style.height, undefined) }).width;
    });
  }

  private columnsOf({ column, columnSpan }: Placed): Track[] {
    return this.columnTracks.slice(column, column + columnSpan).map(({ track }) => track);
  }

  private rowsOf({ row, rowSpan }: Placed): readonly Unsized[] {
    return this.rowTracks.slice(row, row + rowSpan);
  }

  /** How high the rows of an item are taken to be: those with a definite greatest size are taken to have it (§12.1 step 1). */
  private assumedArea(item: Placed): number | undefined {
    const { given, content } = this;
    const isLate = given.late && !asksAfresh(item.box);
    let area = (item.rowSpan - 1) * content.rowGap;
    for (const { track } of this.rowsOf(item)) {
      const { max } = track;
      const part = isFraction(max) && !isLate ? pixels(max, given.rows.room) : undefined;
      const size = typeof max === 'number' ? max : part;
      if (size === undefined) return undefined;
      area += size;
    }
    return area;
  }

  private areaKnown(item: Placed): ReturnType<GridTracks['areaKnown']> {
    if (this.assumedArea(item) === undefined) return undefined;
    return this.rowsOf(item).every(({ track }) => typeof track.max === 'number')
      ? 'of itself'
      : 'by the grid';
  }

  /** Whether the height of its rows was known when it was asked first. */
  private isEarly(item: Placed): boolean {
    const how = this.areaKnown(item);
    return how === 'of itself' || (how === 'by the grid' && !this.given.late);
  }

  /** Whether an item is asked for its width by content before it is laid out, and what is known of its height then. */
  private measuredIn(item: Placed): Measured {
    const { content, given } = this;
    const { width, height } = item.box.style;
    if (!item.box.keepsAnswer || typeof width === 'number') return false;
    const isAsked =
      spanAsksContent(this.columnsOf(item), given.measured ? undefined : given.columns.room) ||
      (isByContent(width) && !fills(width, justifyOf(item.box, content)));
    if (!isAsked) return false;
    const isHeld = isFraction(height) || fills(height, alignOf(item.box, content));
    return isHeld && this.assumedArea(item) !== undefined ? 'known' : 'free';
  }

  /** Widths of those that ask, at the height that rows of some size give them. */
  private widthsBy(rowsUnder: (item: Placed) => number | undefined): Map<Placed, Widths> {
    const known = new Map<Placed, Widths>();
    for (const item of this.asking) {
      const area = rowsUnder(item);
      if (area !== undefined && typeof item.box.style.width !== 'number')
        known.set(item, this.widthsUnder(item, area));
    }
    return known;
  }

  private widthsUnder(item: Placed, area: number): Widths {
    const { pass, content } = this;
    const { box } = item;
    const { style } = box;
    const range = heightRange(box, area, pass);
    const fill = fills(style.height, alignOf(box, content)) ? area - down(style.margin) : undefined;
    const asked = pixels(style.height, area) ?? fill;
    const isLate = typeof style.height !== 'number' && !this.isEarly(item);
    if (asked === undefined) {
      const carried = carriedOf(box, content);
      const { min, max } = widthsWithin(pass, box, { heightOf: area, carried, isLate });
      return { min: isCompressible(box) ? 0 : min, max };
    }
    pass.held(box, asked, range.min, range.max);
    return widthsAtHeight(pass, box, plainClamp(asked, range.min, range.max), isLate);
  }
}
