/** What is said of tables and their rows. */
import { rowsOf, type StateVariable } from '@hovrin/core';

/** "1 row", "1,204 rows". */
export const counted = (count: number, one: string, many: string): string =>
  `${count.toLocaleString('en')} ${count === 1 ? one : many}`;

const rowsIn = (variable: StateVariable): number => variable.table?.rows ?? rowsOf(variable)?.length ?? 0;
const rowCount = (count: number): string => counted(count, 'row', 'rows');

/**
 * What is said when the rows of a file have come.
 *
 * @param now the variable as it is now, @param before and as it was.
 */
export function takenWords(file: string, now: StateVariable, before: StateVariable): string {
  const [count, was] = [rowsIn(now), rowsIn(before)];
  const table =
    now.table && !before.table ? ` ${now.name} is a table now: its rows are kept beside the document.` : '';
  const undone = was > 0 ? `; before it had ${rowCount(was)}, which undo brings back` : '';
  return `${now.name} has ${rowCount(count)} with ${file}${undone}.${table}`;
}
