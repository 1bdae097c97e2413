/** Classes of elements whose values a page begins with, until its script sets them. */

/** `first-1`, `first-2` and so on, in the order in which they come up on a screen. */
export type FirstValue = `first-${number}`;

export const firstValueClass = (number: number): FirstValue => `first-${number}`;

/** An element's classes without that of its first values. */
export const withoutFirstValue = (classes: string): string => classes.replace(/ ?\bfirst-\d+\b/, '');
