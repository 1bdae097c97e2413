/** Tables as files: CSV (RFC 4180, and the dialects that spreadsheets write), and JSON as a list of records. */

import Papa from 'papaparse';
import { itemAt } from '../sure.ts';
import { messageOf } from './error-message.ts';
import { isRecord } from './record.ts';
import { type Row, readTable, type TableReading, tableLines } from './table.ts';
import type { Column, StateVariable } from './types.ts';

export const isJsonFile = (name: string): boolean => name.toLowerCase().endsWith('.json');

/** Lines of a file, the first one naming the columns. @throws Error where it is no such file. */
function linesOf(name: string, text: string): string[][] {
  if (isJsonFile(name)) {
    const value: unknown = JSON.parse(text);
    if (!Array.isArray(value) || !value.every(isRecord)) throw new Error('A list of records is expected.');
    const names = [...new Set(value.flatMap((item) => Object.keys(item)))];
    return tableLines(
      names.map((each) => ({ name: each, type: 'text' })),
      value,
    );
  }
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: true });
  // One column alone has nothing that separates it from others.
  const fault = errors.find(({ code }) => code !== 'UndetectableDelimiter');
  if (fault)
    throw new Error(`${fault.message}${fault.row === undefined ? '' : `, in line ${fault.row + 1}`}`);
  return data.map((line) => line.map(unguarded));
}

/** What came of reading a file: its rows, or everything that keeps them out, in words that say where. */
export type FileReading =
  | Extract<TableReading, { ok: true }>
  | { readonly ok: false; readonly said: readonly string[] };

/**
 * Reads a file of rows. All of them come in, or none.
 *
 * @param known columns that are there already; their types and rules hold.
 * @param state where what they refer to is found.
 */
export function readTableFile(
  name: string,
  text: string,
  known: readonly Column[],
  state: readonly StateVariable[] = [],
): FileReading {
  let lines: string[][];
  try {
    lines = linesOf(name, text);
  } catch (error) {
    return { ok: false, said: [messageOf(error)] };
  }
  const reading = readTable(lines, known, state);
  if (reading.ok) return reading;
  const where = (line: number) => (isJsonFile(name) && line > 1 ? `Record ${line - 1}` : `Line ${line}`);
  return { ok: false, said: reading.problems.map(({ line, message }) => `${where(line)}: ${message}`) };
}

/** Texts that a spreadsheet takes for formulas, guarded ones included. */
const formula = /^'*[=+\-@\t\r]/;

/** A cell as CSV has it: a text that would be a formula gets a guard, which is taken off again when it is read. */
const guarded = (text: string, value: unknown): string =>
  typeof value === 'string' && formula.test(text) ? `'${text}` : text;

/** The text of a cell without its guard. */
const unguarded = (text: string): string =>
  text.startsWith("'") && formula.test(text) ? text.slice(1) : text;

/** Rows as CSV (RFC 4180); what a spreadsheet would take for a formula is kept from being one, numbers stay numbers. */
export function csvOf(columns: readonly Column[], rows: readonly Row[]): string {
  const [header = [], ...lines] = tableLines(columns, rows);
  const cells = lines.map((line, index) =>
    line.map((text, at) => guarded(text, itemAt(rows, index)[itemAt(columns, at).name])),
  );
  // A line of one empty cell would be no line: quoted, it is one.
  return Papa.unparse([header.map((name) => guarded(name, name)), ...cells], {
    quotes: (value: unknown) => value === '' && columns.length === 1,
  });
}
