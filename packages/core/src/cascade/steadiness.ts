/** What decides whether a control is one and the same on screens of all sizes. */

import { hasPlainStyle, type StyleSet, stylesOver } from '../document/style-set.ts';
import { type Control, inForce } from '../document/types.ts';
import { mayReadView } from '../expression/view-names.ts';
import { clampedSizesOf } from '../values/text-size.ts';
import { conditionsOf } from './attributes.ts';

const prefixes = new WeakMap<Control, { readonly styles: StyleSet; readonly found: ReadonlySet<string> }>();

/** Marks an expression that reads the view, and so may differ between bands. */
export const viewPrefix = 'View.';

/** Adds what stands in front of changed attributes. */
function addPrefixes(props: Control['props'], found: Set<string>): void {
  for (const name in props) {
    const isEvent = name.startsWith('on.');
    if (name.includes('.') && !isEvent && !name.endsWith('.bind'))
      for (const condition of conditionsOf(name)) found.add(`${condition}.`);
    if (!isEvent && mayReadView(inForce(props[name]) ?? '')) found.add(viewPrefix);
  }
}

/**
 * What stands in front of changed attributes of a control and all below it, those of their styles included: `lap.`,
 * `portrait.`, `hover.`; and `viewPrefix`.
 */
export function prefixesOf(control: Control, styles: StyleSet): ReadonlySet<string> {
  const known = prefixes.get(control);
  if (known?.styles === styles) return known.found;
  const found = new Set<string>();
  addPrefixes(control.props, found);
  for (const { props } of stylesOver(control, styles)) addPrefixes(props, found);
  // Which styles it has may itself follow the view.
  if (!hasPlainStyle(control) && found.size === 0 && styles.all.length > 0) found.add('style.');
  for (const child of control.children) for (const prefix of prefixesOf(child, styles)) found.add(prefix);
  prefixes.set(control, { styles, found });
  return found;
}

/** Whether nothing of a control and all below it changes from a band, with the orientation or with the width. */
export const isSteady = (control: Control, styles: StyleSet): boolean =>
  prefixesOf(control, styles).size === 0 && clampedSizesOf(control, styles).length === 0;
