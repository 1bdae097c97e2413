/** Rows and columns (CSS Flexbox 1 §9). */
import type { Align, Box, FlexContent, Justify, Size } from './box.ts';
import { distribute, type FlexItem, hypothetical } from './distribute.ts';
import { explainFlex } from './explain-flex.ts';
import { carriesAcross } from './grid/widths.ts';
import { asEarlyAs, type Definite, type Given, type Laid, type Measured, type Question } from './laid.ts';
import { heightByRatio, layByContent, layOut, layStretched, leastByRatio } from './lay-out.ts';
import { contentAsksAgain } from './make-box.ts';
import type { Pass } from './record.ts';
import {
  across,
  asksAfresh,
  down,
  fills,
  frameHeight,
  frameStart,
  frameTop,
  frameWidth,
  hasRatio,
  heightRange,
  isByContent,
  isFraction,
  isShare,
  pixels,
  widthByRatio,
  widthRange,
} from './sizes.ts';
import {
  contentWidths,
  givesWayFully,
  heightWithin,
  isHeldAcross,
  keepsWidthOf,
  leastByContent,
  widthsWithin,
} from './widths.ts';

/** The inside of a container: its content box, as far as it is known. NaN: not known. */
export interface FlexInside {
  readonly box: Box;
  readonly width: number;
  readonly height: number;
  /** What percentage heights of children refer to; undefined where that is not known. */
  readonly heightBasis: number | undefined;
  /** How a height that follows from it is known. */
  readonly known: true | 'late';
  /** Of the container; what is in it was asked with it. */
  readonly measured: Measured;
  readonly content: FlexContent;
  readonly row: boolean;
}

/** A child on its way to a size and place. */
export interface Item extends FlexItem {
  readonly align: Align;
  laid: Laid;
  x: number;
  y: number;
}

/**
 * Lays out a container's children. Called by `layOut`, which keeps what comes back.
 */
