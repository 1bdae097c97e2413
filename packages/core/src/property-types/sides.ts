/** Types of up to four lengths: margins, padding, gaps. */
import type { Gaps, Sides } from '../values/css.ts';
import { bad, good, type PropertyType, printNumber, readNumber } from './property-type.ts';

function sidesType(name: string, expects: string, negative: boolean): PropertyType<Sides> {
  return {
    name,
    expects,
    steps: 'px',
    takes: ['dimension'],
    words: [],
    blank: '0',
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

const gapsExpects = 'one or two lengths of 0 or more';

/** Gaps: one length for both, or that between rows and that between columns (Align 3 §8.2). */
export const gapsType: PropertyType<Gaps> = {
  name: 'gaps',
  steps: 'px',
  takes: ['dimension'],
  expects: gapsExpects,
  words: [],
  blank: '0',
  read(text) {
    const numbers = text.trim().split(/\s+/).map(readNumber);
    const [row, column = row] = numbers;
    if (numbers.length > 2 || row === undefined || column === undefined || row < 0 || column < 0)
      return bad(text, gapsExpects);
    return good({ row, column }, numbers.map((value) => printNumber(value!)).join(' '));
  },
};

/** Lengths of the four sides, 0 or more. */
export const lengthsType = sidesType('lengths', 'one to four lengths of 0 or more', false);

/** Lengths of the four sides, negative ones allowed. */
export const marginType = sidesType('margin', 'one to four lengths', true);

export const sides = [gapsType, lengthsType, marginType];
