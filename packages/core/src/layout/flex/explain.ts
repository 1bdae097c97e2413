/** Records why the children of a row or column have their sizes and places, from the finished layout. */

import { numberAt } from '../../sure.ts';
import { gapsBetween, plainMax, plainMin } from '../plain-limits.ts';
import {
  type LineRoom,
  limitReasons,
  type PlaceReason,
  type Reasons,
  type SizeReason,
  type SizeRule,
} from '../reason.ts';
import type { Pass } from '../record.ts';
import {
  across,
  down,
  fills,
  frameStart,
  frameTop,
  hasRatio,
  heightRange,
  isFraction,
  isShare,
  pixels,
  widthRange,
} from '../sizes.ts';
import { freeWidths } from '../widths.ts';
import type { FlexInside, Item } from './inside.ts';
import { roomBefore, roomBetween } from './room.ts';

/** What the layout of a row or column came to. */
export interface FlexOutcome {
  readonly items: readonly Item[];
  readonly lines: readonly (readonly Item[])[];
  readonly mainSize: number;
  readonly crossSizes: readonly number[];
  readonly mainGap: number;
  readonly crossGap: number;
  /** The height was free. */
  readonly free: boolean;
  readonly frame: number;
}

export function explainFlex(pass: Pass, inside: FlexInside, outcome: FlexOutcome): void {
  const { row, box } = inside;
  const { items, lines, crossSizes, crossGap, mainGap, mainSize } = outcome;
  const found = new Map<Item, Reasons>();
  let crossAt = 0;
  for (const [index, line] of lines.entries()) {
    const cross = numberAt(crossSizes, index);
    const used = line.reduce((sum, item) => sum + item.main + item.margin, (line.length - 1) * mainGap);
    const spare = mainSize - used;
    const { justify } = inside.content;
    const before = roomBefore(justify, spare, line.length);
    const between = roomBetween(justify, spare, line.length);
    let siblings = 0;
    for (const item of line) {
      const main = mainReason(item, line, inside, outcome);
      const other = row ? heightReason(item, cross, inside) : widthReason(pass, item, cross, inside);
      const { margin } = item.box.style;
      const along: PlaceReason = {
        by: 'flow',
        offset: row ? item.x : item.y,
        word: justify,
        parts: [
          { what: 'frame', value: row ? frameStart(box) : frameTop(box) },
          { what: 'room', value: before },
          { what: 'siblings', value: siblings },
          { what: 'margin', value: row ? margin.start : margin.top },
        ],
      };
      const offset = row ? item.y : item.x;
      const fixed = [row ? frameTop(box) : frameStart(box), crossAt, row ? margin.top : margin.start];
      const sideways: PlaceReason = {
        by: 'align',
        offset,
        word: item.align,
        own: item.box.style.alignSelf !== undefined,
        parts: [
          { what: 'frame', value: numberAt(fixed, 0) },
          { what: 'lines', value: numberAt(fixed, 1) },
          { what: 'room', value: offset - numberAt(fixed, 0) - numberAt(fixed, 1) - numberAt(fixed, 2) },
          { what: 'margin', value: numberAt(fixed, 2) },
        ],
      };
      found.set(
        item,
        row
          ? { width: main, height: other, x: along, y: sideways }
          : { width: other, height: main, x: sideways, y: along },
      );
      siblings += item.main + item.margin + mainGap + between;
    }
    crossAt += cross + crossGap;
  }
  pass.reasons = items.map((item) => found.get(item)!);
  if (!outcome.free) return;
  const { frame } = outcome;
  if (row) {
    const outer = (item: Item) => item.laid.height + down(item.box.style.margin);
    pass.content = {
      rule: 'lines',
      lines: lines.map((line, index) => ({
        largest: line.reduce<Item | undefined>(
          (most, item) => (most && outer(most) >= outer(item) ? most : item),
          undefined,
        )?.box,
        size: numberAt(crossSizes, index),
      })),
      gaps: gapsBetween(lines.length, crossGap),
      frame,
    };
  } else
    pass.content = {
      rule: 'stack',
      parts: items.map((item) => ({ box: item.box, size: item.main + item.margin })),
      gaps: gapsBetween(items.length, mainGap),
      frame,
    };
}

