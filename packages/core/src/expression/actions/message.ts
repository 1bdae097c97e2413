/** A line of words that is read out and goes away by itself. */
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const message: Action = {
  name: 'message',
  takes: 'the words to show',
  count: 1,
  card: { words: 'Show a message', fields: [['', 'expression']] },
  written: 'message("")',
  act: (acting, [text]) => acting.message(asText(text)),
};
