/** The part of a stretch of widths on which a measure is above 0, from its values at the two ends. */
import type { Ends, Measure } from './measures.ts';

/** From one width to another, CSS px; both ends included. */
export interface Interval {
  readonly from: number;
  readonly to: number;
}

const unit = 1 / 64;

/** The part of an interval on which a number is above 0 that moves linearly from one end to the other. */
function positive([a, b]: Ends, { from, to }: Interval): Interval | undefined {
  if (a > 0 && b > 0) return { from, to };
  if (a <= 0 && b <= 0) return undefined;
  const turn = from + ((to - from) * a) / (a - b);
  return a > 0
    ? { from, to: Math.min(to, Math.floor(turn / unit) * unit) }
    : { from: Math.max(from, Math.ceil(turn / unit) * unit), to };
}

function everyPositive(all: readonly Ends[], on: Interval): Interval | undefined {
  let { from, to } = on;
  for (const ends of all) {
    const part = positive(ends, on);
    if (!part) return undefined;
    from = Math.max(from, part.from);
    to = Math.min(to, part.to);
    if (from > to) return undefined;
  }
  return { from, to };
}

/** @returns the widths, in order, on which a measure says that something is wrong. */
export function wrongOn({ all, unlessAll }: Measure, on: Interval): Interval[] {
  const wrong = everyPositive(all, on);
  if (!wrong || !unlessAll) return wrong ? [wrong] : [];
  const meant = everyPositive(unlessAll, on);
  if (!meant) return [wrong];
  return [
    { from: wrong.from, to: Math.min(wrong.to, meant.from - unit) },
    { from: Math.max(wrong.from, meant.to + unit), to: wrong.to },
  ].filter(({ from, to }) => from <= to);
}

/** Intervals that touch each other, as one. @param apart how far they may be apart all the same, CSS px. */
export function united(intervals: readonly Interval[], apart = 2 * unit): Interval[] {
  const found: { from: number; to: number }[] = [];
  for (const { from, to } of intervals.toSorted((a, b) => a.from - b.from)) {
    const last = found.at(-1);
    if (last && from - last.to <= apart) last.to = Math.max(last.to, to);
    else found.push({ from, to });
  }
  return found;
}