function mainReason(item: Item, line: readonly Item[], inside: FlexInside, outcome: FlexOutcome): SizeReason {
  const { row } = inside;
  const { style } = item.box;
  const asked = row ? style.width : style.height;
  const own = row ? widthRange(item.box, inside.width) : heightRange(item.box, inside.heightBasis);
  const limits = limitReasons(item, item.min > own.min, item.change === 'gave way');
  const of = row ? inside.width : inside.heightBasis;
  let by: SizeRule;
  if (item.change === 'grew')
    by = {
      rule: 'share',
      base: item.base,
      parts: item.grow,
      allParts: item.allParts,
      left: item.left,
      room: lineRoom(item, line, inside, outcome),
    };
  else if (isShare(asked))
    by = {
      rule: 'share',
      base: item.base,
      parts: item.grow,
      allParts: item.grow,
      left: 0,
      room: lineRoom(item, line, inside, outcome),
    };
  else if (item.change === 'gave way')
    by = {
      rule: 'gave way',
      base: item.base,
      left: item.left,
      weight: item.shrinkBase,
      allWeight: item.allParts,
      room: lineRoom(item, line, inside, outcome),
    };
  else if (isFraction(asked) && of !== undefined) by = { rule: 'percent', fraction: asked.fraction, of };
  else if (typeof asked === 'number') by = { rule: 'number', value: item.base };
  else
    by = {
      rule: 'content',
      value: item.base,
      ...(isFraction(asked) ? { asked: 'unknown percent' as const } : {}),
    };
  return { by, limits, result: row ? item.laid.width : item.laid.height };
}

/** What there was to share out in the turn in which an item's size was settled. */
function lineRoom(
  item: Item,
  line: readonly Item[],
  { row, height }: FlexInside,
  outcome: FlexOutcome,
): LineRoom {
  const turn = item.turn === 0 ? Infinity : item.turn;
  const others = line.filter((other) => other !== item && other.turn < turn);
  const open = line.filter((other) => other === item || other.turn >= turn);
  return {
    inner: outcome.mainSize,
    gaps: (line.length - 1) * outcome.mainGap,
    settled: others.map((other) => ({ box: other.box, size: other.main, margin: other.margin })),
    open: open.map((other) => ({ box: other.box, base: other.base, margin: other.margin })),
    byContent: !row && Number.isNaN(height),
  };
}

/** A row's child across: its height. */
function heightReason(item: Item, line: number, inside: FlexInside): SizeReason {
  const { box } = item;
  const { style } = box;
  const limits = limitReasons(heightRange(box, inside.heightBasis), false);
  const result = item.laid.height;
  if (typeof style.height === 'number')
    return { by: { rule: 'number', value: style.height }, limits, result };
  if (isFraction(style.height) && inside.heightBasis !== undefined)
    return {
      by: { rule: 'percent', fraction: style.height.fraction, of: inside.heightBasis },
      limits,
      result,
    };
  if (fills(style.height, item.align))
    return { by: { rule: 'stretch', from: line, margin: down(style.margin), to: 'line' }, limits, result };
  return {
    by: {
      rule: 'content',
      value: result,
      ...(isFraction(style.height) ? { asked: 'unknown percent' as const } : {}),
    },
    limits,
    result,
  };
}

/** A column's child across: its width. */
function widthReason(pass: Pass, item: Item, line: number, inside: FlexInside): SizeReason {
  const { box } = item;
  const { style } = box;
  const limits = limitReasons(widthRange(box, inside.width), false);
  const result = item.laid.width;
  const fixed = pixels(style.width, inside.width);
  if (isFraction(style.width))
    return { by: { rule: 'percent', fraction: style.width.fraction, of: inside.width }, limits, result };
  if (fixed !== undefined) return { by: { rule: 'number', value: fixed }, limits, result };
  const margin = across(style.margin);
  if (fills(style.width, item.align)) {
    const from = inside.content.wrap ? line : inside.width;
    return {
      by: { rule: 'stretch', from, margin, to: inside.content.wrap ? 'line' : 'parent' },
      limits,
      result,
    };
  }
  const widths = freeWidths(pass, box);
  const room = inside.content.wrap ? line : inside.width;
  const fitting = plainMin(widths.max, plainMax(widths.min, room - margin));
  if (hasRatio(box) && Math.abs(fitting - result) > 1 / 64)
    return { by: { rule: 'ratio', from: item.laid.height, value: result }, limits, result };
  return {
    by: { rule: 'fit', min: widths.min, max: widths.max, room, margin },
    limits,
    result,
  };
}
