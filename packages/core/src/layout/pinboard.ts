/** Children held at edges or centre lines of their parent (CSS Positioned Layout 3 §4, CSS Align 3 §6.3). */
import type { Box, Pin, PinboardContent, Pins, Size } from './box.ts';
import { carriesAcross } from './grid/widths.ts';
import { asEarlyAs, type Laid, type Question } from './laid.ts';
import { contentHolds, heightByRatio, layByContent, layOut } from './lay-out.ts';
import { limitReasons, type PlaceReason, type Reasons, type SizeRule } from './reason.ts';
import type { Pass } from './record.ts';
import {
  across,
  down,
  frameHeight,
  hasRatio,
  heightRange,
  isByContent,
  isShare,
  pixels,
  widthByRatio,
  widthRange,
  widthsByLimits,
} from './sizes.ts';
import { keepsWidthOf, leastByContent, widthsWithin } from './widths.ts';

const noPins: Pins = {
  left: undefined,
  right: undefined,
  top: undefined,
  bottom: undefined,
  centerX: undefined,
  centerY: undefined,
};

/** One axis of a pinned child: the room between its pins and how it is held in it. */
interface Hold {
  /** From the pinboard's padding edge to where its room begins. */
  readonly from: number;
  readonly room: number;
  readonly by: 'start' | 'end' | 'center' | 'both' | 'none';
}

