/** A change from a band is seen nowhere. */
import type { CheckKind } from './check-kind.ts';

export const noDifference: CheckKind = {
  name: 'no-difference',
  title: 'A change without effect',
  sentence: () => '',
};
