/** A row stands before the one at a place, counted from 0; it leaves the place that it had in the list. */
import { indexOfRow, keyOf } from '../../document/row-identity.ts';
import type { Altering } from './action.ts';
import { listOf } from './lists.ts';

export const place: Altering = {
  name: 'place',
  takes: 'the name of a list, the row, and the place before which it stands',
  count: 3,
  types: [undefined, undefined, 'number'],
  on: ['list'],
  card: ['Put into', 'row', 'before'],
  written: ({ name }) => `place(${name}, item, 0)`,
  alter(before, [wanted, at], { columns }) {
    const list = listOf(before);
    const was = indexOfRow(list, wanted, keyOf(columns));
    const others = was < 0 ? list : list.toSpliced(was, 1);
    const wantedAt = Math.max(0, Math.min(list.length, Number(at) || 0));
    return others.toSpliced(wantedAt - (was >= 0 && was < wantedAt ? 1 : 0), 0, was < 0 ? wanted : list[was]);
  },
};