export function layOutFlex(
  pass: Pass,
  box: Box,
  content: FlexContent,
  { width, height, definite, measured, limitsOf, percentOf }: Question,
  children: readonly Box[] = box.children,
): Laid {
  const row = content.direction === 'row';
  const free = Number.isNaN(height);
  const limits = heightRange(box, limitsOf, pass);
  const frameH = frameHeight(box);
  const innerHeight = free ? Number.NaN : Math.max(0, height - frameH);
  const inside: FlexInside = {
    box,
    width: Math.max(0, width - frameWidth(box)),
    height: innerHeight,
    heightBasis: free || !definite ? undefined : Math.max(0, percentOf - frameH),
    known: asEarlyAs(definite),
    measured,
    content,
    row,
  };
  const innerMin = Math.max(0, limits.min - frameH);
  const innerMax = limits.max - frameH;
  const mainGap = row ? content.columnGap : content.rowGap;
  const crossGap = row ? content.rowGap : content.columnGap;

  const items: Item[] = new Array(children.length);
  for (let index = 0; index < children.length; index++)
    items[index] = row ? rowItem(pass, children[index]!, inside) : columnItem(pass, children[index]!, inside);
  // A column whose height is not definite breaks where its greatest height ends (§9.3.5, the available main size); one
  // that content holds up breaks where its ratio would end it.
  const lineRoom = row ? inside.width : free ? Math.max(innerMin, innerMax) : Math.max(0, percentOf - frameH);
  const lines = content.wrap ? breakLines(pass, items, lineRoom, mainGap) : items.length > 0 ? [items] : [];

  let mainSize = row ? inside.width : innerHeight;
  if (Number.isNaN(mainSize)) {
    let longest = 0;
    for (const line of lines) longest = pass.larger(box, 'largest', longest, lengthOf(line, mainGap));
    mainSize = pass.clamp(box, longest, innerMin, innerMax);
  }

  for (const line of lines) {
    distribute(line, mainSize - (line.length - 1) * mainGap, pass);
    for (const item of line)
      item.laid = row ? layRowItem(pass, item, inside) : layColumnItem(pass, item, inside);
  }

  // Cross sizes of lines (§9.4).
  const crossKnown = row ? innerHeight : inside.width;
  const isNeeded = limitsOf !== undefined || (!free && box.style.aspect !== undefined);
  // What is stretched in a row of known height needs no more than that.
  if (isNeeded && definite && row && !content.wrap)
    for (const line of lines) for (const item of line) stretch(pass, item, crossKnown, inside);
  const crossSizes = lines.map((line) => lineCross(pass, line, row));
  let needed: number | undefined;
  if (isNeeded) {
    const lengths = row ? crossSizes : lines.map((line) => lengthOf(line, mainGap));
    needed = frameH + heightOfLines(pass, box, lengths, row, crossGap);
  }
  if (!content.wrap && lines.length > 0) {
    if (Number.isNaN(crossKnown)) {
      pass.held(box, crossSizes[0]!, innerMin, innerMax);
      crossSizes[0] = Math.max(innerMin, Math.min(innerMax, crossSizes[0]!));
    } else crossSizes[0] = crossKnown;
  }
  let crossContent = Math.max(0, lines.length - 1) * crossGap;
  for (const size of crossSizes) crossContent += size;
  let crossSize = crossKnown;
  if (Number.isNaN(crossSize)) {
    pass.held(box, crossContent, innerMin, innerMax);
    crossSize = Math.max(innerMin, Math.min(innerMax, crossContent));
  }
  if (content.wrap && lines.length > 0) {
    if (pass.log) pass.sign(box, 'room', crossSize - crossContent);
    if (crossSize > crossContent) {
      const extra = (crossSize - crossContent) / lines.length;
      for (let index = 0; index < crossSizes.length; index++) crossSizes[index]! += extra;
    }
  }

  // Stretching, then places (§9.4.11, §9.5, §9.6).
  const top = frameTop(box);
  const start = frameStart(box);
  let crossAt = 0;
  let firstBaseline: number | undefined;
  for (let lineIndex = 0; lineIndex < lines.length; lineIndex++) {
    const line = lines[lineIndex]!;
    const cross = crossSizes[lineIndex]!;
    let used = (line.length - 1) * mainGap;
    for (const item of line) {
      stretch(pass, item, cross, inside);
      used += item.main + item.margin;
    }
    const baselineAt = lineBaseline(pass, line);
    const spare = mainSize - used;
    if (
      pass.log &&
      (content.justify === 'between' || content.justify === 'around' || content.justify === 'evenly')
    )
      pass.sign(box, 'room', spare);
    const between = roomBetween(content.justify, spare, line.length);
    let mainAt = roomBefore(content.justify, spare, line.length);
    for (const item of line) {
      const { margin } = item.box.style;
      const offset = crossOffset(pass, item, cross, content, baselineAt);
      item.x = start + (row ? mainAt + margin.start : crossAt + offset);
      item.y = top + (row ? crossAt + offset : mainAt + margin.top);
      mainAt += item.main + item.margin + mainGap + between;
    }
    if (lineIndex === 0) {
      // §8.5: the first baseline of a row is that of an item which takes part in baseline alignment, else the first's.
      const leader = line.find((item) => item.align === 'baseline') ?? line[0]!;
      firstBaseline = leader.y + (leader.laid.baseline ?? leader.laid.height);
    }
    crossAt += cross + crossGap;
  }

  const contentHeight = row ? crossSize : mainSize;
  if (pass.log && free) pass.held(box, contentHeight + frameH, limits.min, limits.max);
  const laidChildren: Laid[] = new Array(items.length);
  const places: number[] = new Array(items.length * 2);
  for (let index = 0; index < items.length; index++) {
    const item = items[index]!;
    laidChildren[index] = item.laid;
    places[2 * index] = item.x;
    places[2 * index + 1] = item.y;
  }
  if (pass.explaining)
    explainFlex(pass, inside, { items, lines, mainSize, crossSizes, mainGap, crossGap, free, frame: frameH });
  const laid: Laid = {
    box,
    width,
    height: free ? Math.max(limits.min, Math.min(limits.max, contentHeight + frameH)) : height,
    baseline: firstBaseline,
    lines: [],
    children: laidChildren,
    places,
    extent: undefined,
    asked: height,
    definite,
    measured,
    record: undefined,
  };
  // Boxes with a ratio are few: all others are objects of one and the same kind.
  return needed === undefined ? laid : { ...laid, needed };
}

/** How high lines are: rows one below another, columns beside each other. */
function heightOfLines(pass: Pass, box: Box, lengths: readonly number[], row: boolean, gap: number): number {
  let total = 0;
  for (const length of lengths) total = row ? total + length : pass.larger(box, 'largest', total, length);
  return row ? total + Math.max(0, lengths.length - 1) * gap : total;
}

