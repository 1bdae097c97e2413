/** Moving among a table's cells, editing and pasting them, as pure functions without elements. */
import { type Column, cellText, type PlacedRow, type Row, type RowEdit, readCell } from '@hovrin/core';

export interface Cell {
  readonly row: number;
  readonly column: number;
}

/** The cells that are chosen: all between two, both included. */
export interface CellBox {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

export const boxBetween = (one: Cell, other: Cell): CellBox => ({
  top: Math.min(one.row, other.row),
  bottom: Math.max(one.row, other.row),
  left: Math.min(one.column, other.column),
  right: Math.max(one.column, other.column),
});

export const isInBox = (row: number, column: number, { top, bottom, left, right }: CellBox): boolean =>
  row >= top && row <= bottom && column >= left && column <= right;

/** The nearest cell that there is. @param size how many rows and columns there are. */
export const clampedCell = ({ row, column }: Cell, size: Cell): Cell => ({
  row: Math.min(size.row - 1, Math.max(0, row)),
  column: Math.min(size.column - 1, Math.max(0, column)),
});

/** What has to do with where a key leads. */
interface Way {
  /** How many rows and columns there are. */
  readonly size: Cell;
  /** How many rows are seen at once. */
  readonly page: number;
  /** Control, or Command, is held. */
  readonly far: boolean;
}

/** The cell that a key leads to, as in spreadsheets; undefined where it leads nowhere. It may lie outside. */
export function cellAfter(key: string, { row, column }: Cell, { size, page, far }: Way): Cell | undefined {
  const moves: Readonly<Record<string, Cell>> = {
    ArrowDown: { row: row + 1, column },
    ArrowUp: { row: row - 1, column },
    ArrowRight: { row, column: column + 1 },
    ArrowLeft: { row, column: column - 1 },
    PageDown: { row: row + page, column },
    PageUp: { row: row - page, column },
    Home: { row: far ? 0 : row, column: 0 },
    End: { row: far ? size.row - 1 : row, column: size.column - 1 },
  };
  return Object.hasOwn(moves, key) ? moves[key] : undefined;
}

/** Width of a column, px: by its longest value, within limits. */
export function widthOf({ name, type, required }: Column, rows: readonly Row[]): number {
  const longest = rows.reduce(
    (most, row) => Math.max(most, cellText(row[name]).length),
    name.length + type.length + (required ? 17 : 7),
  );
  return Math.min(320, Math.max(100, 26 + longest * 7.4));
}

/** A row with a value in it, or without one. */
export function withValue(row: Row, name: string, value: unknown): Row {
  if (value !== undefined) return { ...row, [name]: value };
  const { [name]: _, ...rest } = row;
  return rest;
}

/** A column as the grid shows it. */
export interface GridColumn extends Column {
  /** What people read of the rows that it refers to, by its value; absent: its value itself. */
  readonly names?: ReadonlyMap<string, string>;
}

/** What a cell shows. */
export const shownText = ({ names }: GridColumn, value: unknown): string => {
  const text = cellText(value);
  return names?.get(text) || text;
};

/** What was typed, as the column's type where it is one; otherwise as it was typed, to be mended. */
export function valueTyped(column: GridColumn, text: string): unknown {
  const named = [...(column.names ?? [])].find(([, name]) => name === text.trim());
  const reading = readCell(column.type, named?.[0] ?? text);
  return reading.ok ? reading.value : text;
}

/** Texts that are pasted: a stretch of cells, or one value for all that are chosen. */
export interface Pasted {
  readonly texts: readonly (readonly string[])[];
  /** How many rows they fill. */
  readonly height: number;
}

/** @param rows the texts of the clipboard by row. @param box the cells that are chosen. */
export function pastedInto(rows: readonly (readonly string[])[], box: CellBox): Pasted {
  const [first] = rows;
  const single = rows.length === 1 && first?.length === 1 ? first[0] : undefined;
  if (single === undefined) return { texts: rows, height: rows.length };
  const height = box.bottom - box.top + 1;
  const line = Array.from({ length: box.right - box.left + 1 }, () => single);
  return { texts: Array.from({ length: height }, () => line), height };
}

/** The rows that pasting changes and adds. @param under the rows that lie under what is pasted, from the first on. */
export function pasteEdit(
  texts: Pasted['texts'],
  under: readonly PlacedRow[],
  columns: readonly GridColumn[],
  left: number,
): RowEdit {
  const changed: { place: number; row: Row; to: Row }[] = [];
  const added: Row[] = [];
  for (const [down, line] of texts.entries()) {
    const below = under[down];
    const filled = line.reduce<Row>((row, text, across) => {
      const column = columns[left + across];
      return column ? withValue(row, column.name, valueTyped(column, text)) : row;
    }, below?.row ?? {});
    if (below) changed.push({ ...below, to: filled });
    else added.push(filled);
  }
  return { changed, added };
}
