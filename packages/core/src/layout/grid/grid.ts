/** Grids, and layers as grids of one cell (CSS Grid 1). */
import type { Align, Box, GridContent, Track } from '../box.ts';
import type { Laid, Widths } from '../laid.ts';
import { layOut } from '../lay-out.ts';
import { type AreaReason, limitReasons, type Reasons, type SizeRule } from '../reason.ts';
import type { Pass } from '../record.ts';
import {
  across,
  down,
  fills,
  frameHeight,
  frameStart,
  frameTop,
  frameWidth,
  hasRatio,
  heightRange,
  isFraction,
  isShare,
  pixels,
  widthOfHeight,
  widthRange,
} from '../sizes.ts';
import { contentWidths, contribution } from '../widths.ts';
import { type Placed, type Placement, placeItems } from './placement.ts';
import { type Contributor, flexOf, gapsOf, type SizedTrack, sizeTracks, startTracks } from './sizing.ts';
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

const isAutoLeast = ({ track }: SizedTrack) => track.min === 'auto' || typeof track.min === 'object';

/** Whether an item's smallest content counts in the tracks it spans (Grid 1 §6.6). */
function hasAutomaticMinimum(box: Box, over: readonly SizedTrack[]): boolean {
  if (box.content.type === 'scroll') return false;
  if (!over.some(isAutoLeast)) return false;
  return over.length === 1 || !over.some(({ track }) => flexOf(track) > 0);
}

/**
 * Items as the sizing of columns sees them.
 *
 * @param known border-box widths of items that follow from the height of their rows.
 */
export function columnContributors(
  placement: Placement,
  tracks: readonly SizedTrack[],
  known: ReadonlyMap<Placed, Widths> = new Map(),
): Contributor[] {
  return placement.items.map((item): Contributor => {
    const { box, column, columnSpan } = item;
    const { style } = box;
    const margin = across(style.margin);
    const byRow = known.get(item);
    const limits = widthRange(box, undefined);
    const outer = (width: number) => Math.max(limits.min, Math.min(limits.max, width)) + margin;
    const widths = byRow ? { min: outer(byRow.min), max: outer(byRow.max) } : contribution(box, false);
    return {
      box,
      from: column,
      span: columnSpan,
      minContent: () => widths.min,
      maxContent: () => widths.max,
      minimum(limit) {
        // A size of its own: its smallest contribution. One by content or by the area: its least size.
        if (typeof style.width === 'number') return widths.min;
        if (typeof style.minWidth === 'number') return Math.max(style.minWidth, frameWidth(box)) + margin;
        const over = tracks.slice(column, column + columnSpan);
        if (style.minWidth !== undefined || !hasAutomaticMinimum(box, over)) return frameWidth(box) + margin;
        return Math.max(Math.min(widths.min, limit), frameWidth(box) + margin);
      },
    };
  });
}

/** Widths by content of a box whose border-box height its rows give. */
export function widthsAtHeight(pass: Pass, box: Box, height: number): Widths {
  const widths = contentWidths(box, height);
  if (!hasRatio(box)) return widths;
  const width = widthOfHeight(box, height);
  const least = box.content.type === 'picture' || box.style.minWidth !== undefined ? 0 : widths.min;
  pass.sign(box, 'least', width - least);
  return { min: Math.max(width, least), max: Math.max(width, least) };
}

/** How an item lies in its area. */
const justifyOf = ({ style }: Box, content: GridContent): Align =>
  isShare(style.width) ? 'stretch' : (style.justifySelf ?? content.justify);
export const alignOf = ({ style }: Box, content: GridContent): Align =>
  isShare(style.height) ? 'stretch' : (style.alignSelf ?? content.align);

/** The size of an area: its tracks and the gaps between them. */
function areaSize(tracks: readonly SizedTrack[], from: number, span: number, gap: number): number {
  const over = tracks.slice(from, from + span);
  return over.reduce((sum, { base }) => sum + base, 0) + gapsOf(over, gap);
}

/** The tracks under an item, for a reason. */
function areaReason(tracks: readonly SizedTrack[], from: number, span: number, gap: number): AreaReason {
  const over = tracks.slice(from, from + span);
  return {
    tracks: over.map(({ base, raisedBy, track }, index) => ({
      number: from + index + 1,
      size: base,
      raisedBy,
      flexible: flexOf(track) > 0,
    })),
    gaps: gapsOf(over, gap),
  };
}

