/** What is known of a child's height when its row or column asks it for its width, and since when. */

import type { Align } from '../../values/css.ts';
import { layOut } from '../ask.ts';
import type { Box } from '../box.ts';
import { free, type Measured } from '../laid.ts';
import { plainClamp } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import { fills, frameHeight, frameWidth, heightRange, isByContent, pixels } from '../sizes.ts';
import { heightWithin } from '../widths.ts';
import type { FlexInside } from './inside.ts';

/**
 * Whether a child is asked for its width by content before it is laid out: with its container, or by it.
 *
 * @param align how it lies across.
 */
export function measuredIn(pass: Pass, child: Box, inside: FlexInside, align: Align): Measured {
  const { width, aspect } = child.style;
  if (!child.keepsAnswer || typeof width === 'number') return false;
  // Lines of columns are as wide as what is in them.
  const isFilled = !inside.row && !inside.content.wrap && fills(width, align);
  if (!inside.measured && (!isByContent(width) || isFilled)) return false;
  const isKnown = aspect !== undefined && inside.known === true;
  return isKnown && knownHeight(pass, child, inside) !== undefined ? 'known' : 'free';
}

/**
 * How the height is known that a child with a share of a column comes to: not when the column was asked for its width by
 * content. One that was laid out at a free height before had the same shares then, if it was as high.
 */
export function knownShare(
  pass: Pass,
  child: Box,
  { box, width, height, known, measured }: FlexInside,
): true | 'late' {
  if (measured && child.keepsAnswer && typeof child.style.width !== 'number') return 'late';
  if (known === true || !child.keepsAnswer) return known;
  const before = layOut(pass, box, free(width + frameWidth(box), false));
  return pass.equal(box, 'least', before.height, height + frameHeight(box)) ? true : 'late';
}

/** Whether what is known of a child's height was not when it was asked first. */
export const isLate = ({ style }: Box, { known }: FlexInside): boolean =>
  known === 'late' && typeof style.height !== 'number';

/**
 * The border-box height of a child whose width may follow from it, where its container knows that before it is laid out
 * (§9.2.3 B, §9.8).
 */
export function knownHeight(pass: Pass, child: Box, inside: FlexInside): number | undefined {
  if (!child.widthAsksHeight) return undefined;
  const range = heightRange(child, inside.heightBasis, pass);
  const height =
    inside.heightBasis === undefined
      ? pixels(child.style.height, undefined)
      : heightWithin(pass, child, inside.content, inside.heightBasis);
  if (height === undefined) return undefined;
  pass.held(child, height, range.min, range.max);
  return plainClamp(height, range.min, range.max);
}
