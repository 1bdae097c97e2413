/** What lies outside what is seen comes into sight. */
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const scrollTo: Action = {
  name: 'scrollTo',
  takes: 'the name of a control on the same screen, and in a repeat the row',
  count: 1,
  most: 2,
  types: ['text'],
  card: {
    words: 'Scroll to',
    fields: [
      ['', 'control'],
      ['in row', 'expression'],
    ],
  },
  written: 'scrollTo("")',
  pointsTo: 'control',
  act: (acting, [control, row]) => acting.scrollTo(asText(control), row),
};
