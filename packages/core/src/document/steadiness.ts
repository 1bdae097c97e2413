/** What decides whether a control is one and the same on screens of all sizes. */
import { clampedSizesOf } from './text-size.ts';
import type { Control } from './types.ts';

const prefixes = new WeakMap<Control, ReadonlySet<string>>();

/** What stands in front of changed attributes of a control and all below it: `lap.`, `portrait.`. */
export function prefixesOf(control: Control): ReadonlySet<string> {
  let found = prefixes.get(control);
  if (!found) {
    const own = new Set<string>();
    for (const name in control.props) {
      const dot = name.indexOf('.');
      if (dot > 0 && !name.startsWith('on.') && !name.endsWith('.bind')) own.add(name.slice(0, dot + 1));
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
