/**
 * Answers between two others, in passes that write down their comparisons.
 *
 * A sweep asks a box about many widths. Where two answers were decided alike, all between them is linear (`sweep.ts`
 * says why), so a third one is read off instead of laid out; where they were not, the width at which the decision
 * turns is laid out on both sides, once for the box, however often its surroundings ask.
 */
import { numberAt } from '../sure.ts';
import type { Box } from './box.ts';
import { firstDifference, turningPoint, unlike } from './differences.ts';
import type { Extent, Laid } from './laid.ts';
import { type Alike, type Answer, alikeOf, Outcome, type Record } from './record.ts';

const mix = (a: number, b: number, part: number): number => (a === b ? a : a + (b - a) * part);

/** What is known about a box at widths between two answers that were decided alike. Read off when it is asked for. */
export class Between implements Laid {
  readonly box: Box;
  readonly width: number;
  readonly height: number;
  readonly baseline: number | undefined;
  readonly lines: Laid['lines'];
  readonly asked = Number.NaN;
  readonly definite = false;
  readonly measured = false;
  readonly readOffFrom: Laid;
  private inner: Laid[] | undefined;
  private placed: number[] | undefined;
  private written: RecordBetween | undefined;

  /** @param part how far from `a` to `b`, 0 to 1. */
  constructor(
    readonly a: Laid,
    readonly b: Laid,
    readonly part: number,
    private pairs?: Pairs,
  ) {
    this.readOffFrom = a;
    this.box = a.box;
    this.width = mix(a.width, b.width, part);
    this.height = mix(a.height, b.height, part);
    this.baseline =
      a.baseline === undefined || b.baseline === undefined ? a.baseline : mix(a.baseline, b.baseline, part);
    this.lines = a.lines;
  }

  get children(): readonly Laid[] {
    this.inner ??= this.a.children.map((child, index) => between(child, this.b.children[index]!, this.part));
    return this.inner;
  }

  get places(): readonly number[] {
    this.placed ??= this.a.places.map((place, index) =>
      mix(place, numberAt(this.b.places, index), this.part),
    );
    return this.placed;
  }

  get extent(): Extent | undefined {
    const [from, to] = [this.a.extent, this.b.extent];
    return (
      from &&
      to && { width: mix(from.width, to.width, this.part), height: mix(from.height, to.height, this.part) }
    );
  }

  get record(): Record {
    this.pairs ??= new Pairs();
    this.written ??= recordBetween(this.a, this.b, this.part, this.pairs);
    return this.written;
  }
}

/**
 * Answers that were read off between the same two others, all at the same part of the way. Each level of a nest asks for
 * those of the next more than once; they are made once.
 */
class Pairs {
  private readonly made = new Map<Answer, { readonly b: Answer; readonly answer: Answer }>();

  of(a: Answer, b: Answer, part: number): Answer {
    const known = this.made.get(a);
    if (known?.b === b) return known.answer;
    const answer = answerBetween(a, b, part, this);
    this.made.set(a, { b, answer });
    return answer;
  }
}

/** What would have been written down between two answers. Most of it nobody asks for. */
class RecordBetween implements Record {
  readonly reasons: readonly never[] = [];
  readonly content = undefined;
  private read: Record['entries'] | undefined;
  private mixed: readonly number[] | undefined;

  constructor(
    private readonly from: Record,
    private readonly to: Record,
    private readonly part: number,
    readonly alike: Alike,
    private readonly pairs: Pairs,
  ) {}

  get entries(): Record['entries'] {
    this.read ??= this.from.entries.map((entry, index) =>
      entry instanceof Outcome ? entry : this.pairs.of(entry, this.to.entries[index] as Answer, this.part),
    );
    return this.read;
  }

  get values(): readonly number[] {
    this.mixed ??= this.from.values.map((value, index) =>
      mix(value, numberAt(this.to.values, index), this.part),
    );
    return this.mixed;
  }
}

