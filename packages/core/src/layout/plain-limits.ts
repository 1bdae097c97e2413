/**
 * Limits and maxima that need no note. A sweep reads widths off between two others as long as every comparison comes out
 * the same; so a limit whose outcome may change with the width of the screen goes through the pass (`Pass.larger`,
 * `Pass.clamp`), which notes it. The ones here may be used where
 *
 * - what is compared does not depend on the width: counts, numbers of the document, the frame of a box;
 * - the outcome was noted already (`Pass.held`, or the pass of the box that gave the number);
 * - or nothing is recorded: reasons, places of a finished layout.
 *
 * Elsewhere in the layout `Math.max` and `Math.min` are refused by lint (`lint/noted-limits.grit`).
 */

/** The larger of two numbers. */
export const plainMax = (a: number, b: number): number => Math.max(a, b);

/** The smaller of two numbers. */
export const plainMin = (a: number, b: number): number => Math.min(a, b);

/** A number within two limits, of which the least one wins. */
export const plainClamp = (value: number, min: number, max: number): number =>
  Math.max(min, Math.min(max, value));

/** Room that is left over: none where more is taken than there is. A box is never narrower than its own frame. */
export const roomLeft = (px: number): number => Math.max(0, px);

/** The largest of some numbers. @returns -Infinity of none. */
export const largestOf = (numbers: readonly number[]): number => Math.max(...numbers);

/** The smallest of some numbers. @returns Infinity of none. */
export const smallestOf = (numbers: readonly number[]): number => Math.min(...numbers);

/** What gaps between a number of things take. */
export const gapsBetween = (count: number, gap: number): number => Math.max(0, count - 1) * gap;
