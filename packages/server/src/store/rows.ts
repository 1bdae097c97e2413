/**
 * Rows of stored tables. They are kept in the database, one record a row; those of the tables that are being used are
 * held in memory as well, so that finding, sorting and turning pages begin with rows in memory.
 */

import { deflateSync, inflateSync } from 'node:zlib';
import {
  asksNothing,
  type Column,
  countOf,
  firstRows,
  initialRows,
  isBatch,
  orderOfRows,
  type Project,
  type Row,
  type RowBatch,
  type RowQuestion,
  type RowsStep,
  type StateVariable,
  type Step,
  type StoredTable,
  same,
  tableProblems,
  withRows,
} from '@hovrin/core';
import { and, asc, between, count, eq, gte, sql } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { nanoid } from 'nanoid';
import type { PackedRows } from '../work/jobs.ts';
import type { Db } from './database.ts';
import { batches, records } from './schema.ts';

/** The database, or a transaction in it. */
type Writing = Pick<Db, 'select' | 'insert' | 'update' | 'delete'>;

/** Tables that are held in memory; the one that was used longest ago goes first. */
const mostHeld = 8;
/** Questions whose answers are held with a table. */
const mostAnswers = 6;

/** A table in memory, with facts about it that were computed once. Changing rows makes a new table. */
interface HeldTable {
  readonly rows: readonly Row[];
  readonly answers: LRUCache<string, readonly number[]>;
  problems?: {
    /** The columns, and the rows of the lists that they refer to. */
    readonly by: readonly [columns: string, ...referred: readonly unknown[]];
    readonly found: ReadonlyMap<string, string>;
  };
}

export class RowStore {
  private readonly held = new LRUCache<string, HeldTable>({ max: mostHeld });

  constructor(private readonly db: Db) {}

  /** All rows of a table; none where nothing was ever put into it. */
  rows(projectId: string, tableId: string): readonly Row[] {
    return this.table(projectId, tableId).rows;
  }

  /** How many rows a table has, without reading them. */
  count(projectId: string, tableId: string, db: Writing = this.db): number {
    const held = this.held.get(keyOf(projectId, tableId));
    if (held) return held.rows.length;
    return db.select({ count: count() }).from(records).where(ofTable(projectId, tableId)).get()!.count;
  }

  /** Places of the rows that are asked for, in their order. */
  answer(projectId: string, tableId: string, question: RowQuestion): readonly number[] {
    const { rows, answers } = this.table(projectId, tableId);
    const key = JSON.stringify([question.find?.trim(), question.sort, question.descending]);
    const known = answers.get(key);
    if (known) return known;
    const order = asksNothing(question) ? [...rows.keys()] : orderOfRows(rows, question);
    answers.set(key, order);
    return order;
  }

  /** What is wrong in the cells of a table, by cell. */
  problems(
    projectId: string,
    tableId: string,
    columns: readonly Column[],
    state: readonly StateVariable[],
  ): ReadonlyMap<string, string> {
    const table = this.table(projectId, tableId);
    // Lists that a column refers to may have other rows by now.
    const lists = columns.flatMap(({ refers }) => state.find(({ name }) => name === refers?.list) ?? []);
    const referred = lists.map((list) => this.withAllRows(projectId, list));
    const by = [JSON.stringify(columns), ...referred.map(({ initial }) => initial)] as const;
    const isKnown =
      table.problems?.by.length === by.length && table.problems.by.every((each, index) => each === by[index]);
    if (!isKnown) table.problems = { by, found: tableProblems(columns, table.rows, referred) };
    return table.problems!.found;
  }

  /** A list of records with all its rows, those that the document does not hold included. */
  withAllRows(projectId: string, variable: StateVariable): StateVariable {
    return variable.table ? { ...variable, initial: this.rows(projectId, variable.table.id) } : variable;
  }

  /** Does to the rows of tables what a step does to the document. @returns why it cannot. */
  applyStep(db: Writing, projectId: string, before: Project, after: Project, step: Step): string | undefined {
    if (step.type === 'rows') {
      const table = before.state.find(({ name }) => name === step.list)?.table;
      return table && this.apply(db, projectId, table.id, step);
    }
    if (before.state === after.state) return undefined;
    const known = new Set(before.state.flatMap(({ table }) => table?.id ?? []));
    const strange = after.state.find(
      ({ table }) => table && !known.has(table.id) && this.count(projectId, table.id, db) !== table.rows,
    );
    return strange && `The rows of \`${strange.name}\` are not there.`;
  }

