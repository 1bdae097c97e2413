/** Content widths of a grid: its columns sized with no room of their own (CSS Grid 1 §6.2). */

import type { Box, GridContent } from '../box.ts';
import type { Given, Widths } from '../laid.ts';
import { plainClamp, plainMax, plainMin, roomLeft } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import { frameHeight, frameWidth, heightRange, ownHeight, widthRange, widthsByLimits } from '../sizes.ts';
import { sizeAxes } from './axes.ts';
import { carriesLimits } from './carried.ts';
import { gapsOf } from './sized-tracks.ts';
import { countTracks, explicitTracks, partsOf } from './tracks.ts';

/** @param given `carried`: which of its height limits bound its width. */
export function gridWidths(
  pass: Pass,
  box: Box,
  content: GridContent,
  { height: known, widthOf, heightOf, carried = 'all', isLate = false }: Given,
): Widths {
  const frame = frameWidth(box);
  const { style } = box;
  const inner = (height: number) => roomLeft(height - frameHeight(box));
  const own = widthRange(box, widthOf, pass);
  const byRatio =
    carried !== 'none' && carriesLimits(box)
      ? widthsByLimits(pass, box, carried === 'all' ? heightOf : undefined)
      : own;
  const limits = {
    min: plainClamp(byRatio.min, own.min, own.max),
    max: plainMin(own.max, plainMax(own.min, byRatio.max)),
  };
  const least = roomLeft(limits.min - frame);
  // As many columns as fit the width, or else the greatest one, where that is known (§7.2.3.2).
  const fixed = typeof style.width === 'number' ? style.width : undefined;
  const bound = fixed ?? limits.max;
  const room = bound < Infinity ? roomLeft(bound - frame) : undefined;
  // A part of a greatest width is no size as long as content decides; one of a least width is.
  const percentOf = fixed === undefined ? partsOf(least) : room;
  const heights = heightRange(box, heightOf, pass);
  const asked = known ?? ownHeight(box);
  const high = asked === undefined ? undefined : inner(asked);
  const leastHeight = inner(heights.min);
  const mostHeight = plainMax(leastHeight, inner(heights.max));
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
