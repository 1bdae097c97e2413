/** The table of words as plain data: a row a text, a column a language; searched, filtered, pasted into. */
import {
  type Locale,
  type Project,
  type Step,
  type StringRow,
  type StringState,
  stringRows,
  type Translation,
  translating,
} from '@hovrin/core';
import { group } from 'd3-array';

/** A text, and how it stands in each language that is translated into. */
export interface WordsRow {
  readonly key: string;
  readonly source: string;
  /** By tag; none for a text that is not there any more in the languages that never had it. */
  readonly in: ReadonlyMap<string, StringRow>;
  /** How many other texts say the same. */
  readonly same: number;
  /** Other texts that differ in capitals, spaces and signs only. */
  readonly near: readonly string[];
}

/** Which rows are seen. */
export type Wanted = 'all' | Exclude<StringState, 'done'> | 'same';

export const wantedWords: Readonly<Record<Wanted, string>> = {
  all: 'All texts',
  missing: 'Missing',
  stale: 'Stale: the source changed',
  wrong: 'Not used: something is wrong',
  same: 'The same, or nearly, elsewhere',
  unused: 'Of texts that are gone',
};

/** The languages that are translated into. */
export const targets = ({ locales = [] }: Project): readonly Locale[] => locales.slice(1);

export function wordsRows(project: Project): readonly WordsRow[] {
  const all = targets(project).map((locale) => [locale.tag, stringRows(project, locale)] as const);
  const [, first = []] = all[0] ?? [];
  const rows = new Map<string, { key: string; source: string; in: Map<string, StringRow> }>();
  for (const [tag, ofLocale] of all)
    for (const row of ofLocale) {
      const made = rows.get(row.key) ?? { key: row.key, source: row.source ?? '', in: new Map() };
      made.in.set(tag, row);
      rows.set(row.key, made);
    }
  const counts = new Map<string, number>();
  for (const { source } of first) if (source !== undefined) counts.set(source, (counts.get(source) ?? 0) + 1);
  const alike = group(counts.keys(), plainOf);
  return [...rows.values()].map((row) => ({
    ...row,
    same: Math.max(0, (counts.get(row.source) ?? 1) - 1),
    near: (alike.get(plainOf(row.source)) ?? []).filter((text) => text !== row.source),
  }));
}

/** A text without what people write one way here and another way there; itself where nothing is left. */
const plainOf = (text: string): string => text.toLowerCase().replaceAll(/[^\p{L}\p{N}{}]/gu, '') || text;

/** @param typed words that are looked for in keys, sources and translations. */
export function rowsWanted(rows: readonly WordsRow[], wanted: Wanted, typed: string): readonly WordsRow[] {
  const words = typed.trim().toLowerCase();
  return rows.filter((row) => {
    const states = [...row.in.values()];
    const isWanted =
      wanted === 'all'
        ? states.some(({ state }) => state !== 'unused')
        : wanted === 'same'
          ? row.same > 0 || row.near.length > 0
          : states.some(({ state }) => state === wanted);
    if (!isWanted || words === '') return isWanted;
    return [row.key, row.source, ...states.map(({ translation }) => translation?.text ?? '')].some((text) =>
      text.toLowerCase().includes(words),
    );
  });
}

/** How much of a language is translated: 0 to 1. */
export function progressOf(rows: readonly WordsRow[], tag: string): number {
  const states = rows
    .flatMap(({ in: all }) => all.get(tag)?.state ?? [])
    .filter((state) => state !== 'unused');
  const done = states.filter((state) => state === 'done' || state === 'stale').length;
  return states.length === 0 ? 1 : done / states.length;
}

/** A text that is typed into a cell. */
export interface Typed {
  readonly row: WordsRow;
  readonly tag: string;
  readonly text: string;
}

/** The steps that take what was typed; notes stay. */
export function typedSteps(project: Project, typed: readonly Typed[]): readonly Step[] {
  return targets(project).flatMap((locale) => {
    const own = typed.filter(({ tag }) => tag === locale.tag);
    if (own.length === 0) return [];
    const texts = own.map(({ row, text }): [string, Translation] => {
      const note = row.in.get(locale.tag)?.translation?.note;
      return [row.key, { text, source: row.source, ...(note === undefined ? {} : { note }) }];
    });
    return translating(project, locale, Object.fromEntries(texts));
  });
}

/** What a paste from a spreadsheet brings, from a cell on: lines are rows, tabs part columns. */
export function pasted(
  rows: readonly WordsRow[],
  tags: readonly string[],
  at: { readonly row: number; readonly column: number },
  text: string,
): readonly Typed[] {
  const lines = text.replace(/\r?\n$/, '').split(/\r?\n/);
  return lines.flatMap((line, down) =>
    line.split('\t').flatMap((cell, across): Typed[] => {
      const row = rows[at.row + down];
      const tag = tags[at.column + across];
      return row && tag !== undefined ? [{ row, tag, text: cell }] : [];
    }),
  );
}
