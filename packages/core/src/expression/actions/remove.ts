/** A row goes from a list. */
import { forgetRow, indexOfRow, keyOf } from '../../document/row-identity.ts';
import type { Altering } from './action.ts';
import { listOf } from './lists.ts';

export const remove: Altering = {
  name: 'remove',
  takes: 'the name of a list and the row to remove',
  count: 2,
  on: ['list'],
  card: ['Remove from', 'row'],
  written: ({ name }) => `remove(${name}, item)`,
  alter(before, [wanted], { columns }) {
    const list = listOf(before);
    const at = indexOfRow(list, wanted, keyOf(columns));
    if (at < 0) return list;
    forgetRow(list[at]);
    return list.toSpliced(at, 1);
  },
};
