// biome-ignore-all lint/a11y/useSemanticElements: rows are only there while they can be seen, which a table cannot have.
// biome-ignore-all lint/a11y/useFocusableInteractive: the grid has the focus and names the cell (`aria-activedescendant`).
// biome-ignore-all lint/a11y/useKeyWithClickEvents: the grid takes the keys for all its cells.
/** Cells of a table: moved through by keys, edited in place, copied and pasted as spreadsheets do (ARIA, `grid`). */
import { type Column, cellText, type Row, readCell } from '@hovrin/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import Papa from 'papaparse';
import { type ClipboardEvent, type KeyboardEvent, useEffect, useRef, useState } from 'react';

interface TableGridProps {
  readonly name: string;
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
  readonly problemAt: (row: number, column: number) => string | undefined;
  readonly onRows: (rows: readonly Row[], label: string, group?: string) => void;
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
  const longest = rows
    .slice(0, 100)
    .reduce(
      (most, row) => Math.max(most, cellText(row[name]).length),
      name.length + type.length + (required ? 14 : 4),
    );
  return Math.min(320, Math.max(90, 26 + longest * 7.4));
}

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

export function TableGrid({ name, columns, rows, problemAt, onRows, onColumn, onUndo }: TableGridProps) {
  const area = useRef<HTMLDivElement>(null);
  const grid = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState<Cell>({ row: 0, column: 0 });
  const [until, setUntil] = useState<Cell>(at);
  const [typing, setTyping] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const widths = columns.map((column) => widthOf(column, rows));
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => area.current,
    estimateSize: () => rowHeight,
    overscan: 12,
  });
  const begun = typing !== undefined;
  useEffect(() => {
    if (!begun) return;
    input.current?.focus();
    const end = input.current?.value.length ?? 0;
    input.current?.setSelectionRange(end, end);
  }, [begun]);
  const clamped = ({ row, column }: Cell): Cell => ({
    row: Math.min(rows.length - 1, Math.max(0, row)),
    column: Math.min(columns.length - 1, Math.max(0, column)),
  });
  const go = (to: Cell, more = false) => {
    const next = clamped(to);
    setUntil(next);
    if (!more) setAt(next);
    if (rows.length > 0) virtual.scrollToIndex(next.row);
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
    if (rows.length === 0) return;
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
    const label = `${column?.name} of row ${at.row + 1}`;
    let next = rows;
    if (typing !== undefined && column && typing !== cellText(rows[at.row]?.[column.name]))
      next = rows.with(at.row, withValue(rows[at.row]!, column.name, valueTyped(column, typing)));
    // Below the last row one goes on writing.
    if (to && to.row === rows.length) next = [...next, {}];
    if (next !== rows) onRows(next, label);
    setTyping(undefined);
    grid.current?.focus();
    if (!to) return;
    if (to.row === rows.length) {
      setAt(to);
      setUntil(to);
    } else go(to);
  };
  const empty = () =>
    onRows(
      rows.map((row, index) =>
        index < box.top || index > box.bottom
          ? row
          : columns
              .slice(box.left, box.right + 1)
              .reduce((left, column) => withValue(left, column.name, undefined), row),
      ),
      `Empty cells of ${name}`,
    );
  const removeRows = () => {
    onRows(rows.toSpliced(box.top, box.bottom - box.top + 1), `Remove rows from ${name}`);
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
      End: { row: control ? rows.length - 1 : row, column: columns.length - 1 },
    };
    const to = moves[event.key];
    if (to) go(to, event.shiftKey);
    else if (control && event.key.toLowerCase() === 'z') onUndo();
    else if (control && event.key.toLowerCase() === 'a') {
      setAt({ row: 0, column: 0 });
      setUntil(clamped({ row: rows.length, column: columns.length }));
    } else if (control && event.key === 'Delete') removeRows();
    else if (event.key === 'Delete' || event.key === 'Backspace') empty();
    else if (event.key === 'Enter' || event.key === 'F2')
      begin(cellText(rows[at.row]?.[columns[at.column]!.name]));
    else if (event.key.length === 1 && !control && !event.altKey) begin(event.key);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const copy = (event: ClipboardEvent) => {
    if (typing !== undefined) return;
    event.preventDefault();
    const cells = rows
      .slice(box.top, box.bottom + 1)
      .map((row) => columns.slice(box.left, box.right + 1).map((column) => cellText(row[column.name])));
    event.clipboardData.setData('text/plain', Papa.unparse(cells, { delimiter: '\t', newline: '\n' }));
    if (event.type === 'cut') empty();
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
    const next: Row[] = [...rows];
    for (let down = 0; down < height; down++) {
      const texts = single === undefined ? data[down]! : Array(box.right - box.left + 1).fill(single);
      const row = box.top + down;
      next[row] = texts.reduce<Row>((filled, text: string, across) => {
        const column = columns[box.left + across];
        return column ? withValue(filled, column.name, valueTyped(column, text)) : filled;
      }, next[row] ?? {});
    }
    onRows(next, `Paste into ${name}`);
    setUntil({ row: box.top + height - 1, column: box.right });
  };
  const cellId = (row: number, column: number) => `cell-${row}-${column}`;
  const problem = problemAt(at.row, at.column);
  return (
    <>
      <div ref={area} className="h-[44vh] overflow-auto rounded-md border border-rule">
        <div
          ref={grid}
          role="grid"
          data-begin
          tabIndex={0}
          aria-label={`Rows of ${name}`}
          aria-rowcount={rows.length + 1}
          aria-colcount={columns.length + 1}
          aria-multiselectable
          aria-activedescendant={rows.length > 0 ? cellId(at.row, at.column) : undefined}
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
                  className="shrink-0 border-r border-b border-rule"
                  style={{ width: widths[index] }}
                >
                  <button
                    type="button"
                    className="flex size-full items-center gap-1.5 px-2 font-medium hover:bg-rule/40"
                    title="Name, type and rules of the column"
                    onClick={() => onColumn(index)}
                  >
                    <span className="truncate">{column.name}</span>
                    <span className="ml-auto text-[11px] font-normal text-quiet">
                      {column.type === 'boolean' ? 'yes / no' : column.type}
                      {column.required ? ', required' : ''}
                    </span>
                  </button>
                </span>
              ))}
            </div>
          </div>
          <div
            role="rowgroup"
            className="relative"
            style={{ height: Math.max(rowHeight, virtual.getTotalSize()) }}
          >
            {virtual.getVirtualItems().map(({ index, start }) => (
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
                  {index + 1}
                </span>
                {columns.map((column, across) => {
                  const here = index === at.row && across === at.column;
                  const wrong = problemAt(index, across);
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
                      onDoubleClick={() => begin(cellText(rows[index]![column.name]))}
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
                        cellText(rows[index]![column.name])
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
