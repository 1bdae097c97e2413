/** Baselines that the items of a grid's row share (CSS Align 3 §9). */

import { numberAt } from '../../sure.ts';
import type { Track } from '../../values/css.ts';
import type { GridContent } from '../box.ts';
import type { Laid } from '../laid.ts';
import { plainMax, roomLeft, smallestOf } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import { isFraction } from '../sizes.ts';
import { alignOf } from './areas.ts';
import type { Placed } from './placement.ts';

const upTo = (laid: Laid, { box }: Placed) => box.style.margin.top + (laid.baseline ?? laid.height);

/**
 * Which baselines of an item take part in its row's alignment. Where its height is a part of a row that is itself sized
 * by content, only one of its own does, not one that its lower edge stands for (Grid 1 §10.6); it starts at the row's
 * start then.
 *
 * @param over the rows that it stands in.
 * @param isKnown whether parts in their sizes refer to something; else such rows are sized by content.
 */
export function baselineOf(
  { box }: Placed,
  content: GridContent,
  over: readonly Track[],
  isKnown: boolean,
): Placed['baseline'] {
  if (alignOf(box, content) !== 'baseline') return 'none';
  const { height, minHeight, maxHeight } = box.style;
  if (![height, minHeight, maxHeight].some(isFraction)) return 'any';
  const fixed = (breadth: Track['min']) => typeof breadth === 'number' || (isKnown && isFraction(breadth));
  return over.every(({ min, max }) => fixed(min) && fixed(max)) ? 'any' : 'its own';
}

const takesPart = ({ baseline }: Placed, laid: Laid): boolean =>
  baseline === 'any' || (baseline === 'its own' && laid.baseline !== undefined);

/** The lowest baseline of each row's baseline-aligned items, from the row's top. */
export function sharedBaselines(
  pass: Pass,
  items: readonly Placed[],
  laid: readonly Laid[],
): Map<number, number> {
  const shared = new Map<number, number>();
  for (const [index, item] of items.entries()) {
    if (!takesPart(item, laid[index]!)) continue;
    const up = upTo(laid[index]!, item);
    pass.sign(item.box, 'largest', (shared.get(item.row) ?? 0) - up);
    shared.set(item.row, plainMax(shared.get(item.row) ?? -Infinity, up));
  }
  return shared;
}

/** How far an item moves down in its row. */
export const baselineShift = (laid: Laid, item: Placed, shared: ReadonlyMap<number, number>): number =>
  takesPart(item, laid) ? roomLeft((shared.get(item.row) ?? 0) - upTo(laid, item)) : 0;

/** §10.6: from the first row that has items: one that takes part in baseline alignment, else the first. */
export function gridBaseline(
  items: readonly Placed[],
  children: readonly Laid[],
  places: readonly number[],
): number | undefined {
  if (items.length === 0) return undefined;
  const row = smallestOf(items.map((item) => item.row));
  const first = items
    .map((item, index) => ({ item, index }))
    .filter(({ item }) => item.row === row)
    .toSorted((a, b) => a.item.column - b.item.column);
  const leader = first.find(({ item, index }) => takesPart(item, children[index]!)) ?? first[0]!;
  const laid = children[leader.index]!;
  return numberAt(places, 2 * leader.index + 1) + (laid.baseline ?? laid.height);
}
