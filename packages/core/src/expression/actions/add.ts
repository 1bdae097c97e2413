/** A row (or any value) comes last in a list. In a table with a key it gets the next one where it comes without. */
import { isRecord } from '../../document/record.ts';
import { markOf } from '../../document/row-identity.ts';
import { nextKey } from '../../document/row-rules.ts';
import { ownValue } from '../../document/same.ts';
import type { Column } from '../../document/types.ts';
import type { Altering } from './action.ts';
import { listOf } from './lists.ts';

/** A row as it comes into a list: a row of its own, even where it is a copy of another one. */
function asNewRow(list: readonly unknown[], row: unknown, columns: readonly Column[]): unknown {
  if (!isRecord(row)) return row;
  const key = columns.find(({ role }) => role === 'key');
  const held = key && ownValue(row, key.name);
  if (key && (held === undefined || held === null || held === ''))
    return { ...row, [key.name]: nextKey(key, list) };
  const isThere = list.some((each) => isRecord(each) && markOf(each) === markOf(row));
  return isThere ? { ...row } : row;
}

export const add: Altering = {
  name: 'add',
  takes: 'the name of a list and the row to add',
  count: 2,
  on: ['list'],
  card: ['Add to', 'row'],
  written: ({ name }) => `add(${name}, {})`,
  alter: (before, [row], { columns }) => [...listOf(before), asNewRow(listOf(before), row, columns)],
};
