/**
 * Projects in the database: each is its newest snapshot and the log entries after it. All writing goes through
 * `append`, in one transaction an entry list.
 */

import {
  type Appended,
  type HistoryEntry,
  initialRows,
  newScreen,
  type Project,
  projectProblem,
  type Row,
  type SentEntry,
  type StateVariable,
  type Step,
  type StoredEntry,
  type StoredRows,
  untitled,
} from '@hovrin/core';
import { and, asc, count, desc, eq, gt, isNull } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { nanoid } from 'nanoid';
import type { Db, Transaction } from './database.ts';
import { Log, type Run } from './log.ts';
import { PictureStore } from './pictures.ts';
import { type ReadProject, readProjectFrom, UnreadableProject } from './reading.ts';
import { RowStore } from './rows.ts';
import { projects, snapshots, unreadable } from './schema.ts';
import { Versions } from './versions.ts';

export { UnreadableProject } from './reading.ts';

/** Projects that are held in memory; the one that was used longest ago goes first. */
const mostHeld = 20;

export interface ProjectSummary {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  /** Milliseconds since 1970. */
  readonly updatedAt: number;
  readonly deletedAt: number | null;
  /** Undefined where it is not known, since the project cannot be read. */
  readonly screens: number | undefined;
}

/** Told of each stored entry. */
export type Listener = (entry: StoredEntry) => void;

/** When a project was deleted of which not all is there yet: so long ago that the next sweep takes what a power cut left. */
const coming = 0;

export class Store {
  /** Newest versions of projects in use. */
  readonly #open = new LRUCache<string, ReadProject>({ max: mostHeld });
  readonly #listeners = new Map<string, Set<Listener>>();
  readonly #db: Db;
  readonly #now: () => number;
  readonly #log: Log;
  /** Rows of stored tables. */
  readonly rows: RowStore;
  readonly pictures: PictureStore;
  readonly versions: Versions;

  constructor(db: Db, now: () => number = Date.now) {
    this.#db = db;
    this.#now = now;
    this.#log = new Log(db, now);
    this.rows = new RowStore(db);
    this.pictures = new PictureStore(db);
    this.versions = new Versions(db, now);
  }

  /** All projects, newest first; no document is read for it. */
  list(deleted = false): ProjectSummary[] {
    return this.#db
      .select()
      .from(projects)
      .where(deleted ? gt(projects.deletedAt, coming) : isNull(projects.deletedAt))
      .orderBy(desc(projects.updatedAt))
      .all()
      .map(({ id, name, revision, updatedAt, deletedAt, screens }) => ({
        id,
        name,
        revision,
        updatedAt,
        deletedAt,
        screens: screens ?? this.#counted(id),
      }));
  }

