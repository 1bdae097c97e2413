/** A row goes from a list; of several alike, all do. */
import { same } from '../../document/same.ts';
import type { Altering } from './action.ts';
import { listOf } from './lists.ts';

export const remove: Altering = {
  name: 'remove',
  takes: 'the name of a list and the row to remove',
  count: 2,
  on: ['list'],
  card: ['Remove from', 'row'],
  written: ({ name }) => `remove(${name}, item)`,
  alter: (before, [wanted]) => listOf(before).filter((row) => !same(row, wanted)),
};
