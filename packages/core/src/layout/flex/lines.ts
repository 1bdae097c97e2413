/** Lines of children (CSS Flexbox 1 §9.3), how long they are, and how far they reach across (§9.4.8). */

import type { Box } from '../box.ts';
import { gapsBetween } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import { across, down } from '../sizes.ts';
import { hypothetical } from './distribute.ts';
import type { Item } from './inside.ts';

/** Collects items into lines (§9.3). */
export function breakLines(pass: Pass, items: Item[], room: number, gap: number): Item[][] {
  const lines: Item[][] = [];
  let length = 0;
  for (const item of items) {
    const size = hypothetical(item) + item.margin;
    const line = lines.at(-1);
    if (line && room < Infinity) pass.sign(item.box, 'wrap', room - (length + gap + size), true);
    if (line && length + gap + size <= room) {
      line.push(item);
      length += gap + size;
    } else {
      lines.push([item]);
      length = size;
    }
  }
  return lines;
}

/** How long a line is before its room is shared out, gaps included. */
export function lengthOf(line: readonly Item[], gap: number): number {
  let length = gapsBetween(line.length, gap);
  for (const item of line) length += hypothetical(item) + item.margin;
  return length;
}

/** How high lines are: rows one below another, columns beside each other. */
export function heightOfLines(
  pass: Pass,
  box: Box,
  lengths: readonly number[],
  row: boolean,
  gap: number,
): number {
  let total = 0;
  for (const length of lengths) total = row ? total + length : pass.larger(box, 'largest', total, length);
  return row ? total + gapsBetween(lengths.length, gap) : total;
}

export const outerCross = (item: Item, row: boolean) =>
  row ? item.laid.height + down(item.box.style.margin) : item.laid.width + across(item.box.style.margin);

const baselineOf = (item: Item) => item.laid.baseline ?? item.laid.height;

/** The cross size that a line's items need (§9.4.8). */
export function lineCross(pass: Pass, line: readonly Item[], row: boolean): number {
  let largest = 0;
  let above = -Infinity;
  let below = -Infinity;
  for (const item of line) {
    const { box } = item;
    const outer = outerCross(item, row);
    if (item.align === 'baseline') {
      const up = box.style.margin.top + baselineOf(item);
      above = pass.larger(box, 'largest', above, up);
      below = pass.larger(box, 'largest', below, outer - up);
    } else largest = pass.larger(box, 'largest', largest, outer);
  }
  if (above === -Infinity) return largest;
  return pass.larger(line[0]!.box, 'largest', largest, above + below);
}

/** From the top of a row item's margin box to its baseline. */
export const baselineOffset = (item: Item): number => item.box.style.margin.top + baselineOf(item);

/** From a line's start to the baseline that its items share. */
export function lineBaseline(pass: Pass, line: readonly Item[]): number {
  let most = -Infinity;
  for (const item of line)
    if (item.align === 'baseline') most = pass.larger(item.box, 'largest', most, baselineOffset(item));
  return most;
}
