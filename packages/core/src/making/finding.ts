/** A search over a list: a variable for the search text, and the list of the records that contain it. */
import { memberText } from '../document/member-text.ts';
import type { Column, Project, StateVariable } from '../document/types.ts';
import { putting } from '../steps/entities.ts';
import type { Step } from '../steps/step.ts';
import { capital, freeStateName } from './maker.ts';
import { nameReferred, readText } from './referring.ts';

export interface Finding {
  /** What is looked for. */
  readonly variable: StateVariable;
  /** An expression: the records that have it somewhere. */
  readonly found: string;
}

/** @param taken names that the screen's other variables have. */
export function findingIn(
  project: Project,
  list: string,
  columns: readonly Column[],
  taken: readonly string[] = [],
): Finding {
  const names = new Set([...project.state.map(({ name }) => name), ...taken]);
  const name = freeStateName(names, `find${capital(list)}`);
  const fields = columns.map((column) => readText('row', column, project.state)).join(', ');
  return {
    variable: { name, type: 'text', initial: '' },
    found: `(${name}.trim() == '' ? ${list} : ${list}.filter(row => [${fields}].join(' ').toLowerCase().includes(${name}.trim().toLowerCase())))`,
  };
}

/** What a record's field reads like, as a text with an expression. @param of the record. */
export function shownOf(of: string, column: Column, { state }: Pick<Project, 'state'>): string {
  const { name, type, refers } = column;
  if (nameReferred(refers, state) !== undefined) return `{${readText(of, column, state)}}`;
  const value = memberText(of, name);
  if (type === 'number') return `{Format.number(${value})}`;
  if (type === 'date') return `{Format.date(${value})}`;
  return type === 'boolean' ? `{${value} ? 'yes' : 'no'}` : `{${value}}`;
}

/** The steps that add variables to those that are there. */
export const addingState = (...variables: readonly StateVariable[]): Step[] =>
  variables.map((variable) => putting('state', variable));
