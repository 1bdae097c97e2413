/**
 * Where the panes of a split lie on a screen that folds. A stylesheet cannot ask where the split begins, so one pane is
 * as wide as it is from the fold to that side of the screen at which nothing but known insets lies.
 */

import type { Conditions } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import { pathIn } from '../document/tree.ts';
import type { Control } from '../document/types.ts';
import { borderWidth, hidden, margin, order, padding } from '../kinds/properties.ts';
import { edgeOf } from '../kinds/screen-bars.ts';

export interface HingeSide {
  /** The side of the screen that is measured from. */
  readonly side: 'start' | 'end';
  /** What lies between the screen's edge there and the pane: margins, borders and padding, CSS px. */
  readonly inset: number;
  /** The pane on that side, by its index in the document. */
  readonly pane: 0 | 1;
}

/**
 * From which side a split's panes are measured: from the start, but where a bar lies there and none at the end.
 *
 * @param conditions those that hold.
 */
export function hingeSide(screen: Control, split: Control, conditions: Conditions): HingeSide {
  const valuesOf = (control: Control) => plainValues(control, conditions);
  const hasBar = (edge: 'start' | 'end') =>
    screen.children.some((child) => edgeOf(child) === edge && !valuesOf(child).flag(hidden));
  const side = hasBar('start') && !hasBar('end') ? 'end' : 'start';
  let inset = 0;
  for (const control of pathIn(screen, split.id)) {
    const own = valuesOf(control);
    for (const key of [margin, borderWidth, padding]) inset += own.own(key)?.[side] ?? 0;
  }
  const [one, other] = split.children.map((pane) => valuesOf(pane).get(order) ?? 0);
  const first = one !== undefined && other !== undefined && one > other ? 1 : 0;
  return { side, inset, pane: side === 'start' ? first : first === 0 ? 1 : 0 };
}
