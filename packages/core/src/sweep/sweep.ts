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

import { clampedSizesOf, textSizeAt, textSizeTurns } from '../document/text-size.ts';
import type { Control, Project } from '../document/types.ts';
import { prefixesInForce } from '../document/values.ts';
import { allDifferences, firstDifference, turningPoint, unlike } from '../layout/differences.ts';
import type { Laid } from '../layout/laid.ts';
import { Pass, type Topic } from '../layout/record.ts';
import { layOutRoot, type View } from '../layout/screen-layout.ts';
import { ViewBoxes } from '../layout/view-boxes.ts';
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
  readonly question: Topic | 'band' | 'size';
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
 * @param boxes what is known from an earlier sweep or check of the screen.
 * @returns the stretches from left to right, each as soon as it is known.
 */
export function* sweep(
  shaper: Shaper,
  project: Project,
  screen: Control,
  options: SweepOptions,
  boxes: ViewBoxes = new ViewBoxes(shaper),
): Generator<SweepPart, void, void> {
  const { rightToLeft = false } = options;
  for (const found of ranges(boxes, project, screen, options))
    for (const { range, change } of exactly(found))
      yield { stretch: stretchOf(range, rightToLeft), change: change() };
}

/** A stretch as the layouts at its two ends; all between them moves linearly from the one to the other. */
export interface StretchLayouts {
  readonly from: number;
  readonly to: number;
  readonly start: Laid;
  readonly end: Laid;
}

/**
 * The same stretches with everything that a layout knows, words and extents included. Narrow ones between two whole px are
 * left out: where shares of a row turn, each of them does so a 64th or two beside the others.
 *
 * @param boxes what is kept from one sweep to the next.
 */
export function* sweepLayouts(
  boxes: ViewBoxes,
  project: Project,
  screen: Control,
  options: SweepOptions,
): Generator<StretchLayouts, void, void> {
  for (const { range } of ranges(boxes, project, screen, options)) {
    const { from, to } = range;
    if (to.width - from.width <= mostNarrow && Math.ceil(from.width) > to.width) continue;
    yield { from: from.width, to: to.width, start: from.laid, end: to.laid };
  }
}

/** A range, and what changed at its beginning: worked out when somebody asks. */
interface Changed {
  readonly range: Range;
  readonly change: () => Change | undefined;
}

/** The same, and a layout at one of its widths that nothing is read off for. */
interface Found extends Changed {
  readonly plain: (width: number) => Point;
}

function* ranges(
  boxes: ViewBoxes,
  project: Project,
  screen: Control,
  options: SweepOptions,
): Generator<Found, void, void> {
  const { height, textScale = 1, rightToLeft = false } = options;
  const viewAt = (width: number): View => ({ width, height, textScale, rightToLeft });
  let lastPrefixes: string[] | undefined;
  for (const [from, to] of segments(project, screen, options)) {
    const root = boxes.of(project, screen, viewAt(from));
    if (!root) return;
    const pass = new Pass('comparisons');
    const at = (width: number): Point => ({ width, laid: layOutRoot(pass, root, viewAt(width)) });
    const prefixes = prefixesInForce({ bands: project.bands, width: from, height });
    const change =
      lastPrefixes &&
      (lastPrefixes.join() === prefixes.join()
        ? sizeChange(screen, from, textScale)
        : bandChange(from, lastPrefixes, prefixes));
    lastPrefixes = prefixes;
    const plain = (width: number): Point => ({
      width,
      laid: layOutRoot(new Pass('nothing'), root, viewAt(width)),
    });
    for (const found of joined(solve(at, at(from), to > from ? at(to) : undefined), change))
      yield { ...found, plain };
  }
}

/** How wide a range is at most in which rounding may decide at single widths, CSS px. */
const mostNarrow = 8 * unit;

/**
 * A range as it is; a narrow one as layouts that nothing was read off for. Next to where something turns rounding decides, and
 * what is known at other widths says little.
 */
function* exactly({ plain, ...found }: Found): Generator<Changed, void, void> {
  const { from, to } = found.range;
  if (to.width - from.width > mostNarrow) {
    yield found;
    return;
  }
  const count = Math.round((to.width - from.width) / unit) + 1;
  const points = Array.from({ length: count }, (_, index) => plain(from.width + index * unit));
  if (isLinear(points)) {
    yield { ...found, range: { from: points[0]!, to: points.at(-1)! } };
    return;
  }
  for (const point of points) {
    const change = () => {
      const first = found.change();
      return first && { ...first, width: point.width };
    };
    yield { range: { from: point, to: point }, change };
  }
}

/** Whether all boxes of layouts at widths one behind another move linearly, but for rounding. */
function isLinear(points: readonly Point[]): boolean {
  const [first, last] = [points[0]!, points.at(-1)!];
  const count = boxesOf(first.laid).length;
  if (points.some(({ laid }) => boxesOf(laid).length !== count)) return false;
  const all = points.map((point) => numbersOf(point, count, false));
  const [start, end] = [all[0]!, all.at(-1)!];
  return all.every((numbers, index) => {
    const part = first === last ? 0 : index / (points.length - 1);
    return numbers.every(
      (value, at) => Math.abs(value - (start[at]! * (1 - part) + end[at]! * part)) <= 2 * unit,
    );
  });
}

/** The ranges of widths within which the same changes hold, cut where a band begins, the screen turns or text grows. */
function segments(
  project: Project,
  screen: Control,
  { from, to, height, textScale = 1 }: SweepOptions,
): [number, number][] {
  const starts = new Set([from]);
  // A screen as wide as high is still upright.
  const turns = textSizeTurns(screen, from, to, textScale);
  for (const start of [...project.bands.map((band) => band.from), height + unit, ...turns])
    if (start > from && start <= to) starts.add(Math.ceil(start * 64) / 64);
  const sorted = [...starts].toSorted((a, b) => a - b);
  return sorted.map((start, index) => [start, (sorted[index + 1] ?? to + unit) - unit]);
}

