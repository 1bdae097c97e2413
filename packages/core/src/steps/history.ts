/**
 * Undo and redo as a reading of the log. History is never rewritten: an undo is an entry like any other, whose
 * steps take an earlier one back. Reading the entries in order, or any run of them up to the newest, gives what
 * can be undone and redone now.
 */
import type { Step } from './step.ts';

/** One change in the log. */
export interface LogEntry {
  readonly kind: 'change' | 'undo' | 'redo';
  /** What was done, for people: "Width of title". */
  readonly label: string;
  /** Entries next to each other with the same group are undone together (a run of typing). */
  readonly group?: string;
  readonly steps: readonly Step[];
  /** Takes the steps back. */
  readonly inverse: readonly Step[];
}

/** Something that can be undone or redone. */
export interface HistoryItem {
  readonly label: string;
  readonly group: string | undefined;
  /** The steps to apply. */
  readonly steps: readonly Step[];
}

export interface History {
  /** Last is next. */
  readonly undo: readonly HistoryItem[];
  /** Last is next. */
  readonly redo: readonly HistoryItem[];
}

export const emptyHistory: History = { undo: [], redo: [] };

/** History after one more entry. */
export function historyAfter(history: History, entry: LogEntry): History {
  const item: HistoryItem = { label: entry.label, group: entry.group, steps: entry.inverse };
  if (entry.kind === 'undo')
    return { undo: history.undo.slice(0, -1), redo: [...history.redo, { ...item, group: undefined }] };
  if (entry.kind === 'redo')
    return { undo: [...history.undo, { ...item, group: undefined }], redo: history.redo.slice(0, -1) };
  const last = history.undo.at(-1);
  if (last && entry.group !== undefined && last.group === entry.group)
    return {
      undo: [...history.undo.slice(0, -1), { ...item, steps: [...entry.inverse, ...last.steps] }],
      redo: [],
    };
  return { undo: [...history.undo, item], redo: [] };
}

/** History after some entries in order. */
export const historyOf = (entries: readonly LogEntry[]): History =>
  entries.reduce(historyAfter, emptyHistory);
