/**
 * The layout of a screen for every width, as stretches in which every box moves linearly with the width.
 *
 * It rests on what the engine writes down. Whatever it decides, it decides by comparing numbers. Take two widths at
 * which all comparisons, made in the same order, came out the same: the first one compares numbers that are linear in
 * the width, so it comes out the same at every width between; then so are the numbers of the second one linear
 * there, and so on. So between the two all is linear, and nothing needs to be laid out there. Where a comparison
 * came out differently, its numbers are still linear up to it, so where it turns can be worked out and is laid out
 * on both sides; the rest follows by the same means. Widths are kept in whole 64ths of a px, as sizes are.
 */
import type { Control, Project } from '../document/types.ts';
import { prefixesInForce } from '../document/values.ts';
import { alikeOf } from '../layout/between.ts';
import type { Box } from '../layout/box.ts';
import { allDifferences, firstDifference, turningPoint, unlike } from '../layout/differences.ts';
import type { Laid } from '../layout/laid.ts';
import { Pass, type Topic } from '../layout/record.ts';
import { boxesFor, layOutRoot, type View } from '../layout/screen-layout.ts';
import type { Shaper } from '../text/shaper.ts';
import { floorUnit } from '../text/units.ts';

/** One box in a stretch: which it is, and which item of which repeats. */
export interface SweptBox {
  /** Id of the control; undefined for a part inside one. */
  readonly control: string | undefined;
  readonly items: readonly number[];
}

/** Widths from `from` to `to`, both included, between which every box moves linearly. CSS px. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  /** Parents before children. */
  readonly boxes: readonly SweptBox[];
  /** Four numbers a box at `from`: x, y, width, height. */
  readonly start: Float64Array;
  /** The same at `to`. */
  readonly end: Float64Array;
}

/** Why something changes its behaviour at a width. */
export interface Cause {
  readonly question: Topic | 'band';
  /** Id of the control that it is about; undefined for a part or a band. */
  readonly control: string | undefined;
  /** How it came out below and above: the number that was compared, less its limit where it has one. */
  readonly before: number;
  readonly after: number;
  /** Names of bands or orientations that hold from here on; of a change of band only. */
  readonly prefixes?: readonly string[];
}

/** A width from which on things behave differently than just below it. */
export interface Change {
  readonly width: number;
  /** Whether boxes jump there; otherwise they only change their pace. */
  readonly jump: boolean;
  readonly causes: readonly Cause[];
}

export interface SweepOptions {
  readonly from: number;
  readonly to: number;
  /** Height of the view, CSS px. */
  readonly height: number;
  readonly textScale?: number;
  readonly rightToLeft?: boolean;
}

/** A stretch, and the change at its beginning; none at the first. */
export interface SweepPart {
  readonly stretch: Stretch;
  readonly change: Change | undefined;
}

const unit = 1 / 64;

/** A layout that was made, at a width. */
interface Point {
  readonly width: number;
  readonly laid: Laid;
}

/**
 * Works out the layout of a screen from a width to another.
 *
 * @returns the stretches from left to right, each as soon as it is known.
 */
export function* sweep(
  shaper: Shaper,
  project: Project,
  screen: Control,
  options: SweepOptions,
): Generator<SweepPart, void, void> {
  const { height, textScale = 1, rightToLeft = false } = options;
  const viewAt = (width: number): View => ({ width, height, textScale, rightToLeft });
  let lastPrefixes: string[] | undefined;
  for (const [from, to] of segments(project, options)) {
    const root = boxesFor(shaper, project, viewAt(from)).box(screen);
    if (!root) return;
    const pass = new Pass('comparisons');
    const at = (width: number): Point => ({ width, laid: layOutRoot(pass, root, viewAt(width)) });
    const prefixes = prefixesInForce({ bands: project.bands, width: from, height });
    const change = lastPrefixes && bandChange(from, lastPrefixes, prefixes);
    lastPrefixes = prefixes;
    yield* stretches(solve(at, at(from), to > from ? at(to) : undefined, careful(root)), rightToLeft, change);
  }
}

/** The ranges of widths within which the same changes hold, cut where a band begins or the screen turns. */
function segments(project: Project, { from, to, height }: SweepOptions): [number, number][] {
  const starts = new Set([from]);
  // A screen as wide as high is still upright.
  for (const start of [...project.bands.map((band) => band.from), height + unit])
    if (start > from && start <= to) starts.add(Math.ceil(start * 64) / 64);
  const sorted = [...starts].toSorted((a, b) => a - b);
  return sorted.map((start, index) => [start, (sorted[index + 1] ?? to + unit) - unit]);
}

function bandChange(width: number, before: readonly string[], after: readonly string[]): Change {
  const prefixes = after.filter((prefix) => !before.includes(prefix)).map((prefix) => prefix.slice(0, -1));
  return {
    width,
    jump: true,
    causes: [{ question: 'band', control: undefined, before: 0, after: 1, prefixes }],
  };
}

/**
 * Whether to look between two widths all the same: sizes that follow from heights by a ratio, and tracks, are partly
 * worked out without comparisons being written down.
 */
function careful(root: Box): boolean {
  return root.widthAsksHeight || hasGrid(root);
}
const hasGrid = (box: Box): boolean =>
  (box.content.type === 'grid' && !box.content.layers) || box.children.some(hasGrid);

/** A range between whose ends nothing changes its behaviour. */
interface Range {
  readonly from: Point;
  readonly to: Point;
}

