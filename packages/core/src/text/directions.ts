/** In which direction each part of a text runs (UAX #9, through the `bidi-js` package). */

import bidiFactory from 'bidi-js';
import { numberAt } from '../sure.ts';

const isolates = { leftToRight: '\u2066', rightToLeft: '\u2067', end: '\u2069' };

/** A text that runs from right to left, whatever is around it. */
export const isolated = (text: string): string => `${isolates.rightToLeft}${text}${isolates.end}`;

/**
 * A line as it is written where it stands alone: with isolates (UAX #9 §2.4) around what would run another way than it does in
 * the whole text, such as a dash at its end.
 *
 * @param levels those that it has in the whole text, one a UTF-16 unit.
 * @param rightToLeft the direction of the paragraph.
 */
export function lineAlone(line: string, levels: Uint8Array, rightToLeft: boolean): string {
  const own = embeddingLevels(line, rightToLeft);
  if (levels.every((level, index) => level === (own?.[index] ?? 0))) return line;
  const base = rightToLeft ? 1 : 0;
  let written = '';
  for (let start = 0; start < line.length; ) {
    const isTurned = numberAt(levels, start) > base;
    let end = start + 1;
    while (end < line.length && numberAt(levels, end) > base === isTurned) end++;
    const part = line.slice(start, end);
    const opening = rightToLeft ? isolates.leftToRight : isolates.rightToLeft;
    written += isTurned ? `${opening}${part}${isolates.end}` : part;
    start = end;
  }
  return written;
}

/** Characters that run right to left, and the ones that steer direction; a text without them needs no analysis. */
const steering =
  /[\u0590-\u08ff\u200e\u200f\u202a-\u202e\u2066-\u2069\ufb1d-\ufdff\ufe70-\ufefc\u{10800}-\u{10fff}\u{1e800}-\u{1efff}]/u;

let bidi: ReturnType<typeof bidiFactory> | undefined;

/**
 * The embedding level of each UTF-16 unit, odd where it runs right to left.
 *
 * @param rightToLeft the direction of the paragraph.
 * @returns undefined where all of it runs left to right.
 */
export function embeddingLevels(text: string, rightToLeft: boolean): Uint8Array | undefined {
  if (!rightToLeft && !steering.test(text)) return undefined;
  bidi ??= bidiFactory();
  return bidi.getEmbeddingLevels(text, rightToLeft ? 'rtl' : 'ltr').levels;
}
