/** Lines that items of a grid share: baselines of a row, edges of a column (CSS Align 3 §9). */
import type { Box, GridContent } from '../box.ts';
import type { Laid } from '../laid.ts';
import type { Pass } from '../record.ts';
import { alignOf, justifyOf } from './areas.ts';
import type { Placed } from './placement.ts';

const upTo = (laid: Laid, { box }: Placed) => box.style.margin.top + (laid.baseline ?? laid.height);

/** The lowest baseline of each row's baseline-aligned items, from the row's top. */
export function sharedBaselines(
  pass: Pass,
  content: GridContent,
  items: readonly Placed[],
  laid: readonly Laid[],
): Map<number, number> {
  const shared = new Map<number, number>();
  for (const [index, item] of items.entries()) {
    if (alignOf(item.box, content) !== 'baseline') continue;
    const up = upTo(laid[index]!, item);
    pass.sign(item.box, 'largest', (shared.get(item.row) ?? 0) - up);
    shared.set(item.row, Math.max(shared.get(item.row) ?? -Infinity, up));
  }
  return shared;
}

export const baselineShift = (laid: Laid, item: Placed, shared: ReadonlyMap<number, number>): number =>
  Math.max(0, (shared.get(item.row) ?? 0) - upTo(laid, item));

/**
 * Along the inline axis the baseline of a horizontal text is its line-left edge (Align 3 §9.1): from an item's start,
 * with its margin.
 */
export const edgeOffset = ({ rightToLeft }: GridContent, { style }: Box, width: number): number =>
  style.margin.start + (rightToLeft ? width : 0);

/** The farthest such edge of each column's items that are aligned by it. */
export function sharedEdges(
  content: GridContent,
  items: readonly Placed[],
  widths: readonly number[],
): Map<number, number> {
  const shared = new Map<number, number>();
  for (const [index, { box, column }] of items.entries())
    if (justifyOf(box, content) === 'baseline')
      shared.set(column, Math.max(shared.get(column) ?? -Infinity, edgeOffset(content, box, widths[index]!)));
  return shared;
}

/** §10.6: from the first row that has items: one that takes part in baseline alignment, else the first. */
export function gridBaseline(
  content: GridContent,
  items: readonly Placed[],
  children: readonly Laid[],
  places: readonly number[],
): number | undefined {
  if (items.length === 0) return undefined;
  const row = Math.min(...items.map((item) => item.row));
  const first = items
    .map((item, index) => ({ item, index }))
    .filter(({ item }) => item.row === row)
    .toSorted((a, b) => a.item.column - b.item.column);
  const leader = first.find(({ item }) => alignOf(item.box, content) === 'baseline') ?? first[0]!;
  const laid = children[leader.index]!;
  return places[2 * leader.index + 1]! + (laid.baseline ?? laid.height);
}
