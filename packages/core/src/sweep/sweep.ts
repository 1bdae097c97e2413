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

import { prefixesInForce } from '../cascade/cascade.ts';
import { themeOf } from '../cascade/project-theme.ts';
import type { Mode } from '../document/token.ts';
import type { Control, Project } from '../document/types.ts';
import {
  allDifferences,
  type Decision,
  firstDifference,
  turningPoint,
  unlike,
} from '../layout/differences.ts';
import { passOf } from '../layout/engine.ts';
import type { Laid } from '../layout/laid.ts';
import { layOutRoot, type View } from '../layout/screen-layout.ts';
import { ViewBoxes } from '../layout/view-boxes.ts';
import type { Instant } from '../motion/instant.ts';
import { expandedOn } from '../reuse/expand.ts';
import type { Shaper } from '../text/shaper.ts';
import { floorUnit, unit } from '../text/units.ts';
import { textSizeTurns } from '../values/text-size.ts';
import { bandChange, type Change, changeBy, sizeChange } from './change.ts';
import { cutsIn, decidesByCuts } from './cuts.ts';
import { type Changed, exactly, type Found, mostCuts, mostNarrow } from './rounding.ts';
import { type Rising, roundingZone } from './rounding-zone.ts';
import { type Point, type Range, type Stretch, stretchOf } from './stretch.ts';

export interface SweepOptions {
  readonly from: number;
  readonly to: number;
  /** Height of the view, CSS px. */
  readonly height: number;
  readonly textScale?: number;
  readonly rightToLeft?: boolean;
  readonly mode?: Mode | undefined;
  /** Motions that are held at an instant; absent: nothing moves. */
  readonly motions?: readonly Instant[] | undefined;
}

/** A stretch, and the change at its beginning; none at the first. */
export interface SweepPart {
  readonly stretch: Stretch;
  readonly change: Change | undefined;
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
  for (const { range, change } of exactly(ranges(boxes, project, screen, options)))
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

function* ranges(
  boxes: ViewBoxes,
  given: Project,
  of: Control,
  options: SweepOptions,
): Generator<Found, void, void> {
  const { project, screen } = expandedOn(given, of);
  const { height, textScale = 1, rightToLeft = false, mode, motions } = options;
  const viewAt = (width: number): View => ({ width, height, textScale, rightToLeft, mode, motions });
  let lastPrefixes: string[] | undefined;
  for (const [from, to] of segments(project, screen, options)) {
    const root = boxes.of(project, screen, viewAt(from));
    if (!root) return;
    const pass = passOf('comparisons');
    const at = (width: number): Point => ({ width, laid: layOutRoot(pass, root, viewAt(width)) });
    const exact = passOf('all comparisons');
    const exactlyAt = (width: number): Point => ({ width, laid: layOutRoot(exact, root, viewAt(width)) });
    const prefixes = prefixesInForce({ bands: project.bands, width: from, height });
    const change =
      lastPrefixes &&
      (lastPrefixes.join() === prefixes.join()
        ? sizeChange(screen, themeOf(project).styles, from, textScale)
        : bandChange(from, lastPrefixes, prefixes));
    lastPrefixes = prefixes;
    const plain = (width: number): Point => ({
      width,
      laid: layOutRoot(passOf('nothing'), root, viewAt(width)),
    });
    const isCut = cutsIn(root) > mostCuts;
    const rising: Rising | undefined = decidesByCuts(root) ? new Map() : undefined;
    for (const found of joined(
      solve({ at, exactlyAt, rising }, at(from), to > from ? at(to) : undefined),
      change,
    ))
      yield { ...found, plain, isCut };
  }
}

/** The ranges of widths within which the same changes hold, cut where a band begins, the screen turns or text grows. */
function segments(
  project: Project,
  screen: Control,
  { from, to, height, textScale = 1 }: SweepOptions,
): [number, number][] {
  const starts = new Set([from]);
  // A screen as wide as high is still upright.
  const turns = textSizeTurns(screen, themeOf(project).styles, { from, to, textScale });
  for (const start of [...project.bands.map((band) => band.from), height + unit, ...turns])
    if (start > from && start <= to) starts.add(Math.ceil(start * 64) / 64);
  const sorted = [...starts].toSorted((a, b) => a - b);
  return sorted.map((start, index) => [start, (sorted[index + 1] ?? to + unit) - unit]);
}

/** How far a cut goes into a range of which one took off next to nothing, the first time and each time after. */
const firstLeap = 4 * unit;
const leapGrows = 8;

/** A screen whose layouts are cut into ranges. */
interface Solved {
  /** Its layout at a width, boxes in it read off between others. */
  readonly at: (width: number) => Point;
  /** The same with everything laid out. */
  readonly exactlyAt: (width: number) => Point;
  /** Of a screen in which the cutting of sizes to 64ths decides (`decidesByCuts`): what rises with the width. */
  readonly rising: Rising | undefined;
}

/**
 * Cuts a range of widths until nothing changes within any part.
 *
 * @param leap how far to cut into it at least; 0 where the last cut got on.
 */
function* solve(solved: Solved, from: Point, to: Point | undefined, leap = 0): Generator<Range, void, void> {
  if (!to) {
    yield { from, to: from };
    return;
  }
  const { at } = solved;
  const difference = firstDifference(from.laid, to.laid);
  const zone =
    solved.rising && difference !== unlike
      ? roundingZone({ from, to }, difference, solved.rising)
      : undefined;
  if (zone) {
    const { first, last } = zone;
    const next = last + 1;
    const withinPx = { ...solved, at: solved.exactlyAt, rising: undefined };
    if (first > from.width) yield* solve(solved, from, at(first - unit));
    for (let width = first; width <= last; width++) {
      const start = solved.exactlyAt(width);
      const end = solved.exactlyAt(Math.min(width + 1 - unit, to.width));
      for (const part of solve(withinPx, start, end)) yield { ...part, isPx: true };
    }
    if (next <= to.width) yield* solve(solved, at(next), to);
    return;
  }
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
  yield* solve(solved, from, below === from ? undefined : below, to.width - left <= small ? farther : 0);
  yield* solve(solved, above, above === to ? undefined : to, right - from.width <= small ? farther : 0);
}

/** Joins ranges that were cut for nothing. */
function* joined(found: Iterable<Range>, first: Change | undefined): Generator<Changed, void, void> {
  let last: Range | undefined;
  let open: Range | undefined;
  const close = (range: Range): Changed => {
    const previous = last;
    last = range;
    let known: readonly Decision[] | undefined;
    // Decisions hold throughout a range, so those that changed are seen best at the far ends.
    const turned = () => {
      known ??= previous ? allDifferences(previous.from.laid, range.to.laid) : [];
      return known;
    };
    const change = () => {
      if (!previous) return first;
      return range.isPx && turned().length === 0 ? undefined : changeBy(turned(), range.from.width);
    };
    return { range, turned, change };
  };
  for (const range of found) {
    const isPx = open?.isPx ?? range.isPx;
    if (open && !isPx && !firstDifference(open.from.laid, range.to.laid) && sharesEnds(open, range)) {
      open = { from: open.from, to: range.to };
      continue;
    }
    if (open) yield close(open);
    open = range;
  }
  if (open) yield close(open);
}

const sharesEnds = (a: Range, b: Range): boolean => !firstDifference(a.to.laid, b.from.laid);
