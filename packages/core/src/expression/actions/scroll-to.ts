/** What lies outside what is seen comes into sight. */
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const scrollTo: Action = {
  name: 'scrollTo',
  takes: 'the name of a control on the same screen',
  count: 1,
  types: ['text'],
  card: { words: 'Scroll to', fields: [['', 'control']] },
  written: 'scrollTo("")',
  pointsTo: 'control',
  act: (acting, [control]) => acting.scrollTo(asText(control)),
};
