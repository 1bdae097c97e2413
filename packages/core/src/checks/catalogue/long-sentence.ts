/** A sentence of more words than people keep in mind who read it once (WCAG 2.2, 3.1.5; ISO 24495-1, 5.3.2). */
import { inForce } from '../../document/types.ts';
import type { CheckKind } from './check-kind.ts';

/** The most words of a sentence that is plain. */
const most = 25;

const words = new Intl.Segmenter(undefined, { granularity: 'word' });

/** A text with one word in place of each value, or choice, that is worked out in it. */
function withoutValues(text: string): string {
  let depth = 0;
  let left = '';
  for (const character of text) {
    if (character === '{' && depth++ === 0) left += ' x ';
    if (depth === 0) left += character;
    if (character === '}') depth = Math.max(0, depth - 1);
  }
  return left;
}

/** How many words a sentence has, in scripts without spaces, too. */
function wordsOf(sentence: string): number {
  let count = 0;
  for (const { isWordLike } of words.segment(sentence)) if (isWordLike) count++;
  return count;
}

const known = new Map<string, number>();

/** How many words the longest sentence of a text has. */
function longestOf(text: string): number {
  let longest = known.get(text);
  if (longest === undefined) {
    longest = Math.max(
      ...withoutValues(text)
        .split(/[.!?:;…؟]+(?=\s|$)|[。！？\n]+/)
        .map(wordsOf),
    );
    if (known.size > 5000) known.clear();
    known.set(text, longest);
  }
  return longest;
}

export const longSentence: CheckKind = {
  name: 'long-sentence',
  title: 'Long sentence',
  sentence: ({ self, worst }) =>
    `A sentence of ${self} has ${Math.round(worst)} words; more than ${most} are hard to read at once.`,
  measure(add, _, control) {
    const text = inForce(control.props.text) ?? '';
    // Fewer characters are not so many words in any language.
    if (text.length <= most) return;
    const longest = longestOf(text);
    if (longest <= most) return;
    add({
      check: 'long-sentence',
      severity: 'advice',
      control: control.id,
      other: undefined,
      all: [[longest - most, longest - most]],
      amount: [longest, longest],
    });
  },
};
