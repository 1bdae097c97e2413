// biome-ignore-all lint/a11y/useSemanticElements: rows are only there while they can be seen, which a table cannot have.
// biome-ignore-all lint/a11y/useFocusableInteractive: the grid has the focus and names the cell (`aria-activedescendant`).
// biome-ignore-all lint/a11y/useKeyWithClickEvents: the grid takes the keys for all its cells.
/** Cells of a table: moved through by keys, edited in place, copied and pasted as spreadsheets do (ARIA, `grid`). */
import {
  type Column,
  cellText,
  type PlacedRow,
  type Row,
  type RowEdit,
  type RowQuestion,
  readCell,
} from '@hovrin/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp, ArrowUpDown } from 'lucide-react';
import Papa from 'papaparse';
import { type ClipboardEvent, type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { RowSource } from './rowSource.ts';

interface TableGridProps {
  readonly name: string;
  readonly columns: readonly Column[];
  /** Rows that widths of columns go by. */
  readonly measured: readonly Row[];
  readonly source: RowSource;
  readonly question: RowQuestion;
  readonly onSort: (sort: Pick<RowQuestion, 'sort' | 'descending'>) => void;
  readonly onEdit: (edit: RowEdit, label: string) => void;
  /** Takes away rows that stand next to each other, however many. */
  readonly onRemove: (from: number, until: number) => void;
  /** Says what cannot be done. */
  readonly onTell: (text: string) => void;
  /** Opens what is said about a column. */
  readonly onColumn: (column: number) => void;
  readonly onUndo: () => void;
}

interface Cell {
  readonly row: number;
  readonly column: number;
}

const rowHeight = 30;
const numberWidth = 52;

/** px that a column takes: by what is in it, within reason. */
function widthOf({ name, type, required }: Column, rows: readonly Row[]): number {
  const longest = rows.reduce(
    (most, row) => Math.max(most, cellText(row[name]).length),
    name.length + type.length + (required ? 17 : 7),
  );
  return Math.min(320, Math.max(100, 26 + longest * 7.4));
}

/** Most rows that are copied or changed at once. */
const mostAtOnce = 10_000;

/** A row with a value in it, or without one. */
function withValue(row: Row, name: string, value: unknown): Row {
  if (value !== undefined) return { ...row, [name]: value };
  const { [name]: _, ...rest } = row;
  return rest;
}

/** What was typed, as the column's type where it is one; otherwise as it was typed, to be mended. */
function valueTyped(column: Column, text: string): unknown {
  const reading = readCell(column.type, text);
  return reading.ok ? reading.value : text;
}

export function TableGrid(props: TableGridProps) {
  const { name, columns, measured, source, question, onSort, onEdit, onRemove, onTell, onColumn, onUndo } =
    props;
  const { count } = source;
  const area = useRef<HTMLDivElement>(null);
  const grid = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState<Cell>({ row: 0, column: 0 });
  const [until, setUntil] = useState<Cell>(at);
  const [typing, setTyping] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const widths = columns.map((column) => widthOf(column, measured));
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => area.current,
    estimateSize: () => rowHeight,
    overscan: 12,
  });
  const shown = virtual.getVirtualItems();
  const [firstShown, lastShown] = [shown[0]?.index ?? 0, shown.at(-1)?.index ?? 0];
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is seen is told when it changes.
  useEffect(() => source.see(firstShown, lastShown), [firstShown, lastShown]);
  const asks = question.sort !== undefined || Boolean(question.find);
  const begun = typing !== undefined;
  useEffect(() => {
    if (!begun) return;
    input.current?.focus();
    const end = input.current?.value.length ?? 0;
    input.current?.setSelectionRange(end, end);
  }, [begun]);
  const clamped = ({ row, column }: Cell): Cell => ({
    row: Math.min(count - 1, Math.max(0, row)),
    column: Math.min(columns.length - 1, Math.max(0, column)),
  });
  const go = (to: Cell, more = false) => {
    const next = clamped(to);
    setUntil(next);
    if (!more) setAt(next);
    if (count > 0) virtual.scrollToIndex(next.row);
  };
  const box = {
    top: Math.min(at.row, until.row),
    bottom: Math.max(at.row, until.row),
    left: Math.min(at.column, until.column),
    right: Math.max(at.column, until.column),
  };
  const isIn = (row: number, column: number) =>
    row >= box.top && row <= box.bottom && column >= box.left && column <= box.right;
  /** Whether what is typed is still to be taken: leaving the field follows on taking it. */
  const open = useRef(false);
  const begin = (text: string) => {
    if (!source.row(at.row)) return;
    open.current = true;
    setTyping(text);
  };
  const giveUp = () => {
    open.current = false;
    setTyping(undefined);
    grid.current?.focus();
  };
  const commit = (to?: Cell) => {
    if (!open.current) return;
    open.current = false;
    const column = columns[at.column];
    const here = source.row(at.row);
    const isNew = typing !== undefined && column && here && typing !== cellText(here.row[column.name]);
    const changed = isNew
      ? [{ ...here, to: withValue(here.row, column.name, valueTyped(column, typing)) }]
      : [];
    // Below the last row one goes on writing.
    const goesOn = to?.row === count && !asks;
    if (isNew || goesOn)
      onEdit({ changed, added: goesOn ? [{}] : [] }, `${column?.name} of row ${(here?.place ?? 0) + 1}`);
    setTyping(undefined);
    grid.current?.focus();
    if (!to) return;
    if (goesOn) {
      setAt(to);
      setUntil(to);
    } else go(to);
  };
  /** The rows that are chosen; undefined where they are too many. */
  const chosen = async (until = box.bottom + 1): Promise<readonly PlacedRow[] | undefined> => {
    if (until - box.top <= mostAtOnce) return source.stretch(box.top, Math.min(count, until));
    onTell(`At most ${mostAtOnce} rows are copied or changed at once.`);
    return undefined;
  };
  const empty = async () => {
    const names = columns.slice(box.left, box.right + 1).map((column) => column.name);
    const changed = (await chosen())?.map(({ place, row }) => ({
      place,
      row,
      to: names.reduce((left, each) => withValue(left, each, undefined), row),
    }));
    if (changed) onEdit({ changed }, `Empty cells of ${name}`);
  };
  const removeRows = () => {
    onRemove(box.top, Math.min(count, box.bottom + 1));
    const next = { row: Math.max(0, box.top - 1), column: at.column };
    setAt(next);
    setUntil(next);
  };
  const keys = (event: KeyboardEvent) => {
    if (typing !== undefined) return;
    const { row, column } = event.shiftKey ? until : at;
    const page = Math.max(1, Math.floor((area.current?.clientHeight ?? 300) / rowHeight) - 2);
    const control = event.ctrlKey || event.metaKey;
    const moves: Readonly<Record<string, Cell>> = {
      ArrowDown: { row: row + 1, column },
      ArrowUp: { row: row - 1, column },
      ArrowRight: { row, column: column + 1 },
      ArrowLeft: { row, column: column - 1 },
      PageDown: { row: row + page, column },
      PageUp: { row: row - page, column },
      Home: { row: control ? 0 : row, column: 0 },
      End: { row: control ? count - 1 : row, column: columns.length - 1 },
    };
    const to = moves[event.key];
    if (to) go(to, event.shiftKey);
    else if (control && event.key.toLowerCase() === 'z') onUndo();
    else if (control && event.key.toLowerCase() === 'a') {
      setAt({ row: 0, column: 0 });
      setUntil(clamped({ row: count, column: columns.length }));
    } else if (control && event.key === 'Delete') removeRows();
    else if (event.key === 'Delete' || event.key === 'Backspace') void empty();
    else if (event.key === 'Enter' || event.key === 'F2')
      begin(cellText(source.row(at.row)?.row[columns[at.column]!.name]));
    else if (event.key.length === 1 && !control && !event.altKey) begin(event.key);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const copy = (event: ClipboardEvent) => {
    if (typing !== undefined) return;
    event.preventDefault();
    const textOf = (rows: readonly PlacedRow[]) =>
      Papa.unparse(
        rows.map(({ row }) =>
          columns.slice(box.left, box.right + 1).map((column) => cellText(row[column.name])),
        ),
        { delimiter: '\t', newline: '\n' },
      );
    const isCut = event.type === 'cut';
    const here: PlacedRow[] = [];
    for (let index = box.top; index <= box.bottom && index < count; index++) {
      const row = source.row(index);
      if (row) here.push(row);
    }
    // What nobody has seen yet has to come first.
    if (here.length === box.bottom - box.top + 1) event.clipboardData.setData('text/plain', textOf(here));
    else
      void chosen()
        .then((rows) => rows && navigator.clipboard.writeText(textOf(rows)))
        .catch((error: Error) => onTell(`This could not be copied: ${error.message}`));
    if (isCut) void empty();
  };
  const paste = (event: ClipboardEvent) => {
    if (typing !== undefined) return;
    event.preventDefault();
    const { data } = Papa.parse<string[]>(event.clipboardData.getData('text/plain').replace(/\r?\n$/, ''), {
      delimiter: '\t',
    });
    if (data.length === 0) return;
    // One value fills all cells that are chosen; more of them begin at the first and go on below the last row.
    const [single] = data.length === 1 && data[0]!.length === 1 ? data[0]! : [];
    const height = single === undefined ? data.length : box.bottom - box.top + 1;
    void pasteRows(data, single, height);
  };
  const pasteRows = async (data: string[][], single: string | undefined, height: number) => {
    if (height > mostAtOnce)
      return onTell(`At most ${mostAtOnce} rows are pasted at once; a file brings in more.`);
    const under = await chosen(box.top + height);
    if (!under) return;
    // Among rows that were looked for there is no place below the last one.
    const fits = asks ? Math.min(height, under.length) : height;
    const changed: { place: number; row: Row; to: Row }[] = [];
    const added: Row[] = [];
    for (let down = 0; down < fits; down++) {
      const texts = single === undefined ? data[down]! : Array(box.right - box.left + 1).fill(single);
      const below = under[down];
      const filled = texts.reduce<Row>((row, text: string, across) => {
        const column = columns[box.left + across];
        return column ? withValue(row, column.name, valueTyped(column, text)) : row;
      }, below?.row ?? {});
      if (below) changed.push({ ...below, to: filled });
      else added.push(filled);
    }
    onEdit({ changed, added }, `Paste into ${name}`);
    if (fits < height) onTell(`${height - fits} rows found no place among those that are shown.`);
    setUntil({ row: box.top + fits - 1, column: box.right });
  };
  const cellId = (row: number, column: number) => `cell-${row}-${column}`;
  const problem = columns[at.column] && source.problemAt(at.row, columns[at.column]!.name);
  return (
    <>
      <div ref={area} className="h-[44vh] overflow-auto rounded-md border border-rule">
        <div
          ref={grid}
          role="grid"
          data-begin
          tabIndex={0}
          aria-label={`Rows of ${name}`}
          aria-rowcount={count + 1}
          aria-colcount={columns.length + 1}
          aria-multiselectable
          aria-activedescendant={count > 0 ? cellId(at.row, at.column) : undefined}
          className="group/grid min-w-fit !outline-none"
          onKeyDown={keys}
          onCopy={copy}
          onCut={copy}
          onPaste={paste}
        >
          <div role="rowgroup" className="sticky top-0 z-10 bg-sunk">
            <div role="row" aria-rowindex={1} className="flex" style={{ height: rowHeight }}>
              <span
                role="columnheader"
                className="border-r border-b border-rule text-center leading-[29px] text-quiet"
                style={{ width: numberWidth }}
              >
                #
              </span>
              {columns.map((column, index) => (
                <span
                  key={column.name}
                  role="columnheader"
                  aria-sort={
                    question.sort === column.name
                      ? question.descending
                        ? 'descending'
                        : 'ascending'
                      : undefined
                  }
                  className="flex shrink-0 border-r border-b border-rule"
                  style={{ width: widths[index] }}
                >
                  <button
                    type="button"
                    className="flex h-full min-w-0 flex-1 items-center gap-1.5 pl-2 font-medium hover:bg-rule/40"
                    title="Name, type and rules of the column"
                    onClick={() => onColumn(index)}
                  >
                    <span className="truncate">{column.name}</span>
                    <span className="ml-auto text-[11px] font-normal text-quiet">
                      {column.type === 'boolean' ? 'yes / no' : column.type}
                      {column.required ? ', required' : ''}
                    </span>
                  </button>
                  <SortButton column={column.name} question={question} onSort={onSort} />
                </span>
              ))}
            </div>
          </div>
          <div
            role="rowgroup"
            className="relative"
            style={{ height: Math.max(rowHeight, virtual.getTotalSize()) }}
          >
            {count === 0 && !source.isWaiting && (
              <p className="p-3 text-quiet">
                {question.find ? `No row has “${question.find}” in it.` : 'There are no rows yet.'}
              </p>
            )}
            {shown.map(({ index, start }) => (
              <div
                key={index}
                role="row"
                aria-rowindex={index + 2}
                className="absolute flex"
                style={{ top: start, height: rowHeight }}
              >
                <span
                  role="rowheader"
                  className="cursor-pointer border-r border-b border-rule bg-sunk/60 text-center leading-[29px] text-quiet tabular-nums"
                  style={{ width: numberWidth }}
                  title="Choose the row"
                  onClick={() => {
                    setAt({ row: index, column: 0 });
                    setUntil({ row: index, column: columns.length - 1 });
                    grid.current?.focus();
                  }}
                >
                  {(source.row(index)?.place ?? index) + 1}
                </span>
                {columns.map((column, across) => {
                  const here = index === at.row && across === at.column;
                  const wrong = source.problemAt(index, column.name);
                  const value = source.row(index)?.row[column.name];
                  return (
                    <span
                      key={column.name}
                      id={cellId(index, across)}
                      role="gridcell"
                      aria-selected={isIn(index, across)}
                      aria-invalid={wrong !== undefined}
                      title={wrong}
                      className={`relative shrink-0 truncate border-r border-b border-rule px-2 leading-[29px] ${column.type === 'number' ? 'text-right tabular-nums' : ''} ${isIn(index, across) ? 'bg-spruce/12' : ''} ${here ? 'outline-2 outline-offset-[-2px] outline-rule group-focus/grid:outline-spruce' : ''} ${wrong ? 'text-brick' : ''}`}
                      style={{ width: widths[across] }}
                      onClick={(event) => {
                        if (here && typing !== undefined) return;
                        if (typing !== undefined) commit();
                        go({ row: index, column: across }, event.shiftKey);
                        grid.current?.focus();
                      }}
                      onDoubleClick={() => begin(cellText(value))}
                    >
                      {here && typing !== undefined ? (
                        <input
                          ref={input}
                          data-keeps-escape
                          className="absolute inset-0 bg-sheet px-2 inset-ring-2 inset-ring-spruce !outline-none"
                          aria-label={`${column.name} of row ${index + 1}`}
                          value={typing}
                          list={column.values ? 'table-values' : undefined}
                          onChange={(event) => setTyping(event.target.value)}
                          onBlur={() => commit()}
                          onKeyDown={(event) => {
                            event.stopPropagation();
                            if (event.key === 'Enter')
                              commit({ row: index + (event.shiftKey ? -1 : 1), column: across });
                            else if (event.key === 'Tab') {
                              event.preventDefault();
                              commit({ row: index, column: across + (event.shiftKey ? -1 : 1) });
                            } else if (event.key === 'Escape') giveUp();
                          }}
                        />
                      ) : (
                        cellText(value)
                      )}
                    </span>
                  );
                })}
              </div>
            ))}
          </div>
        </div>
      </div>
      <datalist id="table-values">
        {(columns[at.column]?.values ?? []).map((value) => (
          <option key={value} value={value} />
        ))}
      </datalist>
      <p className="mt-2 min-h-5 text-[12px] text-quiet" aria-live="polite">
        {problem ? (
          <span className="text-brick">{problem}</span>
        ) : (
          'Type to write, Enter to go on, Delete to empty, Ctrl+Delete to remove rows; copy and paste as from a spreadsheet.'
        )}
      </p>
    </>
  );
}

/** Sorts by a column: upwards, then downwards, then as the rows stand. */
function SortButton({
  column,
  question,
  onSort,
}: Pick<TableGridProps, 'question' | 'onSort'> & { readonly column: string }) {
  const isSorted = question.sort === column;
  const isDown = isSorted && question.descending === true;
  const Arrow = isDown ? ArrowDown : isSorted ? ArrowUp : ArrowUpDown;
  return (
    <button
      type="button"
      className={`px-1 hover:bg-rule/40 ${isSorted ? 'text-spruce' : 'text-quiet/70'}`}
      aria-label={`Sort by ${column}`}
      title={isDown ? 'As the rows stand' : isSorted ? 'The greatest first' : 'The least first'}
      onClick={() => onSort(isDown ? {} : { sort: column, descending: isSorted })}
    >
      <Arrow size={12} aria-hidden />
    </button>
  );
}
