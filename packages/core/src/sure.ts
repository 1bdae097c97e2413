/** Reading from lists and maps what is sure to be in them: where it is not, that is said at once. */

/** An item of a list. @param index from the end where it is negative. @throws Error where there is none. */
export function itemAt<T>(list: readonly T[], index: number): T {
  const item = list.at(index);
  if (item === undefined && (index < -list.length || index >= list.length))
    throw new Error(`No item ${index} of ${list.length}.`);
  return item as T;
}

/** A number of a list. @returns NaN where there is none: whatever is reckoned with it is none either. */
export const numberAt = (numbers: ArrayLike<number>, index: number): number => numbers[index] ?? Number.NaN;

/** Whether a value is one of some known ones. */
export const isOneOf = <T>(known: readonly T[], value: unknown): value is T => known.includes(value as T);

/** The keys of a record that is known to have no others. */
export const keysOf = <Key extends string>(record: Readonly<Partial<Record<Key, unknown>>>): Key[] =>
  Object.keys(record) as Key[];

/** The value of a key of a map. @throws Error where there is none. */
export function entryOf<Key, Value>(map: ReadonlyMap<Key, Value>, key: Key): Value {
  const value = map.get(key);
  if (value === undefined && !map.has(key)) throw new Error(`No ${key}.`);
  return value as Value;
}
