/** Children of a container over each other. */
import type { Control } from '../document/types.ts';
import { inForce } from '../document/types.ts';
import type { ScreenBox } from '../layout/screen-layout.ts';
import { type Add, bottomOf, type Ended, rightOf, thereIs } from './ended.ts';
import { type Ends, leeway } from './measures.ts';

/** @param parts what stands in the container. */
export function overlaps(
  add: Add,
  { start: container }: Ended,
  parts: readonly Ended[],
  controls: ReadonlyMap<string, Control>,
): void {
  const inside = parts.filter(({ start }) => start.control !== undefined);
  // What stands in a row or column comes one after another, unless a margin pulls something out of its place.
  if (container.box.content.type === 'flex' && !inside.some(({ start }) => isPulled(start))) return;
  // Pairs that may lie over each other at one end of the stretch, or on the way from one to the other.
  const reaches = inside.map(reachOf).toSorted((a, b) => a.top - b.top || a.index - b.index);
  for (const [at, one] of reaches.entries())
    for (let next = at + 1; next < reaches.length; next++) {
      const other = reaches[next]!;
      if (other.top >= one.bottom) break;
      if (other.left >= one.right || one.left >= other.right) continue;
      const [a, b] = one.index < other.index ? [one, other] : [other, one];
      overlap(add, container, a.ended, b.ended, controls);
    }
}

/** One child over another: what says so itself is meant. */
function overlap(
  add: Add,
  container: ScreenBox,
  a: Ended,
  b: Ended,
  controls: ReadonlyMap<string, Control>,
): void {
  const isMeant = (box: ScreenBox) => {
    const props = controls.get(box.control!)?.props ?? {};
    return isPulled(box) || (inForce(props.col) !== undefined && inForce(props.row) !== undefined);
  };
  if (a.start.control === b.start.control || isMeant(a.start) || isMeant(b.start)) return;
  const by = (measured: (one: ScreenBox, other: ScreenBox) => number): Ends => [
    measured(a.start, b.start),
    measured(a.end, b.end),
  ];
  const all = [
    by((one, other) => rightOf(one) - other.x - leeway),
    by((one, other) => rightOf(other) - one.x - leeway),
    by((one, other) => bottomOf(one) - other.y - leeway),
    by((one, other) => bottomOf(other) - one.y - leeway),
  ];
  const least = (end: 0 | 1) => Math.min(...all.map((ends) => ends[end])) + leeway;
  add({
    check: 'overlap',
    severity: 'error',
    control: b.start.control!,
    other: a.start.control,
    all: [...all, ...thereIs(a), ...thereIs(b)],
    // On a pinboard a later one that lies wholly on another is put there: a badge on a card.
    ...(container.box.content.type === 'pinboard'
      ? {
          unlessAll: [
            by((one, other) => other.x - one.x + 1 / 64),
            by((one, other) => rightOf(one) - rightOf(other) + 1 / 64),
            by((one, other) => other.y - one.y + 1 / 64),
            by((one, other) => bottomOf(one) - bottomOf(other) + 1 / 64),
          ],
        }
      : {}),
    amount: [least(0), least(1)],
  });
}
/** Whether a margin pulls something over its neighbours. */
function isPulled({ box }: ScreenBox): boolean {
  const { top, end, bottom, start } = box.style.margin;
  return top < 0 || end < 0 || bottom < 0 || start < 0;
}

/** Where a box lies on its way from one end of a stretch to the other. */
const reachOf = (ended: Ended, index: number) => {
  const { start: a, end: b } = ended;
  return {
    index,
    ended,
    left: Math.min(a.x, b.x),
    right: Math.max(rightOf(a), rightOf(b)),
    top: Math.min(a.y, b.y),
    bottom: Math.max(bottomOf(a), bottomOf(b)),
  };
};
