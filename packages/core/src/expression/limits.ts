/** How long what an expression makes may be. */

/** Longest text, in UTF-16 units. */
export const longestText = 1_000_000;
/** Longest list. */
export const longestList = 200_000;
