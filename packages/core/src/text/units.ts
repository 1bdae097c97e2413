/**
 * Browsers keep lengths in whole 64ths of a CSS px. Where they round, we round in the same direction, so that
 * sums over many boxes stay equal. All functions take and give CSS px.
 */

/** To the 64th below. */
export const floorUnit = (px: number): number => Math.floor(px * 64) / 64;
/** To the 64th above. */
export const ceilUnit = (px: number): number => Math.ceil(px * 64 - 1e-6) / 64;
/** To the nearest 64th. */
export const roundUnit = (px: number): number => Math.round(px * 64) / 64;
