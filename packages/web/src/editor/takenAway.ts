/** What other windows took away lately: noticed by those who were at work on it, and how it is put back. */
import { type Step, walk } from '@hovrin/core';
import type { Aside } from './kept.ts';
import type { ConfirmedEntry } from './session.ts';

/** A deletion by another window: what it was called, and the steps that put it all back. */
export interface Took {
  readonly label: string;
  readonly putBack: readonly Step[];
}

export class TakenAway {
  /** By the ids of the controls. */
  readonly #took = new Map<string, Took>();

  /**
   * Remembers what another window's entry took away.
   * @returns what is to be told: of each control that was selected here, or had a selected one in it
   */
  notice({ entry, inverse }: ConfirmedEntry, selection: readonly string[]): Omit<Aside, 'id' | 'time'>[] {
    return inverse.flatMap((step) => {
      if (step.type !== 'insert') return [];
      const ids = [...walk(step.control)].map(({ id }) => id);
      for (const id of ids) this.#took.set(id, { label: entry.label, putBack: inverse });
      if (!ids.some((id) => selection.includes(id))) return [];
      return [
        {
          label: `${step.control.name ?? step.control.kind} was at hand here`,
          reason: `Another window took it away: “${entry.label}”.`,
          steps: [],
          putBack: inverse,
        },
      ];
    });
  }

  /** Who took away a control that these steps are about; nothing where nobody did. */
  by(steps: readonly Step[]): Took | undefined {
    for (const step of steps) {
      const id = 'control' in step && typeof step.control === 'string' ? step.control : undefined;
      const took = id === undefined ? undefined : this.#took.get(id);
      if (took) return took;
    }
    return undefined;
  }
}
