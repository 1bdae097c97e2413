/** Some fields of a row get other values; of several alike, all do. */
import { same } from '../../document/same.ts';
import type { Altering } from './action.ts';
import { listOf, recordOf } from './lists.ts';

export const change: Altering = {
  name: 'change',
  takes: 'the name of a list, the row, and a record of what changes',
  count: 3,
  types: [undefined, undefined, 'record'],
  on: ['list'],
  card: ['Change in', 'row', 'to'],
  written: ({ name }) => `change(${name}, item, {})`,
  alter: (before, [wanted, fields]) =>
    listOf(before).map((row) => (same(row, wanted) ? { ...recordOf(row), ...recordOf(fields) } : row)),
};
