/** Reading sizes, limits and sides of a box. */
import { floorUnit } from '../text/units.ts';
import type { Box, Limit, Sides, Size } from './box.ts';

export const across = (sides: Sides): number => sides.start + sides.end;
export const down = (sides: Sides): number => sides.top + sides.bottom;

/** Padding and border of both inline sides. */
export const frameWidth = (box: Box): number => across(box.style.padding) + across(box.style.border);
/** Padding and border of both block sides. */
export const frameHeight = (box: Box): number => down(box.style.padding) + down(box.style.border);

export const isShare = (size: Size): size is { share: number } => typeof size === 'object' && 'share' in size;
export const isFraction = (size: Size | Limit): size is { fraction: number } =>
  typeof size === 'object' && 'fraction' in size;

/**
 * A size or limit as px, where it is known.
 *
 * @param of what a percentage refers to; undefined where that is not known.
 */
export function pixels(size: Size | Limit, of: number | undefined): number | undefined {
  if (typeof size === 'number') return size;
  if (isFraction(size) && of !== undefined) return floorUnit(of * size.fraction);
  return undefined;
}

/** Least and greatest border-box sizes; the least wins over the greatest (CSS Sizing 3 §5.2). */
export interface Range {
  readonly min: number;
  readonly max: number;
}

export const clamp = (value: number, range: Range): number => Math.max(range.min, Math.min(range.max, value));

/** The width limits of a box; padding and border are always kept. */
export function widthRange(box: Box, of: number | undefined): Range {
  const min = Math.max(frameWidth(box), pixels(box.style.minWidth, of) ?? 0);
  return { min, max: pixels(box.style.maxWidth, of) ?? Number.POSITIVE_INFINITY };
}

/** The height limits of a box; padding and border are always kept. */
export function heightRange(box: Box, of: number | undefined): Range {
  const min = Math.max(frameHeight(box), pixels(box.style.minHeight, of) ?? 0);
  return { min, max: pixels(box.style.maxHeight, of) ?? Number.POSITIVE_INFINITY };
}
