/**
 * Widths among which rounding decides for long: what is compared hardly changes with the width, and sizes that are cut to whole
 * 64ths let it turn again and again. Six items of 16.67 % on a line are such a thing: together 0.02 % too wide, which up to
 * 470 px is less than the part that is cut off. Windows are whole px wide, so each of these is laid out, and the last 64th before the
 * next; in between what is seen to turn is looked for, which rounding may undo and do again from one 64th to the next.
 */

import type { Box } from '../layout/box.ts';
import { type Compared, comparedIn, type Decision } from '../layout/differences.ts';
import type { Topic } from '../layout/record.ts';
import { numberAt } from '../sure.ts';
import { isWholeUnits, unit } from '../text/units.ts';
import type { Range } from './stretch.ts';

/** The slope below which a number in whole 64ths may go up and down. */
const leastSlope = 0.1;

/** How far a value is from a limit, CSS px. */
const beyond = ({ value, perPx }: Compared, limit: number): number => (value - limit) / perPx;

/**
 * How far on each side of where it turns rounding may decide, CSS px; 0 where it turns once.
 *
 * @param width how far apart the two are.
 */
export function reachOf(before: Compared, after: Compared, limit: number, width: number): number {
  const ends = [before, after].map((each) => beyond(each, limit));
  const slope = Math.abs(numberAt(ends, 1) - numberAt(ends, 0)) / width;
  const turnsOnce = slope >= leastSlope && !before.swings && ends.every(isWholeUnits);
  if (slope === 0 || turnsOnce) return 0;
  return (Math.max(before.terms, after.terms) * unit) / slope;
}

/** How far it may reach for each 64th to be looked at, CSS px. */
const mostLooked = 12;

/** What was seen to rise with the width, so that rounding decides only where each 64th is looked at: by box. */
export type Rising = Map<Box, Set<Topic>>;

/**
 * The whole px of a range among which rounding may decide, where those are more than can be looked at 64th by 64th.
 *
 * @param difference the first thing that is decided otherwise at its end; undefined where all is decided alike.
 * @param rising what is known to rise from wider ranges; more may come to it.
 */
export function roundingZone(
  { from, to }: Range,
  difference: Decision | undefined,
  rising: Rising,
): { readonly first: number; readonly last: number } | undefined {
  const width = to.width - from.width;
  if (width < 1) return undefined;
  for (const { box, question, before, after } of difference ? [difference] : comparedIn(from.laid, to.laid)) {
    if (!before.jump || rising.get(box)?.has(question)) continue;
    const off = Math.max(before.terms, after.terms) * unit;
    for (const limit of [before.low, before.high].filter(Number.isFinite)) {
      const [start, end] = [beyond(before, limit), beyond(after, limit)];
      // What does not rise by more than it may be off is close to the limit all the way, or nowhere.
      const isFlat = Math.abs(end - start) <= off;
      if (isFlat && Math.abs(start) > off) continue;
      const reach = isFlat ? width : reachOf(before, after, limit, width);
      if (reach <= mostLooked) {
        rising.set(box, (rising.get(box) ?? new Set()).add(question));
        continue;
      }
      const at = isFlat ? from.width : from.width + (start / (start - end)) * width;
      const first = Math.ceil(Math.max(from.width, at - reach));
      const last = Math.floor(Math.min(to.width, at + reach));
      if (first <= last) return { first, last };
    }
  }
  return undefined;
}
