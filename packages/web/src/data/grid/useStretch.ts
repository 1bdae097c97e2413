/** What is done with all cells that are chosen: they are emptied, copied, pasted over, their rows taken away. */
import type { PlacedRow } from '@hovrin/core';
import Papa from 'papaparse';
import type { ClipboardEvent } from 'react';
import type { TableGridProps } from '../TableGrid.tsx';
import { pastedInto, pasteEdit, shownText, withValue } from './cells.ts';
import type { Cells } from './useCells.ts';

/** Most rows that are copied or changed at once. */
const mostAtOnce = 10_000;

export function useStretch(
  { name, columns, source, onEdit, onRemove, onTell }: TableGridProps,
  cells: Cells,
) {
  const { at, box, asks, typing, size, select } = cells;
  /** The rows that are chosen; undefined where they are too many. */
  const chosen = async (until = box.bottom + 1): Promise<readonly PlacedRow[] | undefined> => {
    if (until - box.top <= mostAtOnce) return source.stretch(box.top, Math.min(size.row, until));
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
  const textOf = (rows: readonly PlacedRow[]) =>
    Papa.unparse(
      rows.map(({ row }) =>
        columns.slice(box.left, box.right + 1).map((column) => shownText(column, row[column.name])),
      ),
      { delimiter: '\t', newline: '\n' },
    );
  const copy = (event: ClipboardEvent) => {
    if (typing !== undefined) return;
    event.preventDefault();
    const here: PlacedRow[] = [];
    for (let index = box.top; index <= box.bottom && index < size.row; index++) {
      const row = source.row(index);
      if (row) here.push(row);
    }
    // What nobody has seen yet has to come first.
    if (here.length === box.bottom - box.top + 1) event.clipboardData.setData('text/plain', textOf(here));
    else
      void chosen()
        .then((rows) => rows && navigator.clipboard.writeText(textOf(rows)))
        .catch((error: Error) => onTell(`This could not be copied: ${error.message}`));
    if (event.type === 'cut') void empty();
  };
  const pasteRows = async (data: readonly (readonly string[])[]) => {
    const { texts, height } = pastedInto(data, box);
    if (height > mostAtOnce)
      return onTell(`At most ${mostAtOnce} rows are pasted at once; a file brings in more.`);
    const under = await chosen(box.top + height);
    if (!under) return;
    // Among rows that were looked for there is no place below the last one.
    const fits = asks ? Math.min(height, under.length) : height;
    onEdit(pasteEdit(texts.slice(0, fits), under, columns, box.left), `Paste into ${name}`);
    if (fits < height) onTell(`${height - fits} rows found no place among those that are shown.`);
    select(at, { row: box.top + fits - 1, column: box.right });
  };
  return {
    empty,
    copy,
    paste(event: ClipboardEvent) {
      if (typing !== undefined) return;
      event.preventDefault();
      const text = event.clipboardData.getData('text/plain').replace(/\r?\n$/, '');
      const { data } = Papa.parse<string[]>(text, { delimiter: '\t' });
      if (data.length > 0) void pasteRows(data);
    },
    removeRows() {
      onRemove(box.top, Math.min(size.row, box.bottom + 1));
      select({ row: Math.max(0, box.top - 1), column: at.column });
    },
  };
}
