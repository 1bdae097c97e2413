/** Where children stand in the room that they leave (CSS Box Alignment 3 §5.1). */

import type { Justify } from '../../values/css.ts';
import type { FlexContent } from '../box.ts';
import { roomLeft } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import type { Item } from './inside.ts';
import { baselineOffset, outerCross } from './lines.ts';

/**
 * From where a line begins across to an item's border box.
 *
 * @param cross the line's size across.
 * @param baselineAt from where the line begins to the baseline that its items share.
 */
export function crossOffset(
  pass: Pass,
  item: Item,
  cross: number,
  content: FlexContent,
  baselineAt: number,
): number {
  const row = content.direction === 'row';
  const { margin } = item.box.style;
  const before = row ? margin.top : margin.start;
  const free = cross - outerCross(item, row);
  switch (item.align) {
    case 'center':
      if (content.safe) pass.sign(item.box, 'room', free);
      return before + (content.safe ? roomLeft(free) : free) / 2;
    case 'end':
      return before + free;
    case 'baseline':
      return baselineAt - baselineOffset(item) + before;
    default:
      return before;
  }
}

/** Room before the first item; where room is short, spread items start (Align 3 §5.1). */
export function roomBefore(justify: Justify, free: number, count: number): number {
  switch (justify) {
    case 'center':
      return free / 2;
    case 'end':
      return free;
    case 'around':
      return roomLeft(free) / count / 2;
    case 'evenly':
      return roomLeft(free) / (count + 1);
    default:
      return 0;
  }
}

/** Extra room between two items. */
export function roomBetween(justify: Justify, free: number, count: number): number {
  switch (justify) {
    case 'between':
      return count > 1 ? roomLeft(free) / (count - 1) : 0;
    case 'around':
      return roomLeft(free) / count;
    case 'evenly':
      return roomLeft(free) / (count + 1);
    default:
      return 0;
  }
}
