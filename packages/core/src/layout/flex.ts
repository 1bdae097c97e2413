/** Rows and columns (CSS Flexbox 1 §9). */
import type { Align, Box, FlexContent, Justify, Size } from './box.ts';
import { distribute, type FlexItem } from './distribute.ts';
import type { Given, Laid, Placed } from './laid.ts';
import { layOut } from './lay-out.ts';
import {
  across,
  clamp,
  down,
  frameHeight,
  frameWidth,
  heightRange,
  isFraction,
  isShare,
  pixels,
  type Range,
  widthRange,
} from './sizes.ts';
import { contentWidths } from './widths.ts';

/** The inside of a container: its content box, as far as it is known. */
interface Inside {
  readonly width: number;
  readonly height: number | undefined;
  /** What percentage heights of children refer to; undefined where that is not known. */
  readonly heightBasis: number | undefined;
  readonly content: FlexContent;
}

/** A child on its way to a size and place. */
interface Item {
  readonly box: Box;
  readonly align: Align;
  readonly flex: FlexItem;
  main: number;
  laid: Laid;
}

/** Lays out a container's children. Called by `layOut`, which keeps what comes back. */
export function layOutFlex(box: Box, content: FlexContent, given: Given): Laid {
  const row = content.direction === 'row';
  const limits = heightRange(box, undefined);
  const frameH = frameHeight(box);
  const inside: Inside = {
    width: Math.max(0, given.width - frameWidth(box)),
    height: given.height === undefined ? undefined : Math.max(0, given.height - frameH),
    heightBasis:
      given.height === undefined || !given.definite ? undefined : Math.max(0, given.height - frameH),
    content,
  };
  const innerLimits: Range = { min: Math.max(0, limits.min - frameH), max: limits.max - frameH };
  const mainGap = row ? content.columnGap : content.rowGap;
  const crossGap = row ? content.rowGap : content.columnGap;

  const items = box.children.map((child) => (row ? rowItem(child, inside) : columnItem(child, inside)));
  const lines = breakLines(items, content, row ? inside.width : inside.height, mainGap);

  let mainSize = row ? inside.width : inside.height;
  if (mainSize === undefined) {
    const longest = lines.reduce((most, line) => Math.max(most, lengthOf(line, mainGap)), 0);
    mainSize = clamp(longest, innerLimits);
  }

  for (const line of lines) {
    const gaps = Math.max(0, line.length - 1) * mainGap;
    const sizes = distribute(
      line.map((item) => item.flex),
      mainSize - gaps,
    );
    line.forEach((item, index) => {
      item.main = sizes[index]!;
      item.laid = row ? layRowItem(item.box, item.main, inside) : layColumnItem(item, inside);
    });
  }

  // Cross sizes of lines (§9.4).
  const crossKnown = row ? inside.height : inside.width;
  const single = !content.wrap;
  const crossSizes = lines.map((line) => lineCross(line, row));
  if (single && lines.length > 0) {
    crossSizes[0] = crossKnown ?? clamp(crossSizes[0]!, innerLimits);
  }
  const crossGaps = Math.max(0, lines.length - 1) * crossGap;
  const crossContent = crossSizes.reduce((sum, size) => sum + size, 0) + crossGaps;
  const crossSize = crossKnown ?? clamp(crossContent, innerLimits);
  if (!single && lines.length > 0 && crossSize > crossContent) {
    const extra = (crossSize - crossContent) / lines.length;
    crossSizes.forEach((size, index) => {
      crossSizes[index] = size + extra;
    });
  }

  // Stretching, then places (§9.4.11, §9.5, §9.6).
  const { top, start } = {
    top: box.style.padding.top + box.style.border.top,
    start: box.style.padding.start + box.style.border.start,
  };
  const places = new Map<Item, Placed>();
  let crossAt = 0;
  let firstBaseline: number | undefined;
  lines.forEach((line, lineIndex) => {
    const cross = crossSizes[lineIndex]!;
    for (const item of line) stretch(item, cross, row, inside);
    const baselineAt = lineBaseline(line, content);
    const used =
      line.reduce((sum, item) => sum + item.main + item.flex.margin, 0) +
      Math.max(0, line.length - 1) * mainGap;
    const [before, between] = justified(content.justify, mainSize - used, line.length);
    let mainAt = before;
    for (const item of line) {
      const { margin } = item.box.style;
      const mainBefore = row ? margin.start : margin.top;
      const offset = crossOffset(item, cross, content, baselineAt);
      const x = start + (row ? mainAt + mainBefore : crossAt + offset);
      const y = top + (row ? crossAt + offset : mainAt + mainBefore);
      places.set(item, { laid: item.laid, x, y });
      mainAt += item.main + item.flex.margin + mainGap + between;
    }
    if (lineIndex === 0 && line.length > 0) {
      // §8.5: the first baseline of a row is that of an item which takes part in baseline alignment, else the first's.
      const leader = (row ? line.find((item) => item.align === 'baseline') : undefined) ?? line[0]!;
      firstBaseline = places.get(leader)!.y + (leader.laid.baseline ?? leader.laid.height);
    }
    crossAt += cross + crossGap;
  });

  const contentHeight = row ? crossSize : mainSize;
  return {
    box,
    width: given.width,
    height: given.height ?? clamp(contentHeight + frameH, limits),
    baseline: firstBaseline,
    lines: [],
    children: items.map((item) => places.get(item)!),
  };
}

