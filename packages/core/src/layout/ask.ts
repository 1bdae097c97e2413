/** Asks a box how it is at some size, and remembers the answer with the box. */

import { Answers } from './between.ts';
import type { Box, Known } from './box.ts';
import { type Definite, fixed, free, type Laid, type Measured, type Question } from './laid.ts';
import { plainClamp, plainMax, plainMin } from './plain-limits.ts';
import { Log, type Pass, recordOf } from './record.ts';
import {
  frameHeight,
  frameWidth,
  heightOfWidth,
  heightRange,
  isFraction,
  type Range,
  widthRange,
} from './sizes.ts';

/** Answers kept for a box: a pass asks for a few sizes, and a screen is seen at a handful of widths at a time. */
const answersKept = 24;

/**
 * How a box is, as it is asked for. The answer is kept with the box.
 *
 * @param pass the run that this belongs to.
 */
export function layOut(pass: Pass, box: Box, question: Question): Laid {
  // Whether it was measured counts for boxes that keep answers only.
  const asked = question.measured && !box.keepsAnswer ? { ...question, measured: false as const } : question;
  const laid = pass.recording ? sweptAnswer(pass, box, asked) : keptAnswer(pass, box, asked);
  if (pass.log !== undefined) pass.log.push(laid);
  return laid;
}

/**
 * Lays out a box stretched to a height. With a ratio it has a definite height by content too; where stretching makes no
 * difference to that, parts of it go on referring to the ratio's (as browsers do it).
 */
export function layStretched(pass: Pass, box: Box, asked: Question): Laid {
  if (box.style.aspect !== undefined && box.heightMatters) {
    const natural = layOut(pass, box, free(asked.width, asked.measured));
    if (pass.equal(box, 'least', natural.height, asked.height)) return natural;
  }
  return layOut(pass, box, asked);
}

/**
 * Lays out a box as high as its content, within limits of which some may be parts of its container's height.
 *
 * @param asked its height is free; `limitsOf`: what parts of them refer to, where that is known.
 * @returns how it is then, and the height by content before its limits.
 */
export function layByContent(
  pass: Pass,
  box: Box,
  asked: Question,
  limits: Range,
): { readonly laid: Laid; readonly natural: number } {
  const { width, measured, limitsOf } = asked;
  if (box.limitsMatter && limitsOf !== undefined) {
    const laid = layOut(pass, box, asked);
    return { laid, natural: (box.style.aspect === undefined ? laid.needed : undefined) ?? laid.height };
  }
  const laid = layOut(pass, box, free(width, measured));
  const height = pass.clamp(box, laid.height, limits.min, limits.max);
  const isDefinite = box.style.aspect !== undefined;
  return {
    laid: height === laid.height ? laid : layOut(pass, box, fixed(width, height, isDefinite, measured)),
    natural: laid.height,
  };
}

/** Where answers of such a pass are kept. */
function answersOf(pass: Pass, known: Known): Laid[] {
  if (pass.recording) {
    known.recorded ??= [];
    return known.recorded;
  }
  if (pass.explaining) {
    known.explained ??= [];
    return known.explained;
  }
  known.laid ??= [];
  return known.laid;
}

function keptAnswer(pass: Pass, box: Box, asked: Question): Laid {
  const answers = answersOf(pass, box.known);
  const known = find(answers, asked, minds(box, asked.definite));
  if (known) return known;
  const laid = pass.recording || pass.explaining ? written(pass, box, asked) : anew(pass, box, asked);
  if (answers.length >= answersKept) answers.shift();
  answers.push(laid);
  return laid;
}

/** The answer of a pass that writes down its comparisons; of a free height it may be read off between two others. */
function sweptAnswer(pass: Pass, box: Box, asked: Question): Laid {
  const { known } = box;
  const { width, height, definite, measured, limitsOf } = asked;
  const isFree = Number.isNaN(height);
  if (pass.readsOff && limitsOf === undefined && !measured && (isFree || !minds(box, definite))) {
    known.swept ??= new Answers();
    const laid = known.swept.at(width, (at) => written(pass, box, free(at, false)));
    if (isFree || Math.abs(laid.height - height) < 1e-9) return laid;
  }
  return keptAnswer(pass, box, asked);
}

/**
 * Whether a given height may make a difference to what is inside where it equals the height by content: something inside
 * asks for a part of it. Where it is not definite nobody may; but with a ratio the height by content is, and what content
 * needs (`needed`) is another number where it is not.
 */
const minds = ({ heightMatters, style }: Box, definite: Definite): boolean =>
  style.aspect !== undefined || (heightMatters && definite !== false);

/** The latest answer to the same question, or to one that must have the same answer. */
function find(
  answers: readonly Laid[],
  { width, height, definite, measured, limitsOf }: Question,
  mindsHeight: boolean,
): Laid | undefined {
  const isFree = Number.isNaN(height);
  for (let index = answers.length - 1; index >= 0; index--) {
    const laid = answers[index]!;
    if (laid.width !== width || laid.measured !== measured) continue;
    if (
      isFree
        ? Number.isNaN(laid.asked) && laid.limitsOf === limitsOf
        : laid.asked === height && laid.definite === definite
    )
      return laid;
    if (!isFree && !mindsHeight && laid.height === height && laid.limitsOf === undefined) return laid;
  }
  return undefined;
}

