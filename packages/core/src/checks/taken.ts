/** What was found wrong on a part of a stretch of widths. */
import { findingKey, type Where } from './finding.ts';
import type { Ends, Measure } from './measures.ts';
import { wrongOn } from './stretches.ts';

export interface Taken {
  /** What it is about; see `findingKey`. */
  readonly key: string;
  readonly measure: Measure;
  readonly where: Where;
  /** How much it is at the first and at the last of those widths. */
  readonly amount: Ends;
}

/** How much something is at its worst. */
export const worstOf = ({ amount }: Taken): number => Math.max(...amount);

/** A number that is linear from one width to another, at a third one. */
export const between = (from: number, to: number, [a, b]: Ends, width: number): number =>
  to > from ? a + ((b - a) * (width - from)) / (to - from) : a;

/** Where on a stretch something is wrong, and how much. */
export function takenOf(measure: Measure, stretch: Where): readonly Taken[] {
  const found = wrongOn(measure, stretch);
  if (found.length === 0) return nothing;
  const { from, to, textScale, orientation } = stretch;
  const { check, severity, control, other } = measure;
  const key = findingKey({ check, severity, control, other, attribute: undefined });
  const at = (width: number) => between(from, to, measure.amount, width);
  return found.map((on) => ({
    key,
    measure,
    where: { from: on.from, to: on.to, textScale, orientation },
    amount: [at(on.from), at(on.to)],
  }));
}

const nothing: readonly never[] = [];

/** The same on some of the widths only. */
export function within(taken: readonly Taken[], from: number, to: number): readonly Taken[] {
  return taken.flatMap((each): readonly Taken[] => {
    const { where, amount } = each;
    if (from <= where.from && where.to <= to) return [each];
    const first = Math.max(from, where.from);
    const last = Math.min(to, where.to);
    if (first > last) return nothing;
    const at = (width: number) => between(where.from, where.to, amount, width);
    return [{ ...each, where: { ...where, from: first, to: last }, amount: [at(first), at(last)] }];
  });
}