/** How a child lies across the main axis: `share` fills, `fit` never does. */
function alignOf(child: Box, content: FlexContent, crossSize: Size): Align {
  if (isShare(crossSize)) return 'stretch';
  const word = child.style.alignSelf ?? content.align;
  // Baselines run across: in a column there are none to line up by, and the start stands for them.
  return word === 'baseline' && content.direction === 'column' ? 'start' : word;
}

/** A child of a row: its flex base size and limits along the width (§9.2). */
function rowItem(pass: Pass, child: Box, inside: FlexInside): Item {
  const { style } = child;
  const align = alignOf(child, inside.content, style.height);
  const limits = widthRange(child, inside.width, pass);
  const fixed = pixels(style.width, inside.width);
  let base: number;
  let { min } = limits;
  if (fixed !== undefined) base = fixed;
  else if (isShare(style.width)) base = 0;
  else {
    const height = knownHeight(pass, child, inside);
    const byHeight = height !== undefined && hasRatio(child) ? widthByRatio(pass, child, height) : undefined;
    const given = {
      height,
      widthOf: inside.width,
      heightOf: inside.heightBasis,
      carried: 'all',
      isLate: isLate(child, inside),
    } as const;
    const widths = widthsWithin(pass, child, given);
    base = byHeight ?? widths.max;
    // §4.5: the automatic minimum is the smallest content size, no greater than the own maximum.
    if (style.minWidth === undefined && !givesWayFully(child)) {
      const least =
        child.content.type === 'picture' || byHeight === undefined
          ? (byHeight ?? widths.min)
          : pass.larger(child, 'least', byHeight, leastByContent(pass, child, given));
      min = pass.clamp(child, least, min, limits.max);
    }
  }
  return makeItem(
    pass,
    child,
    align,
    style.width,
    base,
    min,
    limits.max,
    frameWidth(child),
    across(style.margin),
  );
}

/**
 * Whether a child is asked for its width by content before it is laid out: with its container, or by it.
 *
 * @param align how it lies across.
 */
function measuredIn(pass: Pass, child: Box, inside: FlexInside, align: Align): Measured {
  const { width, aspect } = child.style;
  if (!child.keepsAnswer || typeof width === 'number') return false;
  // Lines of columns are as wide as what is in them.
  const isFilled = !inside.row && !inside.content.wrap && fills(width, align);
  if (!inside.measured && (!isByContent(width) || isFilled)) return false;
  const isKnown = aspect !== undefined && inside.known === true;
  return isKnown && knownHeight(pass, child, inside) !== undefined ? 'known' : 'free';
}

/**
 * How the height is known that a child with a share of a column comes to: not when the column was asked for its width by
 * content. One that was laid out at a free height before had the same shares then, if it was as high.
 */
function knownShare(
  pass: Pass,
  child: Box,
  { box, width, height, known, measured }: FlexInside,
): true | 'late' {
  if (measured && child.keepsAnswer && typeof child.style.width !== 'number') return 'late';
  if (known === true || !child.keepsAnswer) return known;
  const before = layOut(pass, box, width + frameWidth(box), Number.NaN, false, false);
  return pass.equal(box, 'least', before.height, height + frameHeight(box)) ? true : 'late';
}

/** Whether what is known of a child's height was not when it was asked first. */
const isLate = ({ style }: Box, { known }: FlexInside): boolean =>
  known === 'late' && typeof style.height !== 'number';

/**
 * The border-box height of a child whose width may follow from it, where its container knows that before it is laid out
 * (§9.2.3 B, §9.8).
 */
function knownHeight(pass: Pass, child: Box, inside: FlexInside): number | undefined {
  if (!child.widthAsksHeight) return undefined;
  const range = heightRange(child, inside.heightBasis, pass);
  const height =
    inside.heightBasis === undefined
      ? pixels(child.style.height, undefined)
      : heightWithin(pass, child, inside.content, inside.heightBasis);
  if (height === undefined) return undefined;
  pass.held(child, height, range.min, range.max);
  return Math.max(range.min, Math.min(range.max, height));
}

