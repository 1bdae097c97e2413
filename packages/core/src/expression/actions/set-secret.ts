/** A secret that a source asks with is given, or, empty, forgotten. It lives as long as the page is open, and nowhere else. */
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const setSecret: Action = {
  name: 'setSecret',
  takes: 'the name of a secret in quotes, and its text',
  count: 2,
  card: {
    words: 'Set the secret',
    fields: [
      ['name', 'expression'],
      ['text', 'expression'],
    ],
  },
  written: "setSecret('warden', '')",
  hides: true,
  act: (acting, [name, text]) => acting.setSecret?.(asText(name), asText(text)),
};
