/**
 * What the server has: the confirmed project and its revision, followed by the answers to one's own requests and by what
 * is heard of other windows. Entries are taken in the order of their revisions.
 */
import { type Appended, applySteps, type Project, type Step, type StoredEntry } from '@hovrin/core';
import type { OpenedProject } from '../api.ts';

/** An entry that the server has confirmed, with the steps that undo it. */
export interface ConfirmedEntry {
  readonly entry: StoredEntry;
  readonly inverse: readonly Step[];
}

export interface SessionSurroundings {
  readonly clientId: string;
  /** Reads the project anew. */
  readonly open: () => Promise<OpenedProject>;
  /** Entries were confirmed. */
  readonly confirmed: (entries: readonly ConfirmedEntry[]) => void;
  /** The confirmed project was read anew: what came in between is not known one by one. */
  readonly reopened: () => void;
}

/** Milliseconds until reading the project anew is tried again. */
const reopenAfter = 1500;

export class Session {
  project: Project;
  revision: number;
  /** Entries of other windows that came before the answer to a request of this one. */
  #early: StoredEntry[] = [];
  #isReopening = false;
  #isClosed = false;
  readonly #around: SessionSurroundings;

  constructor(
    around: SessionSurroundings,
    { project, revision }: Pick<OpenedProject, 'project' | 'revision'>,
  ) {
    this.#around = around;
    this.project = project;
    this.revision = revision;
  }

  /** Takes the answer to a request in. */
  answered({ missed, accepted, isBehind }: Appended): void {
    if (isBehind) {
      void this.reopen();
      return;
    }
    const news = [...missed, ...accepted].toSorted((a, b) => a.revision - b.revision);
    this.#confirm(news);
    this.#takeEarly();
  }

  /**
   * Hears of an entry of any window.
   *
   * @param isWaiting for the answer to a request: what is missing in between may be on its way in it.
   */
  heard(entry: StoredEntry, isWaiting: boolean): void {
    if (entry.clientId === this.#around.clientId && isWaiting) return;
    this.#early.push(entry);
    this.#takeEarly();
    // What is still missing is on its way in an answer, or was lost with the connection.
    if (this.#early.length > 0 && !isWaiting) void this.reopen();
  }

  #takeEarly(): void {
    for (;;) {
      this.#early = this.#early.filter((entry) => entry.revision > this.revision);
      const next = this.#early.find((entry) => entry.revision === this.revision + 1);
      if (!next) return;
      this.#confirm([next]);
      if (this.revision < next.revision) return;
    }
  }

  #confirm(news: readonly StoredEntry[]): void {
    const confirmed: ConfirmedEntry[] = [];
    for (const entry of news) {
      if (entry.revision <= this.revision) continue;
      const applied =
        entry.revision === this.revision + 1 ? applySteps(this.project, entry.steps) : undefined;
      if (!applied?.ok) {
        void this.reopen();
        break;
      }
      this.project = applied.project;
      this.revision = entry.revision;
      confirmed.push({ entry, inverse: applied.inverse });
    }
    if (confirmed.length > 0) this.#around.confirmed(confirmed);
  }

  /** Reads the project anew; tried again until it works. */
  async reopen(): Promise<void> {
    if (this.#isReopening || this.#isClosed) return;
    this.#isReopening = true;
    try {
      const { project, revision } = await this.#around.open();
      this.project = project;
      this.revision = revision;
      this.#early = this.#early.filter((entry) => entry.revision > revision);
      this.#around.reopened();
      this.#takeEarly();
    } catch {
      setTimeout(() => void this.reopen(), reopenAfter);
    } finally {
      this.#isReopening = false;
    }
  }

  close(): void {
    this.#isClosed = true;
  }
}
