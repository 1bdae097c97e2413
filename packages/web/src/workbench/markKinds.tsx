/** Marks beside controls in the tree: what is special about each, told apart by shape as much as by colour. */
import { type Control, hasExpression, inForce } from '@hovrin/core';
import type { ReactElement } from 'react';

export interface MarkKind {
  readonly words: string;
  /** What it says, for somebody who sees it for the first time. */
  readonly means: string;
  readonly className: string;
  /** 10 × 10. */
  readonly shape: ReactElement;
}

export const markKinds = {
  bound: {
    words: 'Bound',
    means: 'A property follows an expression: it changes with what the application knows.',
    className: 'text-lake',
    shape: <circle cx="5" cy="5" r="3.5" fill="currentColor" />,
  },
  events: {
    words: 'Has events',
    means: 'Something happens when it is pressed, changed or seen.',
    className: 'text-spruce',
    shape: <path d="M2 1.5L9 5L2 8.5Z" fill="currentColor" />,
  },
  changes: {
    words: 'Changes from a band',
    means: 'From some width on, or in a state, it looks or stands otherwise.',
    className: 'text-copper',
    shape: <path d="M1.5 1.5H4V8.5H1.5ZM6 1.5H8.5V8.5H6Z" fill="currentColor" />,
  },
  wrong: {
    words: 'Something is wrong at some width',
    means: 'A check fails at some width; the Checks drawer says where, and mends it.',
    className: 'text-brick',
    shape: <path d="M5 0.5L9.8 9.5H0.2Z" fill="currentColor" />,
  },
  invalid: {
    words: 'Has a value that is not valid',
    means: 'What was typed cannot be read yet; the last good value goes on working.',
    className: 'text-brick',
    shape: <path d="M2 2L8 8M8 2L2 8" stroke="currentColor" strokeWidth="2.4" />,
  },
} satisfies Readonly<Record<string, MarkKind>>;

export type MarkName = keyof typeof markKinds;

export const MarkSign = ({ words, className, shape }: MarkKind) => (
  <svg
    viewBox="0 0 10 10"
    width="9"
    height="9"
    role="img"
    aria-label={words}
    className={`shrink-0 ${className}`}
  >
    <title>{words}</title>
    {shape}
  </svg>
);

/** The marks that a control has by what it says itself. */
export function marksOf({ props }: Control): readonly MarkName[] {
  const entries = Object.entries(props);
  const isBound = entries.some(
    ([name, value]) =>
      name.endsWith('.bind') || (!name.startsWith('on.') && hasExpression(inForce(value) ?? '')),
  );
  return [
    ...(isBound ? (['bound'] as const) : []),
    ...(entries.some(([name]) => name.startsWith('on.')) ? (['events'] as const) : []),
    ...(entries.some(([name]) => /^(?!on\.).+\.(?!bind$)/.test(name)) ? (['changes'] as const) : []),
  ];
}
