/** Sizes of the grid that tables are edited in, px. */

export const rowHeight = 30;
/** Of the numbers in front of the rows. */
export const numberWidth = 52;
