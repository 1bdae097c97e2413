/** A ring around what has the focus that is hard to see, or cut off (WCAG 2.2, 2.4.7, 2.4.13); `colours.ts` looks for them. */
import type { CheckKind } from './check-kind.ts';

export const faintFocus: CheckKind = {
  name: 'faint-focus',
  title: 'Focus hard to see',
  sentence: ({ self }) => `The ring around ${self}, when it has the focus, does not stand out enough.`,
};