  /** A project that holds as many of its tables' first rows as it may. */
  withFirstRows(projectId: string, project: Project): Project {
    const isShort = (variable: StateVariable): variable is StateVariable & { table: StoredTable } =>
      variable.table !== undefined && initialRows(variable).length < Math.min(firstRows, variable.table.rows);
    if (!project.state.some(isShort)) return project;
    return {
      ...project,
      state: project.state.map((each) =>
        isShort(each) ? withRows(each, this.rows(projectId, each.table.id)) : each,
      ),
    };
  }

  /**
   * Carries out a step on a table's rows.
   *
   * @returns why it cannot be done; undefined: it was done.
   */
  apply(
    db: Writing,
    projectId: string,
    tableId: string,
    { at, remove, insert }: RowsStep,
  ): string | undefined {
    const { rows } = this.table(projectId, tableId, db);
    const removed = rows.slice(at, at + countOf(remove));
    const expected = isBatch(remove) ? this.batch(db, projectId, remove.batch) : remove;
    if (removed.length !== countOf(remove) || (expected && !same(removed, expected)))
      return 'These rows have changed meanwhile.';
    if (!expected) keepBatch(db, projectId, (remove as RowBatch).batch, removed);
    const inserted = isBatch(insert) ? this.batch(db, projectId, insert.batch) : insert;
    if (inserted?.length !== countOf(insert)) return 'The rows that come are not there any more.';
    const further = inserted.length - removed.length;
    const table = ofTable(projectId, tableId);
    if (removed.length > 0)
      db.delete(records)
        .where(and(table, between(records.place, at, at + removed.length - 1)))
        .run();
    if (further !== 0 && at + removed.length < rows.length)
      db.update(records)
        .set({ place: sql`${records.place} + ${further}` })
        .where(and(table, gte(records.place, at + removed.length)))
        .run();
    this.fill(db, projectId, tableId, inserted, at);
    this.hold(projectId, tableId, [...rows.slice(0, at), ...inserted, ...rows.slice(at + removed.length)]);
    return undefined;
  }

  /** Puts rows where there are none. */
  fill(db: Writing, projectId: string, tableId: string, rows: readonly Row[], at = 0): void {
    const insert = db
      .insert(records)
      .values({
        projectId,
        tableId,
        place: sql.placeholder('place'),
        row: sql.placeholder('row'),
      })
      .prepare();
    for (const [index, row] of rows.entries()) insert.run({ place: at + index, row: JSON.stringify(row) });
  }

  /** Keeps rows for a step that names them. */
  keep(projectId: string, rows: readonly Row[]): RowBatch {
    const batch = nanoid(16);
    keepBatch(this.db, projectId, batch, rows);
    return { batch, count: rows.length, first: rows.slice(0, firstRows) };
  }

  /** Keeps rows that were packed elsewhere for a step that names them. */
  keepPacked(projectId: string, { packed, count, first }: PackedRows): RowBatch {
    const batch = nanoid(16);
    this.db
      .insert(batches)
      .values({ projectId, id: batch, rows: Buffer.from(packed), createdAt: Date.now() })
      .run();
    return { batch, count, first };
  }

  /** Forgets what is held of a project: a change of it did not come about, or it is not there any more. */
  forget(projectId: string): void {
    for (const key of [...this.held.keys()]) if (key.startsWith(`${projectId} `)) this.held.delete(key);
  }

  private batch(db: Writing, projectId: string, id: string): readonly Row[] | undefined {
    const found = db
      .select({ rows: batches.rows })
      .from(batches)
      .where(and(eq(batches.projectId, projectId), eq(batches.id, id)))
      .get();
    return found && JSON.parse(inflateSync(found.rows).toString('utf8'));
  }

  private table(projectId: string, tableId: string, db: Writing = this.db): HeldTable {
    const key = keyOf(projectId, tableId);
    const held = this.held.get(key);
    if (held) return held;
    const rows = db
      .select({ row: records.row })
      .from(records)
      .where(ofTable(projectId, tableId))
      .orderBy(asc(records.place))
      .all()
      .map(({ row }): Row => JSON.parse(row));
    return this.hold(projectId, tableId, rows);
  }

  private hold(projectId: string, tableId: string, rows: readonly Row[]): HeldTable {
    const key = keyOf(projectId, tableId);
    const table: HeldTable = { rows, answers: new LRUCache({ max: mostAnswers }) };
    this.held.set(key, table);
    return table;
  }
}

const keyOf = (projectId: string, tableId: string) => `${projectId} ${tableId}`;

const ofTable = (projectId: string, tableId: string) =>
  and(eq(records.projectId, projectId), eq(records.tableId, tableId));

function keepBatch(db: Writing, projectId: string, id: string, rows: readonly Row[]): void {
  db.insert(batches)
    .values({ projectId, id, rows: deflateSync(JSON.stringify(rows)), createdAt: Date.now() })
    .run();
}
