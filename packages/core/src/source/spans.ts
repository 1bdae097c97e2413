/** Where elements stand in a screen's text, also while it is being typed. */
import { itemAt } from '../sure.ts';

/** An element of the text. All are UTF-16 indexes into it. */
export interface ElementSpan {
  /** At its `<`. */
  readonly from: number;
  /** Behind its first tag. */
  readonly tagTo: number;
  /** Behind its end tag; behind the first tag while there is none. */
  readonly to: number;
}

const tags = /<!--[\s\S]*?-->|<(\/?)([A-Za-z][\w.-]*)((?:"[^"]*"|'[^']*'|[^"'>])*?)(\/?)>/g;

/** All elements in document order: the n-th is that of the n-th control of the screen. */
export function elementSpans(text: string): ElementSpan[] {
  const found: { from: number; tagTo: number; to: number }[] = [];
  const open: number[] = [];
  for (const match of text.matchAll(tags)) {
    const [whole, closing, name, , empty] = match;
    if (name === undefined) continue;
    const end = match.index + whole.length;
    if (closing) {
      const index = open.pop();
      if (index !== undefined) itemAt(found, index).to = end;
      continue;
    }
    const index = found.push({ from: match.index, tagTo: end, to: end }) - 1;
    if (!empty) open.push(index);
  }
  return found;
}

/** Index of the innermost element around a place; undefined where there is none. */
export function elementAt(spans: readonly ElementSpan[], at: number): number | undefined {
  const index = spans.findLastIndex(({ from, to }) => from <= at && at <= to);
  return index < 0 ? undefined : index;
}
