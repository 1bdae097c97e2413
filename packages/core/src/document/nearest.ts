/** The known word most like a mistyped one, for "did you mean". */
import { numberAt } from '../sure.ts';

/** Edits (insert, remove, replace, swap) between two words, ignoring case. */
export function distance(from: string, to: string): number {
  const a = from.toLowerCase();
  const b = to.toLowerCase();
  let before: number[] = [];
  let row = Array.from({ length: b.length + 1 }, (_, index) => index);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1];
      let best = Math.min(
        numberAt(next, j - 1) + 1,
        numberAt(row, j) + 1,
        numberAt(row, j - 1) + (same ? 0 : 1),
      );
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, numberAt(before, j - 2) + 1);
      next.push(best);
    }
    before = row;
    row = next;
  }
  return numberAt(row, b.length);
}

/** Words longer than this are no mistyped names. */
const longestWord = 64;

/** A text as a sentence quotes it: a long one with its end left out. */
export const quoted = (text: string): string =>
  `\`${text.length <= longestWord ? text : `${text.slice(0, longestWord)}…`}\``;

/** The nearest of some words, or undefined where none is near enough to be meant. */
export function nearest(word: string, known: Iterable<string>): string | undefined {
  if (word.length > longestWord) return undefined;
  let best: string | undefined;
  let least = Math.max(2, Math.floor(word.length / 2)) + 0.5;
  for (const candidate of known) {
    const edits = distance(word, candidate);
    if (edits < least) {
      least = edits;
      best = candidate;
    }
  }
  return best;
}

/** ` Did you mean x?`, or nothing. */
export function didYouMean(word: string, known: Iterable<string>): string {
  const found = nearest(word, known);
  return found ? ` Did you mean \`${found}\`?` : '';
}
