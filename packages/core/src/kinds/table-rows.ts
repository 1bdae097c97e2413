/** The rows of a table in the order that somebody wants them in. */

export type TableRow = Readonly<Record<string, unknown>>;

const collator = new Intl.Collator('en-GB', { numeric: true });

/** Numbers by their size, what is nothing last, all else as words with numbers in them. */
function compared(one: unknown, other: unknown): number {
  const missing = (value: unknown) => value === undefined || value === null || value === '';
  if (missing(one) || missing(other)) return Number(missing(one)) - Number(missing(other));
  if (typeof one === 'number' && typeof other === 'number') return one - other;
  return collator.compare(String(one), String(other));
}

/**
 * Rows by a column.
 *
 * @param sort the column's field; with `-` in front from the greatest down; empty: as they are.
 */
export function sortedRows(rows: readonly TableRow[], sort: string): readonly TableRow[] {
  const down = sort.startsWith('-');
  const field = down ? sort.slice(1) : sort;
  if (field === '') return rows;
  const held = (row: TableRow) => (Object.hasOwn(row, field) ? row[field] : undefined);
  return rows.toSorted((a, b) => {
    const [one, other] = [held(a), held(b)];
    const missing = compared(one, undefined) * compared(other, undefined) === 0;
    return down && !missing ? compared(other, one) : compared(one, other);
  });
}

/** What a press on a column's head sorts by. */
export const nextSort = (sort: string, field: string): string => (sort === field ? `-${field}` : field);
