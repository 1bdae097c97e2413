/** Grids, and layers as grids of one cell (CSS Grid 1). */
import type { Align, Box, GridContent, Track } from '../box.ts';
import type { Laid, Widths } from '../laid.ts';
import { limitReasons, type Reasons } from '../reason.ts';
import type { Pass } from '../record.ts';
import {
  across,
  down,
  fills,
  frameHeight,
  frameStart,
  frameTop,
  frameWidth,
  heightRange,
  isFraction,
  pixels,
  widthRange,
} from '../sizes.ts';
import { alignOf, areaReason, areaSize, itemWidth, justifyOf, layItem, trackStarts } from './areas.ts';
import { baselineShift, edgeOffset, gridBaseline, sharedBaselines, sharedEdges } from './baselines.ts';
import { columnContributors, layForRow, rowContributors, widthsAtHeight } from './contributions.ts';
import { type Placed, placeItems } from './placement.ts';
import { flexOf, gapsOf, sizeTracks, startTracks } from './sizing.ts';
import { autoTrack, type ExplicitTracks, explicitTracks } from './tracks.ts';

/** All tracks of an axis: implicit ones before and behind the explicit grid included (§7.5). */
export function tracksOf(
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

export function layOutGrid(
  pass: Pass,
  box: Box,
  content: GridContent,
  width: number,
  height: number,
  definite: boolean,
): Laid {
  const free = Number.isNaN(height);
  const frameH = frameHeight(box);
  const limits = heightRange(box, undefined);
  const innerWidth = Math.max(0, width - frameWidth(box));
  const innerHeight = free ? undefined : Math.max(0, height - frameH);
  const leastHeight = Math.max(0, limits.min - frameH);
  const mostHeight = Math.max(leastHeight, limits.max - frameH);

  const columnList = explicitTracks(content.columns, innerWidth, 0, content.columnGap);
  if (columnList.repetitions > 0)
    pass.within(box, 'tracks', innerWidth, columnList.filledAt, columnList.nextAt - 1e-9, true);
  const rowRoom = (definite ? innerHeight : undefined) ?? (mostHeight < Infinity ? mostHeight : undefined);
  const rowList = explicitTracks(content.rows, rowRoom, leastHeight, content.rowGap);
  if (rowList.repetitions > 0 && rowRoom !== undefined)
    pass.within(box, 'tracks', rowRoom, rowList.filledAt, rowList.nextAt - 1e-9, true);
  const placement = placeItems(content, box.children, columnList.tracks.length, rowList.tracks.length);
  const { items } = placement;

  /** Columns, and the width of each item in them; `known`: widths of items that follow from their rows. */
  const sizeColumns = (known: ReadonlyMap<Placed, Widths>) => {
    const sized = startTracks(
      tracksOf(columnList, content.autoColumns, placement.columnsBefore, placement.columns, (index) =>
        items.some((item) => item.column <= index && index < item.column + item.columnSpan),
      ),
      innerWidth,
    );
    for (const [{ box: item }, { min, max }] of known) {
      const range = widthRange(item, undefined);
      pass.held(item, min, range.min, range.max);
      pass.held(item, max, range.min, range.max);
    }
    sizeTracks(pass, box, sized, columnContributors(placement, sized, known), {
      room: innerWidth,
      wanted: 'max-content',
      least: 0,
      most: Infinity,
      gap: content.columnGap,
    });
    const itemWidths = items.map((item) => {
      const area = areaSize(sized, item.column, item.columnSpan, content.columnGap);
      return itemWidth(pass, item.box, content, area, pixels(item.box.style.height, undefined)).width;
    });
    return { columns: sized, widths: itemWidths };
  };
  let { columns, widths } = sizeColumns(new Map());

  // A height that is not definite is one by content, held by limits: it is what the rows are to fill at least.
  const leastRows = Math.max(leastHeight, definite ? 0 : (innerHeight ?? 0));
  const sizeRows = (room: number | undefined) => {
    const rows = startTracks(
      tracksOf(rowList, content.autoRows, placement.rowsBefore, placement.rows, (index) =>
        items.some((item) => item.row <= index && index < item.row + item.rowSpan),
      ),
      room,
    );
    sizeTracks(pass, box, rows, rowContributors(pass, content, items, widths, rows), {
      room,
      wanted: 'max-content',
      least: leastRows,
      most: mostHeight,
      gap: content.rowGap,
    });
    return rows;
  };
  // A height that is not definite holds the grid itself, not its rows.
  const rowsIn = definite ? innerHeight : undefined;
  let rows = sizeRows(rowsIn);
  // §12.1 step 3: where a height that the row gives changes what an item asks of its column, once more.
  const byRows = new Map<Placed, Widths>();
  for (const item of items) {
    const { style } = item.box;
    const stretched = fills(style.height, alignOf(item.box, content));
    const byContent = typeof style.width !== 'number' && !isFraction(style.width);
    if (!item.box.widthAsksHeight || !byContent || !(stretched || isFraction(style.height))) continue;
    const area = areaSize(rows, item.row, item.rowSpan, content.rowGap);
    const range = heightRange(item.box, area);
    const asked = pixels(style.height, area) ?? area - down(style.margin);
    pass.held(item.box, asked, range.min, range.max);
    const itemHeight = Math.max(range.min, Math.min(range.max, asked));
    byRows.set(item, widthsAtHeight(pass, item.box, itemHeight));
  }
  // The height by content is that of the first time, as in browsers.
  let contentHeight = rows.reduce((sum, { base }) => sum + base, 0) + gapsOf(rows, content.rowGap);
  const naturalTracks = rows.map(({ base }) => base);
  if (byRows.size > 0) {
    ({ columns, widths } = sizeColumns(byRows));
    rows = sizeRows(rowsIn);
  }
  if (free) pass.held(box, contentHeight + frameH, limits.min, limits.max);
  const used = free ? Math.max(limits.min, Math.min(limits.max, contentHeight + frameH)) : height;
  if (rowsIn === undefined && [...content.rows, ...content.autoRows].some(asksHeight)) {
    // Percentages refer to the height that came out, and `fr` shares it (§11.1 step 4, as browsers do it).
    rows = sizeRows(Math.max(0, used - frameH));
    contentHeight = rows.reduce((sum, { base }) => sum + base, 0) + gapsOf(rows, content.rowGap);
  }

  const columnStarts = trackStarts(columns, content.columnGap);
  const rowStarts = trackStarts(rows, content.rowGap);
  const start = frameStart(box);
  const top = frameTop(box);
  const children: Laid[] = [];
  const places: number[] = [];
  const reasons: Reasons[] = [];
  const edges = sharedEdges(content, items, widths);
  const laidItems = items.map(({ box: child, column, columnSpan, row, rowSpan }) =>
    layItem(
      pass,
      child,
      content,
      areaSize(columns, column, columnSpan, content.columnGap),
      areaSize(rows, row, rowSpan, content.rowGap),
    ),
  );
  // Baselines are those that items have before their row's size is known.
  const before = items.map((item, index) =>
    alignOf(item.box, content) === 'baseline'
      ? layForRow(pass, item.box, widths[index]!)
      : laidItems[index]!.laid,
  );
  const baselines = sharedBaselines(pass, content, items, before);
  for (const [index, item] of items.entries()) {
    const { box: child } = item;
    const { style } = child;
    const { laid, areaWidth, areaHeight, widthRule, heightRule } = laidItems[index]!;
    const align = alignOf(child, content);
    const justify = justifyOf(child, content);
    const spareX = areaWidth - laid.width - across(style.margin);
    const spareY = areaHeight - laid.height - down(style.margin);
    const shift = align === 'baseline' ? baselineShift(before[index]!, item, baselines) : 0;
    const roomBefore = (word: Align, spare: number) =>
      word === 'center' ? spare / 2 : word === 'end' ? spare : 0;
    const aside =
      justify === 'baseline'
        ? edges.get(item.column)! - edgeOffset(content, child, laid.width)
        : roomBefore(justify, spareX);
    const x = start + columnStarts[item.column]! + aside + style.margin.start;
    const y = top + rowStarts[item.row]! + roomBefore(align, spareY) + shift + style.margin.top;
    children.push(laid);
    places.push(x, y);
    if (pass.explaining)
      reasons[index] = {
        width: {
          by:
            widthRule.rule === 'stretch'
              ? { ...widthRule, area: areaReason(columns, item.column, item.columnSpan, content.columnGap) }
              : widthRule,
          limits: limitReasons(widthRange(child, areaWidth)),
          result: laid.width,
        },
        height: {
          by:
            heightRule.rule === 'stretch'
              ? { ...heightRule, area: areaReason(rows, item.row, item.rowSpan, content.rowGap) }
              : heightRule,
          limits: limitReasons(heightRange(child, areaHeight)),
          result: laid.height,
        },
        x: {
          by: 'align',
          offset: x,
          word: justify,
          own: style.justifySelf !== undefined,
          parts: [
            { what: 'frame', value: start },
            { what: 'tracks', value: columnStarts[item.column]! },
            { what: 'room', value: aside },
            { what: 'margin', value: style.margin.start },
          ],
        },
        y: {
          by: 'align',
          offset: y,
          word: align,
          own: style.alignSelf !== undefined,
          parts: [
            { what: 'frame', value: top },
            { what: 'tracks', value: rowStarts[item.row]! },
            { what: 'room', value: roomBefore(align, spareY) + shift },
            { what: 'margin', value: style.margin.top },
          ],
        },
      };
  }
  if (pass.explaining) {
    pass.reasons = reasons;
    pass.content = {
      rule: 'tracks',
      tracks: naturalTracks,
      gaps: gapsOf(rows, content.rowGap),
      frame: frameH,
    };
  }
  return {
    box,
    width,
    height: used,
    baseline: gridBaseline(content, items, children, places),
    lines: [],
    children,
    places,
    extent: undefined,
    tracks: {
      columns: columns.map(({ base }, index) => ({ start: start + columnStarts[index]!, size: base })),
      rows: rows.map(({ base }, index) => ({ start: top + rowStarts[index]!, size: base })),
      columnsBefore: placement.columnsBefore,
      rowsBefore: placement.rowsBefore,
    },
    asked: height,
    definite,
    record: undefined,
  };
}

/** Whether a track depends on the height of the grid. */
const asksHeight = (part: GridContent['rows'][number]): boolean =>
  'auto' in part
    ? part.tracks.some(asksHeight)
    : isFraction(part.min) || isFraction(part.max) || isFraction(part.fitContent) || flexOf(part) > 0;
