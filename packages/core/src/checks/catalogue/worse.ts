/** A change from a band brings a problem that is not there without it. */
import type { CheckKind } from './check-kind.ts';

export const worse: CheckKind = {
  name: 'worse',
  title: 'A change makes it worse',
  sentence: () => '',
};
