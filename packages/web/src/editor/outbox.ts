/**
 * Changes on their way to the server, in the order in which they were made. They go in batches within the bounds that
 * the server holds to; what it refuses is set aside, so that it keeps nothing else back.
 */
import {
  type Appended,
  mergeAll,
  messageOf,
  mostEntriesOfBatch,
  mostStepsOfEntry,
  type SentEntry,
} from '@hovrin/core';
import { Refused, Unreachable } from '../api.ts';
import { nextBatch, type PendingEntry, sent } from './batch.ts';

export type { PendingEntry } from './batch.ts';

/**
 * `saved`: the server has everything; `saving`: something is on its way; `offline`: the server cannot be reached;
 * `failing`: it answers, but cannot store.
 */
export type Saving = 'saved' | 'saving' | 'offline' | 'failing';

export interface OutboxSurroundings {
  /** Sends entries; rejects with `Unreachable` or `Refused`. */
  readonly send: (entries: readonly SentEntry[]) => Promise<Appended>;
  /** The server's answer, after the entries that it is about have left the outbox. */
  readonly answered: (answer: Appended, sent: readonly PendingEntry[]) => void;
  /** An entry that cannot be sent, and why; it has left the outbox. */
  readonly setAside: (entry: PendingEntry, reason: string) => void;
  /** What is on its way, or how it goes, has changed. */
  readonly changed: () => void;
}

/** Milliseconds in which changes of one group are gathered into one request. */
export const gatherFor = 300;
/** Milliseconds until the first new try, and the longest time between two. */
const retryAfter = { first: 1500, most: 15_000 };
/** So often an entry that the server stumbles over alone is tried. */
const triesAlone = 3;

export class Outbox {
  pending: readonly PendingEntry[];
  saving: Saving;
  /** Why the server cannot store, where it says so. */
  failure: string | undefined;
  #sequence: number;
  /** Greatest number that was ever sent. The server may have it even if no answer came, so it is not joined with others. */
  #attempted: number;
  #isSending = false;
  #isClosed = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  /** Most entries that go together: fewer after a batch that was refused as a whole. */
  #most = mostEntriesOfBatch;
  #failures = 0;
  readonly #around: OutboxSurroundings;

  /**
   * @param nextSequence the number that the window's next entry has, as the server counts.
   * @param left what a window of the same id left; it may have arrived.
   */
  constructor(around: OutboxSurroundings, nextSequence = 0, left: readonly PendingEntry[] = []) {
    this.#around = around;
    this.pending = left;
    this.#attempted = left.at(-1)?.sequence ?? -1;
    this.#sequence = Math.max(nextSequence, this.#attempted + 1);
    this.saving = left.length > 0 ? 'saving' : 'saved';
  }

  get isSending(): boolean {
    return this.#isSending;
  }

  /** Whether an entry may have arrived at the server. */
  mayHaveArrived = ({ sequence }: SentEntry): boolean => sequence <= this.#attempted;

