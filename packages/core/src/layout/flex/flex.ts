/** Rows and columns (CSS Flexbox 1 §9). */

import { layStretched } from '../ask.ts';
import type { Box, FlexContent } from '../box.ts';
import { asEarlyAs, fixed, type Laid, type Question } from '../laid.ts';
import { gapsBetween, plainClamp, plainMax, roomLeft } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import {
  down,
  fills,
  frameHeight,
  frameStart,
  frameTop,
  frameWidth,
  heightRange,
  type Range,
} from '../sizes.ts';
import { columnItem, columnItemWidth, layColumnItem } from './column-item.ts';
import { distribute } from './distribute.ts';
import { explainFlex } from './explain.ts';
import type { FlexInside, Item } from './inside.ts';
import { measuredIn } from './known.ts';
import { breakLines, heightOfLines, lengthOf, lineBaseline, lineCross } from './lines.ts';
import { crossOffset, roomBefore, roomBetween } from './room.ts';
import { layRowItem, rowItem } from './row-item.ts';

/** A container being laid out. */
interface Frame {
  readonly pass: Pass;
  readonly asked: Question;
  readonly inside: FlexInside;
  /** Whether its height follows from its content. */
  readonly free: boolean;
  /** Of its height: of the border box, and of its inside. */
  readonly limits: Range;
  readonly innerMin: number;
  readonly innerMax: number;
  /** Padding and borders, top and bottom. */
  readonly frame: number;
  /** Between children of a line, and between lines. */
  readonly mainGap: number;
  readonly crossGap: number;
}

/** How large lines are across, and the inside with them; what the content needs, where that is asked. */
interface CrossSizes {
  readonly lines: number[];
  readonly inside: number;
  readonly needed: number | undefined;
}

/** Lays out a container's children, those of the box where no others are given. Its answer is kept by `layOut`. */
export function layOutFlex(
  pass: Pass,
  box: Box,
  content: FlexContent,
  asked: Question,
  children: readonly Box[] = box.children,
): Laid {
  const frame = frameOf(pass, box, content, asked);
  const { inside, free, limits } = frame;
  const items = children.map((child) =>
    inside.row ? rowItem(pass, child, inside) : columnItem(pass, child, inside),
  );
  const lines = linesOf(frame, items);
  const mainSize = mainSizeOf(frame, lines);
  for (const line of lines) {
    distribute(line, mainSize - (line.length - 1) * frame.mainGap, pass);
    for (const item of line)
      item.laid = inside.row ? layRowItem(pass, item, inside) : layColumnItem(pass, item, inside);
  }
  const cross = crossSizesOf(frame, lines);
  const baseline = place(frame, lines, mainSize, cross.lines);
  const contentHeight = (inside.row ? cross.inside : mainSize) + frame.frame;
  if (pass.log && free) pass.held(box, contentHeight, limits.min, limits.max);
  if (pass.explaining)
    explainFlex(pass, inside, { ...frame, items, lines, mainSize, crossSizes: cross.lines });
  const laid: Laid = {
    box,
    width: asked.width,
    height: free ? plainClamp(contentHeight, limits.min, limits.max) : asked.height,
    baseline,
    lines: [],
    children: items.map((item) => item.laid),
    places: placesOf(items),
    extent: undefined,
    asked: asked.height,
    definite: asked.definite,
    measured: asked.measured,
    record: undefined,
  };
  // Boxes with a ratio are few: all others are objects of one and the same kind.
  return cross.needed === undefined ? laid : { ...laid, needed: cross.needed };
}

function frameOf(pass: Pass, box: Box, content: FlexContent, asked: Question): Frame {
  const { width, height, definite, measured, limitsOf, percentOf } = asked;
  const row = content.direction === 'row';
  const free = Number.isNaN(height);
  const limits = heightRange(box, limitsOf, pass);
  const frame = frameHeight(box);
  const inside: FlexInside = {
    box,
    width: roomLeft(width - frameWidth(box)),
    height: free ? Number.NaN : roomLeft(height - frame),
    heightBasis: free || !definite ? undefined : roomLeft(percentOf - frame),
    known: asEarlyAs(definite),
    measured,
    content,
    row,
  };
  return {
    pass,
    asked,
    inside,
    free,
    limits,
    innerMin: roomLeft(limits.min - frame),
    innerMax: limits.max - frame,
    frame,
    mainGap: row ? content.columnGap : content.rowGap,
    crossGap: row ? content.rowGap : content.columnGap,
  };
}

/** Children by line (§9.3). */
function linesOf(frame: Frame, items: Item[]): Item[][] {
  const { pass, asked, inside, free, innerMin, innerMax, mainGap } = frame;
  if (!inside.content.wrap) return items.length > 0 ? [items] : [];
  // A column whose height is not definite breaks where its greatest height ends (§9.3.5, the available main size); one
  // that content holds up breaks where its ratio would end it.
  const column = () => (free ? plainMax(innerMin, innerMax) : roomLeft(asked.percentOf - frame.frame));
  return breakLines(pass, items, inside.row ? inside.width : column(), mainGap);
}

