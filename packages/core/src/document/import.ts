/** Rows of a file that come to a table: which of its columns they go to, what becomes of the rows there, and which are not right. */

import { forbiddenKeys } from './forbidden-keys.ts';
import { keyOf } from './row-identity.ts';
import { nextKey } from './row-rules.ts';
import { cellText, type Row, readCell, tableProblems, typeAmong } from './table.ts';
import type { Column, StateVariable } from './types.ts';

/** They come behind the rows there, take their place, or change those with the same key and come behind where there is none. */
export type ImportMode = 'append' | 'replace' | 'update';

export const importModes: readonly ImportMode[] = ['append', 'replace', 'update'];

export interface ImportPlan {
  readonly mode: ImportMode;
  /** The column that each head of the file goes to, by the head; `null`: it is left out. */
  readonly columns: Readonly<Record<string, string | null>>;
  /** Rows that are not right are left out; otherwise they keep out all. */
  readonly onlyGood: boolean;
}

/** A line of the file that is not right. */
export interface BadLine {
  /** Number of the line, the one with the heads being the first. */
  readonly line: number;
  readonly cells: readonly string[];
  readonly message: string;
}

export interface Import {
  readonly columns: readonly Column[];
  /** All rows that the table has afterwards. */
  readonly rows: readonly Row[];
  /** How many lines of the file are taken. */
  readonly taken: number;
  readonly bad: readonly BadLine[];
}

/** A head without case, accents and what stands between its words: `Guest name` and `guestName` are alike. */
const plainName = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/[^\p{L}\p{N}]/gu, '')
    .toLowerCase();

/** Which columns the heads of a file may be meant for: those of the same name, else columns of their own. */
export function guessColumns(
  heads: readonly string[],
  known: readonly Column[],
): Record<string, string | null> {
  const free = new Set(known.map(({ name }) => name));
  // A head may be called like something that all objects have.
  const guessed: Record<string, string | null> = Object.create(null);
  for (const exact of [true, false])
    for (const head of heads) {
      if (guessed[head] !== undefined) continue;
      const match = [...free].find((name) =>
        exact ? name === head.trim() : plainName(name) === plainName(head),
      );
      if (match === undefined) continue;
      guessed[head] = match;
      free.delete(match);
    }
  for (const head of heads) guessed[head] ??= head.trim() === '' ? null : head.trim();
  return guessed;
}

/**
 * What is wrong with a plan as a whole; undefined where nothing is.
 *
 * @param heads of the file.
 * @param known columns of the table.
 */
export function planProblem(
  plan: ImportPlan,
  heads: readonly string[],
  known: readonly Column[],
): string | undefined {
  if (heads.every((head) => head.trim() === '')) return 'The first line names the columns; it is empty.';
  const same = heads.find((head, index) => head.trim() !== '' && heads.indexOf(head) < index);
  if (same !== undefined) return `The file has two columns \`${same}\`.`;
  const targets = Object.values(plan.columns).filter((target) => target !== null);
  const twice = targets.find((target, index) => targets.indexOf(target) < index);
  if (twice !== undefined) return `Two columns of the file go to \`${twice}\`.`;
  const out = targets.find((target) => forbiddenKeys.has(target) || target.trim() === '');
  if (out !== undefined) return `A column cannot be called \`${out}\`.`;
  if (targets.length === 0) return 'No column of the file is taken.';
  const key = keyOf(known);
  if (plan.mode !== 'update') return undefined;
  if (key === undefined) return 'Rows are updated by the key of the table, which has none.';
  return targets.includes(key) ? undefined : `No column of the file goes to the key \`${key}\`.`;
}

/** Numbers as they are written where a comma stands before the fraction: `1.204,5`. */
const withComma = /^[+-]?(?:\d+|\d{1,3}(?:[. \u00a0\u202f]\d{3})+)(?:,\d+)?$/;

/** The texts of a column, those with a decimal comma as ECMAScript writes numbers. */
function decimals(texts: readonly string[]): readonly string[] {
  const there = texts.map((text) => text.trim()).filter(Boolean);
  const isComma = there.some((text) => /,\d+$/.test(text)) && there.every((text) => withComma.test(text));
  if (!isComma) return texts;
  return texts.map((text) =>
    text
      .trim()
      .replace(/[. \u00a0\u202f]/g, '')
      .replace(',', '.'),
  );
}

