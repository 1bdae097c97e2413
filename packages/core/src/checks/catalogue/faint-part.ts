/** An edge or an icon that does not stand out enough against what is behind it (WCAG 2.2, 1.4.11); `colours.ts` looks for them. */
import type { CheckKind } from './check-kind.ts';

export const faintPart: CheckKind = {
  name: 'faint-part',
  title: 'Faint edge or icon',
  sentence: ({ self }) => `The edge or the icon of ${self} does not stand out enough.`,
};