/** Cuts a range of widths until nothing changes within any part. */
function* solve(
  at: (width: number) => Point,
  from: Point,
  to: Point | undefined,
  look: boolean,
  halve = false,
): Generator<Range, void, void> {
  if (!to) {
    yield { from, to: from };
    return;
  }
  const difference = firstDifference(from.laid, to.laid);
  let left: number | undefined;
  if (difference === undefined) {
    if (!look || isLinear(at, from, to)) {
      alikeOf(from.laid)?.join(alikeOf(to.laid)!);
      yield { from, to };
      return;
    }
  } else if (difference !== unlike && !halve) left = turningPoint(difference, from.width, to.width);
  if (to.width - from.width <= unit) {
    yield { from, to: from };
    yield { from: to, to };
    return;
  }
  // Just below where it turns; in the middle where that is not known.
  left ??= floorUnit((from.width + to.width) / 2);
  left = Math.max(from.width, Math.min(to.width - unit, left));
  const right = left + unit;
  const below = left === from.width ? from : at(left);
  const above = right === to.width ? to : at(right);
  // Where that takes off next to nothing, halving makes sure of getting on.
  const small = 2 * unit;
  const stuck = !halve && (right - from.width <= small || to.width - left <= small);
  yield* solve(at, from, below === from ? undefined : below, look, stuck);
  yield* solve(at, above, above === to ? undefined : to, look, stuck);
}

/** Whether the layout in the middle is what lies between the two ends. */
function isLinear(at: (width: number) => Point, from: Point, to: Point): boolean {
  const middle = floorUnit((from.width + to.width) / 2);
  if (middle <= from.width || middle >= to.width) return true;
  const part = (middle - from.width) / (to.width - from.width);
  const [a, m, b] = [from, at(middle), to].map(({ laid }) => flatten(laid));
  if (a!.numbers.length !== m!.numbers.length || a!.numbers.length !== b!.numbers.length) return false;
  return m!.numbers.every(
    (value, index) => Math.abs(a!.numbers[index]! * (1 - part) + b!.numbers[index]! * part - value) < 0.06,
  );
}

/** All boxes of a layout in a row, x from the start side. */
function flatten(laid: Laid): { boxes: SweptBox[]; numbers: number[] } {
  const boxes: SweptBox[] = [];
  const numbers: number[] = [];
  const visit = ({ box, width, height, children, places }: Laid, x: number, y: number) => {
    boxes.push(box);
    numbers.push(x, y, width, height);
    for (let index = 0; index < children.length; index++)
      visit(children[index]!, x + places[2 * index]!, y + places[2 * index + 1]!);
  };
  visit(laid, 0, 0);
  return { boxes, numbers };
}

/** Joins ranges that were cut for nothing, and makes stretches of them. */
function* stretches(
  ranges: Iterable<Range>,
  rightToLeft: boolean,
  first: Change | undefined,
): Generator<SweepPart, void, void> {
  let previous: Range | undefined;
  let open: Range | undefined;
  const close = (range: Range): SweepPart => {
    const change = previous ? changeBetween(previous, range) : first;
    previous = range;
    return { stretch: stretchOf(range, rightToLeft), change };
  };
  for (const range of ranges) {
    if (open && !firstDifference(open.from.laid, range.to.laid) && sharesEnds(open, range)) {
      open = { from: open.from, to: range.to };
      continue;
    }
    if (open) yield close(open);
    open = range;
  }
  if (open) yield close(open);
}

const sharesEnds = (a: Range, b: Range): boolean => !firstDifference(a.to.laid, b.from.laid);

function stretchOf({ from, to }: Range, rightToLeft: boolean): Stretch {
  const start = flatten(from.laid);
  const end = to === from ? start : flatten(to.laid);
  const physical = (numbers: number[], width: number): Float64Array => {
    const result = Float64Array.from(numbers);
    if (rightToLeft)
      for (let index = 0; index < result.length; index += 4)
        result[index] = width - result[index]! - result[index + 2]!;
    return result;
  };
  return {
    from: from.width,
    to: to.width,
    boxes: start.boxes.map(({ control, items }) => ({ control, items })),
    start: physical(start.numbers, from.width),
    end: physical(end.numbers, to.width),
  };
}

/** Decisions hold throughout a range, so those that changed are seen best at its far ends. */
function changeBetween({ from: below }: Range, { from, to: above }: Range): Change {
  const causes = new Map<string, Cause>();
  let jump = false;
  for (const { box, question, before, after } of allDifferences(below.laid, above.laid)) {
    jump ||= before.jump;
    const limit = Number.isFinite(before.low) ? before.low : before.high;
    const key = `${box.control ?? ''} ${box.items.join()} ${question}`;
    if (!causes.has(key))
      causes.set(key, {
        question,
        control: box.control,
        before: before.value - (Number.isFinite(limit) && question !== 'lines' ? limit : 0),
        after: after.value - (Number.isFinite(limit) && question !== 'lines' ? limit : 0),
      });
  }
  return { width: from.width, jump, causes: [...causes.values()] };
}

/** A box's place and size at a width within a stretch: x, y, width, height, CSS px. */
export function boxAt(
  { from, to, start, end }: Stretch,
  index: number,
  width: number,
): [x: number, y: number, width: number, height: number] {
  const part = to > from ? (width - from) / (to - from) : 0;
  const value = (offset: number) => start[4 * index + offset]! * (1 - part) + end[4 * index + offset]! * part;
  return [value(0), value(1), value(2), value(3)];
}
