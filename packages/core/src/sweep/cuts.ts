/** Sizes that are parts of others. Each is cut to a whole 64th of a px, so several of them are off by as many 64ths. */

import type { Box, BoxStyle } from '../layout/box.ts';
import { isFraction } from '../layout/sizes.ts';
import type { TrackListPart } from '../values/css.ts';

const isPart = ({ width, minWidth, maxWidth }: BoxStyle): boolean =>
  [width, minWidth, maxWidth].some(isFraction);

/** How many columns of a part of a list are parts of the grid; repeated ones as often as they may stand side by side. */
function cutsOf(part: TrackListPart): number {
  if (!('auto' in part)) return isFraction(part.min) || isFraction(part.max) ? 1 : 0;
  const fractions = part.tracks.flatMap(({ min, max }) => [max, min].filter(isFraction).slice(0, 1));
  const once = fractions.reduce((sum, { fraction }) => sum + fraction, 0);
  return once > 0 ? fractions.length * Math.max(1, Math.floor(1 / once)) : 0;
}

/** How many such sizes stand side by side in a box, at most. */
function cutsInLine({ content, children }: Box): number {
  const parts = children.filter(({ style }) => isPart(style)).length;
  if (content.type === 'flex' && content.direction === 'row') return parts;
  const tracks = content.type === 'grid' ? content.columns.reduce((sum, part) => sum + cutsOf(part), 0) : 0;
  return tracks + Math.min(1, parts);
}

/** How many 64ths of a px something in a box may be off at most, beside where it would be without cutting. */
export const cutsIn = (box: Box): number =>
  cutsInLine(box) + box.children.reduce((most, child) => Math.max(most, cutsIn(child)), 0);

/** Whether something in a box may be decided by such sizes: how many fit on a line, or how many tracks there are. */
export function decidesByCuts(box: Box): boolean {
  const { content, children } = box;
  const counts =
    content.type === 'flex'
      ? content.wrap
      : content.type === 'grid' && content.columns.some((part) => 'auto' in part);
  return (counts && cutsInLine(box) > 0) || children.some(decidesByCuts);
}
