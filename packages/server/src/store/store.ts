/**
 * Projects in the database: each is its newest snapshot and the log entries after it. All writing goes through
 * `append`, in one transaction an entry list.
 */
import {
  type Appended,
  type Applied,
  type AppliedAll,
  type Asset,
  applyStep,
  applySteps,
  defaultBands,
  firstRows,
  newScreen,
  type Project,
  projectFormat,
  projectProblem,
  type Refusal,
  type Row,
  type SentEntry,
  type StateVariable,
  type Step,
  type StoredEntry,
  type StoredRows,
  stepProblem,
  walk,
  withRows,
} from '@hovrin/core';
import { and, asc, desc, eq, gt, isNotNull, isNull, lt } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import type { Db } from './database.ts';
import { RowStore } from './rows.ts';
import { assets, entries, projects, snapshots } from './schema.ts';

/** A snapshot is kept every so many entries. */
const entriesPerSnapshot = 100;
/** Entries sent with a project at once; older ones are fetched when needed. */
export const entriesAtOnce = 1000;

export interface ProjectSummary {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  /** Milliseconds since 1970. */
  readonly updatedAt: number;
  readonly deletedAt: number | null;
  readonly screens: number;
}

export interface OpenProject {
  readonly project: Project;
  readonly revision: number;
}

/** A transaction in the database. */
type Transaction = Parameters<Parameters<Db['transaction']>[0]>[0];

/** Steps that do not apply: what was done of them is taken back. */
class NotApplied extends Error {
  constructor(readonly refusal: Extract<Applied, { ok: false }>) {
    super(refusal.reason);
  }
}

/** Told of each stored entry. */
export type Listener = (entry: StoredEntry) => void;

export class Store {
  /** Newest versions of projects in use. */
  private readonly open = new Map<string, OpenProject>();
  private readonly listeners = new Map<string, Set<Listener>>();
  /** Rows of stored tables. */
  readonly rows: RowStore;

  constructor(
    private readonly db: Db,
    private readonly now: () => number = Date.now,
  ) {
    this.rows = new RowStore(db);
  }

  list(deleted = false): ProjectSummary[] {
    const rows = this.db
      .select()
      .from(projects)
      .where(deleted ? isNotNull(projects.deletedAt) : isNull(projects.deletedAt))
      .orderBy(desc(projects.updatedAt))
      .all();
    return rows.map(({ id, name, revision, updatedAt, deletedAt }) => ({
      id,
      name,
      revision,
      updatedAt,
      deletedAt,
      screens: this.read(id)?.project.screens.length ?? 0,
    }));
  }

  /** Whether there is a project of that id that is not thrown away. */
  has(id: string): boolean {
    return (
      this.db
        .select({ id: projects.id })
        .from(projects)
        .where(and(eq(projects.id, id), isNull(projects.deletedAt)))
        .get() !== undefined
    );
  }

  /** Whether nothing was ever stored. */
  isEmpty(): boolean {
    return this.db.select({ id: projects.id }).from(projects).get() === undefined;
  }

  /** Whether anything was done since the first project was loaded. */
  isChanged(): boolean {
    const all = this.db
      .select({ revision: projects.revision, deletedAt: projects.deletedAt })
      .from(projects)
      .all();
    return all.length > 1 || all.some(({ revision, deletedAt }) => revision > 0 || deletedAt !== null);
  }

  /**
   * Stores a new project.
   *
   * @param rows of its stored tables; of one that is not among them the document holds all.
   * @throws Error where it is not a valid one.
   */
  create(
    project: Project,
    pictures: ReadonlyMap<string, Buffer> = new Map(),
    rows: StoredRows = new Map(),
  ): string {
    const rowsOfTable = ({ initial, table }: StateVariable): readonly Row[] =>
      rows.get(table!.id) ?? (initial as readonly Row[]);
    const tables = project.state.filter(({ table }) => table);
    const problem =
      projectProblem(project) ??
      tables.flatMap((each) =>
        rowsOfTable(each).length === each.table!.rows ? [] : `The rows of \`${each.name}\` are not there.`,
      )[0];
    if (problem) throw new Error(problem);
    const id = nanoid(12);
    const time = this.now();
    this.db.transaction((tx) => {
      tx.insert(projects)
        .values({ id, name: project.name, revision: 0, createdAt: time, updatedAt: time })
        .run();
      tx.insert(snapshots)
        .values({ projectId: id, revision: 0, document: JSON.stringify(project) })
        .run();
      for (const asset of project.assets) {
        const bytes = pictures.get(asset.name);
        if (bytes)
          tx.insert(assets)
            .values({ projectId: id, ...asset, bytes })
            .run();
      }
      for (const each of tables) this.rows.fill(tx, id, each.table!.id, rowsOfTable(each));
    });
    this.open.set(id, { project, revision: 0 });
    return id;
  }

