/** How narrow and how wide a box would like to be by its content (CSS Sizing 3 §5, Flexbox 1 §9.9). */

import { heightByRatio, layOut, leastByRatio } from './ask.ts';
import type { Box, FlexContent } from './box.ts';
import { asksWidthLimits, type Carried, carriesAcross, carriesLimits } from './grid/carried.ts';
import { free, type Given, type Widths } from './laid.ts';
import { contentAsksAgain } from './make-box.ts';
import { gapsBetween, roomLeft } from './plain-limits.ts';
import { Log, type Pass, recordOf } from './record.ts';
import {
  across,
  asksAfresh,
  down,
  frameHeight,
  frameWidth,
  hasRatio,
  heightRange,
  ignoresLateLimits,
  isFraction,
  isShare,
  limitsHeightByParts,
  limitsWidthByParts,
  ownHeight,
  pictureWidth,
  pixels,
  widthByRatio,
  widthRange,
  widthsByLimits,
} from './sizes.ts';

/** Border-box widths by content alone; the box's own `width` and limits are not looked at. */
export function contentWidths(pass: Pass, box: Box, given: Given): Widths {
  const widths = counted(pass, box, given, given.carried ?? 'all');
  if (box.style.aspect === undefined) return widths;
  const isFree = widths === box.known.widths && (given.heightOf === undefined || !limitsHeightByParts(box));
  return transferred(isFree ? pass.silent : pass, box, widths, given.heightOf);
}

/** Content widths where no height is known: the same at every width of the screen, so nothing is written down. */
export const freeWidths = (pass: Pass, box: Box): Widths =>
  box.style.aspect === undefined ? measured(pass, box) : transferred(pass.silent, box, measured(pass, box));

/** As `contentWidths`, without what height limits make of the result. */
function counted(pass: Pass, box: Box, given: Given, wanted: Carried): Widths {
  const widthOf = given.widthOf !== undefined && asksWidthLimits(box) ? given.widthOf : undefined;
  const ignoresParts = wanted === 'numbers' && box.style.aspect !== undefined;
  const isKept = given.isLate === true && box.keepsAnswer;
  const keepsLimits = isKept && (!asksAfresh(box) || ignoresLateLimits(box));
  // Not beside limits that are parts of something and have to do with its width.
  const isAsked = limitsWidthByParts(box) || (box.style.aspect !== undefined && limitsHeightByParts(box));
  const keepsHeight = isKept && !isAsked && !contentAsksAgain(box);
  const heightOf = box.limitsMatter && !ignoresParts && !keepsLimits ? given.heightOf : undefined;
  const height = box.widthAsksHeight && !keepsHeight ? given.height : undefined;
  const carried = wanted !== 'all' && carriesLimits(box) ? wanted : 'all';
  const isKnown = height !== undefined || heightOf !== undefined;
  if (widthOf === undefined && !isKnown && carried === 'all') return measured(pass, box);
  return measuredAt(pass.onTheWay, box, { height, widthOf, heightOf, carried, isLate: isKnown && isKept });
}

/** The same without what limits of its height have to do with them. */
function measured(pass: Pass, box: Box): Widths {
  box.known.widths ??= measure(pass.silent, box, {});
  return box.known.widths;
}

/** Heights at which content widths of a box are kept. */
const heightsKept = 24;

const isSame = (a: Given, b: Given): boolean =>
  a.height === b.height &&
  a.widthOf === b.widthOf &&
  a.heightOf === b.heightOf &&
  a.carried === b.carried &&
  a.isLate === b.isLate;

/** The same with something known. Each level of a nest asks for it more than once, so it is worked out once. */
function measuredAt(pass: Pass, box: Box, given: Given): Widths {
  const { known } = box;
  if (pass.recording) known.recordedWidths ??= [];
  else known.widthsAt ??= [];
  const kept = (pass.recording ? known.recordedWidths : known.widthsAt)!;
  let answer = kept.find((each) => isSame(each.given, given));
  if (!answer && pass.isEnough()) answer = kept.at(-1);
  if (!answer) {
    const { log } = pass;
    pass.log = pass.recording ? new Log() : undefined;
    const widths = measure(pass, box, given);
    answer = { box, given, widths, record: pass.log && recordOf(pass.log) };
    pass.log = log;
    if (kept.length >= heightsKept) kept.shift();
    kept.push(answer);
  }
  pass.log?.push(answer);
  return answer.widths;
}

/**
 * The smallest content that holds up a width by ratio (CSS Sizing 4 §6.2). Limits of the height are in the ratio's
 * other side already, so they do not bound it.
 */
export const leastByContent = (pass: Pass, box: Box, given: Given): number =>
  counted(pass, box, given, given.carried ?? 'none').min;