const stretches = (size: Size, align: Align) => isShare(size) || (size === undefined && align === 'stretch');

/** How a child lies across the main axis: `share` fills, `fit` never does. */
function alignOf(child: Box, content: FlexContent, crossSpec: Size): Align {
  const align = child.style.alignSelf ?? content.align;
  if (isShare(crossSpec)) return 'stretch';
  return align;
}

/** A child of a row: its flex base size and limits along the width (§9.2). */
function rowItem(child: Box, inside: Inside): Item {
  const { style } = child;
  const align = alignOf(child, inside.content, style.height);
  const limits = widthRange(child, inside.width);
  const fixed = pixels(style.width, inside.width);
  let base: number;
  let range = limits;
  if (fixed !== undefined) base = fixed;
  else if (isShare(style.width)) base = 0;
  else {
    const widths = rowContentWidths(child, align, inside);
    base = widths.max;
    // §4.5: the automatic minimum is the smallest content size, no greater than the own maximum.
    if (style.minWidth === undefined)
      range = { min: Math.max(limits.min, Math.min(widths.min, limits.max)), max: limits.max };
  }
  return makeItem(child, align, style.width, base, range, frameWidth(child), across(style.margin));
}

/** Content widths of a row's child; a picture follows its height where the row knows that (§9.2.3 B). */
function rowContentWidths(child: Box, align: Align, inside: Inside) {
  const { content, style } = child;
  if (content.type === 'picture') {
    let height = pixels(style.height, inside.heightBasis);
    if (
      height === undefined &&
      stretches(style.height, align) &&
      !inside.content.wrap &&
      inside.heightBasis !== undefined
    )
      height = inside.heightBasis - down(style.margin);
    if (height !== undefined) {
      const inner = clamp(height, heightRange(child, inside.heightBasis)) - frameHeight(child);
      const width = Math.max(0, inner * (content.width / content.height)) + frameWidth(child);
      return { min: width, max: width };
    }
  }
  return contentWidths(child);
}

/** A child of a column: its width is known first, its height along the column follows. */
function columnItem(child: Box, inside: Inside): Item {
  const { style } = child;
  const align = alignOf(child, inside.content, style.width);
  const width = columnItemWidth(child, align, inside, inside.content.wrap ? undefined : inside.width);
  const limits = heightRange(child, inside.heightBasis);
  const fixed = pixels(style.height, inside.heightBasis);
  let base: number;
  let range = limits;
  if (fixed !== undefined) base = fixed;
  else if (isShare(style.height)) base = 0;
  else {
    base = layOut(child, { width, height: undefined, definite: false }).height;
    if (style.minHeight === undefined)
      range = { min: Math.max(limits.min, Math.min(base, limits.max)), max: limits.max };
  }
  const item = makeItem(child, align, style.height, base, range, frameHeight(child), down(style.margin));
  // Until its final size is known the item stands at its base size.
  item.laid = layOut(child, { width, height: clamp(base, range), definite: fixed !== undefined });
  return item;
}

