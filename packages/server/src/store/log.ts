/** The log of a project's entries: adding to it, and reading runs of it within bounds. */
import {
  type Appended,
  applyStep,
  applySteps,
  entitiesAdded,
  entityNamed,
  entryProblem,
  type HistoryEntry,
  mapStep,
  type Project,
  projectFormat,
  type Refusal,
  type Renamed,
  renamingOf,
  type SentEntry,
  type Step,
  type StoredEntry,
  stepProblem,
  walk,
} from '@hovrin/core';
import { and, asc, desc, eq, gt, lt, max, ne, sql } from 'drizzle-orm';
import type { Db, Transaction } from './database.ts';
import { entries, projects, snapshots } from './schema.ts';

/** A snapshot is kept every so many entries. */
const entriesPerSnapshot = 100;
/** So many of the newest snapshots are kept, and the first one. */
const keptSnapshots = 3;
/** Longest run of entries in one answer, in bytes of their steps. */
export const longestAnswer = 4_000_000;
/** Most entries of one page of history, and its greatest length in bytes. */
const historyPage = { most: 200, length: 1_000_000 };

/** A run of entries; where it is too long for one answer, none, and the word that there are more. */
export interface Run {
  readonly entries: readonly StoredEntry[];
  readonly isTooLong: boolean;
}

/** Steps as the database has them. */
export const stepsIn = (text: string): Step[] => JSON.parse(text);

/** Does to the rows of tables what a step does. @returns why it cannot. */
export type ApplyToRows = (
  tx: Transaction,
  before: Project,
  after: Project,
  step: Step,
) => string | undefined;

/** Entries that a client sends, of one project. */
interface Sending {
  readonly id: string;
  readonly clientId: string;
  /** The newest revision that the client knows. */
  readonly baseRevision: number;
  readonly entries: readonly SentEntry[];
}

/** A project on its way through the entries of one request. */
interface Writing {
  project: Project;
  revision: number;
}

/** Steps that do not apply: what was done of them is taken back. */
class NotApplied extends Error {
  constructor(
    readonly reason: string,
    readonly control?: string,
  ) {
    super(reason);
  }
}

/** The entities that steps from outside would add; none where they are no steps. */
function addedBy(steps: readonly Step[]): string[] {
  try {
    return entitiesAdded(steps);
  } catch {
    return [];
  }
}

/** Why steps cannot stand without an entry that was refused; undefined where they can. */
function buildsOn(steps: readonly Step[], lost: ReadonlySet<string>): string | undefined {
  if (lost.size === 0) return undefined;
  const isLost = (step: Step) => {
    try {
      return lost.has(entityNamed(step) ?? '');
    } catch {
      return false;
    }
  };
  return steps.some(isLost) ? 'It builds on a change that was not kept.' : undefined;
}

/** A step from outside on top of renamings; one that is none is left to be refused. */
function renamed(project: Project, step: Step, renamings: readonly Renamed[]): Step {
  try {
    return renamings.reduce((now, each) => mapStep(project, now, each), step);
  } catch {
    return step;
  }
}

const fromRow = (row: typeof entries.$inferSelect): StoredEntry => {
  const { revision, clientId, sequence, kind, label, group, takes, time } = row;
  return {
    revision,
    clientId,
    sequence,
    kind,
    label,
    ...(group === null ? {} : { group }),
    ...(takes === null ? {} : { takes }),
    steps: stepsIn(row.steps),
    time,
  };
};

export class Log {
  readonly #db: Db;
  readonly #now: () => number;

  constructor(db: Db, now: () => number) {
    this.#db = db;
    this.#now = now;
  }

  /** Entries after a revision, oldest first, as far as one answer carries them. */
  after(id: string, revision: number, except?: string): Run {
    const which = and(
      eq(entries.projectId, id),
      gt(entries.revision, revision),
      ...(except === undefined ? [] : [ne(entries.clientId, except)]),
    );
    const length = this.#db
      .select({ length: sql<number>`coalesce(sum(length(${entries.steps})), 0)` })
      .from(entries)
      .where(which)
      .get()!.length;
    if (length > longestAnswer) return { entries: [], isTooLong: true };
    const rows = this.#db.select().from(entries).where(which).orderBy(asc(entries.revision)).all();
    return { entries: rows.map(fromRow), isTooLong: false };
  }

