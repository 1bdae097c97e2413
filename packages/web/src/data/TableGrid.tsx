// biome-ignore-all lint/a11y/useSemanticElements: rows are only there while they can be seen, which a table cannot have.
/** Cells of a table: moved through by keys, edited in place, copied and pasted as spreadsheets do (ARIA, `grid`). */
import type { Row, RowEdit, RowQuestion } from '@hovrin/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import { cellAfter, clampedCell, type GridColumn, shownText, widthOf } from './grid/cells.ts';
import { GridHead } from './grid/GridHead.tsx';
import { cellId, GridRow } from './grid/GridRow.tsx';
import { rowHeight } from './grid/sizes.ts';
import { type Cells, useCells } from './grid/useCells.ts';
import { useStretch } from './grid/useStretch.ts';
import type { RowSource } from './rowSource.ts';

export interface TableGridProps {
  readonly name: string;
  readonly columns: readonly GridColumn[];
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

export function TableGrid(props: TableGridProps) {
  const { name, columns, measured, source, question } = props;
  const { count } = source;
  const area = useRef<HTMLDivElement>(null);
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
  const cells = useCells(props, (row) => virtual.scrollToIndex(row));
  const stretch = useStretch(props, cells);
  const seen = () => Math.max(1, Math.floor((area.current?.clientHeight ?? 300) / rowHeight) - 2);
  return (
    <>
      <div ref={area} className="h-[44vh] overflow-auto rounded-md border border-rule">
        <div
          ref={cells.grid}
          role="grid"
          data-begin
          tabIndex={0}
          aria-label={`Rows of ${name}`}
          aria-rowcount={count + 1}
          aria-colcount={columns.length + 1}
          aria-multiselectable
          aria-activedescendant={count > 0 ? cellId(cells.at.row, cells.at.column) : undefined}
          className="group/grid min-w-fit !outline-none"
          onKeyDown={(event) => {
            if (cells.typing !== undefined || !pressed(event, props, cells, stretch, seen())) return;
            event.preventDefault();
            event.stopPropagation();
          }}
          onCopy={stretch.copy}
          onCut={stretch.copy}
          onPaste={stretch.paste}
        >
          <GridHead {...props} widths={widths} />
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
              <GridRow key={index} {...{ columns, source, widths, cells, index, start }} />
            ))}
          </div>
        </div>
      </div>
      <BelowGrid {...{ columns, source, cells }} />
    </>
  );
}

/** Does what a key asks for. @param page how many rows are seen. @returns whether it asks for anything. */
function pressed(
  event: KeyboardEvent,
  { columns, source, onUndo }: TableGridProps,
  cells: Cells,
  stretch: ReturnType<typeof useStretch>,
  page: number,
): boolean {
  const { key, shiftKey, altKey } = event;
  const { at, until, size } = cells;
  const control = event.ctrlKey || event.metaKey;
  const to = cellAfter(key, shiftKey ? until : at, { size, page, far: control });
  const column = columns[at.column];
  if (to) cells.go(to, shiftKey);
  else if (control && key.toLowerCase() === 'z') onUndo();
  else if (control && key.toLowerCase() === 'a') cells.select({ row: 0, column: 0 }, clampedCell(size, size));
  else if (control && key === 'Delete') stretch.removeRows();
  else if (key === 'Delete' || key === 'Backspace') void stretch.empty();
  else if (key === 'Enter' || key === 'F2')
    cells.begin(column ? shownText(column, source.row(at.row)?.row[column.name]) : '');
  else if (key.length === 1 && !control && !altKey) cells.begin(key);
  else return false;
  return true;
}

/** Most rows of another table that are offered as one types. */
const mostOffered = 500;

/** What is wrong with the cell, or what one can do here; and the values that its column allows. */
function BelowGrid({
  columns,
  source,
  cells: { at },
}: Pick<TableGridProps, 'columns' | 'source'> & { readonly cells: Cells }) {
  const column = columns[at.column];
  const problem = column && source.problemAt(at.row, column.name);
  return (
    <>
      <datalist id="table-values">
        {(column?.values ?? [...(column?.names?.values() ?? [])].slice(0, mostOffered)).map((value) => (
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
