/**
 * Ends of words in scripts that put no spaces between them (UAX #14, class SA): Thai, Lao, Khmer, Burmese. Browsers ask a
 * dictionary; ECMA-402 (`Intl.Segmenter`) gives the words of the same one.
 */

/** Stretches of letters and marks of these scripts: no digits, no signs. */
const stretches =
  /[\u0e01-\u0e3a\u0e40-\u0e4e\u0e81-\u0ebd\u0ec0-\u0ecd\u0edc-\u0edf\u1000-\u103f\u1050-\u108f\u109a-\u109f\u1780-\u17d3\u17d7\u17dc\u17dd\u1950-\u19df]+/g;

const some = /[\u0e01-\u0edf\u1000-\u109f\u1780-\u17dd\u1950-\u19df]/;

let segmenter: Intl.Segmenter | undefined;

/** UTF-16 indexes at which a word follows another one without a space, ascending. */
export function wordsWithoutSpaces(text: string): readonly number[] {
  if (!some.test(text)) return [];
  segmenter ??= new Intl.Segmenter('th', { granularity: 'word' });
  const found: number[] = [];
  for (const { index: start, 0: stretch } of text.matchAll(stretches))
    for (const { index } of segmenter.segment(stretch)) if (index > 0) found.push(start + index);
  return found;
}
