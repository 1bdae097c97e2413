/**
 * Good times and bad for a project's tables: what a screen is like when there is nothing, one, many, or when all texts
 * are long. Only what variables begin with is another; the document stays as it is.
 */
import { lengthened } from './long-text.ts';
import { type Row, rowsOf } from './table.ts';
import type { Project, StateVariable } from './types.ts';

export const sampleConditions = ['typical', 'empty', 'one', 'many', 'long'] as const;
export type SampleCondition = (typeof sampleConditions)[number];

/** What each condition is called. */
export const sampleWords: Readonly<Record<SampleCondition, string>> = {
  typical: 'Rows as they are',
  empty: 'No rows',
  one: 'One row',
  many: 'Many rows',
  long: 'Rows with long texts',
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

function inCondition(variable: StateVariable, condition: SampleCondition, most: number): StateVariable {
  const rows = rowsOf(variable);
  if (!rows || rows.length === 0 || condition === 'typical') return variable;
  const initial: Readonly<Record<Exclude<SampleCondition, 'typical'>, () => readonly Row[]>> = {
    empty: () => [],
    one: () => rows.slice(0, 1),
    many: () =>
      Array.from({ length: Math.max(most, rows.length) }, (_, index) =>
        index < rows.length ? rows[index]! : numbered(rows[index % rows.length]!, index + 1),
      ),
    long: () => rows.map(withLongTexts),
  };
  return { ...variable, initial: initial[condition]() };
}

/**
 * A project with its tables in a condition; what is no table stays, and so do the controls.
 *
 * @param most how many rows are many.
 */
export function inSample(project: Project, condition: SampleCondition, most = manyRows): Project {
  if (condition === 'typical') return project;
  return { ...project, state: project.state.map((variable) => inCondition(variable, condition, most)) };
}
