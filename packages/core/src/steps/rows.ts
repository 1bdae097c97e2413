/** Steps that change rows of a list of records: of one that the document holds, and of a table beside it. */

import { isRecord } from '../document/record.ts';
import { same } from '../document/same.ts';
import { countValues, mostValues } from '../document/state.ts';
import {
  countOf,
  firstAfter,
  firstOf,
  isBatch,
  mostTableRows,
  rowCount,
  rowsProblem,
  type Splice,
} from '../document/stored-table.ts';
import { type Row, rowsOf } from '../document/table.ts';
import type { Project } from '../document/types.ts';
import { itemAt } from '../sure.ts';
import { type Applied, refuse, type StepKind } from './applied.ts';

/** Puts rows in the place of others. The rows that go have to be the rows that stand there, so that nobody's change is lost unseen. */
export interface RowsStep extends Splice {
  readonly type: 'rows';
  /** Name of the variable. */
  readonly list: string;
}

/** Rows of one step, as they may travel with it. */
export const mostRowsOfStep = 20_000;

/** A row with its place in its list. */
export interface PlacedRow {
  readonly place: number;
  readonly row: Row;
}

/** What is to become of rows of a list. */
export interface RowEdit {
  /** The current rows, each with its new value; undefined: the row is deleted. Each index once. */
  readonly changed?: readonly (PlacedRow & { readonly to: Row | undefined })[];
  /** Rows that come behind the last one. */
  readonly added?: readonly Row[];
}

/**
 * Steps that make an edit of rows: one for each run of rows next to each other, the last of them first, so that the
 * places of the others stay what they are. More rows than a step carries are several.
 *
 * @param count how many rows the list has.
 */
export function rowSteps(list: string, { changed = [], added = [] }: RowEdit, count: number): RowsStep[] {
  const steps: RowsStep[] = [];
  for (let from = 0; from < added.length; from += mostRowsOfStep)
    steps.push({
      type: 'rows',
      list,
      at: count + from,
      remove: [],
      insert: added.slice(from, from + mostRowsOfStep),
    });
  const inOrder = changed.toSorted((a, b) => a.place - b.place);
  for (let end = inOrder.length; end > 0; ) {
    let begin = end - 1;
    while (
      begin > 0 &&
      end - begin < mostRowsOfStep &&
      itemAt(inOrder, begin - 1).place === itemAt(inOrder, begin).place - 1
    )
      begin -= 1;
    const run = inOrder.slice(begin, end);
    steps.push({
      type: 'rows',
      list,
      at: itemAt(run, 0).place,
      remove: run.map(({ row }) => row),
      insert: run.flatMap(({ to }) => (to ? [to] : [])),
    });
    end = begin;
  }
  return steps;
}

/** Whether rows are the ones that stand at a place; of a table only the first are known here. */
const standThere = (first: readonly unknown[], { at, remove }: Splice): boolean =>
  firstOf(remove).every((row, index) => at + index >= first.length || same(row, first[at + index]));

function changeRows(project: Project, step: RowsStep): Applied {
  const { list, at, remove, insert } = step;
  const index = project.state.findIndex(({ name }) => name === list);
  const variable = project.state[index];
  const rows = variable && rowsOf(variable);
  if (!rows) return refuse('There is no list of records of that name any more.', list);
  const before = rowCount(variable);
  const after = before - countOf(remove) + countOf(insert);
  if (at > before || at + countOf(remove) > before || !standThere(rows, step))
    return refuse('These rows have changed meanwhile.', list);
  if (after > mostTableRows) return refuse(`A table has at most ${mostTableRows} rows.`, list);
  if (!variable.table && (isBatch(remove) || isBatch(insert)))
    return refuse('So many rows only go into a table.', list);
  const next = variable.table
    ? firstAfter(rows, step)
    : {
        first: [...rows.slice(0, at), ...firstOf(insert), ...rows.slice(at + countOf(remove))],
        out: [],
      };
  if (!variable.table && countValues(next.first) > mostValues)
    return refuse(`A list holds at most ${mostValues} values at its start; a table holds more.`, list);
  const changed = {
    ...variable,
    initial: next.first,
    ...(variable.table ? { table: { ...variable.table, rows: after } } : {}),
  };
  return {
    ok: true,
    project: { ...project, state: project.state.with(index, changed) },
    inverse: {
      type: 'rows',
      list,
      at,
      remove: insert,
      insert: remove,
      ...(next.out.length > 0 ? { behind: next.out } : {}),
    },
  };
}

function rowsFault(step: Readonly<Record<string, unknown>>): string | undefined {
  const { list, at, remove, insert, behind = [] } = step;
  if (typeof list !== 'string' || !Number.isInteger(at) || Number(at) < 0)
    return 'A change of rows has no place.';
  return setProblem(remove) ?? setProblem(insert) ?? rowsProblem(behind);
}

function setProblem(set: unknown): string | undefined {
  if (Array.isArray(set))
    return set.length > mostRowsOfStep ? `A step carries at most ${mostRowsOfStep} rows.` : rowsProblem(set);
  if (!isRecord(set)) return 'A change of rows has none.';
  const { batch, count, first } = set;
  if (typeof batch !== 'string' || !/^[\w-]{1,64}$/.test(batch)) return 'A batch of rows has no name.';
  if (!Number.isInteger(count) || Number(count) < 0) return 'A batch of rows has no count.';
  const problem = rowsProblem(first);
  if (problem) return problem;
  return Array.isArray(first) && first.length > Number(count)
    ? 'A batch of rows has more rows than it says.'
    : undefined;
}

export const rowsKind: StepKind<RowsStep> = {
  type: 'rows',
  apply: changeRows,
  fault: (_, step) => rowsFault(step),
  mapped: (_, step, { of, from, to }) =>
    of === 'state' && step.list === from ? { ...step, list: to } : step,
};
