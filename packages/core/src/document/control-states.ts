/**
 * States of controls: what a person does with one, and what it is at the moment. Their order is that of their strength, the
 * weakest first; a control's own states (`states="late: {…}"`) come behind them.
 */
export const builtInStates = [
  'hover',
  'focus',
  'pressed',
  'checked',
  'selected',
  'disabled',
  'invalid',
  'open',
] as const;

export type BuiltInState = (typeof builtInStates)[number];

/** Words that stand in front of attributes already. */
const reserved: ReadonlySet<string> = new Set([
  ...builtInStates,
  'portrait',
  'landscape',
  'on',
  'part',
  'constructor',
  'prototype',
]);

/** Whether a word may be the name of a state that a control declares itself, bands aside. */
export const isOwnStateName = (word: string): boolean =>
  /^[A-Za-z_$][\w$]*$/.test(word) && word.length <= 64 && !reserved.has(word);
