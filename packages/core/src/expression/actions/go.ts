/** Goes to another screen; values for its variables may follow. */

import type { Transition } from '../../document/transitions.ts';
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const go: Action = {
  name: 'go',
  takes: 'the name of a screen, and a record of what it is entered with',
  count: 1,
  types: ['text'],
  card: {
    words: 'Go to',
    fields: [
      ['', 'screen'],
      ['with', 'expression'],
    ],
  },
  written: 'go("")',
  pointsTo: 'screen',
  brings: true,
  replaces: true,
  misled: (screen, isDialog) =>
    isDialog ? `\`${screen}\` is a dialog: \`open("${screen}")\` shows it.` : undefined,
  act: (acting, [screen, values, replaces, transition]) =>
    acting.go(asText(screen), values, replaces === true, ...(transition ? [transition as Transition] : [])),
};
