/**
 * What a property may hold. One type serves the source's parser, the fields of the interface, validation and
 * the layout: it reads a text, says what is wrong with it, and gives the value and the text's canonical form.
 */

import { didYouMean } from '../expression/nearest.ts';
import type { Align, Justify, Limit, Sides, Size } from '../layout/box.ts';
import { fontFamilies, fontWeights } from '../text/fonts.ts';
import { themeColours } from './theme.ts';

export type Reading<T> =
  | { readonly ok: true; readonly value: T; readonly text: string }
  | { readonly ok: false; readonly message: string };

export interface PropertyType<T = unknown> {
  readonly name: string;
  /** What is allowed, as the end of a sentence: "a number, `fit` …". */
  readonly expects: string;
  /** Fixed words that it allows, for lists and completion. */
  readonly words: readonly string[];
  /** Reads a text without expressions. */
  read(text: string): Reading<T>;
}

const numberPattern = /^[+-]?(\d+\.?\d*|\.\d+)$/;
/** Larger lengths than any screen; beyond them browsers clamp. */
const largest = 1_000_000;

/** `12`, `12.5`, `12px` as a number; undefined where it is none. */
function readNumber(text: string): number | undefined {
  const plain = text.trim().replace(/px$/, '').trim();
  if (!numberPattern.test(plain)) return undefined;
  const value = Number(plain);
  return Math.abs(value) <= largest ? value : undefined;
}

const printNumber = (value: number): string => String(Number(value.toFixed(4)));

const good = <T>(value: T, text: string): Reading<T> => ({ ok: true, value, text });
const bad = (
  text: string,
  expects: string,
  words: readonly string[] = [],
): { ok: false; message: string } => ({
  ok: false,
  message: `\`${text}\` is not ${expects}.${didYouMean(text, words)}`,
});

function numberType(name: string, expects: string, allows: (value: number) => boolean): PropertyType<number> {
  return {
    name,
    expects,
    words: [],
    read(text) {
      const value = readNumber(text);
      return value === undefined || !allows(value) ? bad(text, expects) : good(value, printNumber(value));
    },
  };
}

/** A length that is not negative, px. */
export const lengthType = numberType('length', 'a length of 0 or more', (value) => value >= 0);
/** A text size, px. */
export const textSizeType = numberType(
  'text size',
  'a size from 1 to 400',
  (value) => value >= 1 && value <= 400,
);
/** A factor, greater than 0. */
export const factorType = numberType(
  'factor',
  'a factor from 0.5 to 5',
  (value) => value >= 0.5 && value <= 5,
);

function sidesType(name: string, expects: string, negative: boolean): PropertyType<Sides> {
  return {
    name,
    expects,
    words: [],
    read(text) {
      const numbers = text.trim().split(/\s+/).map(readNumber);
      if (numbers.length > 4 || numbers.some((value) => value === undefined || (!negative && value < 0)))
        return bad(text, expects);
      const [first, second, third, fourth] = numbers as [number, number?, number?, number?];
      const canonical = numbers.map((value) => printNumber(value!)).join(' ');
      // all | block inline | top inline bottom | top end bottom start
      const end = second ?? first;
      return good({ top: first, end, bottom: third ?? first, start: fourth ?? end }, canonical);
    },
  };
}

/** Lengths of the four sides, 0 or more. */
export const lengthsType = sidesType('lengths', 'one to four lengths of 0 or more', false);
/** Lengths of the four sides, negative ones allowed. */
export const marginType = sidesType('margin', 'one to four lengths', true);

function readFraction(text: string): { fraction: number; text: string } | undefined {
  const match = /^(.+)%$/.exec(text.trim());
  const value = match ? readNumber(match[1]!) : undefined;
  return value === undefined || value < 0 || match![1]!.includes('px')
    ? undefined
    : { fraction: value / 100, text: `${printNumber(value)}%` };
}