/** A child of a column: its width is known first, its height along the column follows. */
function columnItem(pass: Pass, child: Box, inside: FlexInside): Item {
  const { style } = child;
  const align = alignOf(child, inside.content, style.width);
  const width = columnItemWidth(pass, child, align, inside, inside.content.wrap ? undefined : inside.width);
  const measured = measuredIn(pass, child, inside, align);
  const limits = heightRange(child, inside.heightBasis, pass);
  const fixed = pixels(style.height, inside.heightBasis);
  let base: number;
  let { min } = limits;
  if (fixed !== undefined) base = fixed;
  else if (isShare(style.height)) base = 0;
  else {
    let least: number;
    if (style.aspect === undefined || child.content.type === 'picture') {
      base = layOut(pass, child, width, Number.NaN, false, measured).height;
      least = base;
    } else {
      // §9.2.3 B: from its width.
      base = heightByRatio(pass, child, width);
      least = leastByRatio(pass, child, width, base, limits, inside.width, measured);
    }
    if (style.minHeight === undefined && !givesWayFully(child))
      min = Math.max(min, Math.min(least, limits.max));
  }
  const item = makeItem(
    pass,
    child,
    align,
    style.height,
    base,
    min,
    limits.max,
    frameHeight(child),
    down(style.margin),
  );
  // Its width is what counts until its height is known.
  item.x = width;
  return item;
}

/**
 * Border-box width of a column's child.
 *
 * @param fill what a stretched one fills; undefined where that is not yet known.
 * @param available what there is for one by content.
 */
function columnItemWidth(
  pass: Pass,
  child: Box,
  align: Align,
  inside: FlexInside,
  fill: number | undefined,
  available = inside.width,
): number {
  const { style } = child;
  const limits = widthRange(child, inside.width, pass);
  const margin = across(style.margin);
  const fixed = pixels(style.width, inside.width);
  let width: number;
  if (fixed !== undefined) width = fixed;
  else if (fill !== undefined && fills(style.width, align)) width = fill - margin;
  else {
    const height = knownHeight(pass, child, inside);
    // How many columns a grid repeats follows from numbers among its height limits only (as browsers do it).
    const carried = carriesAcross(child) ? 'numbers' : 'none';
    // Nothing is known of heights when a column asks what is in it, unless that was asked before with the column's own.
    const heightOf = asksAfresh(child) || inside.measured ? inside.heightBasis : undefined;
    const given = { height, widthOf: inside.width, isLate: isLate(child, inside) };
    let widths = widthsWithin(pass, child, { ...given, heightOf, carried });
    if (height !== undefined && hasRatio(child)) {
      const byHeight = widthByRatio(pass, child, height);
      const kept = keepsWidthOf(child)
        ? pass.larger(child, 'least', byHeight, leastAcross(pass, child, given, inside))
        : byHeight;
      widths = { min: kept, max: kept };
    }
    const room = available - margin;
    pass.within(child, 'fit', room, ...around(room, widths.min, widths.max), false);
    width = Math.min(widths.max, Math.max(widths.min, room));
  }
  pass.held(child, width, limits.min, limits.max);
  return Math.max(limits.min, Math.min(limits.max, width));
}

/** Which of the three ranges that two bounds cut a value lies in. */
export function around(value: number, low: number, high: number): [number, number] {
  if (value < low) return [-Infinity, low];
  return value > high ? [high, Infinity] : [low, high];
}

function makeItem(
  pass: Pass,
  box: Box,
  align: Align,
  mainSize: Size,
  base: number,
  min: number,
  max: number,
  frame: number,
  margin: number,
): Item {
  const changes = isFraction(mainSize) || box.widthAsksHeight;
  const floor = changes ? pass.larger(box, 'least', base, frame) : Math.max(base, frame);
  return {
    box,
    align,
    base: floor,
    grow: isShare(mainSize) ? mainSize.share : 0,
    // A number or percentage does not give way, whether the percentage is known or not; others do.
    shrink: typeof mainSize === 'number' || isFraction(mainSize) || box.style.firm ? 0 : 1,
    shrinkBase: Math.max(0, floor - frame),
    min: Math.max(frame, min),
    max,
    margin,
    main: 0,
    frozen: false,
    left: 0,
    allParts: 0,
    turn: 0,
    change: 'none',
    laid: undefined as unknown as Laid,
    x: 0,
    y: 0,
  };
}

