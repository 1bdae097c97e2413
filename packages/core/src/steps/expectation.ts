/** What a step expects to find, as a short text: a large value is named by its digest, so that steps stay small. */

/** Texts up to this length, in UTF-16 units, say their value themselves. */
const longestPlain = 80;

/** JSON with the keys of records in order, so that the same value gives the same text. */
function stableJson(value: unknown): string {
  return (
    JSON.stringify(value, (_, inner: unknown) =>
      typeof inner === 'object' && inner !== null && !Array.isArray(inner)
        ? Object.fromEntries(Object.entries(inner).toSorted(([a], [b]) => (a < b ? -1 : 1)))
        : inner,
    ) ?? 'null'
  );
}

/** A digest of a text, 53 bits: two 32-bit hashes by multiplication, mixed. Not against an adversary. */
function digest(text: string): string {
  let one = 0xdeadbeef;
  let other = 0x41c6ce57;
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    one = Math.imul(one ^ code, 2654435761);
    other = Math.imul(other ^ code, 1597334677);
  }
  one = Math.imul(one ^ (one >>> 16), 2246822507) ^ Math.imul(other ^ (other >>> 13), 3266489909);
  other = Math.imul(other ^ (other >>> 16), 2246822507) ^ Math.imul(one ^ (one >>> 13), 3266489909);
  return (4294967296 * (2097151 & other) + (one >>> 0)).toString(36);
}

/** A value as steps expect it; nothing (`undefined`, `null`) is `null`. */
export function expectationOf(value: unknown): string {
  const text = stableJson(value ?? null);
  return text.length <= longestPlain ? text : `#${text.length}.${digest(text)}`;
}

/** Whether a value is the one that was expected; nothing expected fits all. */
export const isExpected = (was: string | undefined, value: unknown): boolean =>
  was === undefined || was === expectationOf(value);

/** What is wrong with an expectation from outside; undefined where nothing is. */
export const isExpectation = (was: unknown): boolean =>
  was === undefined || (typeof was === 'string' && was.length <= longestPlain + 40);
