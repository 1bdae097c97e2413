/** The dialog that is open goes. */
import type { Action } from './action.ts';

export const close: Action = {
  name: 'close',
  leaves: true,
  takes: 'nothing',
  count: 0,
  card: { words: 'Close the dialog', fields: [] },
  written: 'close()',
  act: (acting) => acting.closeDialog(),
};
