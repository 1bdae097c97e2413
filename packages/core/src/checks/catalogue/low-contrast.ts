/** Words that do not stand out enough against what is behind them; `colours.ts` looks for them, and says how much it is. */
import type { CheckKind } from './check-kind.ts';

export const lowContrast: CheckKind = {
  name: 'low-contrast',
  title: 'Low contrast',
  sentence: ({ self }) => `The words of ${self} do not stand out enough.`,
};
