/**
 * Which row of a list a record is. Values never change: a row that gets another value is another record. It stays the
 * same row by the value of its table's key column, or, where there is none, by a mark that goes from the record before
 * to the one that takes its place.
 */
import { ownValue, same } from './same.ts';
import type { Column } from './types.ts';

const marks = new WeakMap<object, object>();
/** The record that a row is now, by its mark. */
const newest = new WeakMap<object, object>();
/** Marks of rows that were removed: no other row that happens to be equal stands for them. */
const removed = new WeakSet<object>();

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

/** What tells a row from all others, as long as its values and those that take its place live. */
export const markOf = (row: object): object => marks.get(row) ?? row;

/** @returns `row`, which takes the place of another record of the same row. */
export function continuing<T extends object>(row: T, before: object): T {
  const mark = markOf(before);
  marks.set(row, mark);
  newest.set(mark, row);
  return row;
}

/** What the row of a record is now; other values are what they are. */
export const newestOf = (value: unknown): unknown =>
  isObject(value) ? (newest.get(markOf(value)) ?? value) : value;

/** Says that a row is in its list no more. */
export const forgetRow = (row: unknown): void => {
  if (isObject(row)) removed.add(markOf(row));
};

/** The name of the column by which a table's rows are told apart; undefined: it has none. */
export const keyOf = (columns: readonly Column[] | undefined): string | undefined =>
  columns?.find(({ role }) => role === 'key')?.name;

const isNothing = (value: unknown): boolean => value === undefined || value === null || value === '';

/**
 * Whether two values are the same row: they have the same key, or one took the place of the other.
 *
 * @param key the column of the key, where there is one.
 */
export function isSameRow(one: unknown, other: unknown, key?: string): boolean {
  if (!isObject(one) || !isObject(other)) return same(one, other);
  const [first, second] = key === undefined ? [] : [ownValue(one, key), ownValue(other, key)];
  return isNothing(first) || isNothing(second) ? markOf(one) === markOf(other) : first === second;
}

/**
 * The index of a row in a list; -1 where it is in it no more. What was never a row of the list, such as a record that was
 * written down anew, stands for the first row that is equal to it.
 */
export function indexOfRow(list: readonly unknown[], wanted: unknown, key?: string): number {
  const found = list.findIndex((row) => isSameRow(row, wanted, key));
  if (found >= 0 || (isObject(wanted) && removed.has(markOf(wanted)))) return found;
  return list.findIndex((row) => same(row, wanted));
}

/**
 * Makes the rows of a list that came from outside the same rows as those of the list before: by their keys, else those
 * that are equal, else, where there are as many as before, those at the same place.
 */
export function continueRows(list: readonly unknown[], before: readonly unknown[], key?: string): void {
  const left = new Set(before.filter(isObject));
  const unmatched: (readonly [row: object, at: number])[] = [];
  const take = (row: object, old: object) => {
    left.delete(old);
    if (row !== old) continuing(row, old);
  };
  const byKey = new Map(
    key === undefined ? [] : [...left].map((row) => [JSON.stringify(ownValue(row, key)), row]),
  );
  const byWords = new Map([...left].map((row) => [JSON.stringify(row), row]));
  for (const [at, row] of list.entries()) {
    if (!isObject(row)) continue;
    const old =
      (key === undefined ? undefined : byKey.get(JSON.stringify(ownValue(row, key)))) ??
      byWords.get(JSON.stringify(row));
    if (old && left.has(old)) take(row, old);
    else unmatched.push([row, at]);
  }
  if (key !== undefined || list.length !== before.length) return;
  for (const [row, at] of unmatched) {
    const old = before[at];
    if (isObject(old) && left.has(old)) take(row, old);
  }
}
