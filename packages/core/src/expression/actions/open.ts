/** Shows a dialog over this screen; values for its variables may follow. */
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const open: Action = {
  name: 'open',
  takes: 'the name of a dialog, and a record of what it is entered with',
  count: 1,
  types: ['text'],
  card: {
    words: 'Open',
    fields: [
      ['', 'dialog'],
      ['with', 'expression'],
    ],
  },
  written: 'open("")',
  pointsTo: 'screen',
  brings: true,
  misled: (screen, isDialog) =>
    isDialog ? undefined : `\`${screen}\` is no dialog: \`go("${screen}")\` leads to it.`,
  act: (acting, [dialog, values]) => acting.openDialog(asText(dialog), values),
};
