/** What this window can undo and redo: a reading of its own entries, fetched page by page as far back as one goes. */
import { emptyHistory, type History, type HistoryPart, historyAfter, historyOf } from '@hovrin/core';

/** A page of entries, oldest first, and whether there are older ones. */
export interface HistoryPage {
  readonly entries: readonly (HistoryPart & { readonly revision: number })[];
  readonly older: boolean;
}

/** With fewer things left to undo than this, older ones are fetched. */
const fewLeft = 20;

export class OwnHistory {
  current: History = emptyHistory;
  #confirmed: (HistoryPart & { readonly revision: number })[] = [];
  #older = false;
  #isFetching = false;
  /** Numbers of entries that could not be taken back, since others changed the place: they are passed over. */
  readonly #passedOver = new Set<number>();
  readonly #fetch: (before: number) => Promise<HistoryPage>;

  constructor(fetch: (before: number) => Promise<HistoryPage>) {
    this.#fetch = fetch;
  }

  /** Begins with the newest page; without the server there is nothing to undo yet. */
  async begin(revision: number): Promise<void> {
    try {
      const page = await this.#fetch(revision + 1);
      this.#confirmed = [...page.entries];
      this.#older = page.older;
    } catch {
      this.#confirmed = [];
      this.#older = true;
    }
  }

  /** Takes the window's own entry in that is confirmed now. */
  confirmed(entry: HistoryPart & { readonly revision: number }): void {
    this.#confirmed.push(entry);
  }

  /** Reads everything anew. @param pending what is not confirmed yet, in order. */
  read(pending: readonly HistoryPart[]): History {
    this.#set(historyOf([...this.#confirmed, ...pending]));
    return this.current;
  }

  /** Takes one more entry in. */
  add(entry: HistoryPart): History {
    this.#set(historyAfter(this.current, entry));
    return this.current;
  }

  #set(history: History): void {
    const left = (list: History['undo']) =>
      this.#passedOver.size === 0 ? list : list.filter(({ sequence }) => !this.#passedOver.has(sequence));
    this.current = { undo: left(history.undo), redo: left(history.redo) };
  }

  /** Passes over what cannot be taken back. */
  passOver(sequence: number): History {
    this.#passedOver.add(sequence);
    this.#set(this.current);
    return this.current;
  }

  /** Fetches older entries where few are left. @returns whether there are more now. */
  async more(): Promise<boolean> {
    const first = this.#confirmed[0];
    if (!this.#older || this.#isFetching || this.current.undo.length >= fewLeft) return false;
    this.#isFetching = true;
    try {
      const page = await this.#fetch(first?.revision ?? Number.MAX_SAFE_INTEGER);
      this.#confirmed = [...page.entries, ...this.#confirmed];
      this.#older = page.older;
      return true;
    } catch {
      // Tried again at the next undo.
      return false;
    } finally {
      this.#isFetching = false;
    }
  }
}
