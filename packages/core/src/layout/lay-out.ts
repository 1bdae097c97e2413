/** Lays out one box at a size, by what it holds, and remembers the answer with the box. */
import type { Box } from './box.ts';
import { layOutFlex } from './flex.ts';
import type { Given, Laid } from './laid.ts';
import { clamp, frameHeight, frameWidth, heightRange } from './sizes.ts';

/** Answers kept for a box; a screen is seen at a handful of sizes at a time. */
const answersKept = 24;

/**
 * @param box what to lay out.
 * @param given its border-box width, and its height unless that follows from the content.
 * @returns size and children's places. The height limits of the box itself are applied only to a free height.
 */
export function layOut(box: Box, given: Given): Laid {
  const key = `${given.width},${given.height ?? ''},${given.definite ? 1 : 0}`;
  const known = box.known.laid.get(key);
  if (known) return known;
  const laid = layOutAnew(box, given);
  if (box.known.laid.size >= answersKept) box.known.laid.clear();
  box.known.laid.set(key, laid);
  return laid;
}

function layOutAnew(box: Box, given: Given): Laid {
  const { content, style } = box;
  const frame = frameHeight(box);
  const top = style.padding.top + style.border.top;
  const leaf = (contentHeight: number, rest: Partial<Laid> = {}): Laid => ({
    box,
    width: given.width,
    height: given.height ?? clamp(contentHeight + frame, heightRange(box, undefined)),
    baseline: undefined,
    lines: [],
    children: [],
    ...rest,
  });
  switch (content.type) {
    case 'flex':
      return layOutFlex(box, content, given);
    case 'text': {
      const lines = content.paragraphs.lines(Math.max(0, given.width - frameWidth(box)));
      return leaf(lines.length * content.paragraphs.lineHeight, {
        lines,
        baseline: lines.length > 0 ? top + content.paragraphs.baseline : undefined,
      });
    }
    case 'picture':
      return leaf(Math.max(0, given.width - frameWidth(box)) * (content.height / content.width));
    case 'blank':
      return leaf(content.height, {
        baseline: content.baseline === undefined ? undefined : top + content.baseline,
      });
  }
}
