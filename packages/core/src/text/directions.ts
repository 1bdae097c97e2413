/** In which direction each part of a text runs (UAX #9, through the `bidi-js` package). */
import bidiFactory from 'bidi-js';

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