  createBlank(name: string): string {
    const blank: Project = {
      format: projectFormat,
      name,
      bands: defaultBands,
      state: [],
      assets: [],
      screens: [],
    };
    return this.create({ ...blank, screens: [newScreen(blank, () => nanoid(10))] });
  }

  /** A copy with all pictures and rows, without history. */
  duplicate(id: string): string | undefined {
    const found = this.read(id);
    if (!found) return undefined;
    const pictures = new Map(
      found.project.assets.flatMap(({ name }) => {
        const asset = this.asset(id, name);
        return asset ? [[name, asset.bytes] as [string, Buffer]] : [];
      }),
    );
    const tables = found.project.state.flatMap(({ table }) => table ?? []);
    return this.create(
      { ...found.project, name: `${found.project.name} (copy)` },
      pictures,
      new Map(tables.map((table) => [table.id, this.rows.rows(id, table.id)])),
    );
  }

  /** Throws a project away, or takes it back. @returns whether there is such a project. */
  setDeleted(id: string, deleted: boolean): boolean {
    return (
      this.db
        .update(projects)
        .set({ deletedAt: deleted ? this.now() : null })
        .where(eq(projects.id, id))
        .run().changes > 0
    );
  }

  /** Takes away everything that is stored. */
  clear(): void {
    this.db.delete(projects).run();
    for (const id of this.open.keys()) this.rows.forget(id);
    this.open.clear();
  }

  /** The newest version of a project; undefined where there is none. */
  read(id: string): OpenProject | undefined {
    const known = this.open.get(id);
    if (known) return known;
    const snapshot = this.db
      .select()
      .from(snapshots)
      .where(eq(snapshots.projectId, id))
      .orderBy(desc(snapshots.revision))
      .get();
    if (!snapshot) return undefined;
    let project = JSON.parse(snapshot.document) as Project;
    let { revision } = snapshot;
    for (const entry of this.entriesAfter(id, revision)) {
      const applied = applySteps(project, entry.steps);
      if (!applied.ok)
        throw new Error(`Entry ${entry.revision} of project ${id} does not apply: ${applied.reason}`);
      project = applied.project;
      revision = entry.revision;
    }
    const found = { project: this.withFirstRows(id, project), revision };
    this.open.set(id, found);
    return found;
  }

  entriesAfter(id: string, revision: number): StoredEntry[] {
    return this.db
      .select()
      .from(entries)
      .where(and(eq(entries.projectId, id), gt(entries.revision, revision)))
      .orderBy(asc(entries.revision))
      .all()
      .map(fromRow);
  }

  /** At most `entriesAtOnce` entries before a revision, oldest first. */
  entriesBefore(id: string, revision: number): StoredEntry[] {
    return this.db
      .select()
      .from(entries)
      .where(and(eq(entries.projectId, id), lt(entries.revision, revision)))
      .orderBy(desc(entries.revision))
      .limit(entriesAtOnce)
      .all()
      .map(fromRow)
      .reverse();
  }

  /**
   * Adds a client's entries to the log. Entries that are there already (same client and sequence) change
   * nothing. Steps are applied to the newest version, whatever the client's base was; those that do not fit
   * are refused with a reason, the others stand.
   */
  append(
    id: string,
    clientId: string,
    baseRevision: number,
    sent: readonly SentEntry[],
  ): Appended | undefined {
    const before = this.read(id);
    if (!before) return undefined;
    let { project, revision } = before;
    const stored: StoredEntry[] = [];
    const accepted: StoredEntry[] = [];
    const refused: Refusal[] = [];
    const write = (tx: Transaction): void => {
      for (const entry of sent) {
        const row = tx
          .select()
          .from(entries)
          .where(
            and(
              eq(entries.projectId, id),
              eq(entries.clientId, clientId),
              eq(entries.sequence, entry.sequence),
            ),
          )
          .get();
        if (row) {
          accepted.push(fromRow(row));
          continue;
        }
        const applied = this.applyEntry(tx, id, project, entry.steps);
        if (!applied.ok) {
          const control =
            applied.control && (this.nameOfLost(id, applied.control, baseRevision) ?? applied.control);
          refused.push({ sequence: entry.sequence, reason: applied.reason, ...(control ? { control } : {}) });
          continue;
        }
        ({ project } = applied);
        revision += 1;
        const added: StoredEntry = {
          ...entry,
          inverse: applied.inverse,
          revision,
          clientId,
          time: this.now(),
        };
        tx.insert(entries)
          .values({
            projectId: id,
            ...added,
            group: added.group ?? null,
            steps: JSON.stringify(added.steps),
            inverse: JSON.stringify(added.inverse),
          })
          .run();
        if (revision % entriesPerSnapshot === 0)
          tx.insert(snapshots)
            .values({ projectId: id, revision, document: JSON.stringify(project) })
            .run();
        stored.push(added);
        accepted.push(added);
      }
      if (stored.length > 0)
        tx.update(projects)
          .set({ revision, name: project.name, updatedAt: this.now() })
          .where(eq(projects.id, id))
          .run();
    };
    try {
      this.db.transaction(write);
    } catch (error) {
      // The rows that are held may be ahead of those that are stored.
      this.rows.forget(id);
      throw error;
    }
    // Only what the database holds now counts as the newest version.
    this.open.set(id, { project: this.withFirstRows(id, project), revision });
    for (const entry of stored) for (const listener of this.listeners.get(id) ?? []) listener(entry);
    const missed = this.entriesAfter(id, baseRevision).filter((entry) => entry.clientId !== clientId);
    return { revision, accepted, refused, missed };
  }

