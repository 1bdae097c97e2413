/** Rows as a grid shows them, wherever they are kept: those of a list in the document, those of a table on the server. */
import {
  asksNothing,
  type Column,
  cellKey,
  itemAt,
  orderOfRows,
  type PlacedRow,
  type RowEdit,
  type RowQuestion,
  rowsOf,
  type StateVariable,
  type StoredTable,
  tableProblems,
} from '@hovrin/core';
import { useQueries, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { api, type RowPage } from '../api.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';

/** Rows that were asked for, in their order. */
export interface RowSource {
  /** How many are shown, and how many there are. */
  readonly count: number;
  readonly total: number;
  /** How many cells are not right. */
  readonly wrong: number;
  /** Why there is nothing; undefined while all is well. */
  readonly failed: string | undefined;
  /** Whether it is not known yet how many there are. */
  readonly isWaiting: boolean;
  /** A row that is shown; undefined while it is on its way. */
  row(index: number): PlacedRow | undefined;
  problemAt(index: number, column: string): string | undefined;
  /** Tells which rows are seen, so that they come. */
  see(first: number, last: number): void;
  /** Shows what changed rows have become, before the place where they are kept says so. */
  show(edit: RowEdit): void;
  /** Rows next to each other, also those that nobody has seen yet. */
  stretch(from: number, until: number): Promise<readonly PlacedRow[]>;
}

/** Rows of a list that the document holds. */
export function useListRows(
  variable: StateVariable,
  columns: readonly Column[],
  state: readonly StateVariable[],
  question: RowQuestion,
): RowSource {
  const { find = '', sort, descending = false } = question;
  return useMemo(() => {
    const rows = rowsOf(variable) ?? [];
    const asked: RowQuestion = { find, descending, ...(sort === undefined ? {} : { sort }) };
    const order = asksNothing(asked) ? [...rows.keys()] : orderOfRows(rows, asked);
    const problems = tableProblems(columns, rows, state);
    const at = (index: number): PlacedRow | undefined =>
      order[index] === undefined ? undefined : { place: order[index], row: itemAt(rows, order[index]) };
    return {
      count: order.length,
      total: rows.length,
      wrong: problems.size,
      failed: undefined,
      isWaiting: false,
      row: at,
      problemAt: (index, column) =>
        problems.get(
          cellKey(
            order[index] ?? -1,
            columns.findIndex(({ name }) => name === column),
          ),
        ),
      see: () => {},
      show: () => {},
      stretch: (from, until) =>
        Promise.resolve(order.slice(from, until).map((_, index) => at(from + index)!)),
    };
  }, [variable, columns, state, find, sort, descending]);
}

/** Rows of one page. */
const pageLength = 200;

/** Rows of a table on the server, page by page. */
export function useStoredRows(
  variable: StateVariable & { readonly table: StoredTable },
  question: RowQuestion,
): RowSource {
  const { editor } = useWorkplace();
  const { projectId } = editor;
  const queries = useQueryClient();
  const { name, table } = variable;
  const key = ['rows', projectId, table.id];
  const [seen, setSeen] = useState<readonly number[]>([0]);
  const pages = useQueries({
    queries: seen.map((page) => ({
      queryKey: [...key, question, page],
      queryFn: async () => {
        // The answer contains the changes made here.
        await editor.settled();
        return api.rows(projectId, name, question, page * pageLength, pageLength);
      },
      // Whoever changes rows says so.
      staleTime: Number.POSITIVE_INFINITY,
    })),
  });
  const { revision } = useEditorState('revision');
  // Any change of the variable may be one of its rows; what came before the server had it is asked for again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the variable is another one after each change of its rows.
  useEffect(() => {
    void queries.invalidateQueries({ queryKey: ['rows', projectId, table.id] });
  }, [queries, projectId, table.id, variable, revision]);
  const known = new Map<number, RowPage>();
  for (const [index, page] of seen.entries()) {
    const data = pages[index]?.data;
    if (data) known.set(page, data);
  }
  const [any] = known.values();
  // While others come it is as long as it was, so that nothing jumps.
  const last = useRef<RowPage>(undefined);
  useEffect(() => {
    if (any) last.current = any;
  }, [any]);
  const counts = any ?? last.current;
  // The first rows are here, and always as they are now.
  const asks = !asksNothing(question);
  const first = asks ? [] : (rowsOf(variable) ?? []);
  const placed = (index: number): RowPage['rows'][number] | undefined => {
    const come = known.get(Math.floor(index / pageLength))?.rows[index % pageLength];
    return index < first.length ? { ...come, place: index, row: itemAt(first, index) } : come;
  };
  const isKnown = (from: number, until: number) => {
    for (let page = Math.floor(from / pageLength); page * pageLength < until; page++)
      if (!known.has(page) && Math.min(until, (page + 1) * pageLength) > first.length) return false;
    return true;
  };
  const error = pages.find(({ isError }) => isError)?.error;
  return {
    count: asks ? (counts?.found ?? 0) : table.rows,
    total: table.rows,
    wrong: counts?.wrong ?? 0,
    failed: error ? error.message : undefined,
    isWaiting: asks && !counts && !error,
    row: placed,
    problemAt: (index, column) => placed(index)?.wrong?.[column],
    see: (first, last) => {
      const wanted: number[] = [];
      for (let page = Math.floor(first / pageLength); page * pageLength <= last; page++) wanted.push(page);
      if (wanted.join() !== seen.join()) setSeen(wanted.length > 0 ? wanted : [0]);
    },
    show: ({ changed = [] }) => {
      const become = new Map(changed.map(({ place, to }) => [place, to]));
      queries.setQueriesData<RowPage>(
        { queryKey: key },
        (page) =>
          page && {
            ...page,
            rows: page.rows.map((each) => {
              const to = become.get(each.place);
              return to ? { place: each.place, row: to } : each;
            }),
          },
      );
    },
    stretch: async (from, until) => {
      if (isKnown(from, until))
        return Array.from({ length: until - from }, (_, index) => placed(from + index)!);
      await editor.settled();
      const { rows } = await api.rows(projectId, name, question, from, until - from);
      return rows;
    },
  };
}