/** Where each track begins, from the content's start. */
function trackStarts(tracks: readonly SizedTrack[], gap: number): number[] {
  const starts: number[] = [];
  let at = 0;
  let first = true;
  for (const { base, collapsed } of tracks) {
    if (!collapsed) {
      if (!first) at += gap;
      first = false;
    }
    starts.push(at);
    at += base;
  }
  return starts;
}

/** An item's width in an area of some width, and the rule that gave it. */
function itemWidth(
  pass: Pass,
  box: Box,
  content: GridContent,
  area: number,
  height: number | undefined,
): { width: number; rule: SizeRule } {
  const { style } = box;
  const limits = widthRange(box, area);
  const margin = across(style.margin);
  const fixed = pixels(style.width, area);
  let width: number;
  let rule: SizeRule;
  if (fixed !== undefined) {
    width = fixed;
    rule = isFraction(style.width)
      ? { rule: 'percent', fraction: style.width.fraction, of: area }
      : { rule: 'number', value: fixed };
  } else if (fills(style.width, justifyOf(box, content))) {
    width = area - margin;
    rule = { rule: 'stretch', from: area, margin, to: 'area' };
  } else if (hasRatio(box) && height !== undefined) {
    width = widthOfHeight(box, height);
    if (box.content.type !== 'picture' && style.minWidth === undefined)
      width = Math.max(width, contentWidths(box).min);
    rule = { rule: 'ratio', from: height, value: width };
  } else {
    const { min, max } = contentWidths(box, height);
    const room = area - margin;
    pass.sign(box, 'fit', room - max);
    pass.sign(box, 'fit', room - min);
    width = Math.min(max, Math.max(min, room));
    rule = { rule: 'fit', min, max, room: area, margin };
  }
  pass.held(box, width, limits.min, limits.max);
  return { width: Math.max(limits.min, Math.min(limits.max, width)), rule };
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
      least: leastHeight,
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
    if (!item.box.ratioInside || !byContent || !(stretched || isFraction(style.height))) continue;
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
    asked: height,
    definite,
    record: undefined,
  };
}

/** An item in its area, with the rules that gave its size. */
interface LaidItem {
  readonly laid: Laid;
  readonly areaWidth: number;
  readonly areaHeight: number;
  readonly widthRule: SizeRule;
  readonly heightRule: SizeRule;
}

function layItem(
  pass: Pass,
  box: Box,
  content: GridContent,
  areaWidth: number,
  areaHeight: number,
): LaidItem {
  const { style } = box;
  const limits = heightRange(box, areaHeight);
  const held = (value: number) => {
    pass.held(box, value, limits.min, limits.max);
    return Math.max(limits.min, Math.min(limits.max, value));
  };
  const asked = pixels(style.height, areaHeight);
  let rule: SizeRule | undefined;
  let height: number | undefined;
  if (asked !== undefined) {
    rule = isFraction(style.height)
      ? { rule: 'percent', fraction: style.height.fraction, of: areaHeight }
      : { rule: 'number', value: asked };
    height = held(asked);
  } else if (fills(style.height, alignOf(box, content))) {
    rule = { rule: 'stretch', from: areaHeight, margin: down(style.margin), to: 'area' };
    height = held(areaHeight - down(style.margin));
  }
  const { width, rule: widthRule } = itemWidth(pass, box, content, areaWidth, height);
  if (rule && height !== undefined)
    return {
      laid: layOut(pass, box, width, height, true),
      areaWidth,
      areaHeight,
      widthRule,
      heightRule: rule,
    };
  let laid = layOut(pass, box, width, Number.NaN, false);
  const heightRule: SizeRule = { rule: 'content', value: laid.height };
  const clamped = held(laid.height);
  if (clamped !== laid.height) laid = layOut(pass, box, width, clamped, false);
  return { laid, areaWidth, areaHeight, widthRule, heightRule };
}

/** Whether a track depends on the height of the grid. */
const asksHeight = (part: GridContent['rows'][number]): boolean =>
  'auto' in part
    ? part.tracks.some(asksHeight)
    : isFraction(part.min) || isFraction(part.max) || isFraction(part.fitContent) || flexOf(part) > 0;

