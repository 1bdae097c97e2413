/** A control says itself what its style says anyway; `checks/said-twice.ts` looks for it. */
import type { CheckKind } from './check-kind.ts';

export const saidTwice: CheckKind = {
  name: 'said-twice',
  title: 'Said twice',
  sentence: ({ self }) => `${self} says itself what its style says.`,
};