/** A column of the file: where it stands, the column that it goes to, and its texts. */
interface Coming {
  readonly column: Column;
  readonly texts: readonly string[];
}

function comingColumns(
  [heads = [], ...body]: readonly (readonly string[])[],
  plan: ImportPlan,
  known: readonly Column[],
): readonly Coming[] {
  return heads.flatMap((head, at): Coming[] => {
    const target = Object.hasOwn(plan.columns, head) ? plan.columns[head] : null;
    if (target === null || target === undefined) return [];
    const given = body.map((cells) => cells[at] ?? '');
    const column = known.find(({ name }) => name === target);
    const texts = column && column.type !== 'number' ? given : decimals(given);
    return [
      {
        column: column ?? { name: target, type: typeAmong(texts) },
        texts: column || typeAmong(texts) === 'number' ? texts : given,
      },
    ];
  });
}

/**
 * Takes the lines of a file into a table.
 *
 * @param lines the first one has the heads.
 * @param into what the table has: its columns and rows; and the state, where what columns refer to is found.
 */
export function importLines(
  lines: readonly (readonly string[])[],
  plan: ImportPlan,
  into: {
    readonly columns: readonly Column[];
    readonly rows: readonly Row[];
    readonly state: readonly StateVariable[];
  },
): Import {
  const coming = comingColumns(lines, plan, into.columns);
  const added = coming.map(({ column }) => column).filter((column) => !into.columns.includes(column));
  const columns = [...into.columns, ...added];
  const problems = new Map<number, string>();
  const say = (line: number, message: string) => {
    const before = problems.get(line);
    problems.set(line, before === undefined ? message : `${before} ${message}`);
  };
  const heads = lines[0]?.length ?? 0;
  const read = lines.slice(1).map((cells, index) => {
    if (cells.length > heads) say(index, `There are ${cells.length} values, but ${heads} columns.`);
    const row: Record<string, unknown> = {};
    for (const { column, texts } of coming) {
      const reading = readCell(column.type, texts[index] ?? '');
      if (!reading.ok) say(index, `${column.name}: ${reading.message}`);
      else if (reading.value !== undefined) row[column.name] = reading.value;
    }
    return row;
  });
  const { rows, places } = placed(read, plan.mode, columns, into.rows);
  const lineAt = new Map(places.map((place, line) => [place, line]));
  for (const [cell, message] of tableProblems(columns, rows, into.state)) {
    const line = lineAt.get(Number(cell.split(' ')[0]));
    if (line !== undefined) say(line, message);
  }
  const bad = [...problems]
    .toSorted(([a], [b]) => a - b)
    .map(([line, message]): BadLine => ({ line: line + 2, cells: lines[line + 1] ?? [], message }));
  const kept = read.filter((_, line) => !problems.has(line));
  return {
    columns,
    rows: bad.length > 0 ? placed(kept, plan.mode, columns, into.rows).rows : rows,
    taken: kept.length,
    bad,
  };
}

/** @returns gives one new key after another, none of which stands in `rows`. */
function keysBehind(key: Column, rows: readonly Row[]): () => number | string {
  let next = Number(nextKey(key, rows));
  return () => (key.type === 'number' ? next++ : String(next++));
}

/** The rows of a table when others have come to it, and the place of each of these. */
function placed(
  coming: readonly Row[],
  mode: ImportMode,
  columns: readonly Column[],
  before: readonly Row[],
): { readonly rows: readonly Row[]; readonly places: readonly number[] } {
  const rows: Row[] = mode === 'replace' ? [] : [...before];
  const key = columns.find(({ role }) => role === 'key');
  const byKey = new Map(
    key && mode === 'update' ? rows.map((row, place) => [cellText(row[key.name]), place] as const) : [],
  );
  const numbering = key && keysBehind(key, [...rows, ...coming]);
  const places = coming.map((row) => {
    const held = key ? cellText(row[key.name]) : '';
    const known = held === '' ? undefined : byKey.get(held);
    const place = known ?? rows.length;
    const numbered = key && numbering && held === '' ? { ...row, [key.name]: numbering() } : row;
    rows[place] = known === undefined ? numbered : { ...rows[place], ...row };
    return place;
  });
  return { rows, places };
}
