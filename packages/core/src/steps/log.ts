/** Entries of the log as they travel between a window and the server. */
import type { LogEntry } from './history.ts';

/** An entry as a window sends it: with its own number, without what takes it back. */
export interface SentEntry extends Omit<LogEntry, 'inverse'> {
  /** Counted by the window; with its id it tells a repeated entry from a new one. */
  readonly sequence: number;
}

/** An entry with its place in the log. */
export interface StoredEntry extends LogEntry {
  /** The project's revision after it. */
  readonly revision: number;
  readonly clientId: string;
  readonly sequence: number;
  /** Milliseconds since 1970. */
  readonly time: number;
}

/** An entry that was not stored, and why. */
export interface Refusal {
  readonly sequence: number;
  readonly reason: string;
  /** Name or id of the control concerned. */
  readonly control?: string;
}

/** The server's answer to entries. */
export interface Appended {
  /** The newest revision. */
  readonly revision: number;
  /** What is stored now of the entries sent; those of an earlier, repeated request too. */
  readonly accepted: readonly StoredEntry[];
  /** Entries whose steps do not apply any more. */
  readonly refused: readonly Refusal[];
  /** Other windows' entries after the base revision. */
  readonly missed: readonly StoredEntry[];
}
