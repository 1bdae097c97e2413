/** Whether what stands in a field while somebody types is plainly a whole value, or the beginning of one. */
import type { Property } from '@hovrin/core';

/** Words of CSS that values may begin with, where others are known: what begins like them may become them. */
const beginnings: Readonly<Record<string, readonly string[]>> = {
  colour: ['linear-gradient(', 'radial-gradient(', 'conic-gradient(', 'repeating-', 'picture('],
  size: ['share '],
};

/**
 * Whether a text may still become something else by typing on: it is the beginning of a known word, or its last word
 * is. Numbers, colours in hexadecimal, words that no other one begins with, and words for people are whole.
 */
export function isBeginning({ type }: Pick<Property, 'type'>, text: string): boolean {
  if (type.name === 'text' || text.includes('{')) return false;
  const last = /[a-z][a-z-]*$/i.exec(text)?.[0].toLowerCase();
  if (last === undefined) return false;
  const known = [...type.words, ...(beginnings[type.name] ?? [])];
  return known.some((word) => word.length > last.length && word.toLowerCase().startsWith(last));
}
