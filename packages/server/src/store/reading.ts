/**
 * Reading a project from the database: its newest good snapshot and the log entries after it, all held against what
 * they must be. What cannot be read is put aside, and the project opens at the last good revision. A project of an
 * older format becomes one of the newest as it is read.
 */
import {
  applySteps,
  itemAt,
  messageOf,
  migrated,
  newestSteps,
  type Project,
  projectProblem,
  type Step,
} from '@hovrin/core';
import { and, asc, desc, eq, gt, lte } from 'drizzle-orm';
import type { Db } from './database.ts';
import { stepsIn } from './log.ts';
import { entries, projects, snapshots, unreadable } from './schema.ts';

export interface ReadProject {
  readonly project: Project;
  readonly revision: number;
  /** A sentence about what could not be read and is put aside now; undefined where all could. */
  readonly damage?: string;
}

/** A project of which nothing can be read. */
export class UnreadableProject extends Error {}

interface Snapshot {
  readonly project: Project;
  readonly revision: number;
  readonly isOlder: boolean;
}

type EntryRow = typeof entries.$inferSelect;

/** A snapshot as a project of the newest format; a sentence where it is none. */
function readSnapshot({ revision, document }: typeof snapshots.$inferSelect): Snapshot | string {
  let data: unknown;
  try {
    data = JSON.parse(document);
  } catch (error) {
    return messageOf(error);
  }
  const newest = migrated(data);
  if (!newest.ok) return newest.message;
  const problem = projectProblem(newest.data);
  if (problem !== undefined) return problem;
  return { project: newest.data as unknown as Project, revision, isOlder: newest.isOlder };
}

/** A sentence about a snapshot, where it says that a newer version of Hovrin wrote it: an older one is no way back. */
const newerFormat = (sentence: string): string | undefined =>
  /format \d+; this version of Hovrin reads formats up to/.test(sentence) ? sentence : undefined;

/** What an entry makes of a project. */
function applied(project: Project, row: EntryRow, isOlder: boolean) {
  try {
    const steps = isOlder ? newestSteps(project, JSON.parse(row.steps)) : stepsIn(row.steps);
    if (!steps) return { reason: 'Its steps do not apply.' };
    const after = applySteps(project, steps);
    return after.ok ? { steps, project: after.project, inverse: after.inverse } : { reason: after.reason };
  } catch (error) {
    return { reason: messageOf(error) };
  }
}

interface Replayed {
  readonly project: Project;
  readonly revision: number;
  /** Why the entries behind it do not follow. */
  readonly reason?: string;
}

class ProjectReader {
  readonly #db: Db;
  readonly #id: string;
  readonly #now: number;

  constructor(db: Db, id: string, now: number) {
    this.#db = db;
    this.#id = id;
    this.#now = now;
  }

