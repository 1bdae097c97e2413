/** How narrow and how wide a box would like to be by its content (CSS Sizing 3 §5, Flexbox 1 §9.9). */
import type { Box, FlexContent, PictureContent } from './box.ts';
import type { Widths } from './laid.ts';
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
  widthRange,
} from './sizes.ts';

/** Border-box widths by content alone; the box's own `width` and limits are not looked at. */
export function contentWidths(box: Box): Widths {
  box.known.widths ??= measure(box);
  return box.known.widths;
}

const same = (width: number): Widths => ({ min: width, max: width });

function measure(box: Box): Widths {
  const frame = frameWidth(box);
  const { content } = box;
  switch (content.type) {
    case 'text':
      return { min: content.paragraphs.minContent + frame, max: content.paragraphs.maxContent + frame };
    case 'blank':
      return { min: content.width + frame, max: content.width + frame };
    case 'picture': {
      const width = pictureWidth(box, content);
      return { min: width, max: width };
    }
    case 'flex': {
      const parts = box.children.map((child) =>
        contribution(child, content.direction, heightByContainer(box, content, child)),
      );
      const gaps = Math.max(0, parts.length - 1) * content.columnGap;
      const largest = (pick: (w: Widths) => number) => parts.reduce((most, w) => Math.max(most, pick(w)), 0);
      const sum = (pick: (w: Widths) => number) => parts.reduce((all, w) => all + pick(w), 0);
      if (content.direction === 'column')
        return { min: largest((w) => w.min) + frame, max: largest((w) => w.max) + frame };
      return {
        min: (content.wrap ? largest((w) => w.min) : sum((w) => w.min) + gaps) + frame,
        max: sum((w) => w.max) + gaps + frame,
      };
    }
  }
}

/**
 * A picture's border-box width by its own size, or by its height where that is known (CSS Sizing 3 §5.1.1).
 *
 * @param known border-box height by its container, where that knows its own.
 */
function pictureWidth(box: Box, content: PictureContent, known?: number): number {
  const ratio = content.width / content.height;
  const range = heightRange(box, undefined);
  const height = pixels(box.style.height, undefined) ?? known ?? content.height + frameHeight(box);
  return Math.max(0, clamp(height, range) - frameHeight(box)) * ratio + frameWidth(box);
}

/** A child's border-box height, where it follows from the known height of its container; else undefined. */
function heightByContainer(container: Box, content: FlexContent, child: Box): number | undefined {
  const height = pixels(container.style.height, undefined);
  if (height === undefined) return undefined;
  const inner = Math.max(0, height - frameHeight(container));
  const { style } = child;
  if (isFraction(style.height)) return pixels(style.height, inner);
  const stretched = style.height === undefined && (style.alignSelf ?? content.align) === 'stretch';
  const fills = content.direction === 'row' && !content.wrap && (isShare(style.height) || stretched);
  return fills ? inner - down(style.margin) : undefined;
}

/**
 * What a child adds to its parent's content widths: its margin box at its own `width` where that is a number,
 * by content otherwise. A percentage counts as absent here (CSS Sizing 3 §5.2.1).
 *
 * @param axis the parent's main axis.
 * @param height border-box height by the parent, where that is known beforehand.
 */
export function contribution(child: Box, axis: 'row' | 'column', height?: number): Widths {
  const range = widthRange(child, undefined);
  const margin = across(child.style.margin);
  const fixed = pixels(child.style.width, undefined);
  // §5.2.2: a picture whose width or maximum is a percentage may be compressed to nothing, but not below a
  // number that a row keeps (Flexbox 1 §9.9.1: what cannot shrink counts in full).
  const keeps = fixed !== undefined && axis === 'row';
  const compressible =
    child.content.type === 'picture' &&
    (isFraction(child.style.width) || (isFraction(child.style.maxWidth) && !keeps));
  const byHeight = child.content.type === 'picture' && height !== undefined;
  const own =
    fixed !== undefined
      ? same(fixed)
      : byHeight
        ? same(pictureWidth(child, child.content as PictureContent, height))
        : contentWidths(child);
  return { min: clamp(compressible ? 0 : own.min, range) + margin, max: clamp(own.max, range) + margin };
}
