/** Children held at edges or centre lines of their parent (CSS Positioned Layout 3 §4, CSS Align 3 §6.3). */

import type { Pin, Size } from '../values/css.ts';
import { contentHolds, heightByRatio, layByContent, layOut } from './ask.ts';
import type { Box, PinboardContent } from './box.ts';
import { noPins } from './box.ts';
import { carriesAcross } from './grid/carried.ts';
import { asEarlyAs, type Definite, fixed, free, type Laid, type Measured, type Question } from './laid.ts';
import { plainMax, plainMin, roomLeft } from './plain-limits.ts';
import { limitReasons, type PlaceReason, type Reasons, type SizeRule } from './reason.ts';
import type { Pass } from './record.ts';
import {
  across,
  down,
  frameHeight,
  hasRatio,
  heightRange,
  isByContent,
  isFraction,
  isShare,
  pixels,
  type Range,
  widthByRatio,
  widthRange,
  widthsByLimits,
} from './sizes.ts';
import { keepsWidthOf, leastByContent, widthsWithin } from './widths.ts';

/** One axis of a pinned child: the room between its pins and how it is held in it. */
interface Hold {
  /** The pin at the far side. */
  readonly far: Pin;
  /** From the pinboard's padding edge to where its room begins. */
  readonly from: number;
  readonly room: number;
  readonly by: 'start' | 'end' | 'center' | 'both' | 'none';
}

/** What a child asks for along one axis, and where it is pinned. */
interface Held {
  readonly asked: Size;
  readonly near: Pin;
  readonly far: Pin;
  readonly center: number | undefined;
}

/**
 * @param size of the pinboard's padding box.
 * @param paddingBefore where something stands that is held nowhere.
 */
function hold(pass: Pass, child: Box, held: Held, size: number, paddingBefore: number): Hold {
  const { asked, center } = held;
  // A share reaches the edges that nothing is said about.
  const near = isShare(asked) ? (held.near ?? 0) : held.near;
  const far = isShare(asked) ? (held.far ?? 0) : held.far;
  if (center !== undefined) return { far, from: center, room: size, by: 'center' };
  const before = pixels(near, size);
  const after = pixels(far, size);
  pass.sign(child, 'room', size - (before ?? 0) - (after ?? 0));
  if (before !== undefined && after !== undefined)
    return { far, from: before, room: roomLeft(size - before - after), by: 'both' };
  if (before !== undefined) return { far, from: before, room: roomLeft(size - before), by: 'start' };
  if (after !== undefined) return { far, from: 0, room: roomLeft(size - after), by: 'end' };
  // Held nowhere: where it would stand in flow, at the content's start (Position 3 §4.1, static position).
  return { far, from: paddingBefore, room: roomLeft(size - paddingBefore), by: 'none' };
}

/** Where a child of some outer size stands in its room, from the pinboard's padding edge. */
function placeIn(held: Hold, outer: number, size: number, far: number): number {
  if (held.by === 'center') return held.from + (size - outer) / 2;
  if (held.by === 'end') return size - far - outer;
  return held.from;
}

/** Whether a size fills the room between two pins. */
const fillsRoom = (size: Size, held: Hold) => isShare(size) || (size === undefined && held.by === 'both');

/** A ratio that somebody gave it; a picture's sides decide in another way. */
const hasFreeRatio = ({ style, content }: Box) => style.aspect !== undefined && content.type !== 'picture';

/** A pinboard being laid out: its padding box is what pins and percentages refer to (Position 3 §2.1). */
interface Board {
  readonly pass: Pass;
  readonly box: Box;
  readonly definite: Definite;
  readonly wide: number;
  readonly high: number;
}

/** A child on its way to a size and place. */
interface PinnedChild {
  readonly child: Box;
  readonly inline: Hold;
  readonly block: Hold;
  readonly widthLimits: Range;
  readonly heightLimits: Range;
  /** How a height that follows from the pinboard's is known. */
  readonly known: true | 'late';
  /** Whether it is asked for its width by content. */
  readonly measured: Measured;
}

/** A size on its way, and why. CSS px of the border box. */
interface Ruled {
  readonly value: number;
  readonly by: SizeRule;
}

