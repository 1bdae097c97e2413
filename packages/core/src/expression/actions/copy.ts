/** A text is put where one can paste it from. */
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const copy: Action = {
  name: 'copy',
  takes: 'the text to copy',
  count: 1,
  card: { words: 'Copy', fields: [['', 'expression']] },
  written: 'copy("")',
  act: (acting, [text]) => acting.copy?.(asText(text)),
};
