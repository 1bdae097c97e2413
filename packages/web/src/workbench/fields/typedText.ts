/** Whether what stands in a field while somebody types is plainly a whole value, or the beginning of one. */
import type { Property } from '@hovrin/core';

/**
 * Whether a text may still become something else by typing on: it is the beginning of a known word, or its last word
 * is. Numbers, colours in hexadecimal, words that no other one begins with, and words for people are whole.
 */
export function isBeginning({ type }: Pick<Property, 'type'>, text: string): boolean {
  if (type.field === 'words' || text.includes('{')) return false;
  const last = /[a-z][a-z-]*$/i.exec(text)?.[0].toLowerCase();
  if (last === undefined) return false;
  const known = [...type.words, ...(type.beginnings ?? [])];
  return known.some((word) => word.length > last.length && word.toLowerCase().startsWith(last));
}
