/** Whether two plain values say the same. */

/** What a record or list has of its own under a key. */
export const ownValue = (of: unknown, key: string): unknown =>
  typeof of === 'object' && of !== null && Object.hasOwn(of, key)
    ? (of as Record<string, unknown>)[key]
    : undefined;

/** Whether two values are equal: records by their entries, in any order. */
export function same(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false;
  const keys = Object.keys(one);
  return (
    Array.isArray(one) === Array.isArray(other) &&
    keys.length === Object.keys(other).length &&
    keys.every((key) => same(ownValue(one, key), ownValue(other, key)))
  );
}
