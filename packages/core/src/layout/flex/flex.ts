/** Rows and columns (CSS Flexbox 1 §9). */
import type { Box, FlexContent } from '../box.ts';
import { asEarlyAs, type Laid, type Question } from '../laid.ts';
import { layStretched } from '../lay-out.ts';
import type { Pass } from '../record.ts';
import { down, fills, frameHeight, frameStart, frameTop, frameWidth, heightRange } from '../sizes.ts';
import { columnItem, columnItemWidth, layColumnItem } from './column-item.ts';
import { distribute } from './distribute.ts';
import { explainFlex } from './explain.ts';
import type { FlexInside, Item } from './inside.ts';
import { measuredIn } from './known.ts';
import { breakLines, heightOfLines, lengthOf, lineBaseline, lineCross } from './lines.ts';
import { crossOffset, roomBefore, roomBetween } from './room.ts';
import { layRowItem, rowItem } from './row-item.ts';

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
