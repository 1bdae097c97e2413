/** Tables as files: CSV (RFC 4180, and the dialects that spreadsheets write), and JSON as a list of records. */

import Papa from 'papaparse';
import { itemAt } from '../sure.ts';
import { isRecord } from './record.ts';
import { type Row, tableLines } from './table.ts';
import type { Column } from './types.ts';

export const isJsonFile = (name: string): boolean => name.toLowerCase().endsWith('.json');

/**
 * The text of a file: UTF-8 or UTF-16 where it says so or can be that, else as older spreadsheets write it (Encoding
 * Standard §4, `windows-1252`).
 */
export function textOfFile(bytes: Uint8Array): string {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (first === 0xfe && second === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** Lines of a file, the first one naming the columns. @throws Error where it is no such file. */
export function linesOfFile(name: string, text: string): string[][] {
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

/** A line of a file, as a person finds it there: in a list of records the one with the heads is none. */
export const lineWords = (name: string, line: number): string =>
  isJsonFile(name) && line > 1 ? `Record ${line - 1}` : `Line ${line}`;

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
