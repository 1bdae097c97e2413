/** Columns that refer to rows of another table: which of its columns people read there, and how an expression reads it. */
import { keyText, memberText } from '../document/member-text.ts';
import { cellText, columnsOf, rowsOf } from '../document/table.ts';
import type { Column, Reference, StateVariable } from '../document/types.ts';

/** The column whose values people read where rows of a table are referred to: the one that says so, else the first of texts. */
export function nameColumnOf(columns: readonly Column[], { column }: Pick<Reference, 'column'>): string {
  const isName = ({ name, type, role }: Column) => type === 'text' && role !== 'key' && name !== column;
  return (columns.find(({ role }) => role === 'name') ?? columns.find(isName))?.name ?? column;
}

/** What people read of the table that a column refers to; undefined where that is what the column holds. */
export function nameReferred(
  refers: Reference | undefined,
  state: readonly StateVariable[],
): string | undefined {
  const list = refers && state.find(({ name }) => name === refers.list);
  const column = list && nameColumnOf(columnsOf(list), refers);
  return column === refers?.column ? undefined : column;
}

/** What people read of the rows that a column refers to, by the column's value as a text; undefined where that is itself. */
export function namesReferred(
  refers: Reference | undefined,
  state: readonly StateVariable[],
): ReadonlyMap<string, string> | undefined {
  const shown = nameReferred(refers, state);
  const list = state.find(({ name }) => name === refers?.list);
  if (!refers || !list || shown === undefined) return undefined;
  return new Map(
    (rowsOf(list) ?? []).map((row) => [cellText(row[refers.column]), cellText(row[shown])] as const),
  );
}

/**
 * What people read of a record's field, as an expression: the name of the row that it refers to, else the value itself.
 *
 * @param of the record.
 */
export function readText(
  of: string,
  { name, refers }: Pick<Column, 'name' | 'refers'>,
  state: readonly StateVariable[],
): string {
  const value = memberText(of, name);
  const shown = nameReferred(refers, state);
  if (!refers || shown === undefined) return value;
  const found = `${refers.list}.find(each => ${memberText('each', refers.column)} == ${value})`;
  const member = keyText(shown) === shown ? `?.${shown}` : `?.[${keyText(shown)}]`;
  return `(${found}${member} ?? ${value})`;
}