const sizeExpects = 'a number, `fit`, `share`, `share N` or a percentage';
export const sizeType: PropertyType<Size> = {
  name: 'size',
  expects: sizeExpects,
  words: ['fit', 'share'],
  read(text) {
    const plain = text.trim();
    if (plain === 'fit') return good<Size>('fit', 'fit');
    const share = /^share(?:\s+(.+))?$/.exec(plain);
    if (share) {
      const parts = share[1] === undefined ? 1 : readNumber(share[1]);
      if (parts === undefined || parts <= 0 || share[1]?.includes('px')) return bad(text, sizeExpects);
      return good<Size>({ share: parts }, share[1] === undefined ? 'share' : `share ${printNumber(parts)}`);
    }
    const fraction = readFraction(plain);
    if (fraction) return good<Size>({ fraction: fraction.fraction }, fraction.text);
    const value = readNumber(plain);
    return value === undefined || value < 0
      ? bad(text, sizeExpects, ['fit', 'share'])
      : good<Size>(value, printNumber(value));
  },
};

const limitExpects = 'a number of 0 or more or a percentage';
export const limitType: PropertyType<Limit> = {
  name: 'limit',
  expects: limitExpects,
  words: [],
  read(text) {
    const fraction = readFraction(text);
    if (fraction) return good<Limit>({ fraction: fraction.fraction }, fraction.text);
    const value = readNumber(text);
    return value === undefined || value < 0
      ? bad(text, limitExpects)
      : good<Limit>(value, printNumber(value));
  },
};

/** One of some words. */
export function choiceType<T extends string>(name: string, words: readonly T[]): PropertyType<T> {
  const expects = `one of ${words.map((word) => `\`${word}\``).join(', ')}`;
  return {
    name,
    expects,
    words,
    read(text) {
      const plain = text.trim() as T;
      return words.includes(plain) ? good(plain, plain) : bad(text, expects, words);
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
export const textAlignType = choiceType('text-align', ['start', 'center', 'end']);
export const familyType = choiceType(
  'font',
  fontFamilies.map(({ family }) => family),
);

const weightWords = fontWeights.map(String);
export const weightType: PropertyType<number> = {
  ...choiceType('weight', weightWords),
  read(text) {
    return weightWords.includes(text.trim())
      ? good(Number(text), text.trim())
      : bad(text, `one of ${weightWords.join(', ')}`);
  },
};

/** `true` or `false`. */
export const flagType: PropertyType<boolean> = {
  name: 'flag',
  expects: '`true` or `false`',
  words: ['true', 'false'],
  read(text) {
    const plain = text.trim();
    return plain === 'true' || plain === 'false'
      ? good(plain === 'true', plain)
      : bad(text, '`true` or `false`', ['true', 'false']);
  },
};

/** Any words. */
export const textType: PropertyType<string> = {
  name: 'text',
  expects: 'a text',
  words: [],
  read: (text) => good(text, text),
};

const colourWords = [...Object.keys(themeColours), 'none'];
const colourExpects = 'a colour: #rgb, #rrggbb, #rrggbbaa, `none` or a colour of the theme';
/** A colour of the theme or a hexadecimal one (CSS Color 4 §5.2). */
export const colourType: PropertyType<string> = {
  name: 'colour',
  expects: colourExpects,
  words: colourWords,
  read(text) {
    const plain = text.trim().toLowerCase();
    if (colourWords.includes(plain)) return good(plain, plain);
    return /^#([\da-f]{3,4}|[\da-f]{6}|[\da-f]{8})$/.test(plain)
      ? good(plain, plain)
      : bad(text, colourExpects, colourWords);
  },
};

/** The file name of a picture of the project. */
export const pictureType: PropertyType<string> = {
  name: 'picture',
  expects: 'the file name of a picture of the project',
  words: [],
  read(text) {
    const plain = text.trim();
    return /^[^/\\<>"'&\s][^/\\<>"'&]*$/.test(plain) && !plain.includes('..')
      ? good(plain, plain)
      : bad(text, 'the file name of a picture of the project');
  },
};
