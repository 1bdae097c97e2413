/**
 * Good times and bad for a project's tables and feeds: what a screen is like when there is nothing, one, many, when all
 * texts are long, when what comes from outside is slow or does not come. Only what variables begin with is another; the document stays as it is.
 */

import type { FeedStatus } from '../document/feed.ts';
import { isRecord } from '../document/record.ts';
import { idleAnswer, type Request } from '../document/source.ts';
import { rowCount } from '../document/stored-table.ts';
import { type Row, rowsOf } from '../document/table.ts';
import { toldBy } from '../document/told.ts';
import type { Project, StateVariable } from '../document/types.ts';
import { sampleResult } from '../requests/sample-result.ts';
import { itemAt } from '../sure.ts';
import { lengthened } from './long-text.ts';

export const sampleConditions = ['typical', 'empty', 'one', 'many', 'long', 'slow', 'failing'] as const;
export type SampleCondition = (typeof sampleConditions)[number];

/** What each condition is called. */
export const sampleWords: Readonly<Record<SampleCondition, string>> = {
  typical: 'Rows as they are',
  empty: 'No rows',
  one: 'One row',
  many: 'Many rows',
  long: 'Rows with long texts',
  slow: 'Slow feeds, tables and services',
  failing: 'Failing feeds, tables and services',
};

/** How many rows are many. */
export const manyRows = 1000;

/** A row like another one, told apart by a number behind its first text. */
function numbered(row: Row, number: number): Row {
  const name = Object.keys(row).find((key) => typeof row[key] === 'string');
  return name === undefined ? row : { ...row, [name]: `${String(row[name])} ${number}` };
}

const withLongTexts = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(row).map(([name, value]) => [
      name,
      typeof value === 'string' && /\p{L}{2}/u.test(value) ? lengthened(`${value} ${value}`) : value,
    ]),
  );

/** Conditions of how values arrive; the others are of which rows there are. */
type ComingCondition = 'slow' | 'failing';
const isOfComing = (condition: SampleCondition): condition is ComingCondition =>
  condition === 'slow' || condition === 'failing';

/** Seconds until a slow feed begins, and slow rows come. */
const slowSeconds = 5;

/** A request that has not been answered, or was not. */
const answeringSo = (variable: StateVariable, request: Request, trouble: ComingCondition): StateVariable => ({
  ...variable,
  request: { ...request, trouble },
  initial: {
    ...idleAnswer,
    ...(trouble === 'slow'
      ? { state: 'waiting' }
      : { state: 'failed', error: 'The service does not answer.' }),
  },
});

/** Variables whose feeds or rows are slow or do not come, with those that tell of it. */
function comingSo(state: readonly StateVariable[], condition: ComingCondition): StateVariable[] {
  const told = new Set(state.flatMap((variable) => toldBy(variable) ?? []));
  return state.map((variable): StateVariable => {
    if (told.has(variable.name))
      return { ...variable, initial: (condition === 'slow' ? 'waiting' : 'failed') satisfies FeedStatus };
    const { feed, table, ...rest } = variable;
    const wait = slowSeconds;
    if (rest.request) return answeringSo(rest, rest.request, condition);
    if (rest.remote) return { ...rest, initial: [] };
    if (feed) return condition === 'slow' ? { ...rest, feed: { ...feed, wait } } : rest;
    if (!table) return variable;
    return { ...rest, initial: [], ...(condition === 'slow' ? { table: { ...table, wait } } : {}) };
  });
}

function inCondition(
  variable: StateVariable,
  condition: Exclude<SampleCondition, ComingCondition>,
  most: number,
): StateVariable {
  const rows = rowsOf(variable) ?? answeredRows(variable);
  if (!rows || rows.length === 0 || condition === 'typical') return variable;
  const { table, ...plain } = variable;
  if (condition === 'many' && rowCount(variable) >= most) return variable;
  const changed = rowsIn(rows, condition, most);
  const { initial } = variable;
  return {
    ...plain,
    initial: variable.request && isRecord(initial) ? { ...initial, result: changed } : changed,
  };
}

/** The rows that a request's sample answers with; undefined where that is something else. */
function answeredRows(variable: StateVariable): readonly Row[] | undefined {
  const result = sampleResult(variable);
  return Array.isArray(result) && result.every(isRecord) ? result : undefined;
}

function rowsIn(
  rows: readonly Row[],
  condition: Exclude<SampleCondition, ComingCondition | 'typical'>,
  most: number,
): readonly Row[] {
  const made: Readonly<Record<typeof condition, () => readonly Row[]>> = {
    empty: () => [],
    one: () => rows.slice(0, 1),
    many: () =>
      Array.from({ length: Math.max(most, rows.length) }, (_, index) =>
        index < rows.length ? itemAt(rows, index) : numbered(itemAt(rows, index % rows.length), index + 1),
      ),
    long: () => rows.map(withLongTexts),
  };
  return made[condition]();
}

/**
 * A project with its tables in a condition; what is no table stays, and so do the controls.
 *
 * @param most how many rows are many.
 */
export function inSample(project: Project, condition: SampleCondition, most = manyRows): Project {
  if (condition === 'typical') return project;
  if (isOfComing(condition)) return { ...project, state: comingSo(project.state, condition) };
  return { ...project, state: project.state.map((variable) => inCondition(variable, condition, most)) };
}
