/**
 * Browsers keep lengths in whole 64ths of a CSS px. Where they round, we round in the same direction, so that
 * sums over many boxes stay equal. All functions take and give CSS px.
 */

/** One 64th. */
export const unit = 1 / 64;

/** Whether a length is a whole number of 64ths, apart from rounding errors of a division. */
export const isWholeUnits = (px: number): boolean => Math.abs(px * 64 - Math.round(px * 64)) < 1e-6;

/** To the 64th below. */
export const floorUnit = (px: number): number => Math.floor(px * 64) / 64;
/** To the 64th towards zero: a length that is written down, as browsers keep it. */
export const keptUnit = (px: number): number => Math.trunc(px * 64) / 64;
/** To the 64th above. */
export const ceilUnit = (px: number): number => Math.ceil(px * 64 - 1e-6) / 64;
/** To the nearest 64th. */
export const roundUnit = (px: number): number => Math.round(px * 64) / 64;

/**
 * What is added to a line's height before it is rounded, so that halves go up whatever precision they are worked out in. It has
 * more digits than a size and a factor have together, so that it makes no new halves: 30.355 × 1.4 is 0.003 short of one.
 */
const roundUp = 0.0031416;

/**
 * Height of a line, in whole px: some engines cut lines to them (CSS Values 4 §10.3, `round()`, nearest).
 *
 * @param size of the font, px. @param factor of its size.
 */
export const lineHeightOf = (size: number, factor: number): number => Math.round(size * factor + roundUp);

/** The same on a page, where `--line-height` is the factor: each element rounds for its own font size. */
export const lineHeightCss = `round(var(--line-height) * 1em + ${roundUp}px, 1px)`;

/**
 * A font size for a reader's text scale, as a page has it: `rem`, times the root's font size, which is kept in
 * single precision, as is the result.
 *
 * @param size CSS px at the plain scale.
 */
export const scaledSize = (size: number, textScale: number): number =>
  Math.fround((size / 16) * Math.fround(16 * textScale));
