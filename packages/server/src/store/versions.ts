/** Earlier versions of projects: as they were at a revision, those that have a name, and the log that leads from one to the next. */
import { randomUUID } from 'node:crypto';
import { applySteps, type Checkpoint, type Project, type ToldChange } from '@hovrin/core';
import { and, asc, desc, eq, gt, lt, lte } from 'drizzle-orm';
import type { Db } from './database.ts';
import { stepsIn } from './log.ts';
import type { ReadProject } from './reading.ts';
import { checkpoints, entries, snapshots } from './schema.ts';

/** Most changes of one answer. */
const mostTold = 400;

export class Versions {
  readonly #db: Db;
  readonly #now: () => number;

  constructor(db: Db, now: () => number) {
    this.#db = db;
    this.#now = now;
  }

  /** The versions that have a name, the newest first. */
  checkpoints(id: string): readonly Checkpoint[] {
    return this.#db
      .select()
      .from(checkpoints)
      .where(eq(checkpoints.projectId, id))
      .orderBy(desc(checkpoints.revision), desc(checkpoints.time))
      .all()
      .map(({ projectId: _, ...rest }) => rest);
  }

  add(id: string, made: Pick<Checkpoint, 'name' | 'note' | 'revision'>): Checkpoint {
    const checkpoint = { ...made, id: randomUUID(), time: this.#now() };
    this.#db
      .insert(checkpoints)
      .values({ projectId: id, ...checkpoint })
      .run();
    return checkpoint;
  }

  /** @returns whether there is such a one. */
  change(id: string, checkpoint: string, to: Pick<Checkpoint, 'name' | 'note'>): boolean {
    const { changes } = this.#db.update(checkpoints).set(to).where(this.#is(id, checkpoint)).run();
    return changes > 0;
  }

  /** @returns whether there was such a one. */
  remove(id: string, checkpoint: string): boolean {
    return this.#db.delete(checkpoints).where(this.#is(id, checkpoint)).run().changes > 0;
  }

  #is(id: string, checkpoint: string) {
    return and(eq(checkpoints.projectId, id), eq(checkpoints.id, checkpoint));
  }

  /** Changes up to a revision, the newest first. */
  told(id: string, upTo: number): readonly ToldChange[] {
    return this.#db
      .select({
        revision: entries.revision,
        kind: entries.kind,
        label: entries.label,
        clientId: entries.clientId,
        time: entries.time,
      })
      .from(entries)
      .where(and(eq(entries.projectId, id), lte(entries.revision, upTo)))
      .orderBy(desc(entries.revision))
      .limit(mostTold)
      .all();
  }

  /**
   * A project as it was at a revision: taken back from what it is now, or made anew from an older snapshot.
   *
   * @returns undefined where the log does not reach back that far.
   */
  at(id: string, now: ReadProject, revision: number): Project | undefined {
    if (revision === now.revision) return now.project;
    return this.#takenBack(id, now, revision) ?? this.#madeAnew(id, revision);
  }

  #takenBack(id: string, now: ReadProject, revision: number): Project | undefined {
    let { project } = now;
    const later = this.#db
      .select({ steps: entries.steps, inverse: entries.inverse })
      .from(entries)
      .where(and(eq(entries.projectId, id), gt(entries.revision, revision)))
      .orderBy(desc(entries.revision))
      .all();
    if (later.length !== now.revision - revision) return undefined;
    for (const { steps, inverse } of later) {
      const back = stepsIn(inverse);
      // Entries of an older format have no way back.
      if (back.length === 0 && stepsIn(steps).length > 0) return undefined;
      const before = applySteps(project, back);
      if (!before.ok) return undefined;
      project = before.project;
    }
    return project;
  }

  #madeAnew(id: string, revision: number): Project | undefined {
    const snapshot = this.#db
      .select()
      .from(snapshots)
      .where(and(eq(snapshots.projectId, id), lte(snapshots.revision, revision)))
      .orderBy(desc(snapshots.revision))
      .get();
    if (!snapshot) return undefined;
    let project: Project = JSON.parse(snapshot.document);
    const between = this.#db
      .select({ steps: entries.steps })
      .from(entries)
      .where(
        and(
          eq(entries.projectId, id),
          gt(entries.revision, snapshot.revision),
          lt(entries.revision, revision + 1),
        ),
      )
      .orderBy(asc(entries.revision))
      .all();
    for (const { steps } of between) {
      const after = applySteps(project, stepsIn(steps));
      if (!after.ok) return undefined;
      project = after.project;
    }
    return project;
  }
}