export function layOutPinboard(
  pass: Pass,
  box: Box,
  content: PinboardContent,
  { width, height, definite, measured }: Question,
): Laid {
  const { border } = box.style;
  const limits = heightRange(box, undefined);
  const used = Number.isNaN(height)
    ? plainMin(plainMax(frameHeight(box), limits.min), plainMax(limits.max, limits.min))
    : height;
  const board: Board = {
    pass,
    box,
    definite,
    wide: roomLeft(width - across(border)),
    high: roomLeft(used - down(border)),
  };
  const children: Laid[] = [];
  const places: number[] = [];
  const reasons: Reasons[] = [];
  for (const child of box.children) {
    const placed = layChild(board, heldOn(board, child, content.rightToLeft));
    children.push(placed.laid);
    places.push(placed.x, placed.y);
    if (pass.explaining) reasons.push(placed.reasons());
  }
  if (pass.explaining) {
    pass.reasons = reasons;
    pass.content = { rule: 'none', frame: frameHeight(box) };
  }
  return {
    box,
    width,
    height: used,
    baseline: undefined,
    lines: [],
    children,
    places,
    extent: undefined,
    asked: height,
    definite,
    measured,
    record: undefined,
  };
}

/** How a child is held. Pins are physical; places count from the start side. */
function heldOn({ pass, box, definite, wide, high }: Board, child: Box, rightToLeft: boolean): PinnedChild {
  const { style } = child;
  const { padding } = box.style;
  const pins = style.pins ?? noPins;
  const center = pins.centerX === undefined || !rightToLeft ? pins.centerX : -pins.centerX;
  const [near, far] = rightToLeft ? [pins.right, pins.left] : [pins.left, pins.right];
  const inline = hold(pass, child, { asked: style.width, near, far, center }, wide, padding.start);
  const vertical = { asked: style.height, near: pins.top, far: pins.bottom, center: pins.centerY };
  const block = hold(pass, child, vertical, high, padding.top);
  return {
    child,
    inline,
    block,
    widthLimits: widthRange(child, wide, pass),
    heightLimits: heightRange(child, high, pass),
    known: typeof style.height === 'number' ? true : asEarlyAs(definite),
    measured: isByContent(style.width) && !fillsRoom(style.width, inline) && 'free',
  };
}

/** The rule by which a size follows that is a number, or a part of the pinboard's. */
const ruleOf = (size: Size, value: number, of: number): SizeRule =>
  isFraction(size) ? { rule: 'percent', fraction: size.fraction, of } : { rule: 'number', value };

/** A child's height, where it does not follow from its content. */
function heightOf(
  { pass, high }: Board,
  { child, block, heightLimits: limits }: PinnedChild,
): Ruled | undefined {
  const { style } = child;
  const held = (height: number) => pass.clamp(child, height, limits.min, limits.max);
  const asked = pixels(style.height, high);
  if (asked !== undefined) return { value: held(asked), by: ruleOf(style.height, asked, high) };
  if (!fillsRoom(style.height, block)) return undefined;
  const margin = down(style.margin);
  return {
    value: held(block.room - margin),
    by: { rule: 'stretch', from: block.room, margin, to: 'pins' },
  };
}

/** A child's width, before its limits. @param height its height, where that is known. */
function widthOf(board: Board, pinned: PinnedChild, height: number | undefined): Ruled {
  const { pass, wide, high } = board;
  const { child, inline, known } = pinned;
  const { style } = child;
  const margin = across(style.margin);
  const asked = pixels(style.width, wide);
  if (asked !== undefined) return { value: asked, by: ruleOf(style.width, asked, wide) };
  if (fillsRoom(style.width, inline)) return filledWidth(board, pinned, height);
  if (hasRatio(child) && height !== undefined) {
    const value = widthByRatio(pass, child, height);
    return { value, by: { rule: 'ratio', from: height, value } };
  }
  const { min, max } = widthsWithin(pass, child, {
    height,
    widthOf: wide,
    heightOf: high,
    carried: carriesAcross(child) ? 'all' : 'none',
    isLate: known === 'late',
  });
  const room = inline.room - margin;
  pass.sign(child, 'fit', room - max);
  pass.sign(child, 'fit', room - min);
  return {
    value: plainMin(max, plainMax(min, room)),
    by: { rule: 'fit', min, max, room: inline.room, margin },
  };
}

