/** A row stands before the one at a place, counted from 0; it leaves the place that it had in the list. */
import { same } from '../../document/same.ts';
import type { Altering } from './action.ts';
import { listOf } from './lists.ts';

/** A list with a row before the one at a place; where it stood before it does not stand any more. */
function placed(list: readonly unknown[], row: unknown, before: number): unknown[] {
  const was = list.findIndex((each) => same(each, row));
  const others = was < 0 ? list : list.toSpliced(was, 1);
  const at = Math.max(0, Math.min(list.length, before)) - (was >= 0 && was < before ? 1 : 0);
  return others.toSpliced(at, 0, row);
}

export const place: Altering = {
  name: 'place',
  takes: 'the name of a list, the row, and the place before which it stands',
  count: 3,
  types: [undefined, undefined, 'number'],
  on: ['list'],
  card: ['Put into', 'row', 'before'],
  written: ({ name }) => `place(${name}, item, 0)`,
  alter: (before, [row, at]) => placed(listOf(before), row, Number(at) || 0),
};