  /** Applies the steps of an entry to the document and to the rows of its tables: all of them, or none. */
  private applyEntry(tx: Transaction, id: string, project: Project, steps: readonly Step[]): AppliedAll {
    let current = project;
    const inverse: Step[] = [];
    try {
      tx.transaction((inner) => {
        for (const step of steps) {
          const problem = stepProblem(current, step);
          if (problem !== undefined) throw new NotApplied({ ok: false, reason: problem });
          const applied = applyStep(current, step);
          if (!applied.ok) throw new NotApplied(applied);
          const reason = this.applyToRows(inner, id, current, applied.project, step);
          if (reason !== undefined) throw new NotApplied({ ok: false, reason });
          current = applied.project;
          inverse.unshift(applied.inverse);
        }
      });
    } catch (error) {
      if (!(error instanceof NotApplied)) throw error;
      this.rows.forget(id);
      return error.refusal;
    }
    return { ok: true, project: current, inverse };
  }

  /** Does to the rows of tables what a step does. @returns why it cannot. */
  private applyToRows(
    tx: Transaction,
    id: string,
    before: Project,
    after: Project,
    step: Step,
  ): string | undefined {
    if (step.type === 'rows') {
      const table = before.state.find(({ name }) => name === step.list)?.table;
      return table && this.rows.apply(tx, id, table.id, step);
    }
    if (step.type !== 'project' || step.key !== 'state') return undefined;
    const known = new Set(before.state.flatMap(({ table }) => table?.id ?? []));
    const strange = after.state.find(
      ({ table }) => table && !known.has(table.id) && this.rows.count(id, table.id, tx) !== table.rows,
    );
    return strange && `The rows of \`${strange.name}\` are not there.`;
  }

  /** A project that holds as many of its tables' first rows as it may. */
  private withFirstRows(id: string, project: Project): Project {
    const isShort = ({ initial, table }: StateVariable) =>
      table !== undefined && (initial as readonly Row[]).length < Math.min(firstRows, table.rows);
    if (!project.state.some(isShort)) return project;
    return {
      ...project,
      state: project.state.map((each) =>
        isShort(each) ? withRows({ ...each, table: each.table! }, this.rows.rows(id, each.table!.id)) : each,
      ),
    };
  }

  /** The name of a control that was taken away after a revision; undefined where none of that id was. */
  private nameOfLost(id: string, control: string, after: number): string | undefined {
    for (const { inverse } of this.entriesAfter(id, after))
      for (const step of inverse) {
        const lost =
          step.type === 'insert' ? [...walk(step.control)].find((each) => each.id === control) : undefined;
        if (lost) return lost.name ?? lost.kind;
      }
    return undefined;
  }

  /** Calls a listener with each entry that is stored from now on. @returns what ends it. */
  listen(id: string, listener: Listener): () => void {
    const set = this.listeners.get(id) ?? new Set();
    this.listeners.set(id, set.add(listener));
    return () => set.delete(listener);
  }

  asset(id: string, name: string): { type: string; bytes: Buffer } | undefined {
    return this.db
      .select({ type: assets.type, bytes: assets.bytes })
      .from(assets)
      .where(and(eq(assets.projectId, id), eq(assets.name, name)))
      .get();
  }

  /** Keeps a picture's bytes; the project's list of pictures is changed by a step. A picture is never overwritten. */
  putAsset(id: string, asset: Asset, bytes: Buffer): boolean {
    return (
      this.db
        .insert(assets)
        .values({ projectId: id, ...asset, bytes })
        .onConflictDoNothing()
        .run().changes > 0
    );
  }
}

function fromRow(row: typeof entries.$inferSelect): StoredEntry {
  const { revision, clientId, sequence, kind, label, group, time } = row;
  return {
    revision,
    clientId,
    sequence,
    kind,
    label,
    ...(group === null ? {} : { group }),
    steps: JSON.parse(row.steps) as Step[],
    inverse: JSON.parse(row.inverse) as Step[],
    time,
  };
}
