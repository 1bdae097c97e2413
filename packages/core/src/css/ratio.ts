/** What an aspect ratio does to the sizes beside it. */
import type { Arrangement } from '../kinds/kind.ts';
import type { Size } from '../values/css.ts';

/** Sizes as they are asked for: where a ratio decides, a side that nobody asked for does not stretch. */
export function sizesWithRatio(
  width: Size,
  height: Size,
  aspect: number | undefined,
  arrangement: Arrangement | undefined,
): { width: Size; height: Size } {
  if (aspect === undefined) return { width, height };
  const known = (size: Size) => size !== undefined && size !== 'fit';
  const inCells = arrangement === 'cells' || arrangement === 'layers' || arrangement === 'pins';
  return {
    width: width === undefined && known(height) ? 'fit' : width,
    // In a cell both sides would stretch and leave nothing to the ratio.
    height: height === undefined && (known(width) || (inCells && width === undefined)) ? 'fit' : height,
  };
}