/**
 * Height limits of a box with an aspect ratio bound its width by content, too (CSS Sizing 4 §6.3).
 *
 * @param heightBasis what percentages of them refer to, where that is known.
 */
function transferred(pass: Pass, box: Box, widths: Widths, heightBasis?: number): Widths {
  if (box.style.aspect === undefined || box.content.type === 'picture') return widths;
  const { min, max } = widthsByLimits(pass, box, heightBasis);
  return { min: pass.clamp(box, widths.min, min, max), max: pass.clamp(box, widths.max, min, max) };
}

const same = (width: number): Widths => ({ min: width, max: width });

function measure(pass: Pass, box: Box, given: Given): Widths {
  const { height, isLate } = given;
  const frame = frameWidth(box);
  const { content } = box;
  switch (content.type) {
    case 'text':
      return { min: content.paragraphs.minContent + frame, max: content.paragraphs.maxContent + frame };
    case 'blank':
      return same(content.width + frame);
    case 'picture':
      return same(pictureWidth(pass, box, content, undefined));
    case 'pinboard':
    // A split decides by its own width, so that cannot follow from its panes (Containment 3 §3.2, inline-size).
    case 'split':
      return same(frame);
    case 'scroll': {
      const inner = box.children[0];
      if (!inner) return same(frame);
      const inside = height === undefined ? undefined : roomLeft(height - frameHeight(box));
      const known = content.axis === 'horizontal' ? inside : undefined;
      const widths = contribution(pass, inner, false, { height: known, isLate });
      return content.axis === 'vertical'
        ? { min: widths.min + frame, max: widths.max + frame }
        : same(widths.max + frame);
    }
    case 'grid':
      return pass.engine.gridWidths(pass, box, content, given);
    case 'flex': {
      const row = content.direction === 'row';
      let min = 0;
      let max = 0;
      const inner = height === undefined ? undefined : roomLeft(height - frameHeight(box));
      for (const child of box.children) {
        const byContainer = heightByContainer(pass, box, content, child, height);
        const widths = contribution(pass, child, row, { height: byContainer, heightOf: inner, isLate });
        if (row) {
          min = content.wrap ? pass.larger(child, 'largest', min, widths.min) : min + widths.min;
          max += widths.max;
        } else {
          min = pass.larger(child, 'largest', min, widths.min);
          max = pass.larger(child, 'largest', max, widths.max);
        }
      }
      if (!row)
        return {
          min: min + frame,
          max: (content.wrap ? columnsWidth(pass, box, content, max, given) : max) + frame,
        };
      const gaps = gapsBetween(box.children.length, content.columnGap);
      return { min: min + (content.wrap ? 0 : gaps) + frame, max: max + gaps + frame };
    }
  }
}

/**
 * How wide a column that wraps is when all its children have as much room as the widest wants: its lines beside
 * each other. (Flexbox 1 §9.9.1 leaves this open; browsers lay it out to find out.)
 */
function columnsWidth(
  pass: Pass,
  box: Box,
  content: FlexContent,
  widest: number,
  { height: known, heightOf, isLate }: Given,
): number {
  const definite = known ?? ownHeight(box);
  const limits = heightRange(box, heightOf, pass);
  const room = (definite ?? pass.larger(box, 'least', limits.max, limits.min)) - frameHeight(box);
  // Percentages of the children's heights refer to it where it is definite.
  const basis = definite === undefined ? undefined : roomLeft(room);
  if (room === Infinity) return widest;
  let total = 0;
  let line = 0;
  // Undefined before the first line; margins may make a line shorter than nothing.
  let length: number | undefined;
  for (const child of box.children) {
    const byContainer = heightByContainer(pass, box, content, child, known);
    const widths = contribution(pass, child, false, { height: byContainer, heightOf: basis, isLate });
    const margin = across(child.style.margin);
    const width = pass.clamp(child, widest, widths.min, widths.max) - margin;
    const size = heightInColumn(pass, child, width, basis) + down(child.style.margin);
    const after = (length ?? 0) + content.rowGap + size;
    if (length !== undefined) pass.sign(child, 'wrap', room - after, true);
    if (length !== undefined && after <= room) length = after;
    else {
      if (length !== undefined) total += line + content.columnGap;
      length = size;
      line = 0;
    }
    line = pass.larger(child, 'largest', line, width + margin);
  }
  return total + line;
}

/** How high a child of a column counts where lines break: its hypothetical size (Flexbox 1 §9.2.3). */
function heightInColumn(pass: Pass, child: Box, width: number, of: number | undefined): number {
  const { style, content } = child;
  const limits = heightRange(child, of, pass);
  const held = (height: number) => pass.clamp(child, height, limits.min, limits.max);
  const fixed = isShare(style.height) ? 0 : pixels(style.height, of);
  if (fixed !== undefined) return held(fixed);
  if (style.aspect === undefined || content.type === 'picture')
    return held(layOut(pass, child, free(width, 'free')).height);
  const ratio = heightByRatio(pass, child, width);
  const isHeldUp = style.minHeight === undefined && !givesWayFully(child);
  const least = isHeldUp
    ? leastByRatio(pass, child, width, { ratio, limits, of: undefined, measured: 'free' })
    : 0;
  return held(pass.larger(child, 'least', ratio, least));
}

