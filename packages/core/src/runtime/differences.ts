/** What differs between a list or a record and what it was before, row by row and value by value, in words. */
import { isRecord } from '../document/record.ts';
import { same } from '../document/same.ts';

/** Most differences that are told, and the longest text of one value. */
const most = 8;
const longest = 60;

const nothing = '–';

function shortly(value: unknown): string {
  if (value === undefined || value === null) return nothing;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  const text = typeof value === 'string' ? value : (JSON.stringify(value) ?? nothing);
  return text.length > longest ? `${text.slice(0, longest)} …` : text || '“”';
}

/** The values of a record that differ: `done no → yes, people 2 → 3`. */
function valuesOf(
  before: Readonly<Record<string, unknown>>,
  after: Readonly<Record<string, unknown>>,
): string[] {
  const names = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  const isNothing = (value: unknown) => value === undefined || value === null;
  return names.flatMap((name) => {
    const [was, is] = [before[name], after[name]];
    return same(was, is) || (isNothing(was) && isNothing(is))
      ? []
      : [`${name} ${shortly(was)} → ${shortly(is)}`];
  });
}

/** A row in a few words: its first text, else all of it. */
function rowWords(row: unknown): string {
  const text = isRecord(row)
    ? Object.values(row).find((value) => typeof value === 'string' && value !== '')
    : row;
  return shortly(text ?? row);
}

/** How much alike two rows are: the part of their values that are the same. */
function likeness(one: unknown, other: unknown): number {
  if (!isRecord(one) || !isRecord(other)) return 0;
  const names = new Set([...Object.keys(one), ...Object.keys(other)]);
  return [...names].filter((name) => same(one[name], other[name])).length / names.size;
}

/** Rows that are half alike are one row that has changed. */
const alike = 0.5;

/** Indices of rows that are in one list and not in the other. */
function unmatched(list: readonly unknown[], other: readonly unknown[]): number[] {
  const there = new Map<string, number>();
  for (const row of other) there.set(JSON.stringify(row), (there.get(JSON.stringify(row)) ?? 0) + 1);
  return [...list.keys()].filter((at) => {
    const text = JSON.stringify(list[at]);
    const count = there.get(text) ?? 0;
    there.set(text, count - 1);
    return count <= 0;
  });
}

/** The plain values that came, and those that went. */
function itemsOf(before: readonly unknown[], after: readonly unknown[]): string[] {
  const named = (words: string, list: readonly unknown[], places: readonly number[]) =>
    places.length === 0
      ? []
      : [
          `${words} ${places
            .slice(0, most)
            .map((at) => shortly(list[at]))
            .join(', ')}${places.length > most ? ` and ${places.length - most} more` : ''}`,
        ];
  return [
    ...named('new:', after, unmatched(after, before)),
    ...named('gone:', before, unmatched(before, after)),
  ];
}

/** The rows that differ: which came, which went, which hold something else now. */
function rowsOf(before: readonly unknown[], after: readonly unknown[]): string[] {
  if (![...before, ...after].some(isRecord)) return itemsOf(before, after);
  const left = new Set(unmatched(before, after));
  const come = unmatched(after, before);
  if (Math.max(left.size, come.length) > mostRows) return [];
  const found: string[] = [];
  for (const at of come) {
    const row = after[at];
    const likest = [...left]
      .map(
        (index) =>
          [index, index === at && before.length === after.length ? 1 : likeness(before[index], row)] as const,
      )
      .toSorted((one, other) => other[1] - one[1])[0];
    if (!likest || likest[1] < alike) {
      found.push(`row ${at + 1} is new: ${rowWords(row)}`);
      continue;
    }
    const then = before[likest[0]];
    left.delete(likest[0]);
    const values =
      isRecord(then) && isRecord(row) ? valuesOf(then, row) : [`${shortly(then)} → ${shortly(row)}`];
    if (values.length > 0) found.push(`row ${at + 1}: ${values.join(', ')}`);
  }
  for (const at of left) found.push(`row ${at + 1} is gone: ${rowWords(before[at])}`);
  return found;
}

/** Longest lists that are compared row by row, and most rows that differ in one. */
const longestList = 2000;
const mostRows = 200;

/**
 * @returns a line for each difference, the last saying how many more there are; none where they are not two lists or two
 *   records, or are alike.
 */
export function differences(before: unknown, after: unknown): readonly string[] {
  const isList = Array.isArray(before) && Array.isArray(after);
  if (isList && Math.max(before.length, after.length) > longestList) return [];
  const all = isList
    ? rowsOf(before, after)
    : isRecord(before) && isRecord(after)
      ? valuesOf(before, after)
      : [];
  return all.length <= most ? all : [...all.slice(0, most - 1), `and ${all.length - most + 1} more`];
}
