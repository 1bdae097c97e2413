/** Where one is among the cells of a table, and what is being typed into one. */
import { useEffect, useRef, useState } from 'react';
import type { TableGridProps } from '../TableGrid.tsx';
import { boxBetween, type Cell, clampedCell, shownText, valueTyped, withValue } from './cells.ts';

/** @param reveal brings a row into sight. */
export function useCells(
  { columns, source, question, onEdit }: TableGridProps,
  reveal: (row: number) => void,
) {
  const grid = useRef<HTMLDivElement>(null);
  const input = useRef<HTMLInputElement>(null);
  const [at, setAt] = useState<Cell>({ row: 0, column: 0 });
  const [until, setUntil] = useState<Cell>(at);
  const [typing, setTyping] = useState<string>();
  /** Whether what is typed is still to be taken: leaving the field follows on taking it. */
  const open = useRef(false);
  const size = { row: source.count, column: columns.length };
  const asks = question.sort !== undefined || Boolean(question.find);
  const begun = typing !== undefined;
  useEffect(() => {
    if (!begun) return;
    input.current?.focus();
    const end = input.current?.value.length ?? 0;
    input.current?.setSelectionRange(end, end);
  }, [begun]);
  const focus = () => grid.current?.focus();
  const select = (from: Cell, to: Cell = from) => {
    setAt(from);
    setUntil(to);
  };
  const go = (to: Cell, more = false) => {
    const next = clampedCell(to, size);
    setUntil(next);
    if (!more) setAt(next);
    if (size.row > 0) reveal(next.row);
  };
  const stop = () => {
    open.current = false;
    setTyping(undefined);
    focus();
  };
  const commit = (to?: Cell) => {
    if (!open.current) return;
    const column = columns[at.column];
    const here = source.row(at.row);
    const isNew =
      typing !== undefined && column && here && typing !== shownText(column, here.row[column.name]);
    const changed = isNew
      ? [{ ...here, to: withValue(here.row, column.name, valueTyped(column, typing)) }]
      : [];
    // Below the last row one goes on writing.
    const goesOn = to?.row === size.row && !asks;
    if (isNew || goesOn)
      onEdit({ changed, added: goesOn ? [{}] : [] }, `${column?.name} of row ${(here?.place ?? 0) + 1}`);
    stop();
    if (to && goesOn) select(to);
    else if (to) go(to);
  };
  return {
    grid,
    input,
    at,
    until,
    box: boxBetween(at, until),
    typing,
    setTyping,
    size,
    asks,
    focus,
    select,
    go,
    /** Begins to type into the cell. */
    begin(text: string) {
      if (!source.row(at.row)) return;
      open.current = true;
      setTyping(text);
    },
    giveUp: stop,
    commit,
  };
}

export type Cells = ReturnType<typeof useCells>;
