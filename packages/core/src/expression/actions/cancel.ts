/** What was asked for is not waited for any more. */
import type { Asking } from './action.ts';

export const cancel: Asking = {
  name: 'cancel',
  takes: 'the name of a request',
  count: 1,
  card: ['Cancel'],
  written: ({ name }) => `cancel(${name})`,
};
