import type { ScreenSize } from '../sizes.ts';

/** Between sizes that run side by side, and around them, px. */
export const frameGap = 28;
/** What stands above each, px. */
const captionHeight = 24;

/** The scale at which all sizes stand beside each other in a room. */
export function scaleFor(sizes: readonly ScreenSize[], room: { width: number; height: number }): number {
  const width = sizes.reduce((sum, size) => sum + size.width, 0);
  const tallest = Math.max(...sizes.map((size) => size.height));
  return Math.min(
    1,
    (room.width - frameGap * (sizes.length + 1)) / width,
    (room.height - frameGap * 2 - captionHeight) / tallest,
  );
}
