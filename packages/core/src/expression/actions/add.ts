/** A row (or any value) comes last in a list. */

import type { Altering } from './action.ts';
import { listOf } from './lists.ts';

export const add: Altering = {
  name: 'add',
  takes: 'the name of a list and the row to add',
  count: 2,
  on: ['list'],
  card: ['Add to', 'row'],
  written: ({ name }) => `add(${name}, {})`,
  alter: (before, [row]) => [...listOf(before), row],
};