/** Items as the sizing of rows sees them: their height by content at the width of their columns. */
function rowContributors(
  pass: Pass,
  content: GridContent,
  items: readonly Placed[],
  widths: readonly number[],
  rows: readonly SizedTrack[],
): Contributor[] {
  const shared = sharedBaselines(
    pass,
    content,
    items,
    items.map((item, index) => layForRow(pass, item.box, widths[index]!)),
  );
  return items.map((item, index) => {
    const { box, row, rowSpan } = item;
    const { style } = box;
    const margin = down(style.margin);
    const laid = () => layForRow(pass, box, widths[index]!);
    const height = () => laid().height + margin + shim();
    // §12.5 step 1: baseline-aligned items count with the room that lines them up.
    const shim = () => (alignOf(box, content) === 'baseline' ? baselineShift(laid(), item, shared) : 0);
    return {
      box,
      from: row,
      span: rowSpan,
      minContent: height,
      maxContent: height,
      minimum(limit) {
        if (typeof style.height === 'number') return height();
        if (typeof style.minHeight === 'number')
          return Math.max(style.minHeight, frameHeight(box)) + margin + shim();
        const over = rows.slice(row, row + rowSpan);
        if (style.minHeight !== undefined || !hasAutomaticMinimum(box, over))
          return frameHeight(box) + margin;
        return Math.max(Math.min(height(), limit), frameHeight(box) + margin);
      },
    };
  });
}

/** An item as its row sees it while the row's size is not known. */
function layForRow(pass: Pass, box: Box, width: number): Laid {
  const limits = heightRange(box, undefined);
  const fixed = pixels(box.style.height, undefined);
  const natural = layOut(pass, box, width, fixed ?? Number.NaN, fixed !== undefined);
  pass.held(box, natural.height, limits.min, limits.max);
  const height = Math.max(limits.min, Math.min(limits.max, natural.height));
  return height === natural.height ? natural : layOut(pass, box, width, height, fixed !== undefined);
}

const upTo = (laid: Laid, { box }: Placed) => box.style.margin.top + (laid.baseline ?? laid.height);

/** The lowest baseline of each row's baseline-aligned items, from the row's top. */
function sharedBaselines(
  pass: Pass,
  content: GridContent,
  items: readonly Placed[],
  laid: readonly Laid[],
): Map<number, number> {
  const shared = new Map<number, number>();
  for (const [index, item] of items.entries()) {
    if (alignOf(item.box, content) !== 'baseline') continue;
    const up = upTo(laid[index]!, item);
    pass.sign(item.box, 'largest', (shared.get(item.row) ?? 0) - up);
    shared.set(item.row, Math.max(shared.get(item.row) ?? -Infinity, up));
  }
  return shared;
}

/**
 * Along the inline axis the baseline of a horizontal text is its line-left edge (Align 3 §9.1): from an item's start,
 * with its margin.
 */
const edgeOffset = ({ rightToLeft }: GridContent, { style }: Box, width: number): number =>
  style.margin.start + (rightToLeft ? width : 0);

/** The farthest such edge of each column's items that are aligned by it. */
function sharedEdges(
  content: GridContent,
  items: readonly Placed[],
  widths: readonly number[],
): Map<number, number> {
  const shared = new Map<number, number>();
  for (const [index, { box, column }] of items.entries())
    if (justifyOf(box, content) === 'baseline')
      shared.set(column, Math.max(shared.get(column) ?? -Infinity, edgeOffset(content, box, widths[index]!)));
  return shared;
}

const baselineShift = (laid: Laid, item: Placed, shared: ReadonlyMap<number, number>): number =>
  Math.max(0, (shared.get(item.row) ?? 0) - upTo(laid, item));

/** §10.6: from the first row that has items: one that takes part in baseline alignment, else the first. */
function gridBaseline(
  content: GridContent,
  items: readonly Placed[],
  children: readonly Laid[],
  places: readonly number[],
): number | undefined {
  if (items.length === 0) return undefined;
  const row = Math.min(...items.map((item) => item.row));
  const first = items
    .map((item, index) => ({ item, index }))
    .filter(({ item }) => item.row === row)
    .toSorted((a, b) => a.item.column - b.item.column);
  const leader = first.find(({ item }) => alignOf(item.box, content) === 'baseline') ?? first[0]!;
  const laid = children[leader.index]!;
  return places[2 * leader.index + 1]! + (laid.baseline ?? laid.height);
}
