/** Words have more lines than are shown. */
import type { CheckKind } from './check-kind.ts';

export const cut: CheckKind = {
  name: 'cut',
  title: 'Words are cut',
  sentence: ({ self, worst }) =>
    `${Math.round(worst)} ${worst > 1 ? 'lines' : 'line'} of ${self} ${worst > 1 ? 'are' : 'is'} cut off.`,
  mend({ control, self, add }) {
    add(`Show all lines of ${self}`, [control, 'lines', null]);
  },
};