/** Border-box width of a column's child; `fill` is what a stretched one fills, undefined where not yet known. */
function columnItemWidth(child: Box, align: Align, inside: Inside, fill: number | undefined): number {
  const { style } = child;
  const limits = widthRange(child, inside.width);
  const fixed = pixels(style.width, inside.width);
  if (fixed !== undefined) return clamp(fixed, limits);
  const margin = across(style.margin);
  if (fill !== undefined && stretches(style.width, align)) return clamp(fill - margin, limits);
  const widths = columnContentWidths(child, inside);
  return clamp(Math.min(widths.max, Math.max(widths.min, inside.width - margin)), limits);
}

function columnContentWidths(child: Box, inside: Inside) {
  const { content, style } = child;
  const height = pixels(style.height, inside.heightBasis);
  if (content.type === 'picture' && height !== undefined) {
    const inner = clamp(height, heightRange(child, inside.heightBasis)) - frameHeight(child);
    const width = Math.max(0, inner * (content.width / content.height)) + frameWidth(child);
    return { min: width, max: width };
  }
  return contentWidths(child);
}

function makeItem(
  box: Box,
  align: Align,
  mainSpec: Size,
  base: number,
  range: Range,
  frame: number,
  margin: number,
): Item {
  const floor = Math.max(base, frame);
  const flex: FlexItem = {
    base: floor,
    grow: isShare(mainSpec) ? mainSpec.share : 0,
    // A number or percentage does not give way, whether the percentage is known or not; others do.
    shrink: typeof mainSpec === 'number' || isFraction(mainSpec) ? 0 : 1,
    shrinkBase: Math.max(0, floor - frame),
    range: { min: Math.max(frame, range.min), max: Math.max(frame, range.max) },
    margin,
  };
  return { box, align, flex, main: 0, laid: undefined as unknown as Laid };
}

