/** Where two layouts of one screen were decided differently. */

import { isWholeUnits, unit } from '../text/units.ts';
import { alikeOf } from './between.ts';
import type { Box } from './box.ts';
import { type Answer, Outcome, type Topic } from './record.ts';

/** A value that was compared, and the limits between which it comes out the same. */
export interface Compared extends Pick<Outcome, 'low' | 'high' | 'jump' | 'perPx' | 'terms'> {
  readonly value: number;
}

/** Something that is decided differently: about a box, at two widths. */
export interface Decision {
  readonly box: Box;
  readonly question: Topic;
  /** At the smaller and at the larger width. */
  readonly before: Compared;
  readonly after: Compared;
}

const compared = ({ low, high, jump, perPx, terms }: Outcome, value: number): Compared => ({
  value,
  low,
  high,
  jump,
  perPx,
  terms,
});

function decision(before: Outcome, value: number, after: Outcome, other: number): Decision {
  const { box, question } = before;
  return { box, question, before: compared(before, value), after: compared(after, other) };
}

/** Where the records stop being comparable without a decision before it having changed. */
export const unlike = 'unlike';

/**
 * Continuous decisions count as the same this close to where they change: sizes that are equal but for rounding
 * would otherwise change places all the time. CSS px.
 */
const closeness = 0.03;

function sameOutcome(a: Outcome, value: number, other: number): boolean {
  if (value === other || (other >= a.low && other < a.high)) return true;
  if (a.jump || other < a.low - closeness || other > a.high + closeness) return false;
  nearly = true;
  return true;
}

/** Whether something in the answers being compared counted as the same only because it is close to changing. */
let nearly = false;
/** Pairs of which that is so, as long as two answers are compared: each level of a nest asks about the next several times. */
const nearlyAlike = new Map<Answer, Set<Answer>>();
let depth = 0;

/**
 * The first decision in which two layouts differ, in the order in which they were made. All that was compared before
 * it had the same outcome, so up to there every size is linear in the screen's width. Where there is none, that is
 * kept with the answers.
 */
export function firstDifference(a: Answer, b: Answer): Decision | typeof unlike | undefined {
  if (areAlike(a, b)) return undefined;
  if (nearlyAlike.get(a)?.has(b)) {
    nearly = true;
    return undefined;
  }
  const around = nearly;
  nearly = false;
  depth += 1;
  const difference = compare(a, b);
  depth -= 1;
  // What is close to a change is alike to both sides of it, which are not to each other.
  if (difference === undefined) {
    if (!nearly) alikeOf(a)?.join(alikeOf(b)!);
    else if (depth > 0) nearlyAlike.set(a, (nearlyAlike.get(a) ?? new Set()).add(b));
  }
  if (depth === 0) nearlyAlike.clear();
  nearly ||= around;
  return difference;
}

function compare(a: Answer, b: Answer): Decision | typeof unlike | undefined {
  const left = a.record?.entries ?? [];
  const right = b.record?.entries ?? [];
  for (let index = 0; index < left.length; index++) {
    const before = left[index]!;
    const after = right[index];
    if (after === undefined) return unlike;
    if (before === after) continue;
    if (before instanceof Outcome) {
      if (!(after instanceof Outcome) || before.box !== after.box || before.question !== after.question)
        return unlike;
      const [value, other] = [a.record!.values[index]!, b.record!.values[index]!];
      if (!sameOutcome(before, value, other)) return decision(before, value, after, other);
    } else {
      if (after instanceof Outcome || before.box !== after.box) return unlike;
      const inside = firstDifference(before, after);
      if (inside) return inside;
    }
  }
  return right.length === left.length ? undefined : unlike;
}

/** Whether two answers of a box are known to be decided alike. */
const areAlike = (a: Answer, b: Answer): boolean => {
  if (a === b) return true;
  const set = alikeOf(a);
  return set !== undefined && set === alikeOf(b);
};

/** The last width at which a decision still comes out as at the smaller one, since what is compared is linear. */
export function turningPoint({ before, after }: Decision, from: number, to: number): number | undefined {
  const limit = after.value >= before.high ? before.high : before.low;
  const rise = after.value - before.value;
  if (rise === 0 || !Number.isFinite(limit)) return undefined;
  // A part of what is shared out in a row is rounded to 64ths, so it reaches a limit half a 64th before it.
  const isPart =
    Math.abs(rise) < 0.999 * (to - from) && (isWholeUnits(before.value) || isWholeUnits(after.value));
  const early = isPart ? (Math.sign(rise) * unit) / 2 : 0;
  const width = from + ((to - from) * (limit - early - before.value)) / rise;
  return Number.isFinite(width) ? Math.ceil(width * 64 - 1e-6) / 64 - unit : undefined;
}

/** All that was compared in two layouts that were decided alike. */
export function* comparedIn(a: Answer, b: Answer): Generator<Decision, void, void> {
  const visited = new Set<Answer>();
  function* visit(from: Answer, to: Answer): Generator<Decision, void, void> {
    if (from === to || visited.has(from)) return;
    visited.add(from);
    for (const [index, before] of (from.record?.entries ?? []).entries()) {
      const after = to.record?.entries[index];
      if (before instanceof Outcome && after instanceof Outcome)
        yield decision(before, from.record!.values[index]!, after, to.record!.values[index]!);
      else if (after !== undefined && !(before instanceof Outcome) && !(after instanceof Outcome))
        yield* visit(before, after);
    }
  }
  yield* visit(a, b);
}

/** All decisions in which two layouts differ, as far as their records can be held against each other. */
export function allDifferences(a: Answer, b: Answer): Decision[] {
  const found: Decision[] = [];
  const visited = new Map<Answer, Answer>();
  const visit = (from: Answer, to: Answer): boolean => {
    if (areAlike(from, to) || visited.get(from) === to) return true;
    visited.set(from, to);
    const left = from.record?.entries ?? [];
    const right = to.record?.entries ?? [];
    for (let index = 0; index < Math.min(left.length, right.length); index++) {
      const before = left[index]!;
      const after = right[index]!;
      if (before.box !== after.box) return false;
      if (before instanceof Outcome && after instanceof Outcome) {
        if (before.question !== after.question) return false;
        const [value, other] = [from.record!.values[index]!, to.record!.values[index]!];
        if (before !== after && !sameOutcome(before, value, other))
          found.push(decision(before, value, after, other));
      } else if (before instanceof Outcome || after instanceof Outcome) return false;
      else visit(before, after);
    }
    return left.length === right.length;
  };
  visit(a, b);
  return found;
}