/** Lays out with a fresh list of notes, and keeps them with the answer. */
function written(pass: Pass, box: Box, asked: Question): Laid {
  const { log, reasons, content } = pass;
  pass.log = pass.recording ? new Log() : undefined;
  pass.reasons = [];
  pass.content = undefined;
  const laid = anew(pass, box, asked) as { -readonly [K in keyof Laid]: Laid[K] };
  laid.record = recordOf(pass.log ?? new Log(), pass.reasons, pass.content);
  pass.log = log;
  pass.reasons = reasons;
  pass.content = content;
  return laid;
}

/** An answer to another question, where there has to be one. */
const asBefore = (last: Laid, { width, height, definite, measured }: Question): Laid => ({
  ...last,
  width,
  height: Number.isNaN(height) ? last.height : height,
  asked: height,
  definite,
  measured,
});

function anew(pass: Pass, box: Box, asked: Question): Laid {
  const { last } = box.known;
  if (pass.isEnough() && last) return asBefore(last, asked);
  const worked = work(pass, box, asked);
  const laid = asked.limitsOf === undefined ? worked : { ...worked, limitsOf: asked.limitsOf };
  box.known.last = laid;
  return laid;
}

function work(pass: Pass, box: Box, asked: Question): Laid {
  const { height } = asked;
  if (Number.isNaN(height) && box.style.aspect !== undefined) return byRatio(pass, box, asked);
  return pass.engine.layOut(pass, box, asked);
}

/** The border-box height that goes with a width; whether the frame holds it up is written down. */
export function heightByRatio(pass: Pass, box: Box, width: number): number {
  const { aspect } = box.style;
  pass.sign(box, 'least', aspect === undefined ? width - frameWidth(box) : width / aspect - frameHeight(box));
  return heightOfWidth(box, width);
}

/**
 * Whether content holds up a height by ratio (CSS Sizing 4 §6.2). Browsers look at the height as it is asked for: a
 * percentage is none by content, even where it counts for nothing.
 */
export const contentHolds = ({ style, content }: Box): boolean =>
  style.minHeight === undefined &&
  !isFraction(style.height) &&
  content.type !== 'picture' &&
  content.type !== 'scroll';

/** What is known of a column's child with an aspect ratio whose height follows from its width. */
interface ByRatio {
  /** Its height by ratio at that width. */
  readonly ratio: number;
  /** Of its height. */
  readonly limits: Range;
  /** What parts in the limits of its width refer to, where that is known. */
  readonly of: number | undefined;
  /** Whether it was asked for its width by content before. */
  readonly measured: Measured;
}

/**
 * The automatic least height of a column's child with an aspect ratio (Flexbox 1 §4.5): what its content needs holds it up,
 * as far as its greatest width goes; its height by ratio is not definite for what is inside.
 */
export function leastByRatio(
  pass: Pass,
  box: Box,
  width: number,
  { ratio, limits, of, measured }: ByRatio,
): number {
  let least = pass.clamp(box, ratio, limits.min, limits.max);
  if (contentHolds(box)) {
    const { needed = least } = layOut(pass, box, fixed(width, least, false, measured));
    least = pass.larger(box, 'least', needed, least);
  }
  const { min, max } = widthRange(box, of, pass);
  return max < Infinity ? plainMin(least, heightOfWidth(box, plainMax(min, max))) : least;
}

/**
 * A box with an aspect ratio and a free height: as high as the ratio says, but no lower than its content unless it
 * has a least height of its own (CSS Sizing 4 §6.2). That height is definite.
 */
function byRatio(pass: Pass, box: Box, { width, measured, limitsOf }: Question): Laid {
  const limits = heightRange(box, limitsOf, pass);
  const ratio = heightByRatio(pass, box, width);
  pass.held(box, ratio, limits.min, limits.max);
  let height = plainClamp(ratio, limits.min, limits.max);
  // Its content may have been asked before this height was known.
  const definite = measured === 'free' ? 'late' : true;
  const at = fixed(width, height, definite, measured);
  let laid = anew(pass, box, at);
  let least = limits.min;
  if (contentHolds(box) && laid.needed !== undefined) {
    // Content that follows from the height is as the ratio's height has it: what is stretched holds nothing up.
    least = plainClamp(laid.needed, least, limits.max);
    pass.sign(box, 'least', height - least);
    if (least > height) {
      // Parts of a height still refer to the ratio's, what is stretched fills the box.
      laid = anew(pass, box, { ...at, height: least });
      height = least;
    }
  }
  if (pass.explaining) pass.content = { rule: 'ratio', from: width, value: ratio, least, most: limits.max };
  return { ...laid, asked: Number.NaN, definite: false };
}
