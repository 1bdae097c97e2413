/** Findings in words. */
import { effectiveNames } from '../document/names.ts';
import type { Control } from '../document/types.ts';
import type { Finding, Where } from './finding.ts';
import { acrossHeight } from './heights.ts';
import { united } from './stretches.ts';

const px = (value: number) => `${Math.max(1, Math.ceil(value))} px`;

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
  const self = `\`${names.get(control)}\``;
  const second = other === undefined ? '' : `\`${names.get(other)}\``;
  switch (check) {
    case 'too-wide':
      return other === undefined
        ? `A word in ${self} is up to ${px(worst)} wider than its box.`
        : `${self} reaches up to ${px(worst)} out of ${second} at its side.`;
    case 'too-high':
      return other === undefined
        ? `The words of ${self} are up to ${px(worst)} higher than its box.`
        : `${self} reaches up to ${px(worst)} out of ${second} at its top or bottom.`;
    case 'overlap':
      return `${self} lies over ${second}, by up to ${px(worst)}.`;
    case 'off-screen':
      return `${self} reaches up to ${px(worst)} out of the screen.`;
    case 'under-hinge':
      return `${px(worst)} of ${self} lie under the hinge of a half-open screen.`;
    case 'small-target':
      return severity === 'error'
        ? `${self} is less than 24 px wide or high: too small to press.`
        : `${self} is less than 44 px wide or high; fingers want that.`;
    case 'cut':
      return `${Math.round(worst)} ${worst > 1 ? 'lines' : 'line'} of ${self} ${worst > 1 ? 'are' : 'is'} cut off.`;
    case 'long-line':
      return `Lines of ${self} have up to ${Math.round(worst) + 80} characters; more than 80 are hard to follow.`;
    default:
      return '';
  }
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
    ...(tells ? [sides.has('portrait') ? 'upright' : 'across'] : []),
    ...(plain.length === 0 ? [`text at ${Math.round(where[0]!.textScale * 100)} %`] : []),
  ];
  const more = widths.length > 3 ? ` and ${widths.length - 3} more` : '';
  return `${widths.slice(0, 3).join(', ')}${more} px${conditions.length > 0 ? `, ${conditions.join(', ')}` : ''}`;
}
