/** Boxes with nothing in them but words, a picture, or a size. */

import { heightByRatio } from './ask.ts';
import type { BlankContent, Box, PictureContent, TextContent } from './box.ts';
import { type Laid, noChildren, type Question } from './laid.ts';
import { plainClamp, roomLeft } from './plain-limits.ts';
import type { ContentReason } from './reason.ts';
import type { Pass } from './record.ts';
import { frameHeight, frameTop, frameWidth, heightRange } from './sizes.ts';

/** How high the content is, and why; its first baseline from the top of the border box, where it has one. */
interface Inside {
  readonly reason: ContentReason;
  readonly height: number;
  readonly baseline?: number | undefined;
  readonly lines?: Laid['lines'];
}

export function layOutText(pass: Pass, box: Box, content: TextContent, asked: Question): Laid {
  const room = roomLeft(asked.width - frameWidth(box));
  const set = content.paragraphs.set(room);
  pass.within(box, 'lines', room, { low: set.from, high: set.below, jump: true });
  const lines =
    content.most !== undefined && set.lines.length > content.most
      ? set.lines.slice(0, content.most)
      : set.lines;
  const { lineHeight } = content.paragraphs;
  return leaf(pass, box, asked, {
    reason: { rule: 'words', count: lines.length, lineHeight, frame: frameHeight(box) },
    height: lines.length * lineHeight,
    baseline: lines.length > 0 ? frameTop(box) + content.paragraphs.baseline : undefined,
    lines,
  });
}

export function layOutPicture(pass: Pass, box: Box, _: PictureContent, asked: Question): Laid {
  const full = heightByRatio(pass, box, asked.width);
  const reason = { rule: 'ratio', from: asked.width, value: full } as const;
  return leaf(pass, box, asked, { reason, height: full - frameHeight(box) });
}

export function layOutBlank(pass: Pass, box: Box, content: BlankContent, asked: Question): Laid {
  const { height, baseline } = content;
  return leaf(pass, box, asked, {
    reason: { rule: 'own', value: height, frame: frameHeight(box) },
    height,
    baseline: baseline === undefined ? undefined : frameTop(box) + baseline,
  });
}

function leaf(
  pass: Pass,
  box: Box,
  { width, height, definite, measured }: Question,
  { reason, height: contentHeight, baseline, lines = noChildren }: Inside,
): Laid {
  let used = height;
  if (Number.isNaN(height)) {
    const limits = heightRange(box, undefined);
    const natural = contentHeight + frameHeight(box);
    pass.held(box, natural, limits.min, limits.max);
    used = plainClamp(natural, limits.min, limits.max);
  }
  if (pass.explaining) pass.content = reason;
  const laid: Laid = {
    box,
    width,
    height: used,
    baseline,
    lines,
    children: noChildren,
    places: noChildren,
    extent: undefined,
    asked: height,
    definite,
    measured,
    record: undefined,
  };
  return box.style.aspect === undefined ? laid : { ...laid, needed: contentHeight + frameHeight(box) };
}
