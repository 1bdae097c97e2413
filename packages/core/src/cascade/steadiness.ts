/** What decides whether a control is one and the same on screens of all sizes. */

import { type Control, inForce } from '../document/types.ts';
import { mayReadView } from '../expression/view-names.ts';
import { clampedSizesOf } from '../values/text-size.ts';

const prefixes = new WeakMap<Control, ReadonlySet<string>>();

/** Marks an expression that reads the view, and so may differ between bands. */
export const viewPrefix = 'View.';

/** What stands in front of changed attributes of a control and all below it: `lap.`, `portrait.`; and `viewPrefix`. */
export function prefixesOf(control: Control): ReadonlySet<string> {
  let found = prefixes.get(control);
  if (!found) {
    const own = new Set<string>();
    for (const name in control.props) {
      const dot = name.indexOf('.');
      const isEvent = name.startsWith('on.');
      if (dot > 0 && !isEvent && !name.endsWith('.bind')) own.add(name.slice(0, dot + 1));
      if (!isEvent && mayReadView(inForce(control.props[name]) ?? '')) own.add(viewPrefix);
    }
    for (const child of control.children) for (const prefix of prefixesOf(child)) own.add(prefix);
    found = own;
    prefixes.set(control, found);
  }
  return found;
}

/** Whether nothing of a control and all below it changes from a band, with the orientation or with the width. */
export const isSteady = (control: Control): boolean =>
  prefixesOf(control).size === 0 && clampedSizesOf(control).length === 0;
