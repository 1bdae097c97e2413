/**
 * Undo and redo as a reading of one's own entries in the log. History is never rewritten: an undo is an entry like any
 * other, whose steps take an earlier one back. Reading the entries in order, or any run of them up to the newest, gives
 * what can be undone and redone now, so it survives reloads and restarts.
 */
import { itemAt } from '../sure.ts';
import type { Step } from './step.ts';

/** A change as the log has it. */
export interface LogEntry {
  readonly kind: 'change' | 'undo' | 'redo';
  /** For the person: what was done. */
  readonly label: string;
  /** Changes of the same group, one after another, are undone together (a run of typing). */
  readonly group?: string;
  readonly sequence: number;
  /** Of an undo or redo: the number of the entry that it takes back. */
  readonly takes?: number;
  readonly steps: readonly Step[];
  /** Takes the steps back. */
  readonly inverse: readonly Step[];
}

/** The part of an entry that undo and redo need. */
export type HistoryPart = Omit<LogEntry, 'steps'>;

/** Something that can be undone or redone. */
export interface HistoryItem {
  readonly label: string;
  readonly group: string | undefined;
  /** The number of the entry that it takes back: the last one of a group. */
  readonly sequence: number;
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

/** Items while entries are read: the steps of a group are collected, the newest entry's last. */
interface Reading {
  readonly undo: Omit<HistoryItem & { readonly parts: (readonly Step[])[] }, 'steps'>[];
  readonly redo: Omit<HistoryItem & { readonly parts: (readonly Step[])[] }, 'steps'>[];
}

/** Takes the item of a number out of a list; where an older entry names none, the last one. */
function take(list: Reading['undo'], sequence: number | undefined): void {
  const at =
    sequence === undefined ? list.length - 1 : list.findLastIndex((each) => each.sequence === sequence);
  if (at >= 0) list.splice(at, 1);
}

function readEntry({ undo, redo }: Reading, entry: HistoryPart): void {
  const { kind, label, group, sequence, inverse } = entry;
  const last = undo.at(-1);
  if (kind === 'change' && last && group !== undefined && last.group === group) {
    last.parts.push(inverse);
    undo[undo.length - 1] = { ...last, label, sequence };
    redo.length = 0;
    return;
  }
  const item = { label, group: kind === 'change' ? group : undefined, sequence, parts: [inverse] };
  if (kind === 'undo') {
    take(undo, entry.takes);
    redo.push(item);
    return;
  }
  if (kind === 'redo') take(redo, entry.takes);
  else redo.length = 0;
  undo.push(item);
}

const finished = (list: Reading['undo']): HistoryItem[] =>
  list.map(({ parts, ...item }) => ({
    ...item,
    steps: parts.length === 1 ? itemAt(parts, 0) : parts.toReversed().flat(),
  }));

/** History after some entries in order. */
export function historyOf(entries: readonly HistoryPart[], after: History = emptyHistory): History {
  const begun = (list: readonly HistoryItem[]) =>
    list.map(({ steps, ...item }) => ({ ...item, parts: [steps] }));
  const reading: Reading = { undo: begun(after.undo), redo: begun(after.redo) };
  for (const entry of entries) readEntry(reading, entry);
  return { undo: finished(reading.undo), redo: finished(reading.redo) };
}

/** History after one more entry. */
export const historyAfter = (history: History, entry: HistoryPart): History => historyOf([entry], history);
