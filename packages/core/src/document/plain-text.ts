/** Plain data as words, as a person reads them. */

/** Deepest that lists are looked into. */
const deepest = 20;

/** Nothing for null and undefined, lists with commas between what is in them (ECMAScript §23.1.3.18), records as such. */
export function plainText(value: unknown, depth = 0): string {
  if (value === null || value === undefined || depth > deepest) return '';
  if (Array.isArray(value)) return value.map((each) => plainText(each, depth + 1)).join(',');
  return typeof value === 'object' ? '[object Object]' : String(value);
}