  /** A client's own entries before a revision, oldest first: a page of them, and whether there are older ones. */
  history(id: string, clientId: string, before: number): { entries: HistoryEntry[]; older: boolean } {
    const rows = this.#db
      .select({
        revision: entries.revision,
        sequence: entries.sequence,
        kind: entries.kind,
        label: entries.label,
        group: entries.group,
        takes: entries.takes,
        length: sql<number>`length(${entries.inverse})`,
      })
      .from(entries)
      .where(and(eq(entries.projectId, id), eq(entries.clientId, clientId), lt(entries.revision, before)))
      .orderBy(desc(entries.revision))
      .limit(historyPage.most + 1)
      .all();
    const page: typeof rows = [];
    let length = 0;
    for (const row of rows) {
      length += row.length;
      // One entry goes however long it is: otherwise nothing before it could be undone.
      if (page.length > 0 && (page.length >= historyPage.most || length > historyPage.length)) break;
      page.push(row);
    }
    return {
      entries: page.toReversed().flatMap(({ length: _, group, takes, ...row }): HistoryEntry[] => {
        const inverse = this.#inverse(id, row.revision);
        return inverse.length === 0
          ? []
          : [
              {
                ...row,
                ...(group === null ? {} : { group }),
                ...(takes === null ? {} : { takes }),
                inverse,
              },
            ];
      }),
      older: page.length < rows.length,
    };
  }

