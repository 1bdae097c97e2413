/** A control of the screen takes the focus, and is scrolled to. */
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const focus: Action = {
  name: 'focus',
  takes: 'the name of a control on the same screen, and in a repeat the row',
  count: 1,
  most: 2,
  types: ['text'],
  card: {
    words: 'Focus',
    fields: [
      ['', 'control'],
      ['in row', 'expression'],
    ],
  },
  written: 'focus("")',
  pointsTo: 'control',
  act: (acting, [control, row]) => acting.focus(asText(control), row),
};
