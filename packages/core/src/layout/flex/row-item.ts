/** A child of a row: first its width, then its height (CSS Flexbox 1 §9.2, §9.4.7). */

import { layByContent, layOut } from '../ask.ts';
import type { Box } from '../box.ts';
import { fixed as at, free, type Laid } from '../laid.ts';
import { plainClamp } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import {
  across,
  frameWidth,
  hasRatio,
  heightRange,
  isShare,
  pixels,
  widthByRatio,
  widthRange,
} from '../sizes.ts';
import { givesWayFully, leastByContent, widthsWithin } from '../widths.ts';
import type { FlexInside, Item } from './inside.ts';
import { alignOf, makeItem } from './item.ts';
import { isLate, knownHeight, measuredIn } from './known.ts';

/** A child of a row: its flex base size and limits along the width (§9.2). */
export function rowItem(pass: Pass, child: Box, inside: FlexInside): Item {
  const { style } = child;
  const align = alignOf(child, inside.content, style.height);
  const limits = widthRange(child, inside.width, pass);
  const fixed = pixels(style.width, inside.width);
  let base: number;
  let { min } = limits;
  if (fixed !== undefined) base = fixed;
  else if (isShare(style.width)) base = 0;
  else {
    const height = knownHeight(pass, child, inside);
    const byHeight = height !== undefined && hasRatio(child) ? widthByRatio(pass, child, height) : undefined;
    const given = {
      height,
      widthOf: inside.width,
      heightOf: inside.heightBasis,
      carried: 'all',
      isLate: isLate(child, inside),
    } as const;
    const widths = widthsWithin(pass, child, given);
    base = byHeight ?? widths.max;
    // §4.5: the automatic minimum is the smallest content size, no greater than the own maximum.
    if (style.minWidth === undefined && !givesWayFully(child)) {
      const least =
        child.content.type === 'picture' || byHeight === undefined
          ? (byHeight ?? widths.min)
          : pass.larger(child, 'least', byHeight, leastByContent(pass, child, given));
      min = pass.clamp(child, least, min, limits.max);
    }
  }
  return makeItem(pass, child, align, {
    size: style.width,
    base,
    min,
    max: limits.max,
    frame: frameWidth(child),
    margin: across(style.margin),
  });
}

/** A row's child at its final width, as high as it would like to be (§9.4.7). */
export function layRowItem(pass: Pass, { box: child, main, align }: Item, inside: FlexInside): Laid {
  const limits = heightRange(child, inside.heightBasis, pass);
  const measured = measuredIn(pass, child, inside, align);
  const fixed = pixels(child.style.height, inside.heightBasis);
  if (fixed !== undefined) {
    pass.held(child, fixed, limits.min, limits.max);
    const known = typeof child.style.height === 'number' ? true : inside.known;
    const height = plainClamp(fixed, limits.min, limits.max);
    return layOut(pass, child, at(main, height, known, measured));
  }
  return layByContent(pass, child, free(main, measured, inside.heightBasis), limits).laid;
}