  #inverse(id: string, revision: number): Step[] {
    const row = this.#db
      .select({ inverse: entries.inverse })
      .from(entries)
      .where(and(eq(entries.projectId, id), eq(entries.revision, revision)))
      .get();
    return row ? stepsIn(row.inverse) : [];
  }

  /** The number that a client's next entry has. */
  nextSequence(id: string, clientId: string): number {
    const greatest = this.#db
      .select({ sequence: max(entries.sequence) })
      .from(entries)
      .where(and(eq(entries.projectId, id), eq(entries.clientId, clientId)))
      .get()?.sequence;
    return greatest === null || greatest === undefined ? 0 : greatest + 1;
  }

  /** The newest entry after a revision that took a control away, and its name; undefined where none did. */
  whoTook(id: string, after: number, control: string): { label: string; name: string } | undefined {
    const row = this.#db
      .select({ label: entries.label, inverse: entries.inverse })
      .from(entries)
      .where(
        and(
          eq(entries.projectId, id),
          gt(entries.revision, after),
          sql`instr(${entries.inverse}, ${JSON.stringify(control)}) > 0`,
        ),
      )
      .orderBy(desc(entries.revision))
      .limit(1)
      .get();
    for (const step of row ? stepsIn(row.inverse) : []) {
      const lost =
        step.type === 'insert' ? [...walk(step.control)].find((each) => each.id === control) : undefined;
      if (lost) return { label: row!.label, name: lost.name ?? lost.kind };
    }
    return undefined;
  }

  /**
   * Adds entries in one transaction. Entries that are there already (same client and number) change nothing. Steps are
   * applied to the newest version, whatever revision the client had: names that were changed meanwhile are replaced by the new ones.
   * Those that do not fit are refused with a reason, the others stand.
   */
  append(
    { id, clientId, baseRevision, entries }: Sending,
    before: Writing,
    rows: { readonly apply: ApplyToRows; forget(): void },
  ): Omit<Appended, 'missed' | 'isBehind'> & { readonly project: Project; readonly stored: StoredEntry[] } {
    const renamings = this.#renamings(id, baseRevision, clientId);
    const stored: StoredEntry[] = [];
    const accepted: StoredEntry[] = [];
    const refused: Refusal[] = [];
    const at: Writing = { ...before };
    /** Entities that were to be added and were not: what is done with them is not meant for others of their keys. */
    const lost = new Set<string>();
    this.#db.transaction((tx) => {
      for (const entry of entries) {
        const known = this.#known(tx, id, clientId, entry.sequence);
        if (known) {
          accepted.push(known);
          continue;
        }
        const problem = entryProblem(entry) ?? buildsOn(entry.steps, lost);
        const done =
          problem === undefined
            ? this.#applied(tx, at.project, entry.steps, renamings, rows.apply)
            : { reason: problem };
        if ('reason' in done) {
          rows.forget();
          if (Array.isArray(entry?.steps)) for (const each of addedBy(entry.steps)) lost.add(each);
          refused.push({ sequence: entry.sequence, ...done });
          continue;
        }
        at.project = done.project;
        at.revision += 1;
        const added: StoredEntry = {
          sequence: entry.sequence,
          kind: entry.kind,
          label: entry.label,
          ...(entry.group === undefined ? {} : { group: entry.group }),
          ...(entry.takes === undefined ? {} : { takes: entry.takes }),
          steps: done.steps,
          revision: at.revision,
          clientId,
          time: this.#now(),
        };
        this.#write(tx, id, added, done.inverse, done.project);
        stored.push(added);
        accepted.push(added);
      }
      if (stored.length > 0)
        tx.update(projects)
          .set({
            revision: at.revision,
            name: at.project.name,
            screens: at.project.screens.length,
            updatedAt: this.#now(),
          })
          .where(eq(projects.id, id))
          .run();
    });
    return { revision: at.revision, project: at.project, accepted, refused, stored };
  }

  /** What others have renamed after a revision, in order. */
  #renamings(id: string, after: number, except: string): Renamed[] {
    const rows = this.#db
      .select({ steps: entries.steps })
      .from(entries)
      .where(
        and(
          eq(entries.projectId, id),
          gt(entries.revision, after),
          ne(entries.clientId, except),
          sql`instr(${entries.steps}, '"rename"') > 0`,
        ),
      )
      .orderBy(asc(entries.revision))
      .all();
    return rows.flatMap(({ steps }) => stepsIn(steps).flatMap((step) => renamingOf(step) ?? []));
  }

  #known(tx: Transaction, id: string, clientId: string, sequence: number): StoredEntry | undefined {
    if (!Number.isSafeInteger(sequence)) return undefined;
    const row = tx
      .select()
      .from(entries)
      .where(and(eq(entries.projectId, id), eq(entries.clientId, clientId), eq(entries.sequence, sequence)))
      .get();
    return row && fromRow(row);
  }

  /** Applies the steps of an entry to the document and to the rows of its tables: all of them, or none. */
  #applied(
    tx: Transaction,
    project: Project,
    sent: readonly Step[],
    renamings: readonly Renamed[],
    applyToRows: ApplyToRows,
  ):
    | Omit<Refusal, 'sequence'>
    | { readonly project: Project; readonly steps: Step[]; readonly inverse: Step[] } {
    let current = project;
    const steps: Step[] = [];
    const inverse: Step[] = [];
    try {
      tx.transaction((inner) => {
        for (const each of sent) {
          const step = renamed(current, each, renamings);
          const problem = stepProblem(current, step);
          if (problem !== undefined) throw new NotApplied(problem);
          const done = applyStep(current, step);
          if (!done.ok) throw new NotApplied(done.reason, done.control);
          const reason = applyToRows(inner, current, done.project, step);
          if (reason !== undefined) throw new NotApplied(reason);
          current = done.project;
          steps.push(step);
          inverse.unshift(done.inverse);
        }
        // What could not be taken back is not stored.
        const back = applySteps(current, inverse);
        if (!back.ok) throw new NotApplied(`This could not be taken back: ${back.reason}`, back.control);
      });
    } catch (error) {
      if (!(error instanceof NotApplied) && !(error instanceof TypeError || error instanceof RangeError))
        throw error;
      const { reason, control } =
        error instanceof NotApplied
          ? error
          : { reason: `This could not be worked out: ${error.message}`, control: undefined };
      return { reason, ...(control === undefined ? {} : { control }) };
    }
    return { project: current, steps, inverse };
  }

  #write(tx: Transaction, id: string, entry: StoredEntry, inverse: readonly Step[], project: Project): void {
    tx.insert(entries)
      .values({
        projectId: id,
        ...entry,
        group: entry.group ?? null,
        takes: entry.takes ?? null,
        steps: JSON.stringify(entry.steps),
        inverse: JSON.stringify(inverse),
      })
      .run();
    if (entry.revision % entriesPerSnapshot !== 0) return;
    tx.insert(snapshots)
      .values({
        projectId: id,
        revision: entry.revision,
        document: JSON.stringify({ ...project, format: projectFormat }),
      })
      .run();
    tx.delete(snapshots)
      .where(
        and(
          eq(snapshots.projectId, id),
          gt(snapshots.revision, 0),
          lt(snapshots.revision, entry.revision - keptSnapshots * entriesPerSnapshot),
        ),
      )
      .run();
  }
}
