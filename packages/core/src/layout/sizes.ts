/** Reading sizes, limits, sides and ratios of a box. */

import { floorUnit } from '../text/units.ts';
import type { Align, Fraction, Limit, Share, Sides, Size } from '../values/css.ts';
import type { Box, PictureContent } from './box.ts';
import { plainClamp, plainMax, roomLeft } from './plain-limits.ts';
import type { Pass } from './record.ts';

export const across = (sides: Sides): number => sides.start + sides.end;
export const down = (sides: Sides): number => sides.top + sides.bottom;

/** Padding and border of both inline sides. */
export const frameWidth = ({ style }: Box): number => across(style.padding) + across(style.border);
/** Padding and border of both block sides. */
export const frameHeight = ({ style }: Box): number => down(style.padding) + down(style.border);
/** Padding and border above the content. */
export const frameTop = ({ style }: Box): number => style.padding.top + style.border.top;
/** Padding and border on the content's start side. */
export const frameStart = ({ style }: Box): number => style.padding.start + style.border.start;

export const isShare = (size: Size): size is Share => typeof size === 'object' && 'share' in size;
export const isFraction = (size: unknown): size is Fraction =>
  typeof size === 'object' && size !== null && 'fraction' in size;

/** Whether a size is by content: no number, nor a percentage or a share, of a known or an unknown size. */
export const isByContent = (size: Size): boolean => size === undefined || size === 'fit';

/**
 * A size or limit as px, where it is known.
 *
 * @param of what a percentage refers to; undefined where that is not known.
 */
export function pixels(size: Size | Limit, of: number | undefined): number | undefined {
  if (typeof size === 'number') return size;
  if (size === undefined || size === 'fit' || of === undefined) return undefined;
  return 'fraction' in size ? floorUnit(of * size.fraction) : undefined;
}

/** Least and greatest border-box sizes; the least wins over the greatest (CSS Sizing 3 §5.2). */
export interface Range {
  readonly min: number;
  readonly max: number;
}

/**
 * The width limits of a box; padding and border are always kept.
 *
 * @param of what percentages refer to, where that is known.
 * @param pass notes whether padding and border hold up a least width that is a part of something.
 */
export const widthRange = (box: Box, of: number | undefined, pass?: Pass): Range => ({
  min: heldUp(box, box.style.minWidth, frameWidth(box), of, pass),
  max: pixels(box.style.maxWidth, of) ?? Infinity,
});

/** The height limits of a box; as `widthRange`. */
export const heightRange = (box: Box, of: number | undefined, pass?: Pass): Range => ({
  min: heldUp(box, box.style.minHeight, frameHeight(box), of, pass),
  max: pixels(box.style.maxHeight, of) ?? Infinity,
});

/** The least size of a box, which its frame holds up. */
function heldUp(
  box: Box,
  least: Limit,
  frame: number,
  of: number | undefined,
  pass: Pass | undefined,
): number {
  const asked = pixels(least, of) ?? 0;
  if (pass && typeof least === 'object') pass.sign(box, 'least', asked - frame);
  return plainMax(frame, asked);
}

/** A height that a box has by itself, a number within its own limits; undefined where it has none. */
export function ownHeight(box: Box): number | undefined {
  const { height } = box.style;
  if (typeof height !== 'number') return undefined;
  const { min, max } = heightRange(box, undefined);
  return plainClamp(height, min, max);
}

/**
 * Whether a box is asked for its width by content anew once its height is known, as browsers do it: not a grid that repeats
 * rows, unless limits of its width are parts of something.
 */
export const asksAfresh = (box: Box): boolean => box.asksAgain || limitsWidthByParts(box);

/** Whether a limit of the width is a percentage. */
export const limitsWidthByParts = ({ style }: Pick<Box, 'style'>): boolean =>
  isFraction(style.minWidth) || isFraction(style.maxWidth);

/** Whether it is a grid whose height limits, parts of its container's height, count only where they are known at first. */
export const ignoresLateLimits = (box: Pick<Box, 'style' | 'content'>): boolean =>
  box.content.type === 'grid' &&
  box.style.aspect === undefined &&
  limitsHeightByParts(box) &&
  !limitsWidthByParts(box);

/** Whether a limit of the height is. */
export const limitsHeightByParts = ({ style }: Pick<Box, 'style'>): boolean =>
  isFraction(style.minHeight) || isFraction(style.maxHeight);

/** Whether one side of the box follows from the other. */
export const hasRatio = ({ style, content }: Box): boolean =>
  style.aspect !== undefined || content.type === 'picture';

/**
 * The border-box width that goes with a border-box height: by `aspect`, which counts for the border box, or by a
 * picture's own sides, which count for its content (CSS Sizing 4 §6.1). Only for boxes with a ratio.
 */
export function widthOfHeight(box: Box, height: number): number {
  const { aspect } = box.style;
  if (aspect !== undefined) return plainMax(frameWidth(box), floorUnit(height * aspect));
  const { content } = box;
  if (content.type !== 'picture') return height;
  return floorUnit((roomLeft(height - frameHeight(box)) * content.width) / content.height) + frameWidth(box);
}

/** The same; whether the frame holds it up is written down. */
export function widthByRatio(pass: Pass, box: Box, height: number): number {
  const { aspect } = box.style;
  pass.sign(
    box,
    'least',
    aspect === undefined ? height - frameHeight(box) : height * aspect - frameWidth(box),
  );
  return widthOfHeight(box, height);
}

/** Least and greatest widths that height limits carry over by an aspect ratio (CSS Sizing 4 §6.3). */
export function widthsByLimits(pass: Pass, box: Box, heightBasis: number | undefined): Range {
  const limits = heightRange(box, heightBasis, pass);
  const min = widthOfHeight(box, limits.min);
  return { min, max: limits.max < Infinity ? plainMax(min, widthOfHeight(box, limits.max)) : Infinity };
}

/** The border-box height that goes with a border-box width. Only for boxes with a ratio. */
export function heightOfWidth(box: Box, width: number): number {
  const { aspect } = box.style;
  if (aspect !== undefined) return plainMax(frameHeight(box), floorUnit(width / aspect));
  const { content } = box;
  if (content.type !== 'picture') return width;
  return floorUnit((roomLeft(width - frameWidth(box)) * content.height) / content.width) + frameHeight(box);
}

/** Whether a size across fills the room: a share always, an absent one where it is stretched. */
export const fills = (size: Size, align: Align): boolean =>
  isShare(size) || (size === undefined && align === 'stretch');

/**
 * A picture's border-box width by its own size, its height limits carried over (CSS Sizing 4 §6.3).
 *
 * @param of what percentage heights refer to, where that is known.
 */
export function pictureWidth(pass: Pass, box: Box, content: PictureContent, of: number | undefined): number {
  const range = heightRange(box, of, pass);
  const fixed = pixels(box.style.height, of);
  const width = content.width + frameWidth(box);
  const height = fixed ?? heightOfWidth(box, width);
  const clamped = pass.clamp(box, height, range.min, range.max);
  return fixed === undefined && clamped === height ? width : widthByRatio(pass, box, clamped);
}