/** How long the inside is along the main axis: as long as the longest line where nothing else says so (§9.3.4). */
function mainSizeOf(frame: Frame, lines: readonly Item[][]): number {
  const { pass, inside, innerMin, innerMax, mainGap } = frame;
  const known = inside.row ? inside.width : inside.height;
  if (!Number.isNaN(known)) return known;
  let longest = 0;
  for (const line of lines) longest = pass.larger(inside.box, 'largest', longest, lengthOf(line, mainGap));
  return pass.clamp(inside.box, longest, innerMin, innerMax);
}

/** Cross sizes of lines (§9.4). */
function crossSizesOf(frame: Frame, lines: readonly Item[][]): CrossSizes {
  const { pass, asked, inside, free, innerMin, innerMax, mainGap, crossGap } = frame;
  const { box, content, row } = inside;
  const known = row ? inside.height : inside.width;
  const isNeeded = asked.limitsOf !== undefined || (!free && box.style.aspect !== undefined);
  // What is stretched in a row of known height needs no more than that.
  if (isNeeded && asked.definite && row && !content.wrap)
    for (const line of lines) for (const item of line) stretch(pass, item, known, inside);
  const sizes = lines.map((line) => lineCross(pass, line, row));
  const lengths = () => (row ? sizes : lines.map((line) => lengthOf(line, mainGap)));
  const needed = isNeeded ? frame.frame + heightOfLines(pass, box, lengths(), row, crossGap) : undefined;
  const [first] = sizes;
  if (!content.wrap && first !== undefined)
    sizes[0] = Number.isNaN(known) ? pass.clamp(box, first, innerMin, innerMax) : known;
  let ofLines = gapsBetween(lines.length, crossGap);
  for (const size of sizes) ofLines += size;
  const whole = Number.isNaN(known) ? pass.clamp(box, ofLines, innerMin, innerMax) : known;
  if (content.wrap && lines.length > 0) {
    if (pass.log) pass.sign(box, 'room', whole - ofLines);
    const extra = (whole - ofLines) / lines.length;
    if (extra > 0) return { lines: sizes.map((size) => size + extra), inside: whole, needed };
  }
  return { lines: sizes, inside: whole, needed };
}

/** Stretches items and puts them at their places (§9.4.11, §9.5, §9.6). @returns the first baseline. */
function place(
  frame: Frame,
  lines: readonly Item[][],
  mainSize: number,
  crossSizes: readonly number[],
): number | undefined {
  let crossAt = 0;
  let baseline: number | undefined;
  for (const [index, line] of lines.entries()) {
    const cross = crossSizes[index] ?? 0;
    placeLine(frame, line, mainSize, cross, crossAt);
    // §8.5: the first baseline of a row is that of an item which takes part in baseline alignment, else the first's.
    const leader = line.find((item) => item.align === 'baseline') ?? line[0];
    if (index === 0 && leader) baseline = leader.y + (leader.laid.baseline ?? leader.laid.height);
    crossAt += cross + frame.crossGap;
  }
  return baseline;
}

const spreads = new Set<FlexContent['justify']>(['between', 'around', 'evenly']);

function placeLine(frame: Frame, line: Item[], mainSize: number, cross: number, crossAt: number): void {
  const { pass, inside, mainGap } = frame;
  const { box, content, row } = inside;
  let used = (line.length - 1) * mainGap;
  for (const item of line) {
    stretch(pass, item, cross, inside);
    used += item.main + item.margin;
  }
  const baselineAt = lineBaseline(pass, line);
  const spare = mainSize - used;
  if (pass.log && spreads.has(content.justify)) pass.sign(box, 'room', spare);
  const between = roomBetween(content.justify, spare, line.length);
  let mainAt = roomBefore(content.justify, spare, line.length);
  const [start, top] = [frameStart(box), frameTop(box)];
  for (const item of line) {
    const { margin } = item.box.style;
    const offset = crossOffset(pass, item, cross, content, baselineAt);
    item.x = start + (row ? mainAt + margin.start : crossAt + offset);
    item.y = top + (row ? crossAt + offset : mainAt + margin.top);
    mainAt += item.main + item.margin + mainGap + between;
  }
}

/** Two numbers an item, x then y. */
function placesOf(items: readonly Item[]): number[] {
  const places: number[] = new Array(items.length * 2);
  for (const [index, { x, y }] of items.entries()) {
    places[2 * index] = x;
    places[2 * index + 1] = y;
  }
  return places;
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
    const height = plainClamp(wanted, limits.min, limits.max);
    const measured = measuredIn(pass, item.box, inside, item.align);
    item.laid = layStretched(pass, item.box, fixed(item.main, height, known, measured));
  } else if (inside.content.wrap) {
    // In a column of several lines what is by content has its line's width, not the container's.
    const width = columnItemWidth(pass, item.box, item.align, inside, { fill: cross, available: cross });
    if (width !== item.laid.width) {
      item.x = width;
      item.laid = layColumnItem(pass, item, inside, cross);
    }
  }
}
