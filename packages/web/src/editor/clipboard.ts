/** What was copied or cut: kept in the browser's own storage, so that it can be pasted in another project too. */
import type { Control } from '@hovrin/core';

const key = 'hovrin.clipboard';

export function keepCopied(controls: readonly Control[]): void {
  localStorage.setItem(key, JSON.stringify(controls));
}

/** The controls copied last; none where nothing was. */
export function copied(): Control[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '[]') as Control[];
  } catch {
    return [];
  }
}
