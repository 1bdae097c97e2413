/** How narrow and how wide a box would like to be by its content (CSS Sizing 3 §5, Flexbox 1 §9.9). */
import type { Box, FlexContent } from './box.ts';
import { countsByLimits, gridWidths } from './grid/widths.ts';
import type { Widths } from './laid.ts';
import { layOut } from './lay-out.ts';
import { Log, Pass, recordOf } from './record.ts';
import {
  across,
  down,
  frameHeight,
  frameWidth,
  hasRatio,
  heightRange,
  isFraction,
  isShare,
  ownHeight,
  pictureWidth,
  pixels,
  widthByRatio,
  widthRange,
  widthsByLimits,
} from './sizes.ts';
import { isEnough } from './work.ts';

/**
 * Border-box widths by content alone; the box's own `width` and limits are not looked at.
 *
 * @param height the box's border-box height, where that is known beforehand: pictures inside may follow from it.
 * @param basis what percentages of its own width limits refer to, where that is known.
 * @param heightBasis what percentages of its own height limits refer to, where that is known.
 */
export function contentWidths(
  pass: Pass,
  box: Box,
  height?: number,
  basis?: number,
  heightBasis?: number,
): Widths {
  const across = basis !== undefined && countsByLimits(box) ? basis : undefined;
  const along = heightBasis !== undefined && box.limitsMatter ? heightBasis : undefined;
  if (across !== undefined || along !== undefined)
    return transferred(pass, box, measuredAt(pass.onTheWay, box, height, across, along), heightBasis);
  if (height !== undefined && box.widthAsksHeight)
    return transferred(pass, box, measuredAt(pass.onTheWay, box, height), heightBasis);
  const { aspect, minHeight, maxHeight } = box.style;
  return heightBasis !== undefined && aspect !== undefined && (isFraction(minHeight) || isFraction(maxHeight))
    ? transferred(pass, box, measured(box), heightBasis)
    : freeWidths(box);
}

/** Content widths where no height is known: the same at every width of the screen, so nothing is written down. */
export const freeWidths = (box: Box): Widths =>
  box.style.aspect === undefined ? measured(box) : transferred(silent, box, measured(box));

/** The same without what limits of its height have to do with them. */
function measured(box: Box): Widths {
  box.known.widths ??= measure(silent, box, undefined);
  return box.known.widths;
}

const silent = new Pass('nothing');

/** Heights at which content widths of a box are kept. */
const heightsKept = 24;

