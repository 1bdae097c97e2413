/**
 * Tables whose rows are kept beside the document. The document holds the first of them, so that everything that lays a
 * screen out, checks it or reads an expression finds rows where it finds those of any other list.
 */
import { isRecord } from './record.ts';
import { isPlain } from './state.ts';
import type { Row } from './table.ts';
import type { StateVariable, StoredTable } from './types.ts';

/** How many of a table's rows the document holds at most. */
export const firstRows = 1000;
/** How many rows a table may have. */
export const mostTableRows = 200_000;
/** How many columns a row of a table may have. */
export const mostTableColumns = 40;

/** Rows that are kept elsewhere, since they are too many to travel with a step. */
export interface RowBatch {
  /** What they are kept under. */
  readonly batch: string;
  readonly count: number;
  /** The first of them, at most `firstRows`. */
  readonly first: readonly Row[];
}

/** Rows, as a step names them. */
export type RowSet = readonly Row[] | RowBatch;

export const isBatch = (rows: RowSet): rows is RowBatch => !Array.isArray(rows);
export const countOf = (rows: RowSet): number => (isBatch(rows) ? rows.count : rows.length);
export const firstOf = (rows: RowSet): readonly Row[] => (isBatch(rows) ? rows.first : rows);

/** Some rows in the place of others. */
export interface Splice {
  /** Index of the first row that goes, or in front of which others come. */
  readonly at: number;
  readonly remove: RowSet;
  readonly insert: RowSet;
  /** Rows that come up among the first ones, since others went. */
  readonly behind?: readonly Row[];
}

/**
 * The first rows of a table after a change. What it gives is always the beginning of the table, and shorter than it
 * could be only where rows went and nobody said which came up.
 *
 * @returns the first rows, and those of them that are not among them any more.
 */
export function firstAfter(
  first: readonly Row[],
  { at, remove, insert, behind = [] }: Splice,
): { first: readonly Row[]; out: readonly Row[] } {
  if (at > first.length) return { first, out: [] };
  const come = firstOf(insert);
  const isWhole = come.length === countOf(insert);
  const all = [
    ...first.slice(0, at),
    ...come,
    ...(isWhole ? [...first.slice(at + countOf(remove)), ...behind] : []),
  ];
  // Of what comes, nothing was among the first before.
  const from = Math.max(firstRows, at + come.length);
  return { first: all.slice(0, firstRows), out: isWhole ? all.slice(from) : [] };
}

/** What is wrong with rows that come from outside; undefined where nothing is. */
export function rowsProblem(rows: unknown): string | undefined {
  if (!Array.isArray(rows)) return 'The rows are no list.';
  for (const row of rows) {
    if (typeof row !== 'object' || row === null || Array.isArray(row) || !isPlain(row))
      return 'A row is no record of plain values.';
    if (Object.keys(row).length > mostTableColumns) return `A row has more than ${mostTableColumns} values.`;
  }
  return undefined;
}

/** The problem with a variable's `table` record; undefined where there is none. */
export function storedTableProblem(variable: StateVariable): string | undefined {
  const { type, initial, table, feed, computed } = variable;
  if (table === undefined) return undefined;
  const said: unknown = table;
  if (!isRecord(said)) return 'its table is no record.';
  const { id, rows, status, wait } = said;
  if (type !== 'list') return 'only a list is a table.';
  if (feed || computed !== undefined) return 'its rows come from a table, and from elsewhere.';
  if (typeof id !== 'string' || !/^[\w-]{1,64}$/.test(id)) return 'its table has no `id`.';
  if (!Number.isInteger(rows) || Number(rows) < 0 || Number(rows) > mostTableRows)
    return `its table has 0 to ${mostTableRows} rows.`;
  if (status !== undefined && typeof status !== 'string') return 'what tells how its rows come is no name.';
  if (wait !== undefined && !(typeof wait === 'number' && wait >= 0 && wait <= 3600))
    return 'what its table waits for is no time.';
  const problem = rowsProblem(initial);
  if (problem) return problem;
  const there = initialRows(variable).length;
  return there > Math.min(firstRows, Number(rows)) ? 'it holds more rows than its table.' : undefined;
}

/** The rows that a list of records holds in the document; none where it is no list. */
export const initialRows = ({ initial }: Pick<StateVariable, 'initial'>): readonly Row[] =>
  Array.isArray(initial) ? (initial as readonly Row[]) : [];

/** How many rows a list of records has, those included that the document does not hold. */
export const rowCount = (variable: Pick<StateVariable, 'initial' | 'table'>): number =>
  variable.table?.rows ?? (Array.isArray(variable.initial) ? variable.initial.length : 0);

/** A variable with the rows of its table, as a document holds them. */
export const withRows = (
  variable: StateVariable & { table: StoredTable },
  rows: readonly Row[],
): StateVariable => ({
  ...variable,
  initial: rows.slice(0, firstRows),
  table: { ...variable.table, rows: rows.length },
});
