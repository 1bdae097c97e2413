/** What the map of ways calls things. */
import type { Way } from '@hovrin/core';

/** By what one goes, in a sentence that ends with a screen: `opens Order`. */
export const goingWords: Readonly<Record<Way['by'], string>> = {
  go: 'goes to',
  open: 'opens',
  back: 'goes back',
  close: 'closes',
  link: 'leads to',
  place: 'leads to',
  splash: 'goes on to',
};

/** A way, told apart from all others of a version of the project. */
export const wayKey = ({ from, to = '', by, control, attribute, span }: Way): string =>
  [from, to, by, control, attribute, span?.[0] ?? ''].join(' ');
