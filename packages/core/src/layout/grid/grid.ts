/** Grids, and layers as grids of one cell (CSS Grid 1). */
import type { Align, Box, GridContent, Track } from '../box.ts';
import { asEarlyAs, type Laid, type Question } from '../laid.ts';
import { limitReasons, type Reasons } from '../reason.ts';
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
  widthRange,
} from '../sizes.ts';
import { alignOf, areaReason, areaSize, justifyOf, layItem, trackStarts } from './areas.ts';
import { sizeAxes } from './axes.ts';
import { baselineShift, gridBaseline, sharedBaselines } from './baselines.ts';
import { gapsOf, isFlexible } from './sizing.ts';
import { countTracks, explicitTracks, partsOf } from './tracks.ts';

export function layOutGrid(
  pass: Pass,
  box: Box,
  content: GridContent,
  { width, height, definite, measured, limitsOf, percentOf }: Question,
): Laid {
  const free = Number.isNaN(height);
  const frameH = frameHeight(box);
  const limits = heightRange(box, limitsOf, pass);
  const innerWidth = Math.max(0, width - frameWidth(box));
  const innerHeight = free ? undefined : Math.max(0, height - frameH);
  const leastHeight = Math.max(0, limits.min - frameH);
  const mostHeight = Math.max(leastHeight, limits.max - frameH);

  const columnList = explicitTracks(content.columns, innerWidth, 0, content.columnGap, innerWidth);
  countTracks(pass, box, columnList);
  // A height that is not definite holds the grid itself, not its rows; it is what they are to fill at least.
  const rowsIn = definite ? innerHeight : undefined;
  const countedIn = definite ? Math.max(0, percentOf - frameH) : undefined;
  const rowRoom = countedIn ?? (mostHeight < Infinity ? mostHeight : undefined);
  // A part of a greatest height is no size as long as content decides; one of a least height is (as browsers do it).
  const rowParts = countedIn ?? partsOf(leastHeight);
  const rowList = explicitTracks(content.rows, rowRoom, leastHeight, content.rowGap, rowParts);
  countTracks(pass, box, rowList);
  const leastRows = Math.max(leastHeight, definite ? 0 : (innerHeight ?? 0));
  const sized = sizeAxes(pass, box, content, {
    columnList,
    rowList,
    columns: { room: innerWidth, wanted: 'max-content', least: 0 },
    rows: { room: rowsIn, wanted: 'max-content', least: leastRows, most: mostHeight },
    measured,
    late: definite === 'late',
  });
  const { placement, columns, rows: firstRows } = sized;
  const { items } = placement;
  const natural = firstRows.reduce((sum, { base }) => sum + base, 0) + gapsOf(firstRows, content.rowGap);
  if (free) pass.held(box, natural + frameH, limits.min, limits.max);
  const used = free ? Math.max(limits.min, Math.min(limits.max, natural + frameH)) : height;
  // Rows that were sized without it fill the height that came out, where they refer to it or columns have changed
  // since (§11.1 step 4, as browsers do it).
  // What a column presses together has the rows that this leaves, definite or not (as browsers do it).
  const isPressed = !free && rowsIn === undefined && height < natural + frameH;
  if (!free && rowsIn === undefined) pass.sign(box, 'room', height - natural - frameH);
  const asks =
    isPressed || sized.stale || (rowsIn === undefined && firstRows.some(({ track }) => asksHeight(track)));
  const rows = asks ? sized.rowsIn(rowsIn ?? Math.max(0, used - frameH)) : firstRows;

  const columnStarts = trackStarts(columns, content.columnGap);
  const rowStarts = trackStarts(rows, content.rowGap);
  const start = frameStart(box);
  const top = frameTop(box);
  const children: Laid[] = [];
  const places: number[] = [];
  const reasons: Reasons[] = [];
  const known = { 'of itself': true, 'by the grid': asEarlyAs(definite) } as const;
  const laidItems = items.map((item) => {
    const how = sized.areaKnown(item);
    return layItem(
      pass,
      item,
      content,
      areaSize(columns, item.column, item.columnSpan, content.columnGap),
      areaSize(rows, item.row, item.rowSpan, content.rowGap),
      how && known[how],
    );
  });
  // Rows made room for baselines of items by content; items line up by those that they have in their rows.
  const baselines = sharedBaselines(
    pass,
    items,
    laidItems.map(({ laid }) => laid),
  );
  for (const [index, item] of items.entries()) {
    const { box: child } = item;
    const { style } = child;
    const { laid, areaWidth, areaHeight, widthRule, heightRule } = laidItems[index]!;
    const align = alignOf(child, content);
    const justify = justifyOf(child, content);
    const spareX = areaWidth - laid.width - across(style.margin);
    const spareY = areaHeight - laid.height - down(style.margin);
    const shift = baselineShift(laid, item, baselines);
    const roomBefore = (word: Align, spare: number) =>
      word === 'center' ? spare / 2 : word === 'end' ? spare : 0;
    const aside = roomBefore(justify, spareX);
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
      tracks: firstRows.map(({ base }) => base),
      gaps: gapsOf(firstRows, content.rowGap),
      frame: frameH,
    };
  }
  const laid: Laid = {
    box,
    width,
    height: used,
    baseline: gridBaseline(items, children, places),
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
    measured,
    record: undefined,
  };
  return limitsOf === undefined && (free || box.style.aspect === undefined)
    ? laid
    : { ...laid, needed: natural + frameH };
}

/** Whether a track depends on the height of the grid. */
const asksHeight = (track: Track): boolean =>
  isFraction(track.min) || isFraction(track.max) || isFraction(track.fitContent) || isFlexible(track);
