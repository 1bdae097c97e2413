/** What follows happens so much later. */
import type { Action } from './action.ts';

/** Longest wait, seconds. */
const longestWait = 3600;

export const wait: Action = {
  name: 'wait',
  takes: 'how many seconds',
  count: 1,
  types: ['number'],
  card: { words: 'Wait', fields: [['seconds', 'expression']] },
  written: 'wait(1)',
  waits: ([seconds]) => Math.min(longestWait, Math.max(0, Number(seconds) || 0)),
};