/** The width of what fills the room between its pins. */
function filledWidth({ pass, high }: Board, pinned: PinnedChild, height: number | undefined): Ruled {
  const { child, inline, heightLimits } = pinned;
  const { style } = child;
  const margin = across(style.margin);
  const value = inline.room - margin;
  // Between two pins a ratio carries limits of a height by content over, but not a button's (as browsers do it).
  const carries = hasFreeRatio(child) && !style.fillsPins;
  if (carries && style.width === undefined && height === undefined) {
    const { min, max } = widthsByLimits(pass, child, high);
    const held = pass.clamp(child, value, min, max);
    const from = held > value ? heightLimits.min : heightLimits.max;
    if (held !== value) return { value: held, by: { rule: 'ratio', from, value: held } };
  }
  return { value, by: { rule: 'stretch', from: inline.room, margin, to: 'pins' } };
}

/**
 * Browsers let content hold up the width of what has a ratio and a height, whatever width it is given; not of words that
 * are cut behind some lines.
 */
function heldUp({ pass, wide }: Board, pinned: PinnedChild, width: Ruled, height: number | undefined): Ruled {
  const { child, known, widthLimits } = pinned;
  const isCut = child.content.type === 'text' && child.content.most !== undefined;
  if (child.style.aspect === undefined || height === undefined || !keepsWidthOf(child) || isCut) return width;
  const least = leastByContent(pass, child, { height, widthOf: wide, isLate: known === 'late' });
  const kept = pass.larger(child, 'least', width.value, plainMin(least, widthLimits.max));
  return kept > width.value ? { value: kept, by: { rule: 'ratio', from: height, value: kept } } : width;
}

/** A height between two pins once the width is known: it is none of its own (CSS Sizing 4 §6.1, §6.2). */
function finalHeight({ pass }: Board, pinned: PinnedChild, width: number, height: Ruled): Ruled {
  const { child, heightLimits, known, measured } = pinned;
  const { style } = child;
  if (style.height !== undefined || style.fillsPins) return height;
  let final = height;
  // The ratio gives it where the width is by content.
  if (style.width === 'fit' && hasFreeRatio(child)) {
    const value = heightByRatio(pass, child, width);
    final = {
      value: pass.clamp(child, value, heightLimits.min, heightLimits.max),
      by: { rule: 'ratio', from: width, value },
    };
  }
  // So content holds up what has a ratio, too.
  if (style.aspect === undefined || !contentHolds(child)) return final;
  const { needed = 0 } = layOut(pass, child, fixed(width, final.value, known, measured));
  const kept = pass.larger(child, 'least', final.value, plainMin(needed, heightLimits.max));
  return kept > final.value ? { value: kept, by: { rule: 'content', value: kept } } : final;
}

interface PlacedChild {
  readonly laid: Laid;
  readonly x: number;
  readonly y: number;
  reasons(): Reasons;
}

function layChild(board: Board, pinned: PinnedChild): PlacedChild {
  const { pass, box, wide, high } = board;
  const { child, inline, block, widthLimits, heightLimits, known, measured } = pinned;
  const { margin, pins = noPins } = child.style;
  const { border } = box.style;
  const asked = heightOf(board, pinned);
  const wanted = heldUp(board, pinned, widthOf(board, pinned, asked?.value), asked?.value);
  const width = pass.clamp(child, wanted.value, widthLimits.min, widthLimits.max);
  const height = asked && finalHeight(board, pinned, width, asked);
  const byContent = height ? undefined : layByContent(pass, child, free(width, measured, high), heightLimits);
  const laid = byContent?.laid ?? layOut(pass, child, fixed(width, height?.value ?? 0, known, measured));
  const heightRule = height?.by ?? { rule: 'content', value: byContent?.natural ?? 0 };
  const farX = pixels(inline.far, wide) ?? 0;
  const farY = pixels(pins.bottom, high) ?? 0;
  const x = placeIn(inline, width + across(margin), wide, farX) + border.start + margin.start;
  const y = placeIn(block, laid.height + down(margin), high, farY) + border.top + margin.top;
  return {
    laid,
    x,
    y,
    reasons: () => ({
      width: { by: wanted.by, limits: limitReasons(widthLimits), result: width },
      height: { by: heightRule, limits: limitReasons(heightLimits), result: laid.height },
      x: pinnedReason(inline, x, margin.start, border.start),
      y: pinnedReason(block, y, margin.top, border.top),
    }),
  };
}

const pinnedReason = (held: Hold, offset: number, margin: number, border: number): PlaceReason => ({
  by: held.by === 'none' ? 'free' : 'pin',
  offset,
  parts: [
    { what: 'border', value: border },
    { what: 'pin', value: offset - border - margin },
    { what: 'margin', value: margin },
  ],
});
