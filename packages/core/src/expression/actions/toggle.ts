/** A yes becomes a no, and the other way. */
import type { Altering } from './action.ts';

export const toggle: Altering = {
  name: 'toggle',
  takes: 'the name of a yes or no',
  count: 1,
  on: ['boolean'],
  card: ['Turn over'],
  written: ({ name }) => `toggle(${name})`,
  alter: (before) => !before,
};
