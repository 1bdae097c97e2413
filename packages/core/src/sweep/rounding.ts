/**
 * Single widths at which rounding decides. Sizes are cut to whole 64ths of a px; where that is done to several of them, what is
 * compared goes up and down from one 64th to the next, and close to its limit it turns more than once. What was read off between
 * two layouts does not show that, so such widths are laid out one by one.
 */

import { allDifferences, type Decision } from '../layout/differences.ts';
import { itemAt, numberAt } from '../sure.ts';
import { unit } from '../text/units.ts';
import type { Change } from './change.ts';
import { reachOf } from './rounding-zone.ts';
import { boxesOf, numbersOf, type Point, type Range } from './stretch.ts';

/** A range, and what changed at its beginning: worked out when somebody asks. */
export interface Changed {
  readonly range: Range;
  /** What was decided otherwise in the range before. */
  readonly turned: () => readonly Decision[];
  readonly change: () => Change | undefined;
}

/** The same, and a layout at one of its widths that nothing is read off for. */
export interface Found extends Changed {
  readonly plain: (width: number) => Point;
  /** Whether so many sizes are cut that what moves evenly but for that is to be looked at each px. */
  readonly isCut: boolean;
}

/** How many cuts may add up, each at most a 64th of a px, for boxes to be where they are read off, to a tenth of a px. */
export const mostCuts = 5;

/** How wide a range is at most that is laid out at each 64th, CSS px. */
export const mostNarrow = 8 * unit;

/** Ranges as they are, but for the widths in them at which rounding decides. Those stand by themselves. */
export function* exactly(found: Iterable<Found>): Generator<Changed, void, void> {
  let last: Found | undefined;
  /** What is left of it. */
  let rest: Range | undefined;
  for (const next of found) {
    const steps = last ? stepsBeside(last.range, next) : 0;
    if (last && rest) {
      const { range, others } = trimmed({ ...last, range: rest }, 'end', steps);
      if (range) yield* narrowly({ ...last, range });
      yield* single(others, next);
    }
    const { range, others } = trimmed(next, 'start', steps);
    yield* single(others, next);
    last = next;
    rest = range;
  }
  if (last && rest) yield* narrowly({ ...last, range: rest });
}

/** Widths that stand by themselves, at each of which something changes. */
function* single(
  points: readonly Point[],
  { turned, change }: Pick<Changed, 'turned' | 'change'>,
): Generator<Changed, void, void> {
  for (const point of points)
    yield {
      turned,
      range: { from: point, to: point },
      change: () => {
        const first = change();
        return first && { ...first, width: point.width };
      },
    };
}

/** A range as it is; a narrow one, or one in which cuts add up, as layouts that nothing was read off for. */
function* narrowly({ plain, isCut, ...found }: Found): Generator<Changed, void, void> {
  const { from, to } = found.range;
  if (found.range.isPx || to.width - from.width > mostNarrow) {
    if (isCut && !found.range.isPx) yield* eachPx(plain, found);
    else yield found;
    return;
  }
  const count = Math.round((to.width - from.width) / unit) + 1;
  const points = Array.from({ length: count }, (_, index) => plain(from.width + index * unit));
  const range = { from: points[0]!, to: itemAt(points, -1) };
  if (points.every(isOn(range))) yield { ...found, range };
  else yield* single(points, found);
}

/** A range cut at each whole px. */
function* eachPx(plain: Found['plain'], { range, ...found }: Changed): Generator<Changed, void, void> {
  const { to } = range;
  let point = range.from;
  let change = found.change;
  while (point.width < to.width) {
    const next = plain(Math.min(Math.floor(point.width) + 1, to.width));
    // A 64th before the next one boxes are as good as there.
    const end = next.width === to.width ? next : { ...next, width: next.width - unit };
    yield { ...found, range: { from: point, to: end }, change };
    change = () => undefined;
    if (end === next) return;
    point = next;
  }
  yield { ...found, range: { from: point, to: point }, change };
}

/** Whether all boxes of a layout are where a range says, but for rounding. */
function isOn({ from, to }: Range): (point: Point) => boolean {
  const count = boxesOf(from.laid).length;
  const [start, end] = [from, to].map((point) => numbersOf(point, count, false));
  return (point) => {
    if (boxesOf(point.laid).length !== count) return false;
    const part = from.width === to.width ? 0 : (point.width - from.width) / (to.width - from.width);
    return numbersOf(point, count, false).every(
      (value, at) =>
        Math.abs(value - (numberAt(start!, at) * (1 - part) + numberAt(end!, at) * part)) <= 2 * unit,
    );
  };
}

/**
 * How many 64ths on both sides of where two ranges meet rounding may decide. None where nothing jumps there, or where what is
 * compared goes up in whole 64ths with the width: then it turns once.
 */
function stepsBeside(before: Range, { range: after, turned }: Changed): number {
  if (before.isPx || after.isPx) return 0;
  const far = turned().filter((each) => each.before.jump);
  if (far.length === 0) return 0;
  const width = after.to.width - before.from.width;
  return allDifferences(before.to.laid, after.from.laid)
    .filter((each) => each.before.jump)
    .reduce((steps, near) => Math.max(steps, stepsOf(near, far, width)), 0);
}

function stepsOf(near: Decision, far: readonly Decision[], width: number): number {
  const whole = far.find(({ box, question }) => box === near.box && question === near.question);
  if (!whole) return near.before.terms;
  const { low, high } = near.before;
  const limit = near.after.value >= high ? high : low;
  return Math.ceil(reachOf(whole.before, whole.after, limit, width) / unit);
}

/**
 * A range without the widths beside one of its ends that rounding decides otherwise.
 *
 * @param steps how many 64ths to look at.
 * @returns what is left of it, if anything, and the layouts at the others, from left to right.
 */
function trimmed(
  { range, plain }: Found,
  end: 'start' | 'end',
  steps: number,
): { readonly range: Range | undefined; readonly others: readonly Point[] } {
  const { from, to } = range;
  if (steps === 0 || to.width - from.width <= mostNarrow) return { range, others: [] };
  const fits = isOn(range);
  const points: Point[] = [];
  let astray = 0;
  for (let step = 0; step <= steps; step++) {
    const width = end === 'end' ? to.width - step * unit : from.width + step * unit;
    if (width < from.width || width > to.width) break;
    const point = plain(width);
    points.push(point);
    if (!fits(point)) astray = points.length;
  }
  if (astray === 0) return { range, others: [] };
  const others = points.slice(0, astray);
  // What is left begins one further, also where nothing was looked at any more.
  const width = end === 'end' ? to.width - astray * unit : from.width + astray * unit;
  const isInside = from.width <= width && width <= to.width;
  const next = isInside ? (points[astray] ?? plain(width)) : undefined;
  if (end === 'start') return { range: next && { from: next, to }, others };
  return { range: next && { from, to: next }, others: others.toReversed() };
}