/** What stands between the records of two answers, which passes that write down have made. */
function recordBetween(a: Answer, b: Answer, part: number, pairs: Pairs): RecordBetween {
  const alike = alikeOf(a);
  if (!a.record || !b.record || !alike) throw new Error('Nothing was written down about these answers.');
  return new RecordBetween(a.record, b.record, part, alike, pairs);
}

const isLaid = (answer: Answer): answer is Laid => 'children' in answer;

/** Of layouts the whole of it, of other answers what was written down. */
function answerBetween(a: Answer, b: Answer, part: number, pairs: Pairs): Answer {
  if (a === b || part === 0) return a;
  if (isLaid(a) && isLaid(b)) return between(a, b, part, pairs);
  return { box: a.box, record: recordBetween(a, b, part, pairs) };
}

const between = (a: Laid, b: Laid, part: number, pairs?: Pairs): Laid =>
  a === b || part === 0 ? a : part === 1 ? b : new Between(a, b, part, pairs);

/** Answers kept for one box; boxes that last through many changes are asked about ever new widths. */
const mostAnswers = 2000;

/** Answers between others that are kept for one box: as many as a check of a screen asks for. */
const mostReadOff = 256;

/** Answers of a box by width, and which neighbours among them are known to be decided alike. */
export class Answers {
  /** Ascending by width. */
  private readonly laid: Laid[] = [];
  /** Of each answer: whether it and the next one are decided alike; undefined: not looked at. */
  private readonly alike: (boolean | undefined)[] = [];
  private last: Laid | undefined;
  /** Those that were read off, by width: who asks again is given the same one, and sees that nothing has changed. */
  private readOff: Map<number, Between> | undefined;

  /** Index of the first answer that is not narrower than a width. */
  private indexOf(width: number): number {
    let low = 0;
    let high = this.laid.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.laid[middle]!.width < width) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  private put(answer: Laid): void {
    if (this.laid.length >= mostAnswers) {
      this.laid.length = 0;
      this.alike.length = 0;
    }
    const index = this.indexOf(answer.width);
    this.laid.splice(index, 0, answer);
    this.alike.splice(index, 0, undefined);
    if (index === 0) return;
    // The one before it has a new neighbour: what was alike across stays alike, all else is to be looked at.
    if (this.alike[index - 1] === true) this.alike[index] = true;
    else this.alike[index - 1] = undefined;
  }

  /**
   * The answer at a width.
   *
   * @param layOut lays the box out anew at a width.
   */
  at(width: number, layOut: (width: number) => Laid): Laid {
    if (this.last?.width === width) return this.last;
    this.last = this.readOff?.get(width) ?? this.find(width, layOut);
    return this.last;
  }

  private find(width: number, layOut: (width: number) => Laid): Laid {
    const known = (at: number): Laid => {
      const index = this.indexOf(at);
      const there = this.laid[index];
      if (there?.width === at) return there;
      const answer = layOut(at);
      this.put(answer);
      return answer;
    };
    for (let turn = 0; turn < 64; turn++) {
      const index = this.indexOf(width);
      const above = this.laid[index];
      const below = this.laid[index - 1];
      if (above?.width === width) return above;
      if (!above || !below) break;
      if (this.alike[index - 1] === undefined || this.alike[index - 1] === false) {
        const difference = this.alike[index - 1] === false ? unlike : firstDifference(below, above);
        this.alike[index - 1] = difference === undefined;
        if (difference !== undefined) {
          const turns =
            difference === unlike ? undefined : turningPoint(difference, below.width, above.width);
          if (turns === undefined || turns <= below.width || turns >= above.width - 1 / 64) break;
          known(turns);
          known(turns + 1 / 64);
          continue;
        }
      }
      const part = (width - below.width) / (above.width - below.width);
      const answer = new Between(below, above, part);
      if (!this.readOff || this.readOff.size >= mostReadOff) this.readOff = new Map();
      this.readOff.set(width, answer);
      return answer;
    }
    return known(width);
  }
}
