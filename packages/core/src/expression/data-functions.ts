/** Functions of ECMAScript that make data of other data, and chance. */
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { isPlain } from '../document/state.ts';
import { longestList } from './limits.ts';

/** The entries of a record, each a key and a value. */
function fromEntries(entries: unknown): unknown {
  if (!Array.isArray(entries)) throw new Error('a list of pairs is expected.');
  const record: Record<string, unknown> = {};
  for (const entry of entries) {
    if (!Array.isArray(entry)) throw new Error('a list of pairs is expected.');
    const key = String(entry[0]);
    if (forbiddenKeys.has(key)) throw new Error(`\`${key}\` is out of reach for expressions.`);
    record[key] = entry[1];
  }
  return record;
}

/** A list of what a list or a text consists of, or as long as is said. */
function listFrom(of: unknown): unknown[] {
  if (typeof of === 'string' || Array.isArray(of)) return [...of];
  const length = Math.trunc(Number((of as { length?: unknown } | null)?.length ?? 0)) || 0;
  if (length > longestList) throw new Error(`a list has at most ${longestList} items.`);
  return Array.from({ length: Math.max(0, length) }, () => undefined);
}

/** Data of JSON, as far as it is plain data (ECMA-404). */
function parsed(text: unknown): unknown {
  const value: unknown = JSON.parse(String(text));
  if (!isPlain(value)) throw new Error('this holds what is no plain data, or is nested too deeply.');
  return value;
}

/** What gives the next number from 0 to 1. */
let next: () => number = Math.random;

/** Makes chance come out the same each time: numbers from a seed (mulberry32). */
export function seedRandom(seed: number): void {
  let state = seed >>> 0;
  next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

const letters = 'abcdefghijklmnopqrstuvwxyz0123456789';

/** Functions by the name that expressions call them by. */
export const dataFunctions: Readonly<Record<string, (...values: unknown[]) => unknown>> = {
  'Object.fromEntries': fromEntries,
  'Array.from': listFrom,
  'JSON.parse': parsed,
  'JSON.stringify': (value) => JSON.stringify(value) ?? '',
  encodeURIComponent: (text) => encodeURIComponent(String(text ?? '')),
  decodeURIComponent: (text) => decodeURIComponent(String(text ?? '')),
  'Random.next': () => next(),
  'Random.pick': (list) => (Array.isArray(list) ? list[Math.floor(next() * list.length)] : undefined),
  'Random.id': () => Array.from({ length: 10 }, () => letters[Math.floor(next() * letters.length)]).join(''),
};
