/** What is said of tables and their rows. */
import { rowsOf, type StateVariable } from '@hovrin/core';

/** "1 row", "1,204 rows". */
export const counted = (count: number, one: string, many: string): string =>
  `${count.toLocaleString('en')} ${count === 1 ? one : many}`;

const rowCount = (count: number): string => counted(count, 'row', 'rows');

/**
 * What is said when the rows of a file have come.
 *
 * @param before the variable as it was, @param after and as it is now.
 * @param replaced how many rows it had.
 */
export function takenWords(
  file: string,
  before: StateVariable,
  after: StateVariable,
  replaced: number,
): string {
  const came = after.table?.rows ?? rowsOf(after)?.length ?? 0;
  const instead = replaced > 0 ? ` in place of ${rowCount(replaced)}; undo brings those back` : '';
  const table =
    after.table && !before.table
      ? ` ${after.name} is a table now: its rows are kept beside the document.`
      : '';
  return `${rowCount(came)} of ${file}${instead}.${table}`;
}