function hold(
  pass: Pass,
  child: Box,
  asked: Size,
  nearPin: Pin,
  farPin: Pin,
  center: number | undefined,
  size: number,
  paddingBefore: number,
): Hold {
  // A share reaches the edges that nothing is said about.
  const near = isShare(asked) ? (nearPin ?? 0) : nearPin;
  const far = isShare(asked) ? (farPin ?? 0) : farPin;
  if (center !== undefined) return { from: center, room: size, by: 'center' };
  const before = pixels(near, size);
  const after = pixels(far, size);
  pass.sign(child, 'room', size - (before ?? 0) - (after ?? 0));
  if (before !== undefined && after !== undefined)
    return { from: before, room: Math.max(0, size - before - after), by: 'both' };
  if (before !== undefined) return { from: before, room: Math.max(0, size - before), by: 'start' };
  if (after !== undefined) return { from: 0, room: Math.max(0, size - after), by: 'end' };
  // Held nowhere: where it would stand in flow, at the content's start (Position 3 §4.1, static position).
  return { from: paddingBefore, room: Math.max(0, size - paddingBefore), by: 'none' };
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

export function layOutPinboard(
  pass: Pass,
  box: Box,
  content: PinboardContent,
  { width, height, definite, measured }: Question,
): Laid {
  const { border, padding } = box.style;
  const limits = heightRange(box, undefined);
  const used = Number.isNaN(height)
    ? Math.min(Math.max(frameHeight(box), limits.min), Math.max(limits.max, limits.min))
    : height;
  // What pins and percentages refer to is the padding box (Position 3 §2.1).
  const wide = Math.max(0, width - across(border));
  const high = Math.max(0, used - down(border));
  const children: Laid[] = [];
  const places: number[] = [];
  const reasons: Reasons[] = [];
  for (const child of box.children) {
    const { style } = child;
    const pins = style.pins ?? noPins;
    // Pins are physical; places count from the start side.
    const near = content.rightToLeft ? pins.right : pins.left;
    const far = content.rightToLeft ? pins.left : pins.right;
    const center = pins.centerX === undefined || !content.rightToLeft ? pins.centerX : -pins.centerX;
    const inline = hold(pass, child, style.width, near, far, center, wide, padding.start);
    const block = hold(pass, child, style.height, pins.top, pins.bottom, pins.centerY, high, padding.top);
    const widthLimits = widthRange(child, wide, pass);
    const heightLimits = heightRange(child, high, pass);
    const margin = across(style.margin);

    const known = typeof style.height === 'number' ? true : asEarlyAs(definite);
    let childHeight = pixels(style.height, high);
    let heightRule: SizeRule | undefined =
      childHeight === undefined
        ? undefined
        : typeof style.height === 'number'
          ? { rule: 'number', value: childHeight }
          : { rule: 'percent', fraction: (style.height as { fraction: number }).fraction, of: high };
    if (childHeight === undefined && fillsRoom(style.height, block)) {
      childHeight = block.room - down(style.margin);
      heightRule = { rule: 'stretch', from: block.room, margin: down(style.margin), to: 'pins' };
    }
    if (childHeight !== undefined) {
      pass.held(child, childHeight, heightLimits.min, heightLimits.max);
      childHeight = Math.max(heightLimits.min, Math.min(heightLimits.max, childHeight));
    }

    let childWidth = pixels(style.width, wide);
    let widthRule: SizeRule;
    const isMeasured = isByContent(style.width) && !fillsRoom(style.width, inline) && 'free';
    if (childWidth !== undefined)
      widthRule =
        typeof style.width === 'number'
          ? { rule: 'number', value: childWidth }
          : { rule: 'percent', fraction: (style.width as { fraction: number }).fraction, of: wide };
    else if (fillsRoom(style.width, inline)) {
      childWidth = inline.room - margin;
      widthRule = { rule: 'stretch', from: inline.room, margin, to: 'pins' };
      // Between two pins a ratio carries limits of a height by content over, but not a button's (as browsers do it).
      const carries = hasFreeRatio(child) && !style.fillsPins;
      if (carries && style.width === undefined && childHeight === undefined) {
        const { min, max } = widthsByLimits(pass, child, high);
        const held = pass.clamp(child, childWidth, min, max);
        if (held !== childWidth)
          widthRule = {
            rule: 'ratio',
            from: held > childWidth ? heightLimits.min : heightLimits.max,
            value: held,
          };
        childWidth = held;
      }
    } else if (hasRatio(child) && childHeight !== undefined) {
      childWidth = widthByRatio(pass, child, childHeight);
      widthRule = { rule: 'ratio', from: childHeight, value: childWidth };
    } else {
      const { min, max } = widthsWithin(pass, child, {
        height: childHeight,
        widthOf: wide,
        heightOf: high,
        carried: carriesAcross(child) ? 'all' : 'none',
        isLate: known === 'late',
      });
      const room = inline.room - margin;
      pass.sign(child, 'fit', room - max);
      pass.sign(child, 'fit', room - min);
      childWidth = Math.min(max, Math.max(min, room));
      widthRule = { rule: 'fit', min, max, room: inline.room, margin };
    }
    // Browsers let content hold up the width of what has a ratio and a height, whatever width it is given; not of words that
    // are cut behind some lines.
    const isCut = child.content.type === 'text' && child.content.most !== undefined;
    if (style.aspect !== undefined && childHeight !== undefined && keepsWidthOf(child) && !isCut) {
      const least = Math.min(
        leastByContent(pass, child, { height: childHeight, widthOf: wide, isLate: known === 'late' }),
        widthLimits.max,
      );
      const kept = pass.larger(child, 'least', childWidth, least);
      if (kept > childWidth) widthRule = { rule: 'ratio', from: childHeight, value: kept };
      childWidth = kept;
    }
    pass.held(child, childWidth, widthLimits.min, widthLimits.max);
    childWidth = Math.max(widthLimits.min, Math.min(widthLimits.max, childWidth));

    // A height between two pins is none of its own: the ratio gives it where the width is by content (CSS Sizing 4 §6.1).
    const isFree = style.height === undefined && !style.fillsPins;
    if (childHeight !== undefined && isFree && style.width === 'fit' && hasFreeRatio(child)) {
      childHeight = heightByRatio(pass, child, childWidth);
      heightRule = { rule: 'ratio', from: childWidth, value: childHeight };
      pass.held(child, childHeight, heightLimits.min, heightLimits.max);
      childHeight = Math.max(heightLimits.min, Math.min(heightLimits.max, childHeight));
    }

    let laid: Laid;
    // So content holds up what has a ratio, too (§6.2).
    const isHeld = style.aspect !== undefined && isFree && contentHolds(child);
    if (childHeight !== undefined && isHeld) {
      const { needed = 0 } = layOut(pass, child, childWidth, childHeight, known, isMeasured);
      const least = Math.min(needed, heightLimits.max);
      const kept = pass.larger(child, 'least', childHeight, least);
      if (kept > childHeight) heightRule = { rule: 'content', value: kept };
      childHeight = kept;
    }
    if (childHeight !== undefined) laid = layOut(pass, child, childWidth, childHeight, known, isMeasured);
    else {
      const byContent = layByContent(pass, child, childWidth, heightLimits, isMeasured, high);
      laid = byContent.laid;
      heightRule = { rule: 'content', value: byContent.natural };
    }
    const x =
      placeIn(inline, childWidth + margin, wide, pixels(far, wide) ?? 0) + border.start + style.margin.start;
    const y =
      placeIn(block, laid.height + down(style.margin), high, pixels(pins.bottom, high) ?? 0) +
      border.top +
      style.margin.top;
    children.push(laid);
    places.push(x, y);
    if (pass.explaining)
      reasons.push({
        width: {
          by: widthRule,
          limits: limitReasons(widthLimits),
          result: childWidth,
        },
        height: { by: heightRule!, limits: limitReasons(heightLimits), result: laid.height },
        x: pinned(inline, x, style.margin.start, border.start),
        y: pinned(block, y, style.margin.top, border.top),
      });
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

const pinned = (held: Hold, offset: number, margin: number, border: number): PlaceReason => ({
  by: held.by === 'none' ? 'free' : 'pin',
  offset,
  parts: [
    { what: 'border', value: border },
    { what: 'pin', value: offset - border - margin },
    { what: 'margin', value: margin },
  ],
});
