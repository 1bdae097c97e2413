/** What is done to lists of records as a whole: each the steps of one change, and so one undo. */
import {
  type Column,
  changing,
  countOf,
  emptyValues,
  fitting,
  initialRows,
  type Rewriting,
  type Row,
  type RowSet,
  rewrittenRow,
  rowCount,
  rowSteps,
  rowsOf,
  type StateType,
  type StateVariable,
  type Step,
} from '@hovrin/core';
import { nanoid } from 'nanoid';
import { api } from '../api.ts';

/** Types as they are chosen: a table is a list of records whose rows are kept beside the document. */
export type ChosenType = StateType | 'table' | 'number or nothing';

export const chosenType = ({ type, table, nullable }: StateVariable): ChosenType =>
  table ? 'table' : nullable ? 'number or nothing' : type;

/** The steps that change what is said of a variable. */
export const changed = (
  variable: StateVariable,
  change: (variable: StateVariable) => StateVariable,
): Step[] => changing('state', variable, change(variable));

/** All rows of a list, as a step takes them away; of a table only the first are here. */
export function allRows(variable: StateVariable): RowSet {
  const rows = rowsOf(variable) ?? [];
  const count = rowCount(variable);
  return rows.length === count ? rows : { batch: nanoid(16), count, first: rows };
}

const replaceAll = (variable: StateVariable, rows: RowSet): Step[] =>
  countOf(rows) === 0 && rowCount(variable) === 0
    ? []
    : [{ type: 'rows', list: variable.name, at: 0, remove: allRows(variable), insert: rows }];

/** A variable whose rows are kept beside the document, with none yet. */
function asTable({ computed: _, feed, ...variable }: StateVariable): StateVariable {
  const table = variable.table ?? {
    id: nanoid(10),
    rows: 0,
    ...(feed?.status ? { status: feed.status } : {}),
  };
  return { ...variable, type: 'list', initial: [], table };
}

/** Rows in the place of all that a list has; many make a table of it. */
export function takeRows(
  variable: StateVariable,
  columns: readonly Column[],
  rows: RowSet,
  mostOfList: number,
): Step[] {
  const { name } = variable;
  if (variable.table || countOf(rows) <= mostOfList)
    return [...changed(variable, (each) => ({ ...each, columns })), ...replaceAll(variable, rows)];
  return [
    ...changed(variable, (each) => ({ ...asTable(each), columns })),
    { type: 'rows', list: name, at: 0, remove: [], insert: rows },
  ];
}

/** Gives a variable another type. @returns its steps, or why it cannot have it. */
export function retype(variable: StateVariable, type: ChosenType): Step[] | string {
  const { name } = variable;
  const rows = rowsOf(variable);
  if (type === 'table') {
    if (variable.type === 'list' && initialRows(variable).length > 0 && !rows)
      return `Not all that ${name} holds are records, so it is no table yet.`;
    return [...changed(variable, asTable), ...rowSteps(name, { added: rows ?? [] }, 0)];
  }
  const { table, nullable: _, ...rest } = variable;
  if (type === 'number or nothing') {
    const initial = fitting('number', variable.initial, true) ?? null;
    return changed(variable, () => ({ ...rest, type: 'number', nullable: true, initial }));
  }
  if (table && type === 'list' && rows && rows.length < table.rows)
    return `${name} has ${table.rows} rows; a list that is no table holds ${rows.length} of them at most.`;
  // What still fits stays: a text that is a number, a text that is a day.
  const initial = fitting(type, variable.initial) ?? emptyValues[type];
  return [
    ...(table ? replaceAll(variable, []) : []),
    ...changed(variable, () => ({ ...rest, type, initial })),
  ];
}

/** Sets the columns of a list, and converts or drops the values of a changed one. */
export async function setColumns(
  projectId: string,
  variable: StateVariable,
  columns: readonly Column[],
  rewriting: Rewriting | undefined,
): Promise<Step[]> {
  const { name } = variable;
  const said = changed(variable, (each) => ({ ...each, columns }));
  if (!rewriting || rowCount(variable) === 0) return said;
  const rows = rowsOf(variable) ?? [];
  if (rows.length < rowCount(variable))
    return [...said, ...replaceAll(variable, await api.rewritten(projectId, name, rewriting))];
  const rewritten = rows.flatMap((row: Row, place) => {
    const to = rewrittenRow(row, rewriting);
    return to === row ? [] : [{ place, row, to }];
  });
  return [...said, ...rowSteps(name, { changed: rewritten }, rows.length)];
}
