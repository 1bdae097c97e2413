/** Types of numbers: lengths, counts, factors. */
import { type ClampedSize, printClampedSize, readClampedSize } from '../values/text-size.ts';
import { bad, good, type PropertyType, printNumber, readNumber } from './property-type.ts';

function numberType(
  name: string,
  expects: string,
  allows: (value: number) => boolean,
  steps: PropertyType['steps'] = undefined,
  takes?: PropertyType['takes'],
): PropertyType<number> {
  return {
    name,
    expects,
    steps,
    ...(takes ? { takes } : {}),
    words: [],
    read(text) {
      const value = readNumber(text);
      return value === undefined || !allows(value) ? bad(text, expects) : good(value, printNumber(value));
    },
  };
}

/** Any number. */
export const amountType = numberType('amount', 'a number', () => true, 'count');

/** How long something takes, seconds: not so short that nothing else gets its turn, at most a day. */
export const secondsType = numberType(
  'seconds',
  'seconds from 0.1 to 86400',
  (value) => value >= 0.1 && value <= 86_400,
);

/** How long a motion takes, seconds. */
export const durationType = numberType(
  'duration',
  'seconds from 0.01 to 3600',
  (value) => value >= 0.01 && value <= 3600,
);

/** How long a motion waits before it begins, seconds. */
export const delayType = numberType(
  'delay',
  'seconds from 0 to 3600',
  (value) => value >= 0 && value <= 3600,
);

/** A length that is not negative, px. */
export const lengthType = numberType('length', 'a length of 0 or more', (value) => value >= 0, 'px', [
  'dimension',
]);

/** A length that may be negative, px. */
export const offsetType = numberType('offset', 'a length', () => true, undefined, ['dimension']);

/** Room between letters, px. */
export const letterSpacingType = numberType(
  'letter spacing',
  'a length from -100 to 100',
  (value) => Math.abs(value) <= 100,
  undefined,
  ['dimension'],
);

/** A whole number in a range. */
const wholeType = (
  name: string,
  expects: string,
  allows: (value: number) => boolean,
  steps?: PropertyType['steps'],
) => numberType(name, expects, (value) => Number.isInteger(value) && allows(value), steps);

/** A number of lines of text. */
export const linesType = wholeType(
  'lines',
  'a whole number from 1 to 1000',
  (value) => value >= 1 && value <= 1000,
  'count',
);

/** How many characters one enters (HTML §4.10.18.3, §4.10.18.4). */
export const charactersType = wholeType(
  'characters',
  'a whole number from 0 to 100000',
  (value) => value >= 0 && value <= 100_000,
);

/** A line of a grid; negative ones count from the end (Grid 1 §8.3). */
export const gridLineType = wholeType(
  'grid line',
  'a line from 1 to 1000, or from -1 to -1000',
  (value) => value !== 0 && Math.abs(value) <= 1000,
);

const trackCount = wholeType(
  'span',
  'a whole number from 1 to 1000, or `all`',
  (value) => value >= 1 && value <= 1000,
  'count',
);

/** How many tracks an item spans; `all`: from the first line of the explicit grid to its last (Grid 1 §8.3: `1 / -1`). */
export const spanType: PropertyType<number | 'all'> = {
  ...trackCount,
  words: ['all'],
  read: (text) => (text === 'all' ? good(text, text) : trackCount.read(text)),
};

/** A level of headings. */
export const levelType = wholeType(
  'level',
  'a level from 1 to 6',
  (value) => value >= 1 && value <= 6,
  'count',
);

/** A place among siblings. */
export const orderType = wholeType(
  'order',
  'a whole number from -1000 to 1000',
  (value) => Math.abs(value) <= 1000,
);

/** A turn in the focus order (HTML §6.6.3, a `tabindex` above 0). */
export const turnType = wholeType(
  'focus turn',
  'a whole number from 1 to 10000',
  (value) => value >= 1 && value <= 10_000,
);

/** A text size, px, or one that follows the width of the window between two. */
export const textSizeType: PropertyType<number | ClampedSize> = {
  name: 'text size',
  steps: 'count',
  takes: ['dimension'],
  expects: 'a size from 1 to 400, or `clamp(18, 4vw, 34)`',
  words: [],
  read(text) {
    const clamped = readClampedSize(text);
    if (clamped) return good(clamped, printClampedSize(clamped));
    const value = readNumber(text);
    return value === undefined || value < 1 || value > 400
      ? bad(text, this.expects)
      : good(value, printNumber(value));
  },
};

/** A factor, greater than 0. */
export const factorType = numberType(
  'factor',
  'a factor from 0.5 to 5',
  (value) => value >= 0.5 && value <= 5,
  undefined,
  ['number'],
);

export const numbers = [
  amountType,
  factorType,
  gridLineType,
  lengthType,
  letterSpacingType,
  levelType,
  linesType,
  offsetType,
  orderType,
  spanType,
  textSizeType,
  turnType,
];
