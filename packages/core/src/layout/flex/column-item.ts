/** A child of a column: its width is known first, its height along the column follows, and may change the width again. */

import type { Align } from '../../values/css.ts';
import { heightByRatio, layOut, leastByRatio } from '../ask.ts';
import type { Box } from '../box.ts';
import { carriesAcross } from '../grid/carried.ts';
import { fixed as at, type Definite, free, type Given, type Laid } from '../laid.ts';
import { contentAsksAgain } from '../make-box.ts';
import { plainClamp, plainMax, plainMin } from '../plain-limits.ts';
import type { Between, Pass } from '../record.ts';
import {
  across,
  asksAfresh,
  down,
  fills,
  frameHeight,
  hasRatio,
  heightRange,
  isFraction,
  isShare,
  pixels,
  widthByRatio,
  widthRange,
} from '../sizes.ts';
import { contentWidths, givesWayFully, keepsWidthOf, leastByContent, widthsWithin } from '../widths.ts';
import type { FlexInside, Item } from './inside.ts';
import { alignOf, makeItem } from './item.ts';
import { isLate, knownHeight, knownShare, measuredIn } from './known.ts';

/** A child of a column: its width is known first, its height along the column follows. */
export function columnItem(pass: Pass, child: Box, inside: FlexInside): Item {
  const { style } = child;
  const align = alignOf(child, inside.content, style.width);
  const width = columnItemWidth(pass, child, align, inside, {
    fill: inside.content.wrap ? undefined : inside.width,
    available: inside.width,
  });
  const measured = measuredIn(pass, child, inside, align);
  const limits = heightRange(child, inside.heightBasis, pass);
  const fixed = pixels(style.height, inside.heightBasis);
  let base: number;
  let { min } = limits;
  if (fixed !== undefined) base = fixed;
  else if (isShare(style.height)) base = 0;
  else {
    let least: number;
    if (style.aspect === undefined || child.content.type === 'picture') {
      base = layOut(pass, child, free(width, measured)).height;
      least = base;
    } else {
      // §9.2.3 B: from its width.
      base = heightByRatio(pass, child, width);
      least = leastByRatio(pass, child, width, { ratio: base, limits, of: inside.width, measured });
    }
    if (style.minHeight === undefined && !givesWayFully(child)) min = plainClamp(least, min, limits.max);
  }
  const item = makeItem(pass, child, align, {
    size: style.height,
    base,
    min,
    max: limits.max,
    frame: frameHeight(child),
    margin: down(style.margin),
  });
  // Its width is what counts until its height is known.
  item.x = width;
  return item;
}

/**
 * Border-box width of a column's child.
 *
 * @param room what a stretched one fills, undefined where that is not yet known; the room for one by content.
 */
export function columnItemWidth(
  pass: Pass,
  child: Box,
  align: Align,
  inside: FlexInside,
  { fill, available }: { readonly fill: number | undefined; readonly available: number },
): number {
  const { style } = child;
  const limits = widthRange(child, inside.width, pass);
  const margin = across(style.margin);
  const fixed = pixels(style.width, inside.width);
  let width: number;
  if (fixed !== undefined) width = fixed;
  else if (fill !== undefined && fills(style.width, align)) width = fill - margin;
  else {
    const height = knownHeight(pass, child, inside);
    // How many columns a grid repeats follows from numbers among its height limits only (as browsers do it).
    const carried = carriesAcross(child) ? 'numbers' : 'none';
    // Nothing is known of heights when a column asks what is in it, unless that was asked before with the column's own.
    const heightOf = asksAfresh(child) || inside.measured ? inside.heightBasis : undefined;
    const given = { height, widthOf: inside.width, isLate: isLate(child, inside) };
    let widths = widthsWithin(pass, child, { ...given, heightOf, carried });
    if (height !== undefined && hasRatio(child)) {
      const byHeight = widthByRatio(pass, child, height);
      const kept = keepsWidthOf(child)
        ? pass.larger(child, 'least', byHeight, leastAcross(pass, child, given, inside))
        : byHeight;
      widths = { min: kept, max: kept };
    }
    const room = available - margin;
    pass.within(child, 'fit', room, around(room, widths.min, widths.max));
    width = plainMin(widths.max, plainMax(widths.min, room));
  }
  pass.held(child, width, limits.min, limits.max);
  return plainClamp(width, limits.min, limits.max);
}