/** Texts that take another size from a width on. */
function sizeChange(screen: Control, width: number, textScale: number): Change {
  const causes = clampedSizesOf(screen).flatMap((size): Cause[] => {
    const [before, after] = [width - unit, width].map((at) => textSizeAt(size, at, textScale));
    return before === after
      ? []
      : [{ question: 'size', control: size.control, before: before!, after: after! }];
  });
  return { width, jump: true, causes };
}

function bandChange(width: number, before: readonly string[], after: readonly string[]): Change {
  const prefixes = after.filter((prefix) => !before.includes(prefix)).map((prefix) => prefix.slice(0, -1));
  return {
    width,
    jump: true,
    causes: [{ question: 'band', control: undefined, before: 0, after: 1, prefixes }],
  };
}

/** A range between whose ends nothing changes its behaviour. */
interface Range {
  readonly from: Point;
  readonly to: Point;
}

/** How far a cut goes into a range of which one took off next to nothing, the first time and each time after. */
const firstLeap = 4 * unit;
const leapGrows = 8;

/**
 * Cuts a range of widths until nothing changes within any part.
 *
 * @param leap how far to cut into it at least; 0 where the last cut got on.
 */
function* solve(
  at: (width: number) => Point,
  from: Point,
  to: Point | undefined,
  leap = 0,
): Generator<Range, void, void> {
  if (!to) {
    yield { from, to: from };
    return;
  }
  const difference = firstDifference(from.laid, to.laid);
  let left: number | undefined;
  if (difference === undefined) {
    yield { from, to };
    return;
  }
  if (difference !== unlike) left = turningPoint(difference, from.width, to.width);
  if (to.width - from.width <= unit) {
    yield { from, to: from };
    yield { from: to, to };
    return;
  }
  // Just below where it turns; in the middle where that is not known.
  const middle = floorUnit((from.width + to.width) / 2);
  left ??= middle;
  // Where something turns is known but for what is rounded on the way: another cut next to an end gets farther into it.
  if (left < middle) left = Math.max(left, Math.min(middle, from.width + leap));
  else left = Math.min(left, Math.max(middle, to.width - leap));
  left = Math.max(from.width, Math.min(to.width - unit, left));
  const right = left + unit;
  const below = left === from.width ? from : at(left);
  const above = right === to.width ? to : at(right);
  const small = Math.max(2 * unit, leap + unit);
  const farther = leap === 0 ? firstLeap : leap * leapGrows;
  yield* solve(at, from, below === from ? undefined : below, to.width - left <= small ? farther : 0);
  yield* solve(at, above, above === to ? undefined : to, right - from.width <= small ? farther : 0);
}

/** All boxes of a layout in a row. */
function boxesOf(laid: Laid): SweptBox[] {
  const boxes: SweptBox[] = [];
  const visit = ({ box: { control, items }, children }: Laid) => {
    boxes.push({ control, items });
    for (const child of children) visit(child);
  };
  visit(laid);
  return boxes;
}

/** Places and sizes of all boxes of a layout in a row: x, y, width, height. */
function numbersOf({ width: screen, laid: root }: Point, count: number, rightToLeft: boolean): Float64Array {
  const numbers = new Float64Array(4 * count);
  let at = 0;
  const visit = ({ width, height, children, places }: Laid, x: number, y: number) => {
    numbers[at++] = rightToLeft ? screen - x - width : x;
    numbers[at++] = y;
    numbers[at++] = width;
    numbers[at++] = height;
    for (let index = 0; index < children.length; index++)
      visit(children[index]!, x + places[2 * index]!, y + places[2 * index + 1]!);
  };
  visit(root, 0, 0);
  return numbers;
}

/** Joins ranges that were cut for nothing. */
function* joined(found: Iterable<Range>, first: Change | undefined): Generator<Changed, void, void> {
  let last: Range | undefined;
  let open: Range | undefined;
  const close = (range: Range): Changed => {
    const previous = last;
    last = range;
    return { range, change: () => (previous ? changeBetween(previous, range) : first) };
  };
  for (const range of found) {
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
  const boxes = boxesOf(from.laid);
  const start = numbersOf(from, boxes.length, rightToLeft);
  return {
    from: from.width,
    to: to.width,
    boxes,
    start,
    end: to === from ? start : numbersOf(to, boxes.length, rightToLeft),
  };
}

/** Decisions hold throughout a range, so those that changed are seen best at its far ends. */
function changeBetween({ from: below }: Range, { from, to: above }: Range): Change {
  const causes = new Map<string, Cause>();
  let jump = false;
  for (const { box, question, before, after } of allDifferences(below.laid, above.laid)) {
    jump ||= before.jump;
    // Where a line is filled to the px, room is neither lacking nor left: that says nothing.
    if (question === 'room' && Math.abs(after.value) <= unit) continue;
    const limit = Number.isFinite(before.low) ? before.low : before.high;
    // Lines and tracks are told by what there is now; others by how far they are from their limit.
    const counted = question === 'lines' || question === 'tracks' || !Number.isFinite(limit);
    const key = `${box.control ?? ''} ${box.items.join()} ${question}`;
    if (!causes.has(key))
      causes.set(key, {
        question,
        control: box.control,
        before: before.value - (counted ? 0 : limit),
        after: after.value - (counted ? 0 : limit),
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
