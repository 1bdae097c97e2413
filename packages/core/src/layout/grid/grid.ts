/** Grids, and layers as grids of one cell (CSS Grid 1). */

import type { Align, Track } from '../../values/css.ts';
import type { Box, GridContent } from '../box.ts';
import { asEarlyAs, type Laid, type Question, type TrackSpan } from '../laid.ts';
import { plainClamp, plainMax, roomLeft } from '../plain-limits.ts';
import { limitReasons, type PlaceReason, type Reasons } from '../reason.ts';
import type { Pass } from '../record.ts';
import {
  across,
  down,
  frameHeight,
  frameStart,
  frameTop,
  frameWidth,
  heightRange,
  isFraction,
  type Range,
  widthRange,
} from '../sizes.ts';
import { alignOf, areaReason, areaSize, justifyOf, type LaidItem, layItem, trackStarts } from './areas.ts';
import { type GridRoom, type GridTracks, sizeAxes } from './axes.ts';
import { baselineShift, gridBaseline, sharedBaselines } from './baselines.ts';
import type { Placed } from './placement.ts';
import { gapsOf, isFlexible, type SizedTrack } from './sized-tracks.ts';
import { countTracks, explicitTracks, partsOf } from './tracks.ts';

/** A grid being laid out. */
interface Frame {
  readonly pass: Pass;
  readonly box: Box;
  readonly content: GridContent;
  readonly asked: Question;
  /** Whether its height follows from its content. */
  readonly free: boolean;
  /** Of its height. */
  readonly limits: Range;
  /** Padding and borders, top and bottom. */
  readonly frame: number;
  /** Of the inside: its height where that is given, and the least and greatest that it may have. */
  readonly innerHeight: number | undefined;
  readonly leastHeight: number;
  readonly mostHeight: number;
}

/** Its tracks as they came out, and where they begin. */
interface Tracks {
  readonly columns: readonly SizedTrack[];
  readonly rows: readonly SizedTrack[];
  readonly columnStarts: readonly number[];
  readonly rowStarts: readonly number[];
}

export function layOutGrid(pass: Pass, box: Box, content: GridContent, asked: Question): Laid {
  const frame = frameOf(pass, box, content, asked);
  const { free, limits } = frame;
  const sized = sizeAxes(pass, box, content, roomOf(frame));
  const { placement, columns, rows: firstRows } = sized;
  const inRows = firstRows.reduce((sum, { base }) => sum + base, 0) + gapsOf(firstRows, content.rowGap);
  const natural = inRows + frame.frame;
  if (free) pass.held(box, natural, limits.min, limits.max);
  const used = free ? plainClamp(natural, limits.min, limits.max) : asked.height;
  const rows = finalRows(frame, sized, natural, used);
  const tracks: Tracks = {
    columns,
    rows,
    columnStarts: trackStarts(columns, content.columnGap),
    rowStarts: trackStarts(rows, content.rowGap),
  };
  const items = layItems(frame, sized, tracks);
  const { children, places } = placeItemsIn(frame, placement.items, items, tracks);
  if (pass.explaining)
    pass.content = {
      rule: 'tracks',
      tracks: firstRows.map(({ base }) => base),
      gaps: gapsOf(firstRows, content.rowGap),
      frame: frame.frame,
    };
  const [start, top] = [frameStart(box), frameTop(box)];
  const laid: Laid = {
    box,
    width: asked.width,
    height: used,
    baseline: gridBaseline(placement.items, children, places),
    lines: [],
    children,
    places,
    extent: undefined,
    tracks: {
      columns: spansOf(columns, tracks.columnStarts, start),
      rows: spansOf(rows, tracks.rowStarts, top),
      columnsBefore: placement.columnsBefore,
      rowsBefore: placement.rowsBefore,
    },
    asked: asked.height,
    definite: asked.definite,
    measured: asked.measured,
    record: undefined,
  };
  const isNeeded = asked.limitsOf !== undefined || (!free && box.style.aspect !== undefined);
  return isNeeded ? { ...laid, needed: natural } : laid;
}

function frameOf(pass: Pass, box: Box, content: GridContent, asked: Question): Frame {
  const free = Number.isNaN(asked.height);
  const frame = frameHeight(box);
  const limits = heightRange(box, asked.limitsOf, pass);
  const leastHeight = roomLeft(limits.min - frame);
  return {
    pass,
    box,
    content,
    asked,
    free,
    limits,
    frame,
    innerHeight: free ? undefined : roomLeft(asked.height - frame),
    leastHeight,
    mostHeight: plainMax(leastHeight, limits.max - frame),
  };
}

/** The inputs of sizing its tracks (§7.2.3.2, §11.1). */
function roomOf({ pass, box, content, asked, frame, ...inner }: Frame): GridRoom {
  const { definite } = asked;
  const width = roomLeft(asked.width - frameWidth(box));
  const columnList = explicitTracks(content.columns, width, 0, content.columnGap, width);
  countTracks(pass, box, columnList);
  const countedIn = definite ? roomLeft(asked.percentOf - frame) : undefined;
  const room = countedIn ?? (inner.mostHeight < Infinity ? inner.mostHeight : undefined);
  // A part of a greatest height is no size as long as content decides; one of a least height is (as browsers do it).
  const parts = countedIn ?? partsOf(inner.leastHeight);
  const rowList = explicitTracks(content.rows, room, inner.leastHeight, content.rowGap, parts);
  countTracks(pass, box, rowList);
  const least = plainMax(inner.leastHeight, definite ? 0 : (inner.innerHeight ?? 0));
  return {
    columnList,
    rowList,
    columns: { room: width, wanted: 'max-content', least: 0 },
    rows: { room: heldRows(asked, inner.innerHeight), wanted: 'max-content', least, most: inner.mostHeight },
    measured: asked.measured,
    late: definite === 'late',
  };
}

