/** Lines have so many characters that they are hard to follow. */
import { longestLine } from '../measures.ts';
import type { CheckKind } from './check-kind.ts';

export const longLine: CheckKind = {
  name: 'long-line',
  title: 'Long lines',
  sentence: ({ self, worst }) =>
    `Lines of ${self} have up to ${Math.round(worst) + longestLine} characters; more than ${longestLine} are hard to follow.`,
  mend({ control, self, add }) {
    for (const width of ['640', '480'])
      add(`Let ${self} be at most ${width} px wide`, [control, 'max-width', width]);
  },
};
