/** Types of sizes and places: widths, limits, pins, ratios, points. */
import type { Fraction, Limit, Size } from '../values/css.ts';
import { bad, good, type PropertyType, printNumber, readFraction, readNumber } from './property-type.ts';

const sizeExpects = 'a number, `fit`, `share`, `share N` or a percentage';

export const sizeType: PropertyType<Size> = {
  name: 'size',
  steps: 'px',
  takes: ['dimension'],
  beginnings: ['share '],
  blank: 'auto',
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

const pinExpects = 'a number or a percentage';

/** Where a child of a pinboard is held. */
export const pinType: PropertyType<number | Fraction> = {
  name: 'pin',
  takes: ['dimension'],
  expects: pinExpects,
  words: [],
  read(text) {
    const percent = /^([+-]?(?:\d+\.?\d*|\.\d+))%$/.exec(text.trim());
    if (percent) {
      const value = Number(percent[1]);
      return good<number | Fraction>({ fraction: value / 100 }, `${printNumber(value)}%`);
    }
    const value = readNumber(text);
    return value === undefined ? bad(text, pinExpects) : good<number | Fraction>(value, printNumber(value));
  },
};

const aspectExpects = 'a ratio such as 16/9, or a number greater than 0';

/** Width by height. */
export const aspectType: PropertyType<number> = {
  name: 'aspect',
  expects: aspectExpects,
  words: [],
  read(text) {
    const match = /^(\d*\.?\d+)\s*(?:\/\s*(\d*\.?\d+))?$/.exec(text.trim());
    const [width, height] = [Number(match?.[1]), Number(match?.[2] ?? 1)];
    const value = width / height;
    if (!match || !(value >= 0.001 && value <= 1000)) return bad(text, aspectExpects);
    return good(
      value,
      match[2] === undefined ? printNumber(width) : `${printNumber(width)}/${printNumber(height)}`,
    );
  },
};

const ratioExpects = 'two parts such as 1/2';

/** Parts of the first and the second pane. */
export const ratioType: PropertyType<readonly [number, number]> = {
  name: 'ratio',
  expects: ratioExpects,
  words: [],
  read(text) {
    const match = /^(\d*\.?\d+)\s*\/\s*(\d*\.?\d+)$/.exec(text.trim());
    const [first, second] = [Number(match?.[1]), Number(match?.[2])];
    if (!match || !(first > 0 && second > 0 && first <= 1000 && second <= 1000))
      return bad(text, ratioExpects);
    return good([first, second] as const, `${printNumber(first)}/${printNumber(second)}`);
  },
};

const pointExpects = 'a point such as `50% 20%`';

/** A point of a picture, in per cent of its width and height. */
export const pointType: PropertyType<readonly [number, number]> = {
  name: 'point',
  expects: pointExpects,
  words: [],
  read(text) {
    const match = /^(\d+\.?\d*)%\s+(\d+\.?\d*)%$/.exec(text.trim());
    const [x, y] = [Number(match?.[1]), Number(match?.[2])];
    return match && x <= 100 && y <= 100
      ? good([x, y] as const, `${printNumber(x)}% ${printNumber(y)}%`)
      : bad(text, pointExpects);
  },
};

const limitExpects = 'a number of 0 or more or a percentage';

export const limitType: PropertyType<Limit> = {
  name: 'limit',
  steps: 'px',
  takes: ['dimension'],
  expects: limitExpects,
  blank: 'none',
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

export const sizes = [aspectType, limitType, pinType, pointType, ratioType, sizeType];
