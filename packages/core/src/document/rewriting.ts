/** Changes of a column that change every row of its table. */
import { cellText, type Row, readCell } from './table.ts';
import type { ColumnType } from './types.ts';

/** What becomes of a column's values: they go under another name, are read as another type, or go. */
export type Rewriting =
  | { readonly what: 'rename'; readonly column: string; readonly to: string }
  | { readonly what: 'retype'; readonly column: string; readonly type: ColumnType }
  | { readonly what: 'remove'; readonly column: string };

/** A row after a change of a column; what cannot be read as its new type stays as it is, to be mended. */
export function rewrittenRow(row: Row, change: Rewriting): Row {
  const { column } = change;
  if (!Object.hasOwn(row, column)) return row;
  switch (change.what) {
    case 'rename':
      return Object.fromEntries(
        Object.entries(row).map(([name, value]) => [name === column ? change.to : name, value]),
      );
    case 'retype': {
      const reading = readCell(change.type, cellText(row[column]));
      return reading.ok && reading.value !== undefined ? { ...row, [column]: reading.value } : row;
    }
    case 'remove': {
      const { [column]: _, ...rest } = row;
      return rest;
    }
  }
}
