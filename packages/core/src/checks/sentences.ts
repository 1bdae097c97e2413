/** Findings in words. */

import { effectiveNames } from '../document/names.ts';
import type { Control } from '../document/types.ts';
import { itemAt } from '../sure.ts';
import { checkNamed } from './catalogue/index.ts';
import type { Finding, Where } from './finding.ts';
import { acrossHeight } from './heights.ts';
import { united } from './stretches.ts';

/** @returns a sentence with the names of controls between backquotes. */
export function sentenceOf(
  screen: Control,
  {
    check,
    severity,
    control,
    other,
    worst,
  }: Pick<Finding, 'check' | 'severity' | 'control' | 'other' | 'worst'>,
): string {
  const names = effectiveNames(screen);
  const named = (id: string) => `\`${names.get(id)}\``;
  const second = other === undefined ? undefined : named(other);
  return checkNamed(check)?.sentence({ self: named(control), other: second, severity, worst }) ?? '';
}

const whole = (from: number, to: number) => {
  const [low, high] = [Math.ceil(from - 1e-6), Math.floor(to + 1e-6)];
  return low >= high ? `${low}` : `${low}–${high}`;
};

/** Where something is wrong, in words: widths, and what else is needed for it. */
export function whereWords(where: readonly Where[]): string {
  const plain = where.filter(({ textScale }) => textScale === 1);
  const shown = plain.length > 0 ? plain : where;
  const widths = united(shown, 1).map(({ from, to }) => whole(from, to));
  const sides = new Set(shown.map(({ orientation }) => orientation));
  // Narrow screens are upright anyway.
  const tells = sides.size === 1 && shown.some(({ to }) => to > acrossHeight + 1);
  const conditions = [
    ...(tells ? [sides.has('portrait') ? 'portrait' : 'landscape'] : []),
    ...(plain.length === 0 ? [`text at ${Math.round(itemAt(where, 0).textScale * 100)} %`] : []),
  ];
  const more = widths.length > 3 ? ` and ${widths.length - 3} more` : '';
  return `${widths.slice(0, 3).join(', ')}${more} px${conditions.length > 0 ? `, ${conditions.join(', ')}` : ''}`;
}
