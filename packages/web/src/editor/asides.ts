/** Changes that were set aside: kept with the reason, tried again, put back, taken away as a file, dropped. */
import { expectationOf, isExpected } from '@hovrin/core';
import { nanoid } from 'nanoid';
import type { PendingEntry } from './batch.ts';
import { type Aside, keepAsides, keptAsides } from './kept.ts';
import type { ConfirmedEntry } from './session.ts';
import { TakenAway } from './takenAway.ts';

export class Asides {
  list: readonly Aside[];
  readonly #projectId: string;
  readonly #takenAway = new TakenAway();
  readonly #changed: (list: readonly Aside[]) => void;
  readonly #tell: (sentence: string) => void;

  constructor(
    projectId: string,
    changed: (list: readonly Aside[]) => void,
    tell: (sentence: string) => void,
  ) {
    this.#projectId = projectId;
    this.#changed = changed;
    this.#tell = tell;
    this.list = keptAsides(projectId);
  }

  /** Sets aside a change that does not fit, with the steps that restore its control where another window deleted it. */
  setAside({ label, steps }: Pick<PendingEntry, 'label' | 'steps'>, reason: string): void {
    const took = this.#takenAway.by(steps);
    // What was told of the deletion alone is a part of this.
    const told = this.list.find(
      (each) => took && each.steps.length === 0 && isExpected(expectationOf(each.putBack), took.putBack),
    );
    if (told) this.drop(told.id);
    this.add({ label, reason, steps, ...(took ? { putBack: took.putBack } : {}) });
  }

  /** Sets a change aside that is about something another window took away. @returns whether it is about that. */
  setAsideIfTaken(change: Pick<PendingEntry, 'label' | 'steps'>, reason: string): boolean {
    const isTaken = this.#takenAway.by(change.steps) !== undefined;
    if (isTaken) this.setAside(change, reason);
    return isTaken;
  }

  /** Remembers what another window took away, and says so where it was at hand here. */
  notice(confirmed: ConfirmedEntry, selection: readonly string[]): void {
    for (const aside of this.#takenAway.notice(confirmed, selection)) this.add(aside);
  }

  add(aside: Omit<Aside, 'id' | 'time'>): void {
    const isKept = this.#set([...this.list, { ...aside, id: nanoid(10), time: Date.now() }]);
    const unkept = isKept ? '' : ' The storage of the browser is full: it is only in this window.';
    this.#tell(`“${aside.label}” was set aside: ${aside.reason}${unkept}`);
  }

  drop(id: string): void {
    this.#set(this.list.filter((each) => each.id !== id));
  }

  /** @returns whether the browser's storage has room for them. */
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
