/** What makes two colours that meet stand out enough. */
import { type ColourPair, colourValue, type Project, type Step, tokenName } from '@hovrin/core';
import { allTokens, setValue } from './tokenSteps.ts';

export interface PairFix {
  readonly label: string;
  readonly steps: readonly Step[];
}

/**
 * Gives the token that a colour is a better value, in the mode in which they meet.
 *
 * @returns undefined where no colour would do, or the colour is that of no token: it is changed at the control.
 */
export function pairSteps(project: Project, { better, inkTokens, mode }: ColourPair): PairFix | undefined {
  const value = better === undefined ? undefined : colourValue(better);
  const [name] = inkTokens;
  const found = allTokens(project).find(({ token }) => tokenName(token.path) === name);
  if (value === undefined || name === undefined || !found) return undefined;
  return { label: `Make ${name} ${better}`, steps: setValue(project, found.token, mode, value) };
}