  #rowsAfter(revision: number): EntryRow[] {
    return this.#db
      .select()
      .from(entries)
      .where(and(eq(entries.projectId, this.#id), gt(entries.revision, revision)))
      .orderBy(asc(entries.revision))
      .all();
  }

  /** The snapshots, newest first, as far as they can be read; those that cannot are taken away. */
  #snapshots(): Snapshot[] {
    const rows = this.#db
      .select()
      .from(snapshots)
      .where(eq(snapshots.projectId, this.#id))
      .orderBy(desc(snapshots.revision))
      .all();
    const read = rows.map(readSnapshot);
    const newer = read.find((each) => typeof each === 'string' && each === newerFormat(each));
    if (typeof newer === 'string') throw new UnreadableProject(newer);
    const good = read.filter((each) => typeof each !== 'string');
    if (good.length === 0)
      throw new UnreadableProject(
        `Nothing of this project can be read: ${read.find((each) => typeof each === 'string') ?? 'it has no snapshot.'}`,
      );
    return good;
  }

  /** Puts entries after a revision aside. */
  #putAside(after: number, reason: string): number {
    const rows = this.#rowsAfter(after);
    const ofThese = and(eq(entries.projectId, this.#id), gt(entries.revision, after));
    this.#db.transaction((tx) => {
      for (const { revision, label, steps } of rows)
        tx.insert(unreadable)
          .values({ projectId: this.#id, revision, time: this.#now, reason, label, steps })
          .run();
      tx.delete(entries).where(ofThese).run();
      tx.delete(snapshots)
        .where(and(eq(snapshots.projectId, this.#id), gt(snapshots.revision, after)))
        .run();
      tx.update(projects).set({ revision: after }).where(eq(projects.id, this.#id)).run();
    });
    return rows.length;
  }

  /**
   * The project after a snapshot's entries, as far as they apply one after the other.
   *
   * @param onEntry is told of each of them.
   */
  #replayed(
    from: Snapshot,
    onEntry: (row: EntryRow, steps: readonly Step[], inverse: readonly Step[]) => void = () => undefined,
  ): Replayed {
    let { project, revision } = from;
    for (const row of this.#rowsAfter(revision)) {
      if (row.revision !== revision + 1)
        return { project, revision, reason: `Entry ${revision + 1} of the log is missing.` };
      const next = applied(project, row, from.isOlder);
      if (!next.project)
        return { project, revision, reason: `Entry ${row.revision} (“${row.label}”): ${next.reason}` };
      onEntry(row, next.steps, next.inverse);
      ({ project } = next);
      revision = row.revision;
    }
    return { project, revision };
  }

  /** Makes the log after a snapshot one of the newest format; older entries stay without a way back. */
  #migrateFrom(first: Snapshot): Replayed {
    return this.#db.transaction((tx) => {
      const ofProject = eq(entries.projectId, this.#id);
      const after = this.#replayed(first, ({ revision }, steps, inverse) => {
        tx.update(entries)
          .set({ steps: JSON.stringify(steps), inverse: JSON.stringify(inverse) })
          .where(and(ofProject, eq(entries.revision, revision)))
          .run();
      });
      tx.update(entries)
        .set({ inverse: '[]' })
        .where(and(ofProject, lte(entries.revision, first.revision)))
        .run();
      tx.delete(snapshots).where(eq(snapshots.projectId, this.#id)).run();
      for (const { project, revision } of first.revision === after.revision ? [after] : [first, after])
        tx.insert(snapshots)
          .values({ projectId: this.#id, revision, document: JSON.stringify(project) })
          .run();
      return after;
    });
  }

  /** Makes the whole log one of the newest format, so that what was done before can still be undone. */
  #migrate(oldest: Snapshot, newest: Snapshot): Replayed {
    const isWhole = this.#replayed(oldest).reason === undefined;
    return this.#migrateFrom(isWhole ? oldest : newest);
  }

  read(): ReadProject {
    const all = this.#snapshots();
    const newest = itemAt(all, 0);
    const oldest = itemAt(all, -1);
    const after = newest.isOlder ? this.#migrate(oldest, newest) : this.#replayed(newest);
    const stored = this.#db
      .select({ revision: projects.revision })
      .from(projects)
      .where(eq(projects.id, this.#id))
      .get()!.revision;
    const reason =
      after.reason ??
      (stored > after.revision
        ? `Entries ${after.revision + 1} to ${stored} of the log are missing.`
        : undefined);
    if (reason === undefined) return { project: after.project, revision: after.revision };
    const count = this.#putAside(after.revision, reason);
    const words = count === 1 ? 'The newest change' : `The newest ${count} changes`;
    return {
      project: after.project,
      revision: after.revision,
      damage: `${count === 0 ? 'Some changes are missing' : `${words} could not be read and ${count === 1 ? 'is' : 'are'} kept aside`}: ${reason} The project is as it was at revision ${after.revision}.`,
    };
  }
}

/**
 * Reads a project.
 *
 * @param now ms since 1970. @throws UnreadableProject where it has no good snapshot.
 */
export const readProjectFrom = (db: Db, id: string, now: number): ReadProject =>
  new ProjectReader(db, id, now).read();