/** Collects items into lines (§9.3). */
function breakLines(pass: Pass, items: Item[], room: number, gap: number): Item[][] {
  const lines: Item[][] = [];
  let length = 0;
  for (const item of items) {
    const size = hypothetical(item) + item.margin;
    const line = lines.at(-1);
    if (line && room < Infinity) pass.sign(item.box, 'wrap', room - (length + gap + size), true);
    if (line && length + gap + size <= room) {
      line.push(item);
      length += gap + size;
    } else {
      lines.push([item]);
      length = size;
    }
  }
  return lines;
}

function lengthOf(line: readonly Item[], gap: number): number {
  let length = Math.max(0, line.length - 1) * gap;
  for (const item of line) length += hypothetical(item) + item.margin;
  return length;
}

/** A row's child at its final width, as high as it would like to be (§9.4.7). */
function layRowItem(pass: Pass, { box: child, main, align }: Item, inside: FlexInside): Laid {
  const limits = heightRange(child, inside.heightBasis, pass);
  const measured = measuredIn(pass, child, inside, align);
  const fixed = pixels(child.style.height, inside.heightBasis);
  if (fixed !== undefined) {
    pass.held(child, fixed, limits.min, limits.max);
    const known = typeof child.style.height === 'number' ? true : inside.known;
    return layOut(pass, child, main, Math.max(limits.min, Math.min(limits.max, fixed)), known, measured);
  }
  return layByContent(pass, child, main, limits, measured, inside.heightBasis).laid;
}

/**
 * A column's child at its final height.
 *
 * @param filled what one fills that is stretched, and what there is for one by content. In a column of several lines
 *   that is its line, which is not known before each child has been laid out once.
 */
function layColumnItem(
  pass: Pass,
  item: Item,
  inside: FlexInside,
  filled = inside.content.wrap ? undefined : inside.width,
): Laid {
  // A share starts from a definite 0, so what it grows to is definite too (§9.8), whatever its column is.
  const { height } = item.box.style;
  const isKnown = isShare(height) || pixels(height, inside.heightBasis) !== undefined;
  const isDefinite = inside.heightBasis !== undefined || item.box.style.aspect !== undefined || isKnown;
  let known: true | 'late';
  if (typeof height === 'number') known = true;
  else if (isShare(height)) known = knownShare(pass, item.box, inside);
  // What is not known was found out by laying it out.
  else known = isKnown ? inside.known : 'late';
  const width = widthAtHeight(pass, item, inside, isDefinite && known, filled);
  const measured = measuredIn(pass, item.box, inside, item.align);
  return layOut(pass, item.box, width, item.main, isDefinite && known, measured);
}

/** The smallest content that holds up the width by ratio of a column's child. */
const leastAcross = (pass: Pass, child: Box, given: Given, { heightBasis }: FlexInside): number =>
  leastByContent(
    pass,
    child,
    carriesAcross(child) ? { ...given, carried: 'all', heightOf: heightBasis } : given,
  );

/**
 * The width of a column's child once its height is final: with a ratio and no width of its own it keeps the ratio;
 * one by content follows from what is inside at that height.
 */
function widthAtHeight(
  pass: Pass,
  { box, align, main, x: width }: Item,
  inside: FlexInside,
  known: Definite,
  filled: number | undefined,
): number {
  const { style } = box;
  const isFilled = filled !== undefined && fills(style.width, align);
  if (!box.widthAsksHeight || pixels(style.width, inside.width) !== undefined || isFilled) return width;
  const limits = widthRange(box, inside.width, pass);
  if (!hasRatio(box)) {
    // What does not ask again keeps the width that it had on the way; a share was not asked there.
    if (!known) return width;
    if (!asksAfresh(box) && !(isShare(style.height) && known === true)) return width;
    const isLate = known === 'late';
    const widths = contentWidths(pass, box, { height: main, widthOf: inside.width, isLate });
    const room = (filled ?? inside.width) - across(style.margin);
    pass.sign(box, 'fit', room - widths.max);
    pass.sign(box, 'fit', room - widths.min);
    const fitting = Math.min(widths.max, Math.max(widths.min, room));
    pass.held(box, fitting, limits.min, limits.max);
    return Math.max(limits.min, Math.min(limits.max, fitting));
  }
  // A number was looked at with the width; beside a percentage content holds up what the ratio says, even where the
  // percentage counts for nothing (as browsers do it).
  if (typeof style.height === 'number') return width;
  let byHeight = widthByRatio(pass, box, main);
  if (isHeldAcross(box)) {
    const given = {
      height: contentAsksAgain(box) ? main : undefined,
      widthOf: inside.width,
      isLate: known === 'late',
    };
    const least = leastAcross(pass, box, given, inside);
    byHeight = pass.larger(box, 'least', byHeight, least);
  }
  pass.held(box, byHeight, limits.min, limits.max);
  return Math.max(limits.min, Math.min(limits.max, byHeight));
}

