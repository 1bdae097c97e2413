/** What items ask of the tracks they stand in (CSS Grid 1 §12.5). */

import { numberAt } from '../../sure.ts';
import { layOut } from '../ask.ts';
import type { Box, GridContent } from '../box.ts';
import { fixed as at, type Laid, type Widths } from '../laid.ts';
import { plainClamp, plainMax, plainMin } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import {
  across,
  down,
  frameHeight,
  frameWidth,
  hasRatio,
  heightRange,
  pixels,
  widthByRatio,
  widthRange,
} from '../sizes.ts';
import { contentWidths, contribution, isCompressible, keepsWidthOf, leastByContent } from '../widths.ts';
import { carriedOf } from './areas.ts';
import { baselineShift, sharedBaselines } from './baselines.ts';
import type { Placed, Placement } from './placement.ts';
import { type Contributor, isFlexible, type SizedTrack } from './sized-tracks.ts';

const isAutoLeast = ({ track }: SizedTrack) => track.min === 'auto' || typeof track.min === 'object';

/** Whether an item's smallest content counts in the tracks it spans (Grid 1 §6.6). */
function hasAutomaticMinimum(box: Box, over: readonly SizedTrack[]): boolean {
  if (box.content.type === 'scroll') return false;
  if (!over.some(isAutoLeast)) return false;
  return over.length === 1 || !over.some(({ track }) => isFlexible(track));
}

/**
 * Items as the sizing of columns sees them.
 *
 * @param known border-box widths of items that follow from the height of their rows.
 */
export function columnContributors(
  pass: Pass,
  content: GridContent,
  placement: Placement,
  tracks: readonly SizedTrack[],
  known: ReadonlyMap<Placed, Widths> = new Map(),
): Contributor[] {
  return placement.items.map((item): Contributor => {
    const { box, column, columnSpan } = item;
    const { style } = box;
    const margin = across(style.margin);
    const byRow = known.get(item);
    const limits = widthRange(box, undefined);
    const outer = (width: number) => plainClamp(width, limits.min, limits.max) + margin;
    const widths = byRow
      ? { min: outer(byRow.min), max: outer(byRow.max) }
      : contribution(pass, box, false, { carried: carriedOf(box, content) });
    return {
      box,
      from: column,
      span: columnSpan,
      minContent: () => widths.min,
      maxContent: () => widths.max,
      minimum(limit) {
        // A size of its own: its smallest contribution. One by content or by the area: its least size.
        if (typeof style.width === 'number') return widths.min;
        if (typeof style.minWidth === 'number') return plainMax(style.minWidth, frameWidth(box)) + margin;
        const over = tracks.slice(column, column + columnSpan);
        if (style.minWidth !== undefined || !hasAutomaticMinimum(box, over)) return frameWidth(box) + margin;
        return plainMax(plainMin(widths.min, limit), frameWidth(box) + margin);
      },
    };
  });
}

/**
 * Widths by content of a box whose border-box height its rows give.
 *
 * @param isLate whether they were not known when it was asked first.
 */
export function widthsAtHeight(pass: Pass, box: Box, height: number, isLate: boolean): Widths {
  const given = { height, isLate, carried: 'none' } as const;
  const widths = contentWidths(pass, box, given);
  if (!hasRatio(box)) return widths;
  const width = widthByRatio(pass, box, height);
  const least = keepsWidthOf(box) ? leastByContent(pass, box, given) : 0;
  pass.sign(box, 'least', width - least);
  const max = plainMax(width, least);
  return { min: isCompressible(box) ? 0 : max, max };
}

/** Items as the sizing of rows sees them: their height by content at the width of their columns. */
export function rowContributors(
  pass: Pass,
  items: readonly Placed[],
  widths: readonly number[],
  rows: readonly SizedTrack[],
): Contributor[] {
  const shared = sharedBaselines(
    pass,
    items,
    items.map((item, index) => layForRow(pass, item, numberAt(widths, index))),
  );
  return items.map((item, index) => {
    const { box, row, rowSpan } = item;
    const { style } = box;
    const margin = down(style.margin);
    const laid = () => layForRow(pass, item, numberAt(widths, index));
    const height = () => laid().height + margin + shim();
    // §12.5 step 1: baseline-aligned items count with the room that lines them up.
    const shim = () => baselineShift(laid(), item, shared);
    return {
      box,
      from: row,
      span: rowSpan,
      minContent: height,
      maxContent: height,
      minimum(limit) {
        if (typeof style.height === 'number') return height();
        // Browsers leave the room that lines it up out of a least height that is given.
        if (typeof style.minHeight === 'number') return plainMax(style.minHeight, frameHeight(box)) + margin;
        const over = rows.slice(row, row + rowSpan);
        if (style.minHeight !== undefined || !hasAutomaticMinimum(box, over))
          return frameHeight(box) + margin;
        return plainMax(plainMin(height(), limit), frameHeight(box) + margin);
      },
    };
  });
}

/** An item as its row sees it while the row's size is not known. */
export function layForRow(pass: Pass, { box, measured }: Placed, width: number): Laid {
  const limits = heightRange(box, undefined);
  const fixed = pixels(box.style.height, undefined);
  const natural = layOut(pass, box, at(width, fixed ?? Number.NaN, fixed !== undefined, measured));
  pass.held(box, natural.height, limits.min, limits.max);
  const height = plainClamp(natural.height, limits.min, limits.max);
  return height === natural.height
    ? natural
    : layOut(pass, box, at(width, height, fixed !== undefined, measured));
}
