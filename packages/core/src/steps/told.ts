/** What a server tells of a project's versions. */
import type { LogEntry } from './history.ts';

/** A version that has a name. */
export interface Checkpoint {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  /** The newest entry of the log that belongs to it. */
  readonly revision: number;
  /** When it was made, ms since 1970. */
  readonly time: number;
}

/** A change, as the story of a project tells it. */
export interface ToldChange extends Pick<LogEntry, 'kind' | 'label'> {
  readonly revision: number;
  /** The window that it was made in. */
  readonly clientId: string;
  /** Ms since 1970. */
  readonly time: number;
}