/** Collects items into lines (§9.3). Without wrapping, or with no known length, there is one line. */
function breakLines(items: Item[], content: FlexContent, room: number | undefined, gap: number): Item[][] {
  if (items.length === 0) return [];
  if (!content.wrap || room === undefined) return [items];
  const lines: Item[][] = [];
  let length = 0;
  for (const item of items) {
    const size = clamp(item.flex.base, item.flex.range) + item.flex.margin;
    const line = lines.at(-1);
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

function lengthOf(line: Item[], gap: number): number {
  return (
    line.reduce((sum, item) => sum + clamp(item.flex.base, item.flex.range) + item.flex.margin, 0) +
    Math.max(0, line.length - 1) * gap
  );
}

/** A row's child at its final width, as high as it would like to be (§9.4.7). */
function layRowItem(child: Box, width: number, inside: Inside): Laid {
  const limits = heightRange(child, inside.heightBasis);
  const fixed = pixels(child.style.height, inside.heightBasis);
  if (fixed !== undefined) return layOut(child, { width, height: clamp(fixed, limits), definite: true });
  const free = layOut(child, { width, height: undefined, definite: false });
  const height = clamp(free.height, limits);
  return height === free.height ? free : layOut(child, { width, height, definite: false });
}

/** A column's child at its final height. */
function layColumnItem(item: Item, inside: Inside): Laid {
  // A share starts from a definite 0, so what it grows to is definite too (§9.8), whatever its column is.
  const { height } = item.box.style;
  const definite =
    pixels(height, inside.heightBasis) !== undefined || inside.heightBasis !== undefined || isShare(height);
  return layOut(item.box, { width: widthAtHeight(item, inside), height: item.main, definite });
}

/** The width of a column's child once its height is final: a picture with no width of its own keeps its ratio. */
function widthAtHeight({ box, align, main, laid }: Item, inside: Inside): number {
  const { content, style } = box;
  const free = pixels(style.width, inside.width) === undefined && !stretches(style.width, align);
  if (content.type !== 'picture' || !free) return laid.width;
  const width = Math.max(0, main - frameHeight(box)) * (content.width / content.height) + frameWidth(box);
  return clamp(width, widthRange(box, inside.width));
}

const outerCross = (item: Item, row: boolean) =>
  row ? item.laid.height + down(item.box.style.margin) : item.laid.width + across(item.box.style.margin);

const baselineOf = (item: Item) => item.laid.baseline ?? item.laid.height;

/** The cross size that a line's items need (§9.4.8). */
function lineCross(line: Item[], row: boolean): number {
  let largest = 0;
  let above = Number.NEGATIVE_INFINITY;
  let below = Number.NEGATIVE_INFINITY;
  for (const item of line) {
    const outer = outerCross(item, row);
    if (row && item.align === 'baseline') {
      const up = item.box.style.margin.top + baselineOf(item);
      above = Math.max(above, up);
      below = Math.max(below, outer - up);
    } else largest = Math.max(largest, outer);
  }
  return above === Number.NEGATIVE_INFINITY ? largest : Math.max(largest, above + below);
}

/**
 * From the start of an item's margin box to its baseline. In a column that runs along the inline axis: there it
 * is the item's left edge, whatever the direction (Align 3 §9.1, line-left).
 */
function baselineOffset(item: Item, content: FlexContent): number {
  const { margin } = item.box.style;
  if (content.direction === 'row') return margin.top + baselineOf(item);
  return margin.start + (content.rightToLeft ? item.laid.width : 0);
}

/** From a line's start to the baseline that its items share. */
const lineBaseline = (line: Item[], content: FlexContent) =>
  line.reduce(
    (most, item) => (item.align === 'baseline' ? Math.max(most, baselineOffset(item, content)) : most),
    Number.NEGATIVE_INFINITY,
  );

/** Gives a stretched item the line's cross size (§9.4.11); it is definite from then on. */
function stretch(item: Item, cross: number, row: boolean, inside: Inside): void {
  const { style } = item.box;
  if (!stretches(row ? style.height : style.width, item.align)) return;
  if (row) {
    const height = clamp(cross - down(style.margin), heightRange(item.box, inside.heightBasis));
    item.laid = layOut(item.box, { width: item.main, height, definite: true });
  } else if (inside.content.wrap) {
    const width = columnItemWidth(item.box, item.align, inside, cross);
    if (width !== item.laid.width) {
      item.laid = { ...item.laid, width };
      item.laid = layColumnItem(item, inside);
    }
  }
}

function crossOffset(item: Item, cross: number, content: FlexContent, baselineAt: number): number {
  const row = content.direction === 'row';
  const { margin } = item.box.style;
  const before = row ? margin.top : margin.start;
  const free = cross - outerCross(item, row);
  switch (item.align) {
    case 'center':
      return before + (content.safe ? Math.max(0, free) : free) / 2;
    case 'end':
      return before + free;
    case 'baseline':
      return baselineAt - baselineOffset(item, content) + before;
    default:
      return before;
  }
}

/** Room before the first item and extra room between items; where room is short, spread items start (Align 3 §5.1). */
function justified(justify: Justify, free: number, count: number): [number, number] {
  const spread = Math.max(0, free);
  switch (justify) {
    case 'center':
      return [free / 2, 0];
    case 'end':
      return [free, 0];
    case 'between':
      return [0, count > 1 ? spread / (count - 1) : 0];
    case 'around':
      return [spread / count / 2, spread / count];
    case 'evenly':
      return [spread / (count + 1), spread / (count + 1)];
    default:
      return [0, 0];
  }
}
