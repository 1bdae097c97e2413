/** Types of days and times of day. */
import { asText } from '../expression/evaluate.ts';
import { bad, good, type PropertyType } from './property-type.ts';

/** A date or a time as HTML writes it; an empty text is none (HTML §2.3.5). */
const momentType = (name: string, expects: string, pattern: RegExp): PropertyType<string> => ({
  name,
  expects,
  words: [],
  read(text) {
    const plain = text.trim();
    const day = new Date(`${plain}T00:00:00Z`);
    const real =
      !pattern.test('2026-01-01') ||
      (day.toString() !== 'Invalid Date' && day.toISOString().startsWith(plain));
    return plain === '' || (pattern.test(plain) && real) ? good(plain, plain) : bad(text, expects);
  },
  take(result) {
    const reading = this.read(asText(result));
    return reading.ok ? { value: reading.value } : { message: reading.message };
  },
});

export const dateType = momentType('date', 'a date such as 2026-03-14', /^\d{4}-\d\d-\d\d$/);

export const timeType = momentType('time', 'a time such as 18:40', /^([01]\d|2[0-3]):[0-5]\d$/);

export const moments = [dateType, timeType];
