/** The person gets a file. */
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const download: Action = {
  name: 'download',
  takes: 'the name of the file and the text in it',
  count: 2,
  card: {
    words: 'Give a file',
    fields: [
      ['called', 'expression'],
      ['with', 'expression'],
    ],
  },
  written: 'download("file.txt", "")',
  act: (acting, [name, text]) => acting.download?.(asText(name), asText(text)),
};
