/**
 * What a pass over a screen writes down when it is asked to: the comparisons that decided how things went, and why
 * each child got its size. The engine itself writes it, at the place where it decides.
 */
import { numberAt } from '../sure.ts';
import type { Box } from './box.ts';
import type { Engine } from './engine.ts';
import type { ContentReason, Reasons } from './reason.ts';

/** What a comparison was about; the sweep names changes by it. */
export type Topic =
  /** How a text breaks into lines. */
  | 'lines'
  /** Whether one more item fits on a line of a wrapping container. */
  | 'wrap'
  /** How many tracks of an automatic repetition fit. */
  | 'tracks'
  /** Whether both panes of a split have room. */
  | 'panes'
  /** Whether a least or greatest size holds. */
  | 'least'
  | 'greatest'
  /** Whether there is room to share out or too little. */
  | 'room'
  /** Whether the width by content fits into the room. */
  | 'fit'
  /** Which of several is the largest. */
  | 'largest';

/** How many sizes a value is taken to be made of where that is not counted. */
const manyTerms = 6;

/**
 * How a comparison came out. That stays so as long as the value compared lies between `low` and `high`, which do not
 * depend on the screen's width. A sign that came out alike is one and the same object, so that records are held against
 * each other by a look at each entry.
 */
export class Outcome implements Between {
  readonly low: number;
  readonly high: number;
  readonly jump: boolean;
  readonly perPx: number;
  readonly terms: number;
  readonly swings: boolean;

  constructor(
    readonly box: Box,
    readonly question: Topic,
    { low, high, jump, perPx = 1, terms = manyTerms, swings = false }: Between,
  ) {
    this.low = low;
    this.high = high;
    this.jump = jump;
    this.perPx = perPx;
    this.terms = terms;
    this.swings = swings;
  }
}

/** Between which values a comparison comes out the same. */
export interface Between {
  readonly low: number;
  readonly high: number;
  /** Whether places jump when the outcome changes; otherwise they only change their pace. */
  readonly jump: boolean;
  /** How much of the value a px is: 1 where that is a length. */
  readonly perPx?: number;
  /** Of how many sizes, each cut to a whole 64th of a px, the value is made at most. */
  readonly terms?: number;
  /** One of these sizes counts several times against the others: from one 64th to the next the value goes up and down. */
  readonly swings?: boolean;
}

/** Order of the questions among the outcomes that a box keeps. */
const topics: { readonly [Question in Topic]: number } = {
  lines: 0,
  wrap: 1,
  tracks: 2,
  panes: 3,
  least: 4,
  greatest: 5,
  room: 6,
  fit: 7,
  largest: 8,
};

/**
 * The outcome that a value is positive, or that it is not.
 *
 * @param least the least value that counts as positive: 0, or the one above it.
 */
function signOf(box: Box, question: Topic, positive: boolean, jump: boolean, least: 0 | 1): Outcome {
  const index = 8 * topics[question] + 4 * least + (positive ? 2 : 0) + (jump ? 1 : 0);
  box.known.signs ??= [];
  const { signs } = box.known;
  const known = signs[index];
  if (known) return known;
  const limit = least * Number.MIN_VALUE;
  const outcome = positive
    ? new Outcome(box, question, { low: limit, high: Infinity, jump })
    : new Outcome(box, question, { low: -Infinity, high: limit - Number.MIN_VALUE, jump });
  signs[index] = outcome;
  return outcome;
}

/** Answers that were decided alike, as a set that can take in another one (union-find). */
export class Alike {
  private into: Alike | undefined;

  /** The set that this one has become a part of; itself where it is none. */
  get whole(): Alike {
    if (!this.into) return this;
    this.into = this.into.whole;
    return this.into;
  }
  join(other: Alike): void {
    if (other.whole !== this.whole) other.whole.into = this.whole;
  }
}

/** Something that was worked out about a box: its layout, or how wide it would like to be at some height. */
export interface Answer {
  readonly box: Box;
  /** The answer at one end of the stretch of widths that this one was read off in. */
  readonly readOffFrom?: Answer;
  /** How it came about, in passes that write that down. */
  readonly record: Record | undefined;
}

/** What was written down about one answer, in a pass that does. */
export interface Record {
  /** Outcomes in the order in which they came; the answers that were used stand where they were asked for. */
  readonly entries: readonly (Outcome | Answer)[];
  /** What was compared, by the index of the outcome; 0 where an answer stands. */
  readonly values: readonly number[];
  /** Why each child has its size and place, in the order of `Laid.children`. */
  readonly reasons: readonly Reasons[];
  /** How high the content is, and why; of boxes whose height was free. */
  readonly content: ContentReason | undefined;
  /** The answers of the same box that are known to be decided as this one. */
  readonly alike: Alike;
}

/** The set of answers that one belongs to; undefined in a pass that writes nothing down. */
export function alikeOf(answer: Answer): Alike | undefined {
  let at = answer;
  while (at.readOffFrom) at = at.readOffFrom;
  return at.record?.alike.whole;
}

/** What is being written down about a box. */
export class Log {
  readonly entries: (Outcome | Answer)[] = [];
  readonly values: number[] = [];

