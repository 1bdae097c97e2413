/** What is pressed lies under the hinge of a half-open screen. */
import { type CheckKind, pxWords } from './check-kind.ts';

export const underHinge: CheckKind = {
  name: 'under-hinge',
  title: 'Under the hinge',
  sentence: ({ self, worst }) => `${pxWords(worst)} of ${self} lie under the hinge of a half-open screen.`,
};
