/** Content widths of a grid: its columns sized with no room of their own (CSS Grid 1 §6.2). */
import type { Box, GridContent } from '../box.ts';
import type { Given, Widths } from '../laid.ts';
import type { Pass } from '../record.ts';
import {
  frameHeight,
  frameWidth,
  heightRange,
  isFraction,
  limitsWidthByParts,
  ownHeight,
  widthRange,
  widthsByLimits,
} from '../sizes.ts';
import { sizeAxes } from './axes.ts';
import { gapsOf } from './sizing.ts';
import { countTracks, explicitTracks, partsOf } from './tracks.ts';

/**
 * Whether limits of its width that are parts of something have to do with how wide a grid is by content: they decide how many
 * columns it repeats, and `auto` columns fill the least width before rows are asked (CSS Grid 1 §12.8).
 */
export const asksWidthLimits = (box: Box): boolean =>
  box.content.type === 'grid' &&
  limitsWidthByParts(box) &&
  (box.content.columns.some((part) => 'auto' in part) || (box.asksAgain && isFraction(box.style.minWidth)));

/**
 * Which limits of a grid's height bound its width by its ratio (CSS Sizing 4 §6.3), and so how many columns it repeats.
 * `numbers`: those that are no parts of a height.
 */
export type Carried = 'all' | 'numbers' | 'none';

/** Whether there are any. Not beside a part of a width (as browsers do it). */
export const carriesLimits = ({ style, content }: Box): boolean =>
  style.aspect !== undefined &&
  content.type === 'grid' &&
  !isFraction(style.width) &&
  (style.minHeight ?? style.maxHeight) !== undefined;

/** Whether they count where a box is not in a row: not where it says that its width is by content (`fit-content`), as browsers do it. */
export const carriesAcross = ({ style }: Box): boolean => style.width !== 'fit';

/** @param given `carried`: which of its height limits bound its width. */
export function gridWidths(
  pass: Pass,
  box: Box,
  content: GridContent,
  { height: known, widthOf, heightOf, carried = 'all', isLate = false }: Given,
): Widths {
  const frame = frameWidth(box);
  const { style } = box;
  const inner = (height: number) => Math.max(0, height - frameHeight(box));
  const own = widthRange(box, widthOf, pass);
  const byRatio =
    carried !== 'none' && carriesLimits(box)
      ? widthsByLimits(pass, box, carried === 'all' ? heightOf : undefined)
      : own;
  const limits = {
    min: Math.max(own.min, Math.min(own.max, byRatio.min)),
    max: Math.min(own.max, Math.max(own.min, byRatio.max)),
  };
  const least = Math.max(0, limits.min - frame);
  // As many columns as fit the width, or else the greatest one, where that is known (§7.2.3.2).
  const fixed = typeof style.width === 'number' ? style.width : undefined;
  const bound = fixed ?? limits.max;
  const room = bound < Infinity ? Math.max(0, bound - frame) : undefined;
  // A part of a greatest width is no size as long as content decides; one of a least width is.
  const percentOf = fixed === undefined ? partsOf(least) : room;
  const heights = heightRange(box, heightOf, pass);
  const asked = known ?? ownHeight(box);
  const high = asked === undefined ? undefined : inner(asked);
  const leastHeight = inner(heights.min);
  const mostHeight = Math.max(leastHeight, inner(heights.max));
  const rowRoom = high ?? (mostHeight < Infinity ? mostHeight : undefined);
  const width = (wanted: 'min-content' | 'max-content') => {
    const columnList = explicitTracks(content.columns, room, least, content.columnGap, percentOf);
    countTracks(pass, box, columnList);
    const rowParts = high ?? partsOf(leastHeight);
    const rowList = explicitTracks(content.rows, rowRoom, leastHeight, content.rowGap, rowParts);
    countTracks(pass, box, rowList);
    const { columns } = sizeAxes(pass, box, content, {
      columnList,
      rowList,
      columns: { room: undefined, wanted, least },
      rows: { room: high, wanted: 'max-content', least: leastHeight, most: mostHeight },
      measured: 'free',
      late: isLate,
    });
    return columns.reduce((sum, { base }) => sum + base, 0) + gapsOf(columns, content.columnGap) + frame;
  };
  const min = width('min-content');
  // What follows from rows may be more under the tighter constraint; then that is what the grid is as wide as.
  return { min, max: pass.larger(box, 'largest', width('max-content'), min) };
}
