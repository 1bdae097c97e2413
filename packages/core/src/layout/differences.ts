/** Where two layouts of one screen were decided differently. */

import { isWholeUnits, unit } from '../text/units.ts';
import type { Box } from './box.ts';
import { type Answer, alikeOf, Outcome, type Record, type Topic } from './record.ts';

/** A value that was compared, and the limits between which it comes out the same. */
export interface Compared extends Pick<Outcome, 'low' | 'high' | 'jump' | 'perPx' | 'terms' | 'swings'> {
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

const compared = ({ low, high, jump, perPx, terms, swings }: Outcome, value: number): Compared => ({
  value,
  low,
  high,
  jump,
  perPx,
  terms,
  swings,
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

/** How two values of one outcome compare: `nearly` counts as the same, being close to where it changes. */
function compareOutcomes(a: Outcome, value: number, other: number): 'same' | 'nearly' | 'other' {
  if (value === other || (other >= a.low && other < a.high)) return 'same';
  return a.jump || other < a.low - closeness || other > a.high + closeness ? 'other' : 'nearly';
}

/** One comparison of two layouts, down to the answers inside them. */
class Comparison {
  /** Whether something counted as the same only because it is close to changing. */
  private nearly = false;
  /** Pairs of which that is so: each level of a nest asks about the next several times. */
  private nearlyAlike: Map<Answer, Set<Answer>> | undefined;

  first(a: Answer, b: Answer): Decision | typeof unlike | undefined {
    if (areAlike(a, b)) return undefined;
    if (this.nearlyAlike?.get(a)?.has(b)) {
      this.nearly = true;
      return undefined;
    }
    const around = this.nearly;
    this.nearly = false;
    const difference = this.compare(a, b);
    // What is close to a change is alike to both sides of it, which are not to each other.
    if (difference === undefined) {
      if (this.nearly) {
        this.nearlyAlike ??= new Map();
        this.nearlyAlike.set(a, (this.nearlyAlike.get(a) ?? new Set()).add(b));
      } else {
        const other = alikeOf(b);
        if (other) alikeOf(a)?.join(other);
      }
    }
    this.nearly ||= around;
    return difference;
  }

  private compare(a: Answer, b: Answer): Decision | typeof unlike | undefined {
    const left = entriesOf(a);
    const right = entriesOf(b);
    for (let index = 0; index < left.length; index++) {
      const before = left[index];
      const after = right[index];
      if (before === undefined || after === undefined) return unlike;
      if (before === after) continue;
      const found =
        before instanceof Outcome
          ? after instanceof Outcome
            ? this.outcomes(before, valueAt(a, index), after, valueAt(b, index))
            : unlike
          : after instanceof Outcome || before.box !== after.box
            ? unlike
            : this.first(before, after);
      if (found) return found;
    }
    return right.length === left.length ? undefined : unlike;
  }

  private outcomes(
    before: Outcome,
    value: number,
    after: Outcome,
    other: number,
  ): Decision | typeof unlike | undefined {
    if (before.box !== after.box || before.question !== after.question) return unlike;
    const compared = compareOutcomes(before, value, other);
    if (compared === 'other') return decision(before, value, after, other);
    if (compared === 'nearly') this.nearly = true;
    return undefined;
  }
}

const nothingWritten: readonly never[] = [];
const entriesOf = ({ record }: Answer): Record['entries'] => record?.entries ?? nothingWritten;
const valueAt = ({ record }: Answer, index: number): number => record?.values[index] ?? 0;

/**
 * The first decision in which two layouts differ, in the order in which they were made. All that was compared before
 * it had the same outcome, so up to there every size is linear in the screen's width. Where there is none, that is
 * kept with the answers.
 */
export const firstDifference = (a: Answer, b: Answer): Decision | typeof unlike | undefined =>
  areAlike(a, b) ? undefined : new Comparison().first(a, b);

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
  // A part of the room shared out in a row is rounded to 64ths, so it reaches a limit half a 64th before it.
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
    for (const [index, before] of entriesOf(from).entries()) {
      const after = entriesOf(to)[index];
      if (before instanceof Outcome && after instanceof Outcome)
        yield decision(before, valueAt(from, index), after, valueAt(to, index));
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
    const left = entriesOf(from);
    const right = entriesOf(to);
    for (const [index, before] of left.entries()) {
      const after = right[index];
      if (after === undefined) break;
      if (before.box !== after.box) return false;
      if (before instanceof Outcome && after instanceof Outcome) {
        if (before.question !== after.question) return false;
        const [value, other] = [valueAt(from, index), valueAt(to, index)];
        if (before !== after && compareOutcomes(before, value, other) === 'other')
          found.push(decision(before, value, after, other));
      } else if (before instanceof Outcome || after instanceof Outcome) return false;
      else visit(before, after);
    }
    return left.length === right.length;
  };
  visit(a, b);
  return found;
}
