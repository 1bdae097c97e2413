/** Entries of the log as they travel between a window and the server, and why one is not stored. */
import { isRecord } from '../document/record.ts';
import type { Project } from '../document/types.ts';
import type { LogEntry } from './history.ts';
import { longestEntry, longestGroup, longestLabel, mostStepsOfEntry } from './limits.ts';
import { type Step, stepProblem } from './step.ts';

/** An entry as a window sends it: with its own number, without what takes it back. */
export interface SentEntry extends Omit<LogEntry, 'inverse'> {
  /** Counted by the window; with its id it tells a repeated entry from a new one. */
  readonly sequence: number;
}

/** An entry with its place in the log. What takes it back is made where it is applied. */
export interface StoredEntry extends SentEntry {
  /** The project's revision after it. */
  readonly revision: number;
  readonly clientId: string;
  /** Milliseconds since 1970. */
  readonly time: number;
}

/** An entry of one's own as undo and redo read it. */
export interface HistoryEntry extends Omit<LogEntry, 'steps'> {
  readonly revision: number;
}

/** An entry that was not stored, and why. */
export interface Refusal {
  readonly sequence: number;
  readonly reason: string;
  /** Name or id of the control or entity concerned. */
  readonly control?: string;
}

/** The server's answer to entries. */
export interface Appended {
  /** The newest revision. */
  readonly revision: number;
  /** What is stored now of the entries sent; those of an earlier, repeated request too. */
  readonly accepted: readonly StoredEntry[];
  /** Entries that do not fit any more, or are none. */
  readonly refused: readonly Refusal[];
  /** Other windows' entries after the base revision. */
  readonly missed: readonly StoredEntry[];
  /** There are more of those than are sent: the project is to be opened anew. */
  readonly isBehind?: boolean;
}

const kinds = ['change', 'undo', 'redo'];

/** What is wrong with the shape of an entry from outside, its steps left aside; undefined where nothing is. */
export function entryProblem(entry: unknown): string | undefined {
  if (!isRecord(entry)) return 'An entry is not an object.';
  const { sequence, kind, label, group, takes, steps } = entry;
  const isNumber = (value: unknown) => Number.isSafeInteger(value) && Number(value) >= 0;
  if (!isNumber(sequence)) return 'An entry has no number.';
  if (!kinds.includes(String(kind))) return `An entry is one of ${kinds.join(', ')}.`;
  if (typeof label !== 'string' || label.length > longestLabel)
    return `An entry has a label of at most ${longestLabel} characters.`;
  if (group !== undefined && !(typeof group === 'string' && group.length <= longestGroup))
    return `The group of an entry has at most ${longestGroup} characters.`;
  if (takes !== undefined && !isNumber(takes)) return 'An entry takes back what has no number.';
  if (!Array.isArray(steps) || steps.length === 0 || steps.length > mostStepsOfEntry)
    return `An entry has 1 to ${mostStepsOfEntry} steps.`;
  return undefined;
}

/** How long an entry is, in UTF-16 units of its JSON. */
export const entryLength = (entry: SentEntry): number => JSON.stringify(entry).length;

/** What keeps an entry from being sent at all; undefined where nothing does. */
export const sendingProblem = (entry: SentEntry, length = entryLength(entry)): string | undefined =>
  entryProblem(entry) ??
  (length > longestEntry
    ? `This change is larger than ${Math.round(longestEntry / 1_000_000)} MB; smaller parts of it can be stored.`
    : undefined);

/** The first of an entry's steps that is none, by itself; undefined where all are. */
export const firstStepProblem = (project: Project, steps: readonly Step[]): string | undefined => {
  for (const step of steps) {
    const problem = stepProblem(project, step);
    if (problem !== undefined) return problem;
  }
  return undefined;
};