/** The height that rows are held by: one that is not definite holds the grid itself; it is what rows are to fill at least. */
const heldRows = ({ definite }: Question, innerHeight: number | undefined): number | undefined =>
  definite ? innerHeight : undefined;

/**
 * Rows that were sized without the height fill the one that came out, where they refer to it or columns have changed since
 * (§11.1 step 4, as browsers do it). What a column presses together has the rows that this leaves, definite or not.
 */
function finalRows(frame: Frame, sized: GridTracks, natural: number, used: number): readonly SizedTrack[] {
  const { pass, box, asked, free } = frame;
  const held = heldRows(asked, frame.innerHeight);
  const isOpen = held === undefined;
  if (!free && isOpen) pass.sign(box, 'room', asked.height - natural);
  const isPressed = !free && isOpen && asked.height < natural;
  const asks = isPressed || sized.stale || (isOpen && sized.rows.some(({ track }) => asksHeight(track)));
  return asks ? sized.rowsIn(held ?? roomLeft(used - frame.frame)) : sized.rows;
}

function layItems({ pass, content, asked }: Frame, sized: GridTracks, { columns, rows }: Tracks): LaidItem[] {
  const known = { 'of itself': true, 'by the grid': asEarlyAs(asked.definite) } as const;
  return sized.placement.items.map((item) => {
    const how = sized.areaKnown(item);
    return layItem(pass, item, content, {
      width: areaSize(columns, item.column, item.columnSpan, content.columnGap),
      height: areaSize(rows, item.row, item.rowSpan, content.rowGap),
      known: how && known[how],
    });
  });
}

/** Where an item stands in its area, before its margin (Align 3 §4.1). */
const roomBefore = (word: Align, spare: number): number =>
  word === 'center' ? spare / 2 : word === 'end' ? spare : 0;

function placeItemsIn(
  frame: Frame,
  items: readonly Placed[],
  laidItems: readonly LaidItem[],
  tracks: Tracks,
): { children: Laid[]; places: number[] } {
  const { pass, box, content } = frame;
  const children = laidItems.map(({ laid }) => laid);
  // Rows made room for baselines of items by content; items line up by those that they have in their rows.
  const baselines = sharedBaselines(pass, items, children);
  const [start, top] = [frameStart(box), frameTop(box)];
  const places: number[] = [];
  const reasons: Reasons[] = [];
  for (const [index, item] of items.entries()) {
    const found = laidItems[index];
    if (!found) continue;
    const { laid, areaWidth, areaHeight } = found;
    const { margin } = item.box.style;
    const aside = roomBefore(justifyOf(item.box, content), areaWidth - laid.width - across(margin));
    const above =
      roomBefore(alignOf(item.box, content), areaHeight - laid.height - down(margin)) +
      baselineShift(laid, item, baselines);
    places.push(
      start + (tracks.columnStarts[item.column] ?? 0) + aside + margin.start,
      top + (tracks.rowStarts[item.row] ?? 0) + above + margin.top,
    );
    if (pass.explaining) reasons.push(reasonsOf(frame, item, found, tracks, { aside, above }));
  }
  if (pass.explaining) pass.reasons = reasons;
  return { children, places };
}

/** @param room what is left at the start side of its area, and above it. */
function reasonsOf(
  { box, content }: Frame,
  item: Placed,
  { laid, areaWidth, areaHeight, widthRule, heightRule }: LaidItem,
  { columns, rows, columnStarts, rowStarts }: Tracks,
  room: { readonly aside: number; readonly above: number },
): Reasons {
  const { box: child, column, columnSpan, row, rowSpan } = item;
  const { style } = child;
  const place = (
    word: Align,
    own: boolean,
    values: readonly [number, number, number, number],
  ): PlaceReason => ({
    by: 'align',
    offset: values[0] + values[1] + values[2] + values[3],
    word,
    own,
    parts: [
      { what: 'frame', value: values[0] },
      { what: 'tracks', value: values[1] },
      { what: 'room', value: values[2] },
      { what: 'margin', value: values[3] },
    ],
  });
  return {
    width: {
      by:
        widthRule.rule === 'stretch'
          ? { ...widthRule, area: areaReason(columns, column, columnSpan, content.columnGap) }
          : widthRule,
      limits: limitReasons(widthRange(child, areaWidth)),
      result: laid.width,
    },
    height: {
      by:
        heightRule.rule === 'stretch'
          ? { ...heightRule, area: areaReason(rows, row, rowSpan, content.rowGap) }
          : heightRule,
      limits: limitReasons(heightRange(child, areaHeight)),
      result: laid.height,
    },
    x: place(justifyOf(child, content), style.justifySelf !== undefined, [
      frameStart(box),
      columnStarts[column] ?? 0,
      room.aside,
      style.margin.start,
    ]),
    y: place(alignOf(child, content), style.alignSelf !== undefined, [
      frameTop(box),
      rowStarts[row] ?? 0,
      room.above,
      style.margin.top,
    ]),
  };
}

/** @param from where the first of them begins, from the grid's border box. */
const spansOf = (tracks: readonly SizedTrack[], starts: readonly number[], from: number): TrackSpan[] =>
  tracks.map(({ base }, index) => ({ start: from + (starts[index] ?? 0), size: base }));

/** Whether a track depends on the height of the grid. */
const asksHeight = (track: Track): boolean =>
  isFraction(track.min) || isFraction(track.max) || isFraction(track.fitContent) || isFlexible(track);
