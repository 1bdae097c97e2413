/** Types that allow some words and nothing else. */

import { transitions } from '../document/transitions.ts';
import { isOneOf } from '../sure.ts';
import { fontFamilies, fontWeights } from '../text/fonts.ts';
import type { Align, Justify } from '../values/css.ts';
import { bad, good, type PropertyType } from './property-type.ts';

/** One of some words. */
export function choiceType<T extends string>(name: string, words: readonly T[]): PropertyType<T> {
  const expects = `one of ${words.map((word) => `\`${word}\``).join(', ')}`;
  return {
    name,
    expects,
    words,
    read(text) {
      const plain = text.trim();
      return isOneOf(words, plain) ? good(plain, plain) : bad(text, expects, words);
    },
  };
}

export const alignType = choiceType<Align>('align', ['start', 'center', 'end', 'stretch', 'baseline']);

export const justifyType = choiceType<Justify>('justify', [
  'start',
  'center',
  'end',
  'between',
  'around',
  'evenly',
]);

/** Alignment along an axis in which items fill their cell or stand in it. */
export const cellAlignType = choiceType<Align>('cell align', ['start', 'center', 'end', 'stretch']);

export const scrollAxisType = choiceType('axis', ['vertical', 'horizontal', 'both']);

export const paneType = choiceType('pane', ['first', 'second']);

export const edgeType = choiceType('edge', ['top', 'bottom', 'start', 'end']);

export const fitType = choiceType('picture fit', ['cover', 'contain', 'fill']);

export const toneType = choiceType('tone', ['primary', 'plain', 'danger']);

/** What a line of text is (HTML §4.10.5.1), as far as all browsers show it alike. */
export const lineType = choiceType('line type', ['text', 'email', 'tel', 'url', 'password']);

/** What a browser may fill in by itself (HTML §4.10.19.7, autofill field names). */
export const autofillType = choiceType('autofill', [
  'on',
  'off',
  'name',
  'given-name',
  'family-name',
  'organization',
  'email',
  'tel',
  'url',
  'street-address',
  'postal-code',
  'address-level2',
  'country-name',
  'username',
  'current-password',
  'new-password',
  'one-time-code',
]);

export const chartType = choiceType('chart type', ['line', 'bar', 'sparkline']);

/** How a screen comes in place of another. */
export const comesType = choiceType('screen transition', transitions);

export const navFormType = choiceType('nav form', ['bar', 'rail', 'panel']);

export const lineUpType = choiceType('line-up', ['row', 'column']);

export const likeType = choiceType('like', ['row', 'column', 'grid']);

export const textAlignType = choiceType('text-align', ['start', 'center', 'end']);

export const familyType: PropertyType<string> = {
  ...choiceType('font', fontFamilies),
  takes: ['fontFamily'],
};

const weightWords = fontWeights.map(String);

export const weightType: PropertyType<number> = {
  name: 'weight',
  takes: ['fontWeight', 'number'],
  expects: `one of ${weightWords.join(', ')}`,
  words: weightWords,
  read(text) {
    return weightWords.includes(text.trim())
      ? good(Number(text), text.trim())
      : bad(text, `one of ${weightWords.join(', ')}`);
  },
};

/** `true` or `false`. */
export const flagType: PropertyType<boolean> = {
  name: 'flag',
  field: 'flag',
  blank: '{ an expression }',
  expects: '`true` or `false`',
  words: ['true', 'false'],
  read(text) {
    const plain = text.trim();
    return plain === 'true' || plain === 'false'
      ? good(plain === 'true', plain)
      : bad(text, '`true` or `false`', ['true', 'false']);
  },
};

export const choices = [
  alignType,
  cellAlignType,
  chartType,
  edgeType,
  familyType,
  fitType,
  flagType,
  justifyType,
  likeType,
  lineType,
  lineUpType,
  navFormType,
  paneType,
  scrollAxisType,
  textAlignType,
  toneType,
  comesType,
  weightType,
];
