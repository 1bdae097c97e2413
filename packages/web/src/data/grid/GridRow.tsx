// biome-ignore-all lint/a11y/useSemanticElements: rows are only there while they can be seen, which a table cannot have.
// biome-ignore-all lint/a11y/useFocusableInteractive: the grid has the focus and names the cell (`aria-activedescendant`).
// biome-ignore-all lint/a11y/useKeyWithClickEvents: the grid takes the keys for all its cells.
/** One row of a table: its number, and its cells, one of which may be typed into. */
import { cellText } from '@hovrin/core';
import type { TableGridProps } from '../TableGrid.tsx';
import { type GridColumn, isInBox, shownText } from './cells.ts';
import { numberWidth, rowHeight } from './sizes.ts';
import type { Cells } from './useCells.ts';

export const cellId = (row: number, column: number) => `cell-${row}-${column}`;

interface GridRowProps extends Pick<TableGridProps, 'columns' | 'source'> {
  readonly widths: readonly number[];
  readonly cells: Cells;
  readonly index: number;
  /** From the top of all rows, px. */
  readonly start: number;
}

export function GridRow({ columns, source, widths, cells, index, start }: GridRowProps) {
  return (
    <div
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
          cells.select({ row: index, column: 0 }, { row: index, column: columns.length - 1 });
          cells.focus();
        }}
      >
        {(source.row(index)?.place ?? index) + 1}
      </span>
      {columns.map((column, across) => (
        <GridCell
          key={column.name}
          {...{ source, cells, column, index, across }}
          width={widths[across] ?? numberWidth}
        />
      ))}
    </div>
  );
}

interface GridCellProps extends Pick<GridRowProps, 'source' | 'cells' | 'index'> {
  readonly column: GridColumn;
  /** Its place in the row. */
  readonly across: number;
  readonly width: number;
}

function GridCell({ source, cells, column, index, across, width }: GridCellProps) {
  const { at, box, typing } = cells;
  const isHere = index === at.row && across === at.column;
  const isTyped = isHere && typing !== undefined;
  const isChosen = isInBox(index, across, box);
  const wrong = source.problemAt(index, column.name);
  const value = source.row(index)?.row[column.name];
  const looks = [
    'relative shrink-0 truncate border-r border-b border-rule px-2 leading-[29px]',
    column.type === 'number' && !column.names ? 'text-right tabular-nums' : '',
    isChosen ? 'bg-spruce/12' : '',
    isHere ? 'outline-2 outline-offset-[-2px] outline-rule group-focus/grid:outline-spruce' : '',
    wrong ? 'text-brick' : '',
  ];
  return (
    <span
      id={cellId(index, across)}
      role="gridcell"
      aria-selected={isChosen}
      aria-invalid={wrong !== undefined}
      title={wrong ?? (column.names ? `${column.refers?.column} ${cellText(value)}` : undefined)}
      className={looks.filter(Boolean).join(' ')}
      style={{ width }}
      onClick={(event) => {
        if (isTyped) return;
        if (typing !== undefined) cells.commit();
        cells.go({ row: index, column: across }, event.shiftKey);
        cells.focus();
      }}
      onDoubleClick={() => cells.begin(shownText(column, value))}
    >
      {isTyped ? <CellInput {...{ cells, column, index, across }} /> : shownText(column, value)}
    </span>
  );
}

function CellInput({ cells, column, index, across }: Omit<GridCellProps, 'source' | 'width'>) {
  return (
    <input
      ref={cells.input}
      data-keeps-escape
      className="absolute inset-0 bg-sheet px-2 inset-ring-2 inset-ring-spruce !outline-none"
      aria-label={`${column.name} of row ${index + 1}`}
      value={cells.typing}
      list={column.values || column.names ? 'table-values' : undefined}
      onChange={(event) => cells.setTyping(event.target.value)}
      onBlur={() => cells.commit()}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Enter') cells.commit({ row: index + (event.shiftKey ? -1 : 1), column: across });
        else if (event.key === 'Tab') {
          event.preventDefault();
          cells.commit({ row: index, column: across + (event.shiftKey ? -1 : 1) });
        } else if (event.key === 'Escape') cells.giveUp();
      }}
    />
  );
}
