/**
 * A screen has words, but no heading of the first level: people who listen to it, or find it by searching, are not told
 * what it is (WCAG 2.2, 2.4.6; HTML §4.3.6).
 */
import { propertiesOf } from '../../cascade/cascade.ts';
import { walk } from '../../document/tree.ts';
import { type Control, inForce, isDialog } from '../../document/types.ts';
import { kindOf } from '../../kinds/catalogue.ts';
import { adviceAlways } from '../measures.ts';
import type { CheckKind } from './check-kind.ts';

type Controls = ReadonlyMap<string, Control>;

const levelOf = (control: Control): string | undefined => kindOf(control).heads?.name;
const isFirst = (control: Control): boolean =>
  inForce(control.props[levelOf(control) ?? '']) === '1' && inForce(control.props.hidden) !== 'true';
const hasWords = (control: Control): boolean => propertiesOf(kindOf(control)).has('text');

/** Whether a heading of the first level is missing, by the controls of a screen. */
const isMissing = (controls: Controls): boolean => {
  const all = [...controls.values()];
  return all.some(hasWords) && !all.some(isFirst);
};

/** The same controls are asked about at every stretch of widths. */
const known = new WeakMap<Controls, boolean>();

export const noHeading: CheckKind = {
  name: 'no-heading',
  title: 'No main heading',
  sentence: ({ self }) => `${self} has no heading of level 1, which says what the screen is.`,
  mend({ control, add }) {
    // The first one in the tree is a good main one.
    const first = [...walk(control)].find(levelOf);
    const level = first && levelOf(first);
    if (level) add(`Make \`${first.name ?? first.kind}\` the main heading`, [first, level, '1']);
  },
  measure(add, { around }, control, { controls }) {
    if (around || isDialog(control)) return;
    const missing = known.get(controls) ?? isMissing(controls);
    known.set(controls, missing);
    if (!missing) return;
    add(adviceAlways('no-heading', control.id));
  },
};
