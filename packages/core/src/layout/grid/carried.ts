/** Which limits of a grid have to do with how wide it is by content. */
import type { Box } from '../box.ts';
import { isFraction, limitsWidthByParts } from '../sizes.ts';

/**
 * Whether limits of its width that are parts of something have to do with how wide a grid is by content: they decide how many
 * columns it repeats, and `auto` columns fill the least width before rows are asked (CSS Grid 1 §12.8).
 */
export const asksWidthLimits = (box: Box): boolean =>
  box.content.type === 'grid' &&
  limitsWidthByParts(box) &&
  (box.content.columns.some((part) => 'auto' in part) || (box.asksAgain && isFraction(box.style.minWidth)));

/**
 * Which limits of a grid's height bound its width by its ratio (CSS Sizing 4 §6.3), and so how many columns it repeats.
 * `numbers`: those that are no parts of a height.
 */
export type Carried = 'all' | 'numbers' | 'none';

/** Whether there are any. Not beside a part of a width (as browsers do it). */
export const carriesLimits = ({ style, content }: Box): boolean =>
  style.aspect !== undefined &&
  content.type === 'grid' &&
  !isFraction(style.width) &&
  (style.minHeight ?? style.maxHeight) !== undefined;

/** Whether they count where a box is not in a row: not where it says that its width is by content (`fit-content`), as browsers do it. */
export const carriesAcross = ({ style }: Box): boolean => style.width !== 'fit';
