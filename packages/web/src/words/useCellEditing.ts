/** A cell of the grid of words that is filled in: begun by keys or two presses, done by going on, put back by Escape. */
import { type RefObject, useState } from 'react';
import { type At, useGridKeys } from './useGridKeys.ts';
import type { Typed, WordsRow } from './wordsModel.ts';

/** A text in a language; empty where it is not translated. */
export const translationAt = (row: WordsRow | undefined, tag: string | undefined): string =>
  (tag === undefined ? undefined : row?.in.get(tag)?.translation?.text) ?? '';

interface CellEditing {
  /** Takes the focus when a cell is done. */
  readonly frame: RefObject<HTMLElement | null>;
  readonly rows: readonly WordsRow[];
  readonly tags: readonly string[];
  readonly at: At;
  readonly onAt: (at: At) => void;
  readonly onType: (typed: readonly Typed[]) => void;
}

export function useCellEditing({ frame, rows, tags, at, onAt, onType }: CellEditing) {
  /** What the field of the cell begins with; undefined: no cell is edited. */
  const [editing, setEditing] = useState<string>();
  const current = rows[at.row];
  const tag = tags[at.column - 1];
  const move = (down: number, across: number) =>
    onAt({
      row: Math.max(0, Math.min(rows.length - 1, at.row + down)),
      column: Math.max(0, Math.min(tags.length, at.column + across)),
    });
  const begin = (text: string) => {
    if (tag !== undefined && current?.in.get(tag)?.state !== 'unused') setEditing(text);
  };
  const cancel = () => {
    setEditing(undefined);
    frame.current?.focus();
  };
  const done = (text: string, down: number, across: number) => {
    if (current && tag !== undefined && text !== translationAt(current, tag))
      onType([{ row: current, tag, text }]);
    move(down, across);
    cancel();
  };
  const keys = useGridKeys({
    at,
    rows: rows.length,
    columns: tags.length,
    isEditing: editing !== undefined,
    onAt,
    move,
    begin,
    text: () => translationAt(current, tag),
    empty: () => current && tag !== undefined && onType([{ row: current, tag, text: '' }]),
  });
  return { editing, begin, done, cancel, keys };
}
