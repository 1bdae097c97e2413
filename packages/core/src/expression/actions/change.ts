/** Some fields of a row get other values. */
import { continuing, indexOfRow, keyOf } from '../../document/row-identity.ts';
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
  alter(before, [wanted, fields], { columns }) {
    const list = listOf(before);
    const at = indexOfRow(list, wanted, keyOf(columns));
    if (at < 0) return list;
    const row = recordOf(list[at]);
    return list.with(at, continuing({ ...row, ...recordOf(fields) }, row));
  },
};
