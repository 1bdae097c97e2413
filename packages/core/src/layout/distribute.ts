/** Resolving flexible lengths: how the room on one line is shared out (CSS Flexbox 1 §9.7). */
import { roundUnit } from '../text/units.ts';
import { clamp, type Range } from './sizes.ts';

/** One item of a line. Lengths are border-box px along the main axis. */
export interface FlexItem {
  /** Size before growing or shrinking (flex base size). */
  readonly base: number;
  /** Parts of the left-over room it takes. */
  readonly grow: number;
  /** 1 where it gives way when room is short, else 0. */
  readonly shrink: number;
  /** What counts for shrinking: the base size without padding and border. */
  readonly shrinkBase: number;
  readonly range: Range;
  /** Margins at both ends. */
  readonly margin: number;
}

/**
 * Shares out a line's room.
 *
 * @param items the items of one line, in order.
 * @param room the inner main size of the container, without the gaps of the line.
 * @returns each item's border-box size.
 */
export function distribute(items: readonly FlexItem[], room: number): number[] {
  const hypothetical = items.map((item) => clamp(item.base, item.range));
  const wanted = items.reduce((sum, item, index) => sum + hypothetical[index]! + item.margin, 0);
  const growing = wanted < room;
  const factor = (item: FlexItem) => (growing ? item.grow : item.shrink);
  const sizes = [...hypothetical];
  const frozen = items.map(
    (item, index) =>
      factor(item) === 0 || (growing ? item.base > hypothetical[index]! : item.base < hypothetical[index]!),
  );
  const freeSpace = () =>
    items.reduce(
      (left, item, index) => left - item.margin - (frozen[index] ? sizes[index]! : item.base),
      room,
    );
  const initial = freeSpace();

  while (frozen.includes(false)) {
    let free = freeSpace();
    const open = items.map((_, index) => index).filter((index) => !frozen[index]);
    const factors = open.reduce((sum, index) => sum + factor(items[index]!), 0);
    // Factors that add up to less than one leave part of the room unused.
    if (factors < 1 && Math.abs(initial * factors) < Math.abs(free)) free = initial * factors;
    const weight = growing
      ? factors
      : open.reduce((sum, index) => sum + items[index]!.shrink * items[index]!.shrinkBase, 0);

    let violation = 0;
    const unclamped = new Map<number, number>();
    for (const index of open) {
      const item = items[index]!;
      let extra = 0;
      if (growing && free > 0) extra = (free * item.grow) / weight;
      else if (!growing && free < 0 && weight > 0) extra = (free * item.shrink * item.shrinkBase) / weight;
      const size = item.base + roundUnit(extra);
      unclamped.set(index, size);
      sizes[index] = clamp(size, item.range);
      violation += sizes[index]! - size;
    }
    for (const index of open) {
      const change = sizes[index]! - unclamped.get(index)!;
      if (violation === 0 || (violation > 0 ? change > 0 : change < 0)) frozen[index] = true;
    }
  }
  return sizes;
}
