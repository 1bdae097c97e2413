/** The screen that was there before comes back. */
import type { Action } from './action.ts';

export const back: Action = {
  name: 'back',
  leaves: true,
  takes: 'nothing',
  count: 0,
  card: { words: 'Go back', fields: [] },
  written: 'back()',
  act: (acting) => acting.back(),
};
