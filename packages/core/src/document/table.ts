/**
 * Lists of records as tables: columns with types, what is wrong in a cell, and rows from texts as spreadsheets and
 * CSV files have them.
 */
import { type AnswerShape, rowShape, shapeAt } from './answer-shape.ts';
import { isDay } from './state.ts';
import type { Column, ColumnRole, ColumnType, Reference, StateVariable } from './types.ts';

export const columnTypes: readonly ColumnType[] = ['text', 'number', 'boolean', 'date'];
export const columnRoles: readonly ColumnRole[] = ['key', 'name'];

/** One row: values by column; absent where a cell is empty. */
export type Row = Readonly<Record<string, unknown>>;

const isRow = (value: unknown): value is Row =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The rows of a variable that can be shown as a table; undefined where it holds something else. */
export function rowsOf({ type, initial, computed }: StateVariable): readonly Row[] | undefined {
  if (type !== 'list' || computed !== undefined || !Array.isArray(initial)) return undefined;
  return initial.every(isRow) ? initial : undefined;
}

function typeOf(values: readonly unknown[]): ColumnType {
  const there = values.filter((value) => value !== undefined && value !== null && value !== '');
  if (there.length === 0) return 'text';
  if (there.every((value) => typeof value === 'number')) return 'number';
  if (there.every((value) => typeof value === 'boolean')) return 'boolean';
  return there.every((value) => typeof value === 'string' && isDay(value)) ? 'date' : 'text';
}

/** Columns that some rows have, in the order in which they come up, with the types of their values. */
export function columnsFrom(rows: readonly Row[]): Column[] {
  const names = new Set(rows.flatMap((row) => Object.keys(row)));
  return [...names].map((name) => ({ name, type: typeOf(rows.map((row) => row[name])) }));
}

/** The columns of the rows that a request answers with, or of its one record, as far as its shape says them. */
function columnsOfAnswer({ request }: StateVariable): readonly Column[] {
  const properties = rowShape(shapeAt(request?.shape, request?.at))?.of.properties ?? {};
  return Object.entries(properties).map(([name, shape]) => ({ name, type: columnTypeOf(shape) }));
}

function columnTypeOf({ type, format }: AnswerShape): ColumnType {
  const types = Array.isArray(type) ? type : [type];
  if (types.includes('number') || types.includes('integer')) return 'number';
  if (types.includes('boolean')) return 'boolean';
  return format === 'date' ? 'date' : 'text';
}

/** The columns of a table: those that were said, and any others that its rows have. */
export function columnsOf(variable: StateVariable): readonly Column[] {
  const said = variable.columns ?? columnsOfAnswer(variable);
  const others = columnsFrom(rowsOf(variable) ?? []).filter(
    ({ name }) => !said.some((column) => column.name === name),
  );
  return [...said, ...others];
}

/** What a cell shows, and what is edited in it. */
export function cellText(value: unknown): string {
  if (value === undefined || value === null) return '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
}

export type CellReading =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly message: string };

/** Reads what was typed into a cell; empty: there is nothing in it. */
export function readCell(type: ColumnType, text: string): CellReading {
  const plain = text.trim();
  if (plain === '') return { ok: true, value: undefined };
  const not = (what: string): CellReading => ({ ok: false, message: `“${plain}” is no ${what}.` });
  switch (type) {
    case 'text':
      return { ok: true, value: text };
    case 'number': {
      const value = Number(plain);
      return Number.isFinite(value) ? { ok: true, value } : not('number');
    }
    case 'boolean': {
      const word = plain.toLowerCase();
      if (['yes', 'true', '1'].includes(word)) return { ok: true, value: true };
      return ['no', 'false', '0'].includes(word) ? { ok: true, value: false } : not('yes or no');
    }
    case 'date': {
      // As people write days where the day comes first.
      const [, day = '', month = '', year] = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/.exec(plain) ?? [];
      const written = year ? `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}` : plain;
      return isDay(written) ? { ok: true, value: written } : not('day such as 2026-07-14');
    }
  }
}

/** A cell, by the indices of its row and column. */
export const cellKey = (row: number, column: number): string => `${row} ${column}`;

/** The values of the column that another one refers to, as texts; undefined where it refers to none that is there. */
export function referredValues(
  refers: Reference | undefined,
  state: readonly StateVariable[],
): ReadonlySet<string> | undefined {
  const list = refers && state.find(({ name }) => name === refers.list);
  const rows = list && rowsOf(list);
  return rows && new Set(rows.map((row) => cellText(row[refers.column])).filter(Boolean));
}

/** The key of a table tells its rows apart: each row has one, and no two have the same. */
const mustHave = ({ required, role }: Column): boolean => required === true || role === 'key';
export const mustDiffer = ({ unique, role }: Column): boolean => unique === true || role === 'key';

/**
 * What is wrong with a value by the rules of its column, but for being the same as another row's; undefined: nothing.
 *
 * @param referred the values that the column may refer to, as texts; absent: it refers to none.
 */
export function cellProblem(
  column: Column,
  value: unknown,
  referred?: ReadonlySet<string>,
): string | undefined {
  const { name, type, values, refers, min, max } = column;
  if (value === undefined || value === null || value === '')
    return mustHave(column) ? `\`${name}\` is required.` : undefined;
  const text = cellText(value);
  const reading = readCell(type, text);
  if (!reading.ok) return reading.message;
  if (values && values.length > 0 && !values.includes(text))
    return `\`${name}\` is one of ${values.join(', ')}.`;
  if (referred && !referred.has(text))
    return `There is no ${text} in \`${refers!.column}\` of \`${refers!.list}\`.`;
  if (min !== undefined && Number(value) < min) return `\`${name}\` is at least ${min}.`;
  return max !== undefined && Number(value) > max ? `\`${name}\` is at most ${max}.` : undefined;
}

/**
 * What is wrong in a table, by cell.
 *
 * @param state where what its columns refer to is found.
 */
export function tableProblems(
  columns: readonly Column[],
  rows: readonly Row[],
  state: readonly StateVariable[] = [],
): Map<string, string> {
  const found = new Map<string, string>();
  for (const [at, column] of columns.entries()) {
    const { name, refers } = column;
    const referred = referredValues(refers, state);
    const first = new Map<unknown, number>();
    for (const [index, row] of rows.entries()) {
      const value = row[name];
      const problem = cellProblem(column, value, referred);
      if (problem) found.set(cellKey(index, at), problem);
      else if (mustDiffer(column) && value !== undefined && value !== null && value !== '') {
        const before = first.get(value);
        if (before === undefined) first.set(value, index);
        else found.set(cellKey(index, at), `\`${name}\` is the same in row ${before + 1}.`);
      }
    }
  }
  return found;
}

/** The type that all of some texts can be read as. */
export function typeAmong(texts: readonly string[]): ColumnType {
  const there = texts.filter((text) => text.trim() !== '');
  // Numbers that begin with a nought are names: telephone numbers, codes.
  const coded = there.some((text) => /^0\d/.test(text.trim()));
  const fits = (type: ColumnType) => there.length > 0 && there.every((text) => readCell(type, text).ok);
  if (!coded && fits('number')) return 'number';
  if (fits('boolean')) return 'boolean';
  return fits('date') ? 'date' : 'text';
}

/** The same as lines of texts, the names of the columns first. */
export const tableLines = (columns: readonly Column[], rows: readonly Row[]): string[][] => [
  columns.map(({ name }) => name),
  ...rows.map((row) => columns.map(({ name }) => cellText(row[name]))),
];
