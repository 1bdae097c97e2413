/** A control of the screen takes the focus, and is scrolled to. */
import { asText } from '../evaluate.ts';
import type { Action } from './action.ts';

export const focus: Action = {
  name: 'focus',
  takes: 'the name of a control on the same screen',
  count: 1,
  types: ['text'],
  card: { words: 'Focus', fields: [['', 'control']] },
  written: 'focus("")',
  pointsTo: 'control',
  act: (acting, [control]) => acting.focus(asText(control)),
};