  /** How many screens a project of an older version of Hovrin has; counted once. */
  #counted(id: string): number | undefined {
    try {
      const screens = this.read(id)?.project.screens.length;
      if (screens !== undefined) this.#db.update(projects).set({ screens }).where(eq(projects.id, id)).run();
      return screens;
    } catch (error) {
      if (error instanceof UnreadableProject) return undefined;
      throw error;
    }
  }

  /** Whether there is a project of that id that is not thrown away. */
  has(id: string): boolean {
    return (
      this.#db
        .select({ id: projects.id })
        .from(projects)
        .where(and(eq(projects.id, id), isNull(projects.deletedAt)))
        .get() !== undefined
    );
  }

  /** How many projects there are that are not thrown away. */
  count(): number {
    return this.#db.select({ all: count() }).from(projects).where(isNull(projects.deletedAt)).get()!.all;
  }

  /** Whether a project was brought in from elsewhere. */
  isForeign(id: string): boolean {
    return (
      this.#db.select({ isForeign: projects.isForeign }).from(projects).where(eq(projects.id, id)).get()
        ?.isForeign ?? false
    );
  }

  /** Whether nothing was ever stored. */
  isEmpty(): boolean {
    return this.#db.select({ id: projects.id }).from(projects).get() === undefined;
  }

  /** Whether anything was done since the first project was loaded. */
  isChanged(): boolean {
    const all = this.#db
      .select({ revision: projects.revision, deletedAt: projects.deletedAt })
      .from(projects)
      .all();
    return all.length > 1 || all.some(({ revision, deletedAt }) => revision > 0 || deletedAt !== null);
  }

  /**
   * Stores a new project.
   *
   * @param rows of its stored tables; of one that is not among them the document holds all.
   * @param how it comes: from elsewhere; not all of it is there yet, and nobody sees it.
   * @throws Error where it is not a valid one.
   */
  create(
    project: Project,
    pictures: ReadonlyMap<string, Buffer> = new Map(),
    rows: StoredRows = new Map(),
    how: { readonly isForeign?: boolean; readonly isComing?: boolean } = {},
  ): string {
    const rowsOfTable = (variable: StateVariable): readonly Row[] =>
      (variable.table && rows.get(variable.table.id)) ?? initialRows(variable);
    const tables = project.state.filter(({ table }) => table);
    const problem =
      projectProblem(project) ??
      tables.flatMap((each) =>
        rowsOfTable(each).length === each.table!.rows ? [] : `The rows of \`${each.name}\` are not there.`,
      )[0];
    if (problem) throw new Error(problem);
    const id = nanoid(12);
    const time = this.#now();
    const { name, screens } = project;
    this.#db.transaction((tx) => {
      tx.insert(projects)
        .values({
          id,
          name,
          revision: 0,
          createdAt: time,
          updatedAt: time,
          screens: screens.length,
          isForeign: how.isForeign ?? false,
          deletedAt: how.isComing ? coming : null,
        })
        .run();
      tx.insert(snapshots)
        .values({ projectId: id, revision: 0, document: JSON.stringify(project) })
        .run();
      for (const asset of project.assets) {
        const bytes = pictures.get(asset.name);
        if (bytes) this.pictures.put(id, asset, bytes, tx);
      }
      for (const each of tables) this.rows.fill(tx, id, each.table!.id, rowsOfTable(each));
    });
    this.#hold(id, { project, revision: 0 });
    return id;
  }

  /**
   * Brings a project in from elsewhere, picture by picture: others are answered in between. It is seen when all of it is
   * there; where that fails, nothing of it stays.
   */
  async bringIn(
    project: Project,
    pictures: ReadonlyMap<string, Uint8Array>,
    rows: StoredRows,
  ): Promise<string> {
    const id = this.create(project, new Map(), rows, { isForeign: true, isComing: true });
    try {
      for (const asset of project.assets) {
        const bytes = pictures.get(asset.name);
        if (bytes) this.pictures.put(id, asset, Buffer.from(bytes));
        await new Promise(setImmediate);
      }
      this.setDeleted(id, false);
    } catch (error) {
      this.#db.delete(projects).where(eq(projects.id, id)).run();
      throw error;
    }
    return id;
  }

  /** Creates an application of its own: what its visitors keep lies under an id that no other one has. */
  begin(...[project, ...others]: Parameters<Store['create']>): string {
    return this.create({ ...project, id: nanoid(12) }, ...others);
  }

  createBlank(name: string): string {
    const blank = untitled(name);
    return this.begin({ ...blank, screens: [newScreen(blank, () => nanoid(10))] });
  }

  /** A copy with all pictures and rows, without history. */
  duplicate(id: string): string | undefined {
    const found = this.read(id);
    if (!found) return undefined;
    const pictures = new Map(
      found.project.assets.flatMap(({ name }) => {
        const picture = this.pictures.get(id, name);
        return picture ? [[name, picture.bytes]] : [];
      }),
    );
    const tables = found.project.state.flatMap(({ table }) => table ?? []);
    return this.begin(
      { ...found.project, name: `${found.project.name.slice(0, 190)} (copy)` },
      pictures,
      new Map(tables.map((table) => [table.id, this.rows.rows(id, table.id)])),
      { isForeign: this.isForeign(id) },
    );
  }

  /** Throws a project away, or takes it back. @returns whether there is such a project. */
  setDeleted(id: string, deleted: boolean): boolean {
    return (
      this.#db
        .update(projects)
        .set({ deletedAt: deleted ? this.#now() : null })
        .where(eq(projects.id, id))
        .run().changes > 0
    );
  }

  /** Takes away everything that is stored. */
  clear(): void {
    this.#db.delete(projects).run();
    for (const id of this.#open.keys()) this.rows.forget(id);
    this.#open.clear();
  }

  /** The newest version of a project; undefined where there is none. @throws UnreadableProject. */
  read(id: string): ReadProject | undefined {
    const known = this.#open.get(id);
    if (known) return this.#hold(id, known);
    const isThere = this.#db.select({ id: projects.id }).from(projects).where(eq(projects.id, id)).get();
    if (!isThere) return undefined;
    const read = readProjectFrom(this.#db, id, this.#now());
    return this.#hold(id, { ...read, project: this.rows.withFirstRows(id, read.project) });
  }

  #hold(id: string, project: ReadProject): ReadProject {
    this.#open.set(id, project);
    return project;
  }

  /** Entries after a revision, oldest first, as far as one answer carries them. */
  entriesAfter(id: string, revision: number, except?: string): Run {
    return this.#log.after(id, revision, except);
  }

  /** A page of a client's own entries before a revision, for undo and redo. */
  history(id: string, clientId: string, before: number): { entries: HistoryEntry[]; older: boolean } {
    return this.#log.history(id, clientId, before);
  }

  /** The number that a client's next entry has. */
  nextSequence(id: string, clientId: string): number {
    return this.#log.nextSequence(id, clientId);
  }

  /** Entries that could not be read when the project was opened, as they were stored. */
  unreadable(id: string): object[] {
    return this.#db
      .select()
      .from(unreadable)
      .where(eq(unreadable.projectId, id))
      .orderBy(asc(unreadable.revision))
      .all();
  }

  /** Adds a client's entries to the log, see `Log.append`. @returns undefined where there is no such project. */
  append(
    id: string,
    clientId: string,
    baseRevision: number,
    sent: readonly SentEntry[],
  ): Appended | undefined {
    const before = this.read(id);
    if (!before) return undefined;
    const applyToRows = (tx: Transaction, from: Project, to: Project, step: Step) =>
      this.rows.applyStep(tx, id, from, to, step);
    let done: ReturnType<Log['append']>;
    try {
      done = this.#log.append({ id, clientId, baseRevision, entries: sent }, before, {
        apply: applyToRows,
        forget: () => this.rows.forget(id),
      });
    } catch (error) {
      // The rows that are held may be ahead of those that are stored.
      this.rows.forget(id);
      throw error;
    }
    const { project, stored, revision, accepted, refused } = done;
    // Only what the database holds now counts as the newest version.
    this.#hold(id, { ...before, project: this.rows.withFirstRows(id, project), revision });
    for (const entry of stored) for (const listener of this.#listeners.get(id) ?? []) listener(entry);
    const missed = this.#log.after(id, baseRevision, clientId);
    return {
      revision,
      accepted,
      refused: refused.map((refusal) => this.#named(id, baseRevision, refusal)),
      missed: missed.entries,
      ...(missed.isTooLong ? { isBehind: true } : {}),
    };
  }

  /** A refusal, with the change that deleted the control it is about, where one did. */
  #named(id: string, after: number, refusal: Appended['refused'][number]): Appended['refused'][number] {
    const took = refusal.control === undefined ? undefined : this.#log.whoTook(id, after, refusal.control);
    return took
      ? { ...refusal, control: took.name, reason: `${refusal.reason} “${took.label}” took it away.` }
      : refusal;
  }

  /** Calls a listener with each entry that is stored from now on. @returns what ends it. */
  listen(id: string, listener: Listener): () => void {
    const set = this.#listeners.get(id) ?? new Set();
    this.#listeners.set(id, set.add(listener));
    return () => {
      set.delete(listener);
      if (set.size === 0) this.#listeners.delete(id);
    };
  }
}
