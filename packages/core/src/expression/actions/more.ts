/** The next page of a request's list comes behind what its result holds. */
import type { Asking } from './action.ts';

export const more: Asking = {
  name: 'more',
  takes: 'the name of a request',
  count: 1,
  card: ['More of'],
  written: ({ name }) => `more(${name})`,
};
