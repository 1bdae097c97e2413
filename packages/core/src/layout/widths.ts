/** How narrow and how wide a box would like to be by its content (CSS Sizing 3 §5, Flexbox 1 §9.9). */
import type { Box } from './box.ts';
import type { Widths } from './laid.ts';
import { across, clamp, frameHeight, frameWidth, pixels, widthRange } from './sizes.ts';

/** Border-box widths by content alone; the box's own `width` and limits are not looked at. */
export function contentWidths(box: Box): Widths {
  box.known.widths ??= measure(box);
  return box.known.widths;
}

function measure(box: Box): Widths {
  const frame = frameWidth(box);
  const { content } = box;
  switch (content.type) {
    case 'text':
      return { min: content.paragraphs.minContent + frame, max: content.paragraphs.maxContent + frame };
    case 'blank':
      return { min: (content.minWidth ?? content.width) + frame, max: content.width + frame };
    case 'picture': {
      const width = pictureWidth(box, content.width / content.height, content.width);
      return { min: width, max: width };
    }
    case 'flex': {
      const parts = box.children.map(contribution);
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

/** A picture's width by its own size, or by its height where that is known (CSS Sizing 3 §5.1.1). */
function pictureWidth(box: Box, ratio: number, natural: number): number {
  const height = pixels(box.style.height, undefined);
  if (height !== undefined) return (height - frameHeight(box)) * ratio + frameWidth(box);
  const most = pixels(box.style.maxHeight, undefined);
  const least = pixels(box.style.minHeight, undefined);
  let width = natural;
  if (most !== undefined) width = Math.min(width, (most - frameHeight(box)) * ratio);
  if (least !== undefined) width = Math.max(width, (least - frameHeight(box)) * ratio);
  return Math.max(0, width) + frameWidth(box);
}

/**
 * What a child adds to its parent's content widths: its margin box at its own `width` where that is a number,
 * by content otherwise. A percentage counts as absent here (CSS Sizing 3 §5.2.1).
 */
export function contribution(child: Box): Widths {
  const range = widthRange(child, undefined);
  const margin = across(child.style.margin);
  const fixed = pixels(child.style.width, undefined);
  if (fixed !== undefined) {
    const width = clamp(fixed, range) + margin;
    return { min: width, max: width };
  }
  const own = contentWidths(child);
  return { min: clamp(own.min, range) + margin, max: clamp(own.max, range) + margin };
}
