/** Types of motions: when a key stands, how a value comes to it, how often all of it is done. */
import { easingOf, easingWords } from '../values/easing.ts';
import { bad, good, type PropertyType, printNumber, readNumber } from './property-type.ts';

/** A time on the line of a motion: seconds from its start, or a part of its length. */
export type KeyTime = number | { readonly fraction: number };

/** Longest motion, s. */
export const longestMotion = 3600;

const keyTimeExpects = 'seconds such as `1.5`, or a part such as `50%`';

export const keyTimeType: PropertyType<KeyTime> = {
  name: 'key time',
  expects: keyTimeExpects,
  words: [],
  read(text) {
    const plain = text.trim().replace(/s$/, '');
    const percent = /^(\d+\.?\d*|\.\d+)%$/.exec(plain);
    if (percent) {
      const value = Number(percent[1]);
      return value <= 100
        ? good<KeyTime>({ fraction: value / 100 }, `${printNumber(value)}%`)
        : bad(text, keyTimeExpects);
    }
    const value = /^[\d.]+$/.test(plain) ? readNumber(plain) : undefined;
    return value === undefined || value > longestMotion
      ? bad(text, keyTimeExpects)
      : good<KeyTime>(value, printNumber(value));
  },
};

/** An easing of CSS, or one with a name of its own (Easing Functions 2). */
export const easeType: PropertyType<string> = {
  name: 'easing',
  expects: 'an easing such as `ease-out`, `cubic-bezier(0.3, 0, 0.2, 1)`, `steps(4)` or `bounce`',
  words: easingWords,
  beginnings: ['cubic-bezier(', 'steps(', 'linear('],
  keywords: ['jump-start', 'jump-end', 'jump-none', 'jump-both', 'start', 'end'],
  takes: ['cubicBezier'],
  read(text) {
    const plain = text
      .trim()
      .replaceAll(/\s+/g, ' ')
      .replaceAll(/\s*,\s*/g, ', ');
    return easingOf(plain) ? good(plain, plain) : bad(text, this.expects, easingWords);
  },
};

/** How often a motion is done: a number, or for ever. */
export const repeatType: PropertyType<number> = {
  name: 'repeat',
  expects: 'how often, such as `3`, or `forever`',
  words: ['forever'],
  read(text) {
    const plain = text.trim();
    if (plain === 'forever') return good(Number.POSITIVE_INFINITY, plain);
    const value = readNumber(plain);
    return value === undefined || value <= 0 || value > 10_000
      ? bad(text, this.expects)
      : good(value, printNumber(value));
  },
};

export const motionTypes = [easeType, keyTimeType, repeatType];