/** Which of the three ranges that two bounds cut a value lies in. */
export function around(value: number, low: number, high: number): Between {
  if (value < low) return { low: -Infinity, high: low, jump: false };
  return value > high ? { low: high, high: Infinity, jump: false } : { low, high, jump: false };
}

/**
 * A column's child at its final height.
 *
 * @param filled the room that a stretched one fills, and the room for one by content. In a column of several lines
 *   that is its line, which is not known before each child has been laid out once.
 */
export function layColumnItem(
  pass: Pass,
  item: Item,
  inside: FlexInside,
  filled = inside.content.wrap ? undefined : inside.width,
): Laid {
  // A share starts from a definite 0, so what it grows to is definite too (§9.8), whatever its column is.
  const { height } = item.box.style;
  const isKnown = isShare(height) || pixels(height, inside.heightBasis) !== undefined;
  const isDefinite = inside.heightBasis !== undefined || item.box.style.aspect !== undefined || isKnown;
  let known: true | 'late';
  if (typeof height === 'number') known = true;
  else if (isShare(height)) known = knownShare(pass, item.box, inside);
  // What is not known was found out by laying it out.
  else known = isKnown ? inside.known : 'late';
  const width = widthAtHeight(pass, item, inside, isDefinite && known, filled);
  const measured = measuredIn(pass, item.box, inside, item.align);
  return layOut(pass, item.box, at(width, item.main, isDefinite && known, measured));
}

/** Whether content holds up a width by ratio beside a percentage of a height, even one that counts for nothing (as browsers do it). */
const isHeldAcross = (box: Box): boolean =>
  box.style.aspect !== undefined && isFraction(box.style.height) && keepsWidthOf(box);

/** The smallest content that holds up the width by ratio of a column's child. */
const leastAcross = (pass: Pass, child: Box, given: Given, { heightBasis }: FlexInside): number =>
  leastByContent(
    pass,
    child,
    carriesAcross(child) ? { ...given, carried: 'all', heightOf: heightBasis } : given,
  );

/**
 * The width of a column's child once its height is final: with a ratio and no width of its own it keeps the ratio;
 * one by content follows from what is inside at that height.
 */
function widthAtHeight(
  pass: Pass,
  { box, align, main, x: width }: Item,
  inside: FlexInside,
  known: Definite,
  filled: number | undefined,
): number {
  const { style } = box;
  const isFilled = filled !== undefined && fills(style.width, align);
  if (!box.widthAsksHeight || pixels(style.width, inside.width) !== undefined || isFilled) return width;
  const limits = widthRange(box, inside.width, pass);
  if (!hasRatio(box)) {
    // What does not ask again keeps the width that it had on the way; a share was not asked there.
    if (!known) return width;
    if (!asksAfresh(box) && !(isShare(style.height) && known === true)) return width;
    const isLate = known === 'late';
    const widths = contentWidths(pass, box, { height: main, widthOf: inside.width, isLate });
    const room = (filled ?? inside.width) - across(style.margin);
    pass.sign(box, 'fit', room - widths.max);
    pass.sign(box, 'fit', room - widths.min);
    const fitting = plainMin(widths.max, plainMax(widths.min, room));
    pass.held(box, fitting, limits.min, limits.max);
    return plainClamp(fitting, limits.min, limits.max);
  }
  // A number was looked at with the width; beside a percentage content holds up what the ratio says, even where the
  // percentage counts for nothing (as browsers do it).
  if (typeof style.height === 'number') return width;
  let byHeight = widthByRatio(pass, box, main);
  if (isHeldAcross(box)) {
    const isAsked = contentAsksAgain(box) || pixels(style.height, inside.heightBasis) !== undefined;
    const given = {
      height: isAsked ? main : undefined,
      widthOf: inside.width,
      isLate: known === 'late',
    };
    const least = leastAcross(pass, box, given, inside);
    byHeight = pass.larger(box, 'least', byHeight, least);
  }
  pass.held(box, byHeight, limits.min, limits.max);
  return plainClamp(byHeight, limits.min, limits.max);
}
