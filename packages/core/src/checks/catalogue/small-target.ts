/** What is pressed is too small to be pressed (WCAG 2.2, 2.5.8 and 2.5.5). */
import { kindTarget, leastTarget } from '../measures.ts';
import { target } from '../targets.ts';
import type { CheckKind } from './check-kind.ts';

export const smallTarget: CheckKind = {
  name: 'small-target',
  title: 'Small to press',
  sentence: ({ self, severity }) =>
    severity === 'error'
      ? `${self} is less than ${leastTarget} px wide or high: too small to press.`
      : `${self} is less than ${kindTarget} px wide or high; fingers want that.`,
  mend({ control, self, severity, add }) {
    const side = String(severity === 'error' ? leastTarget : kindTarget);
    add(`Make ${self} at least ${side} px high`, [control, 'min-height', side]);
    add(
      `Make ${self} at least ${side} px wide and high`,
      [control, 'min-width', side],
      [control, 'min-height', side],
    );
  },
  measure: (add, ended, control, { touch }) => target(add, ended, control, touch),
};
