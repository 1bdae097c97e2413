/**
 * What state variables hold from one visit to the next, in the browser's own storage. Where there is none (a page that
 * is tried out in a closed frame, a visitor who forbids it) everything begins anew.
 */
import type { StateValue } from '@hovrin/core/runtime';

const keyOf = (project: string, variable: string) => `hovrin ${project} ${variable}`;

/** What was kept; undefined where nothing was, or where it cannot be read any more. */
export function keptValue(project: string, variable: string): unknown {
  try {
    const text = localStorage.getItem(keyOf(project, variable));
    return text === null ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}

export function keepValue(project: string, variable: string, value: StateValue): void {
  try {
    localStorage.setItem(keyOf(project, variable), JSON.stringify(value));
  } catch {
    // There is no storage, or it is full: it is not kept, and all else goes on.
  }
}