  /**
   * Takes a change. Typing and dragging are joined with the entry before, as long as that has not been sent.
   *
   * @returns the entry's number.
   */
  add(entry: Omit<PendingEntry, 'sequence'>): number {
    const last = this.pending.at(-1);
    const isJoined =
      last !== undefined &&
      !this.mayHaveArrived(last) &&
      entry.kind === 'change' &&
      last.kind === 'change' &&
      entry.group !== undefined &&
      last.group === entry.group &&
      last.steps.length + entry.steps.length <= mostStepsOfEntry;
    const added: PendingEntry = isJoined
      ? {
          ...last,
          label: entry.label,
          steps: mergeAll([...last.steps, ...entry.steps]),
          inverse: mergeAll([...entry.inverse, ...last.inverse]),
        }
      : { ...entry, sequence: this.#sequence++ };
    this.pending = [...(isJoined ? this.pending.slice(0, -1) : this.pending), added];
    if (this.saving === 'saved') this.saving = 'saving';
    this.#around.changed();
    this.#sendSoon(gatherFor);
    return added.sequence;
  }

  /** The same entries in another form, or fewer of them: on top of what others did. */
  replace(pending: readonly PendingEntry[]): void {
    this.pending = pending;
    if (!this.#isSending) this.#settle();
    this.#around.changed();
  }

  /** Entries that go before all that waits, as new ones. */
  putBefore(entries: readonly Omit<PendingEntry, 'sequence'>[]): void {
    const added = entries.map((entry) => ({ ...entry, sequence: this.#sequence++ }));
    this.pending = [...added, ...this.pending];
    if (this.saving === 'saved') this.saving = 'saving';
    this.#sendSoon(0);
  }

  #sendSoon(after: number): void {
    clearTimeout(this.#timer);
    if (!this.#isClosed) this.#timer = setTimeout(() => void this.flush(), after);
  }

  /** The next entries to go; those that can never go are set aside. */
  #nextBatch(): readonly PendingEntry[] {
    const { batch, never } = nextBatch(this.pending, this.#most);
    for (const { entry, problem } of never) {
      this.pending = this.pending.filter((each) => each !== entry);
      this.#around.setAside(entry, problem);
    }
    return batch;
  }

  #settle(): void {
    if (this.saving !== 'offline' && this.saving !== 'failing')
      this.saving = this.pending.length > 0 ? 'saving' : 'saved';
    else if (this.pending.length === 0 && this.saving === 'failing') this.saving = 'saved';
  }

  /** Sends what is next. @returns whether the server has everything. */
  async flush(): Promise<boolean> {
    clearTimeout(this.#timer);
    if (this.#isSending) {
      this.#sendSoon(50);
      return false;
    }
    // A copy: what is done while the request is on its way joins the list behind it.
    const batch = this.#nextBatch();
    if (batch.length === 0) {
      this.#settle();
      this.#around.changed();
      return true;
    }
    this.#isSending = true;
    this.#attempted = Math.max(this.#attempted, ...batch.map(({ sequence }) => sequence));
    let answer: Appended;
    try {
      answer = await this.#around.send(batch.map(sent));
    } catch (error) {
      this.#isSending = false;
      this.#failed(batch, error);
      return false;
    }
    this.#isSending = false;
    this.#failures = 0;
    this.#most = mostEntriesOfBatch;
    const gone = new Set(batch.map(({ sequence }) => sequence));
    this.pending = this.pending.filter(({ sequence }) => !gone.has(sequence));
    this.failure = undefined;
    this.saving = this.pending.length > 0 ? 'saving' : 'saved';
    this.#around.answered(answer, batch);
    this.#around.changed();
    if (this.pending.length > 0) this.#sendSoon(0);
    return this.pending.length === 0;
  }

  /** What comes of a request that was not answered as it should be. */
  #failed(batch: readonly PendingEntry[], error: unknown): void {
    this.#failures += 1;
    const wait = Math.min(retryAfter.first * 2 ** (this.#failures - 1), retryAfter.most);
    if (!(error instanceof Refused)) {
      this.saving = 'offline';
      this.failure = error instanceof Unreachable ? undefined : messageOf(error);
      this.#around.changed();
      this.#sendSoon(wait);
      return;
    }
    const { status, message } = error;
    const isOfEntries = (status >= 400 && status < 500 && status !== 404 && status !== 429) || status === 500;
    this.failure = message;
    this.saving = 'failing';
    if (isOfEntries && batch.length > 1) {
      // One of them is to blame: with fewer at a time it is found, and the others go.
      this.#most = Math.ceil(batch.length / 2);
      this.#sendSoon(0);
    } else if (isOfEntries && (status !== 500 || this.#failures >= triesAlone)) {
      const [entry] = batch;
      this.pending = this.pending.filter(({ sequence }) => sequence !== entry!.sequence);
      this.#failures = 0;
      this.#most = mostEntriesOfBatch;
      this.failure = undefined;
      this.saving = this.pending.length > 0 ? 'saving' : 'saved';
      this.#around.setAside(entry!, message);
      this.#sendSoon(0);
    } else this.#sendSoon(wait);
    this.#around.changed();
  }

  /** The connection is there again, or is gone. */
  connected(isConnected: boolean): void {
    if (isConnected && this.saving === 'offline') {
      this.saving = this.pending.length > 0 ? 'saving' : 'saved';
      this.#failures = 0;
      this.#around.changed();
      if (this.pending.length > 0) void this.flush();
    } else if (!isConnected && this.saving !== 'offline') {
      this.saving = 'offline';
      this.#around.changed();
    }
  }

  /** Waits until the server has everything. @returns false where it cannot be reached, or cannot store. */
  async settled(): Promise<boolean> {
    // A step of rows by the thousand takes the server some seconds.
    for (let tries = 0; tries < 1200 && this.pending.length > 0; tries++) {
      if (this.saving === 'offline' || this.saving === 'failing') return false;
      await this.flush();
      if (this.pending.length > 0) await new Promise((resolve) => setTimeout(resolve, 50));
    }
    return this.pending.length === 0;
  }

  /** Sends once more whatever waits, and then nothing. */
  close(): void {
    clearTimeout(this.#timer);
    this.#isClosed = true;
    void this.flush();
  }
}
