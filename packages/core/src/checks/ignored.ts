/** Findings that somebody has looked at and lets stand, with the reason. */

import { walk } from '../document/tree.ts';
import { type Control, inForce } from '../document/types.ts';
import { entriesType } from '../property-types/index.ts';
import type { Step } from '../steps/step.ts';

const readIgnored = (control: Control) => {
  const text = inForce(control.props.ignore);
  const reading = text === undefined ? undefined : entriesType.read(text);
  return reading?.ok ? reading.value : [];
};

/** What is ignored on a screen: `ID CHECK` to the reason. */
export function ignoredOf(screen: Control): Map<string, string> {
  return new Map(
    [...walk(screen)].flatMap((control) =>
      readIgnored(control).map(({ value, label }) => [`${control.id} ${value}`, label] as const),
    ),
  );
}

/** Lets a finding of a control stand; without a reason it counts again. */
export function ignoreStep(control: Control, check: string, reason: string | undefined): Step {
  const others = readIgnored(control).filter(({ value }) => value !== check);
  const plain = reason?.replaceAll('|', '/').trim();
  const all = plain ? [...others, { value: check, label: plain }] : others;
  return {
    type: 'set',
    control: control.id,
    property: 'ignore',
    value: all.length > 0 ? all.map(({ value, label }) => `${value}: ${label}`).join(' | ') : null,
  };
}