/** The same at a height. Each level of a nest asks for it more than once, so it is worked out once. */
function measuredAt(
  pass: Pass,
  box: Box,
  height: number | undefined,
  basis?: number,
  heightBasis?: number,
): Widths {
  const { known } = box;
  if (pass.recording) known.recordedWidths ??= [];
  else known.widthsAt ??= [];
  const kept = (pass.recording ? known.recordedWidths : known.widthsAt)!;
  let answer = kept.find(
    (each) => each.height === height && each.basis === basis && each.heightBasis === heightBasis,
  );
  if (!answer && isEnough()) answer = kept.at(-1);
  if (!answer) {
    const { log } = pass;
    pass.log = pass.recording ? new Log() : undefined;
    const widths = measure(pass, box, height, basis, heightBasis);
    answer = { box, height, basis, heightBasis, widths, record: pass.log && recordOf(pass.log) };
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
export const leastByContent = (pass: Pass, box: Box, height?: number): number =>
  (height !== undefined && box.widthAsksHeight ? measuredAt(pass.onTheWay, box, height) : measured(box)).min;

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

/** Whether content holds up a width by ratio beside a percentage of a height, even one that counts for nothing (as browsers do it). */
export const isHeldAcross = (box: Box): boolean =>
  box.style.aspect !== undefined && isFraction(box.style.height) && keepsWidthOf(box);

const same = (width: number): Widths => ({ min: width, max: width });

function measure(
  pass: Pass,
  box: Box,
  height: number | undefined,
  basis?: number,
  heightBasis?: number,
): Widths {
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
      const inside = height === undefined ? undefined : Math.max(0, height - frameHeight(box));
      const widths = contribution(pass, inner, false, content.axis === 'horizontal' ? inside : undefined);
      return content.axis === 'vertical'
        ? { min: widths.min + frame, max: widths.max + frame }
        : same(widths.max + frame);
    }
    case 'grid':
      return gridWidths(pass, box, content, height, basis, heightBasis);
    case 'flex': {
      const row = content.direction === 'row';
      let min = 0;
      let max = 0;
      const inner = height === undefined ? undefined : Math.max(0, height - frameHeight(box));
      for (const child of box.children) {
        const widths = contribution(
          pass,
          child,
          row,
          heightByContainer(pass, box, content, child, height),
          inner,
        );
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
          max: (content.wrap ? columnsWidth(pass, box, content, max, height, heightBasis) : max) + frame,
        };
      const gaps = Math.max(0, box.children.length - 1) * content.columnGap;
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
  known: number | undefined,
  limitsOf: number | undefined,
): number {
  const definite = known ?? ownHeight(box);
  const limits = heightRange(box, limitsOf, pass);
  const room = (definite ?? pass.larger(box, 'least', limits.max, limits.min)) - frameHeight(box);
  // Percentages of the children's heights refer to it where it is definite.
  const basis = definite === undefined ? undefined : Math.max(0, room);
  if (room === Infinity) return widest;
  let total = 0;
  let line = 0;
  // Undefined before the first line; margins may make a line shorter than nothing.
  let length: number | undefined;
  for (const child of box.children) {
    const byContainer = heightByContainer(pass, box, content, child, known);
    const widths = contribution(pass, child, false, byContainer, basis);
    const margin = across(child.style.margin);
    const width = pass.clamp(child, widest, widths.min, widths.max) - margin;
    const { min, max } = heightRange(child, basis, pass);
    const natural = isShare(child.style.height)
      ? 0
      : (pixels(child.style.height, basis) ?? layOut(pass, child, width, Number.NaN, false).height);
    const size = pass.clamp(child, natural, min, max) + down(child.style.margin);
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
  return heightWithin(pass, child, content, Math.max(0, height - frameHeight(container)));
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

/** A picture whose width or greatest width is a percentage may be compressed to nothing (CSS Sizing 3 §5.2.2). */
export const isCompressible = ({ style, content }: Box): boolean =>
  content.type === 'picture' && (isFraction(style.width) || isFraction(style.maxWidth));

/**
 * What a child adds to its parent's content widths: its margin box at its own `width` where that is a number,
 * by content otherwise. A percentage counts as absent here (CSS Sizing 3 §5.2.1).
 *
 * @param row whether the parent puts its children side by side.
 * @param byParent border-box height by the parent, where that is known beforehand.
 * @param heightBasis what percentages of heights refer to.
 */
export function contribution(
  pass: Pass,
  child: Box,
  row: boolean,
  byParent?: number,
  heightBasis?: number,
): Widths {
  const { style } = child;
  const range = widthRange(child, undefined);
  const margin = across(style.margin);
  const fixed = pixels(style.width, undefined);
  // Not below a number that a row keeps (Flexbox 1 §9.9.1: what cannot shrink counts in full).
  const compressible = isCompressible(child) && !(fixed !== undefined && row);
  let own: Widths;
  if (fixed !== undefined) own = same(fixed);
  else {
    const asked = child.widthAsksHeight ? (byParent ?? pixels(style.height, undefined)) : undefined;
    let height: number | undefined;
    if (asked !== undefined) {
      const limits = heightRange(child, heightBasis, pass);
      height = pass.clamp(child, asked, limits.min, limits.max);
    }
    own = widthsWithin(pass, child, height, heightBasis);
    if (!row && isHeldAcross(child)) {
      const least = leastByContent(pass, child, height);
      own = {
        min: pass.larger(child, 'least', own.min, least),
        max: pass.larger(child, 'least', own.max, least),
      };
    }
    if (height !== undefined && hasRatio(child)) {
      const width = widthByRatio(pass, child, height);
      // A share has no least size of its own along its row.
      const isKept = keepsWidthOf(child) && !(row && isShare(style.width));
      own = same(isKept ? pass.larger(child, 'least', width, leastByContent(pass, child, height)) : width);
    }
  }
  // What does not follow from a height is the same at every width of the screen.
  const follows = child.widthAsksHeight ? pass : new Pass('nothing');
  const clamped = (width: number) => follows.clamp(child, width, range.min, range.max) + margin;
  return { min: clamped(compressible ? 0 : own.min), max: clamped(own.max) };
}

/**
 * Content widths of a child of a row or column.
 *
 * @param height its border-box height, where that is known beforehand.
 * @param heightBasis what percentages of heights refer to.
 * @param widthBasis what percentages of widths refer to.
 */
export function widthsWithin(
  pass: Pass,
  child: Box,
  height: number | undefined,
  heightBasis: number | undefined,
  widthBasis?: number,
): Widths {
  const { content } = child;
  if (content.type !== 'picture' || heightBasis === undefined)
    return contentWidths(pass, child, height, widthBasis, heightBasis);
  return same(pictureWidth(pass, child, content, heightBasis));
}