  push(entry: Outcome | Answer, value = 0): void {
    this.entries.push(entry);
    this.values.push(value);
  }
}

/** What was written down, as it is kept. */
export const recordOf = (
  { entries, values }: Log,
  reasons: readonly Reasons[] = [],
  content?: ContentReason,
): Record => ({ entries, values, reasons, content, alike: new Alike() });

/** How much may still be worked out for one layout of a screen: passes that belong together share it. */
export interface Budget {
  left: number;
}

/** One run of the engine over a screen. */
export class Pass {
  /** Where comparisons go; undefined in a plain pass. */
  log: Log | undefined;
  /** Reasons of the children of the box being laid out. */
  reasons: Reasons[] = [];
  content: ContentReason | undefined;

  /** Whether comparisons are written down. */
  readonly recording: boolean;
  /** Whether answers may be read off between two others then. */
  readonly readsOff: boolean;
  /** Whether reasons are. */
  readonly explaining: boolean;
  private quiet: Pass | undefined;

  /**
   * @param engine what lays out by content; `passOf` in `engine.ts` makes passes that have it.
   * @param writes what to write down; nothing in a plain pass. `all comparisons`: everything is laid out for them, nothing
   *   is read off between two other widths.
   */
  constructor(
    readonly engine: Engine,
    readonly writes: 'nothing' | 'comparisons' | 'all comparisons' | 'reasons',
    readonly budget: Budget = { left: Infinity },
  ) {
    this.recording = writes === 'comparisons' || writes === 'all comparisons';
    this.readsOff = writes === 'comparisons';
    this.explaining = writes === 'reasons';
  }

  /** A pass that belongs to this one and records nothing: for answers that are the same at every width of the screen. */
  get silent(): Pass {
    if (this.writes === 'nothing') return this;
    this.quiet ??= new Pass(this.engine, 'nothing', this.budget);
    return this.quiet;
  }

  /** For finding out sizes on the way: comparisons count wherever they are made, reasons only of the end. */
  get onTheWay(): Pass {
    return this.explaining ? this.silent : this;
  }

  /**
   * Counts one more answer. Where each level of a nest asks the next for ever more sizes that would never end; from some
   * point on boxes answer as they did before.
   *
   * @returns whether there are enough of them.
   */
  isEnough(): boolean {
    this.budget.left -= 1;
    return this.budget.left < 0;
  }

  /** Notes that a difference is 0 or more, or below 0. */
  sign(box: Box, question: Topic, value: number, jump = false): void {
    if (this.log === undefined) return;
    this.log.push(signOf(box, question, value >= 0, jump, 0), value);
  }

  /** Notes that a difference is above 0, or 0 or below. */
  above(box: Box, question: Topic, value: number): void {
    this.log?.push(signOf(box, question, value > 0, false, 1), value);
  }

  /** Whether two numbers are the same; which one is the larger is noted, too. */
  equal(box: Box, question: Topic, a: number, b: number): boolean {
    this.above(box, question, a - b);
    this.above(box, question, b - a);
    return a === b;
  }

  /** Notes that a value lies in a range with the same outcome throughout. */
  within(box: Box, question: Topic, value: number, between: Between): void {
    this.log?.push(new Outcome(box, question, between), value);
  }

  /** The larger of two numbers; which one that is, is noted. */
  larger(box: Box, question: Topic, a: number, b: number): number {
    this.sign(box, question, a - b);
    return Math.max(a, b);
  }

  /** A value within two limits, of which the least wins; how they hold it is noted. */
  clamp(box: Box, value: number, min: number, max: number): number {
    this.held(box, value, min, max);
    return Math.max(min, Math.min(max, value));
  }

  /**
   * Things by size, the smallest first; those of one size stay as they are. Which comes after which is noted: while
   * neighbours keep their order, all do.
   */
  sorted<Thing>(box: Box, things: readonly Thing[], sizeOf: (thing: Thing) => number): Thing[] {
    const sizes = things.map(sizeOf);
    const order = things.map((_, index) => index);
    // Growth limits may be infinite, and infinities have no difference.
    order.sort((a, b) => (sizes[a] === sizes[b] ? 0 : numberAt(sizes, a) - numberAt(sizes, b)));
    if (this.log !== undefined)
      for (let turn = 1; turn < order.length; turn++) {
        const [before, after] = [numberAt(order, turn - 1), numberAt(order, turn)];
        if (sizes[before] === sizes[after]) continue;
        const pair = before * order.length + after;
        this.within(box, 'largest', pair, { low: pair, high: pair, jump: false });
      }
    return order.map((index) => things[index]!);
  }

  /** Notes how a value is held by two limits, of which the least one wins. */
  held(box: Box, value: number, min: number, max: number): void {
    if (this.log === undefined) return;
    const held = max < Infinity && value > max;
    if (max < Infinity) this.sign(box, 'greatest', max - value);
    // Limits may be parts of something, so which of them is the smaller one may change, too.
    if (min > -Infinity) this.sign(box, 'least', (held ? max : value) - min);
  }
}
