/** What can be scrolled: one child without a bound along the axis (CSS Overflow 3). */

import { layOut } from './ask.ts';
import type { Box, ScrollContent } from './box.ts';
import { fixed, free, type Laid, type Question } from './laid.ts';
import { plainClamp, plainMax, roomLeft } from './plain-limits.ts';
import type { Pass } from './record.ts';
import { frameHeight, frameStart, frameTop, frameWidth, heightRange } from './sizes.ts';
import { contentWidths } from './widths.ts';

/**
 * Along the axis the child is as large as its content, at least as large as what is seen of it; across it fills.
 * Its smallest size along the axis does not hold the scroll itself up.
 */
export function layOutScroll(
  pass: Pass,
  box: Box,
  content: ScrollContent,
  { width, height, definite, measured }: Question,
): Laid {
  const inner = box.children[0]!;
  const frameH = frameHeight(box);
  const isFree = Number.isNaN(height);
  const room = roomLeft(width - frameWidth(box));
  const seen = isFree ? undefined : roomLeft(height - frameH);
  let innerWidth = room;
  if (content.axis !== 'vertical') {
    // Along a row that is as high as what is seen, pictures' widths follow from that.
    const known = content.axis === 'horizontal' && definite !== false ? seen : undefined;
    const { max } = contentWidths(pass, inner, { height: known, isLate: definite === 'late' });
    pass.sign(inner, 'fit', room - max);
    innerWidth = plainMax(room, max);
  }
  const isMeasured = measured || (content.axis !== 'vertical' && 'free');
  let laid: Laid;
  if (content.axis === 'horizontal' && seen !== undefined && definite)
    laid = layOut(pass, inner, fixed(innerWidth, seen, definite, isMeasured));
  else {
    laid = layOut(pass, inner, free(innerWidth, isMeasured));
    if (content.axis !== 'horizontal' && seen !== undefined && definite) {
      pass.sign(inner, 'least', laid.height - seen);
      if (laid.height < seen) laid = layOut(pass, inner, fixed(innerWidth, seen, false, isMeasured));
    }
  }
  const limits = heightRange(box, undefined);
  const natural = laid.height + frameH;
  if (isFree) pass.held(box, natural, limits.min, limits.max);
  if (pass.explaining) {
    pass.content = { rule: 'stack', parts: [{ box: inner, size: laid.height }], gaps: 0, frame: frameH };
  }
  const used = isFree ? plainClamp(natural, limits.min, limits.max) : height;
  const { border, padding } = box.style;
  // Baselines of the content count no lower and no higher than the box's own edges (Align 3 §9.1).
  let baseline = laid.baseline === undefined ? undefined : frameTop(box) + laid.baseline;
  if (baseline !== undefined) {
    baseline = pass.clamp(box, baseline, 0, used);
  }
  return {
    box,
    width,
    height: used,
    baseline,
    lines: [],
    children: [laid],
    places: [frameStart(box), frameTop(box)],
    extent: {
      width: plainMax(width - border.start - border.end, innerWidth + padding.start + padding.end),
      height: plainMax(used - border.top - border.bottom, laid.height + padding.top + padding.bottom),
    },
    asked: height,
    definite,
    measured,
    record: undefined,
  };
}
