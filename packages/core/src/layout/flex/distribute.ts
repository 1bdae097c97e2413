/** Resolving flexible lengths: how the room on one line is shared out (CSS Flexbox 1 §9.7). */

import { roundUnit } from '../../text/units.ts';
import type { Box } from '../box.ts';
import { plainClamp } from '../plain-limits.ts';
import type { Pass } from '../record.ts';

/** One item of a line. Lengths are border-box px along the main axis. */
export interface FlexItem {
  readonly box: Box;
  /** Size before growing or shrinking (flex base size). */
  readonly base: number;
  /** Least and greatest size. */
  readonly min: number;
  readonly max: number;
  /** Parts of the left-over room it takes. */
  readonly grow: number;
  /** 1 where it gives way when room is short, else 0. */
  readonly shrink: number;
  /** What counts for shrinking: the base size without padding and border. */
  readonly shrinkBase: number;
  /** Margins at both ends. */
  readonly margin: number;
  /** The size it gets. */
  main: number;
  /** Whether its size is settled. */
  frozen: boolean;
  /** What was left, and to how many parts, when its own size was settled. */
  left: number;
  allParts: number;
  /** In which turn of the loop that was; 0: before it. */
  turn: number;
  /** What happened to it in that turn. */
  change: 'grew' | 'gave way' | 'none';
}

/** An item's base size within its limits (hypothetical main size). */
export const hypothetical = (item: FlexItem): number => plainClamp(item.base, item.min, item.max);

/**
 * Shares out a line's room: sets each item's `main`.
 *
 * @param items the items of one line, in order.
 * @param room the inner main size of the container, without the gaps of the line.
 */
export function distribute(items: readonly FlexItem[], room: number, pass: Pass): void {
  let wanted = 0;
  let open = 0;
  for (const item of items) {
    item.main = hypothetical(item);
    wanted += item.main + item.margin;
  }
  const growing = wanted < room;
  // Where nothing is left, nothing grows.
  const [first] = items;
  if (!first) return;
  if (pass.log) pass.above(first.box, 'room', room - wanted);
  let initial = room;
  for (const item of items) {
    item.turn = 0;
    item.change = 'none';
    if (pass.log) pass.held(item.box, item.base, item.min, item.max);
    item.frozen =
      (growing ? item.grow : item.shrink) === 0 || (growing ? item.base > item.main : item.base < item.main);
    if (!item.frozen) open++;
    initial -= item.margin + (item.frozen ? item.main : item.base);
  }

  for (let turn = 1; open > 0; turn++) {
    let free = room;
    let factors = 0;
    let weight = 0;
    for (const item of items) {
      free -= item.margin + (item.frozen ? item.main : item.base);
      if (item.frozen) continue;
      factors += growing ? item.grow : item.shrink;
      weight += growing ? item.grow : item.shrink * item.shrinkBase;
    }
    // Factors that add up to less than one leave part of the room unused.
    if (factors < 1) {
      if (pass.log) pass.sign(first.box, 'room', Math.abs(free) - Math.abs(initial * factors));
      if (Math.abs(initial * factors) < Math.abs(free)) free = initial * factors;
    }
    if (pass.log) pass.sign(first.box, 'room', growing ? free : -free);
    const shares = growing ? free > 0 : free < 0 && weight > 0;

    let violation = 0;
    // In whole 64ths, the last item first, each its part of the room left by then, as browsers do it.
    let left = free;
    let leftParts = weight;
    for (let index = items.length - 1; index >= 0; index--) {
      const item = items[index]!;
      if (item.frozen) continue;
      const part = growing ? item.grow : item.shrink * item.shrinkBase;
      const change = shares && part > 0 ? roundUnit((left * part) / leftParts) : 0;
      left -= change;
      leftParts -= part;
      const size = item.base + change;
      item.main = plainClamp(size, item.min, item.max);
      item.left = shares ? free : 0;
      item.allParts = weight;
      item.turn = turn;
      item.change = shares ? (growing ? 'grew' : 'gave way') : 'none';
      violation += item.main - size;
      // Kept for the second look below: the size before its limits.
      unclamped.push(size);
      if (pass.log) pass.held(item.box, size, item.min, item.max);
    }
    if (pass.log && violation !== 0) pass.sign(first.box, 'room', violation);
    for (const item of items) {
      if (item.frozen) continue;
      const change = item.main - unclamped.pop()!;
      if (violation === 0 || (violation > 0 ? change > 0 : change < 0)) {
        item.frozen = true;
        open--;
      }
    }
  }
}

/** Sizes before their limits within one turn of the loop, the last item first; empty between turns. */
const unclamped: number[] = [];
