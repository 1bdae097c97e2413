/** A request is asked for; the event goes on when it is answered. */
import type { Asking } from './action.ts';

export const ask: Asking = {
  name: 'ask',
  takes: 'the name of a request, and a record of what it is given',
  count: 1,
  most: 2,
  card: ['Ask for', 'with'],
  written: ({ name }) => `ask(${name})`,
};
