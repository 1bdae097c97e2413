/** Whole tables read from texts, all rows or none, each head as a column of its own name. */
import {
  type Column,
  guessColumns,
  importLines,
  linesOfFile,
  lineWords,
  messageOf,
  planProblem,
  type Row,
} from '../src/index.ts';

type Reading =
  | { readonly ok: true; readonly columns: readonly Column[]; readonly rows: readonly Row[] }
  | { readonly ok: false; readonly said: readonly string[] };

export function readLines(lines: readonly string[][], known: readonly Column[], name = 'a.csv'): Reading {
  const [heads = []] = lines;
  const plan = {
    mode: 'replace',
    onlyGood: false,
    columns: guessColumns(heads, known),
  } as const;
  const problem = planProblem(plan, heads, known);
  if (problem) return { ok: false, said: [problem] };
  const read = importLines(lines, plan, { columns: known, rows: [], state: [] });
  const columns = read.columns.filter((column) => heads.includes(column.name));
  return read.bad.length > 0
    ? { ok: false, said: read.bad.map(({ line, message }) => `${lineWords(name, line)}: ${message}`) }
    : { ok: true, columns, rows: read.rows };
}

export function readTableFile(name: string, text: string, known: readonly Column[]): Reading {
  try {
    return readLines(linesOfFile(name, text), known, name);
  } catch (error) {
    return { ok: false, said: [messageOf(error)] };
  }
}