const outerCross = (item: Item, row: boolean) =>
  row ? item.laid.height + down(item.box.style.margin) : item.laid.width + across(item.box.style.margin);

const baselineOf = (item: Item) => item.laid.baseline ?? item.laid.height;

/** The cross size that a line's items need (§9.4.8). */
function lineCross(pass: Pass, line: readonly Item[], row: boolean): number {
  let largest = 0;
  let above = -Infinity;
  let below = -Infinity;
  for (const item of line) {
    const { box } = item;
    const outer = outerCross(item, row);
    if (item.align === 'baseline') {
      const up = box.style.margin.top + baselineOf(item);
      above = pass.larger(box, 'largest', above, up);
      below = pass.larger(box, 'largest', below, outer - up);
    } else largest = pass.larger(box, 'largest', largest, outer);
  }
  if (above === -Infinity) return largest;
  return pass.larger(line[0]!.box, 'largest', largest, above + below);
}

/** From the top of a row item's margin box to its baseline. */
const baselineOffset = (item: Item): number => item.box.style.margin.top + baselineOf(item);

/** From a line's start to the baseline that its items share. */
function lineBaseline(pass: Pass, line: readonly Item[]): number {
  let most = -Infinity;
  for (const item of line)
    if (item.align === 'baseline') most = pass.larger(item.box, 'largest', most, baselineOffset(item));
  return most;
}

/** Gives a stretched item the line's cross size (§9.4.11); it is definite from then on. */
function stretch(pass: Pass, item: Item, cross: number, inside: FlexInside): void {
  const { style } = item.box;
  if (inside.row) {
    if (!fills(style.height, item.align)) return;
    const limits = heightRange(item.box, inside.heightBasis, pass);
    const wanted = cross - down(style.margin);
    pass.held(item.box, wanted, limits.min, limits.max);
    const known = inside.heightBasis === undefined || inside.content.wrap ? 'late' : inside.known;
    const height = Math.max(limits.min, Math.min(limits.max, wanted));
    item.laid = layStretched(
      pass,
      item.box,
      item.main,
      height,
      known,
      measuredIn(pass, item.box, inside, item.align),
    );
  } else if (inside.content.wrap) {
    // In a column of several lines what is by content has its line's width, not the container's.
    const width = columnItemWidth(pass, item.box, item.align, inside, cross, cross);
    if (width !== item.laid.width) {
      item.x = width;
      item.laid = layColumnItem(pass, item, inside, cross);
    }
  }
}

function crossOffset(
  pass: Pass,
  item: Item,
  cross: number,
  content: FlexContent,
  baselineAt: number,
): number {
  const row = content.direction === 'row';
  const { margin } = item.box.style;
  const before = row ? margin.top : margin.start;
  const free = cross - outerCross(item, row);
  switch (item.align) {
    case 'center':
      if (content.safe) pass.sign(item.box, 'room', free);
      return before + (content.safe ? Math.max(0, free) : free) / 2;
    case 'end':
      return before + free;
    case 'baseline':
      return baselineAt - baselineOffset(item) + before;
    default:
      return before;
  }
}

/** Room before the first item; where room is short, spread items start (Align 3 §5.1). */
export function roomBefore(justify: Justify, free: number, count: number): number {
  switch (justify) {
    case 'center':
      return free / 2;
    case 'end':
      return free;
    case 'around':
      return Math.max(0, free) / count / 2;
    case 'evenly':
      return Math.max(0, free) / (count + 1);
    default:
      return 0;
  }
}

/** Extra room between two items. */
export function roomBetween(justify: Justify, free: number, count: number): number {
  switch (justify) {
    case 'between':
      return count > 1 ? Math.max(0, free) / (count - 1) : 0;
    case 'around':
      return Math.max(0, free) / count;
    case 'evenly':
      return Math.max(0, free) / (count + 1);
    default:
      return 0;
  }
}
