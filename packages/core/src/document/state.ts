/** What state variables hold: their types, what fits a type, and how deep and long it may be. */

import { keysOf } from '../sure.ts';
import { forbiddenKeys } from './forbidden-keys.ts';
import type { StateType, StateValue } from './types.ts';

/** How deep lists and records may stand in each other. */
export const deepestValue = 20;
/** How many values a variable may hold at its start, those inside lists and records counted. */
export const mostValues = 50_000;

/** What a new variable of each type holds. */
export const emptyValues: Readonly<Record<StateType, StateValue>> = {
  text: '',
  number: 0,
  boolean: false,
  date: '',
  list: [],
  record: {},
};

export const stateTypes = keysOf(emptyValues);

/** Whether a value is plain data: texts, numbers, yes or no, null, and lists and records of them. */
export function isPlain(value: unknown, depth = 0): boolean {
  if (depth > deepestValue) return false;
  switch (typeof value) {
    case 'string':
    case 'boolean':
    case 'undefined':
      return true;
    case 'number':
      return Number.isFinite(value);
    case 'object':
      if (value === null) return true;
      if (Array.isArray(value)) return value.every((item) => isPlain(item, depth + 1));
      return (
        Object.getPrototypeOf(value) === Object.prototype &&
        Object.entries(value).every(([key, item]) => !forbiddenKeys.has(key) && isPlain(item, depth + 1))
      );
    default:
      return false;
  }
}

/** How many values there are in a value, itself included. */
export function countValues(value: unknown): number {
  if (typeof value !== 'object' || value === null) return 1;
  return Object.values(value).reduce<number>((sum, item) => sum + countValues(item), 1);
}

/** A day as HTML's date fields write it (HTML, valid date string); empty: none. */
export function isDay(text: string): boolean {
  if (text === '') return true;
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const date = new Date(`${text}T00:00:00Z`);
  // Some days only look like one: the 31st of February would become a day of March.
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
}

/**
 * A value as a variable of a type holds it: a number, or a yes or no, is taken from a text that is one, as a select gives
 * it; a text from a number.
 *
 * @param nullable whether it may hold nothing: then nothing, and an empty text, are `null`.
 * @returns undefined where it does not fit.
 */
export function fitting(type: StateType, value: unknown, nullable = false): StateValue | undefined {
  if (nullable && (value === undefined || value === null || value === '')) return null;
  switch (type) {
    case 'boolean': {
      const said = value === 'true' ? true : value === 'false' ? false : value;
      return typeof said === 'boolean' ? said : undefined;
    }
    case 'number': {
      const number = typeof value === 'string' && value.trim() !== '' ? Number(value) : value;
      return typeof number === 'number' && Number.isFinite(number) ? number : undefined;
    }
    case 'text':
      return typeof value === 'string' || typeof value === 'number' ? String(value) : undefined;
    case 'date':
      return typeof value === 'string' && isDay(value) ? value : undefined;
    case 'list':
      return Array.isArray(value) && isPlain(value) ? value : undefined;
    case 'record':
      return typeof value === 'object' && value !== null && !Array.isArray(value) && isPlain(value)
        ? (value as StateValue)
        : undefined;
  }
}
