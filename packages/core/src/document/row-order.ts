/** Which rows of a table are shown and in which order: those in which something is found, sorted by a column. */
import { itemAt } from '../sure.ts';
import { cellText, type Row } from './table.ts';

/** What is asked of a table. */
export interface RowQuestion {
  /** A text that is in one of a row's cells, whatever its case and accents; empty: all rows. */
  readonly find?: string;
  /** Name of the column by which they are sorted; absent: as they stand. */
  readonly sort?: string;
  readonly descending?: boolean;
}

/** A text without case and accents, as it is looked for. */
const folded = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

const isNothing = (value: unknown): boolean => value === undefined || value === null || value === '';

/** Whether a question leaves all rows as they stand. */
export const asksNothing = ({ find = '', sort }: RowQuestion): boolean =>
  find.trim() === '' && sort === undefined;

/**
 * Indices of the rows that are asked for, in their order. Numbers come before yes and no, those before texts; cells
 * with nothing in them come last, whichever way it goes. Rows that are the same stay as they stand.
 */
export function orderOfRows(rows: readonly Row[], { find = '', sort, descending }: RowQuestion): number[] {
  const wanted = folded(find.trim());
  const found: number[] = [];
  for (const [index, row] of rows.entries())
    if (wanted === '' || Object.values(row).some((value) => folded(cellText(value)).includes(wanted)))
      found.push(index);
  if (sort === undefined) return found;
  const keys = rows.map((row) => sortKey(row[sort]));
  const way = descending ? -1 : 1;
  return found.sort((a, b) => {
    const [left, right] = [itemAt(keys, a), itemAt(keys, b)];
    if (left.rank === nothing || right.rank === nothing) return left.rank - right.rank || a - b;
    return way * (left.rank - right.rank || compare(left.value, right.value)) || a - b;
  });
}

/** Rank of a cell with nothing in it. */
const nothing = 3;

function sortKey(value: unknown): { readonly rank: number; readonly value: string | number } {
  if (isNothing(value)) return { rank: nothing, value: '' };
  if (typeof value === 'number') return { rank: 0, value };
  if (typeof value === 'boolean') return { rank: 1, value: Number(value) };
  return { rank: 2, value: folded(cellText(value)) };
}

const compare = (a: string | number, b: string | number): number => (a < b ? -1 : a > b ? 1 : 0);