/** A child's border-box height, where it follows from the known height of its container; else undefined. */
function heightByContainer(
  pass: Pass,
  container: Box,
  content: FlexContent,
  child: Box,
  known: number | undefined,
): number | undefined {
  if (!child.widthAsksHeight) return undefined;
  const height = known ?? ownHeight(container);
  if (height === undefined) return undefined;
  return heightWithin(pass, child, content, roomLeft(height - frameHeight(container)));
}

/** The border-box height of a child of a row or column whose inner height is known; undefined: by content. */
export function heightWithin(
  pass: Pass,
  child: Box,
  content: FlexContent,
  inner: number,
): number | undefined {
  const { style } = child;
  const limits = heightRange(child, inner, pass);
  const clamped = (value: number) => pass.clamp(child, value, limits.min, limits.max);
  const asked = pixels(style.height, inner);
  if (asked !== undefined) return clamped(asked);
  const stretched = style.height === undefined && (style.alignSelf ?? content.align) === 'stretch';
  const fillsHeight = content.direction === 'row' && !content.wrap && (isShare(style.height) || stretched);
  return fillsHeight ? clamped(inner - down(style.margin)) : undefined;
}

/**
 * Whether a width by ratio is held up by what is inside (CSS Sizing 4 §6.2): not a picture's, not where something
 * scrolls, not where a least width is given.
 */
export const keepsWidthOf = ({ style, content }: Box): boolean =>
  style.minWidth === undefined && content.type !== 'picture' && content.type !== 'scroll';

/** Whether the smallest content does not hold a box up along its parent's main axis (Flexbox 1 §4.5: it scrolls). */
export const givesWayFully = ({ content }: Box): boolean => content.type === 'scroll';

/** A picture whose width or greatest width is a percentage may be compressed to nothing (CSS Sizing 3 §5.2.2). */
export const isCompressible = ({ style, content }: Box): boolean =>
  content.type === 'picture' && (isFraction(style.width) || isFraction(style.maxWidth));

/**
 * What a child adds to its parent's content widths: its margin box at its own `width` where that is a number,
 * by content otherwise. A percentage counts as absent here (CSS Sizing 3 §5.2.1).
 *
 * @param row whether the parent puts its children side by side.
 * @param given the height is the one that the parent gives it.
 */
export function contribution(pass: Pass, child: Box, row: boolean, given: Given): Widths {
  const { style } = child;
  const { heightOf, isLate, carried = row || carriesAcross(child) ? 'all' : 'none' } = given;
  const range = widthRange(child, undefined);
  const margin = across(style.margin);
  const fixed = pixels(style.width, undefined);
  // Not below a number that a row keeps (Flexbox 1 §9.9.1: what cannot shrink counts in full).
  const compressible = isCompressible(child) && !(fixed !== undefined && row);
  let own: Widths;
  if (fixed !== undefined) own = same(fixed);
  else {
    const asked = child.widthAsksHeight ? (given.height ?? pixels(style.height, undefined)) : undefined;
    let height: number | undefined;
    if (asked !== undefined) {
      const limits = heightRange(child, heightOf, pass);
      height = pass.clamp(child, asked, limits.min, limits.max);
    }
    const known = { height, heightOf, isLate: isLate && typeof style.height !== 'number' };
    own = widthsWithin(pass, child, { ...known, carried });
    if (height !== undefined && hasRatio(child)) {
      const width = widthByRatio(pass, child, height);
      // A share has no least size of its own along its row.
      const isKept = keepsWidthOf(child) && !(row && isShare(style.width));
      const least = () => leastByContent(pass, child, { ...known, carried: row ? 'all' : carried });
      own = same(isKept ? pass.larger(child, 'least', width, least()) : width);
    }
  }
  // What does not follow from a height is the same at every width of the screen.
  const follows = child.widthAsksHeight ? pass : pass.silent;
  const clamped = (width: number) => follows.clamp(child, width, range.min, range.max) + margin;
  return { min: clamped(compressible ? 0 : own.min), max: clamped(own.max) };
}

/** Content widths of a child of a container. */
export function widthsWithin(pass: Pass, child: Box, given: Given): Widths {
  const { content } = child;
  if (content.type !== 'picture' || given.heightOf === undefined) return contentWidths(pass, child, given);
  return same(pictureWidth(pass, child, content, given.heightOf));
}
