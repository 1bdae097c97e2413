/** Changes that were set aside: kept with the reason, tried again, put back, taken away as a file, dropped. */
import { nanoid } from 'nanoid';
import { type Aside, keepAsides, keptAsides } from './kept.ts';

export class Asides {
  list: readonly Aside[];
  readonly #projectId: string;
  readonly #changed: (list: readonly Aside[]) => void;

  constructor(projectId: string, changed: (list: readonly Aside[]) => void) {
    this.#projectId = projectId;
    this.#changed = changed;
    this.list = keptAsides(projectId);
  }

  /** @returns whether the browser's storage has room for it. */
  add(aside: Omit<Aside, 'id' | 'time'>): boolean {
    return this.#set([...this.list, { ...aside, id: nanoid(10), time: Date.now() }]);
  }

  drop(id: string): void {
    this.#set(this.list.filter((each) => each.id !== id));
  }

  #set(list: readonly Aside[]): boolean {
    this.list = list;
    const isKept = keepAsides(this.#projectId, list);
    this.#changed(list);
    return isKept;
  }
}

/** A change as a file that one can keep and send to somebody. */
export const asideFile = ({ label, reason, time, steps }: Aside): string =>
  `${JSON.stringify({ label, reason, time: new Date(time).toISOString(), steps }, undefined, 1)}\n`;
