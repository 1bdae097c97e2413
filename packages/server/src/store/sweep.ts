/** Sweeping: what nobody will ask for again goes. */
import { and, eq, lt, notExists, or, sql } from 'drizzle-orm';
import type { Db } from './database.ts';
import { batches, entries, projects } from './schema.ts';

const day = 24 * 3600 * 1000;
/** Deleted projects can be brought back for so long, ms. */
const deletedFor = 30 * day;
/** Rows wait so long for the step that names them, ms. */
const batchesFor = day;

/** @param now ms since 1970. @returns how many projects and batches of rows went. */
export function sweep(db: Db, now: number): { projects: number; batches: number } {
  const gone = db
    .delete(projects)
    .where(lt(projects.deletedAt, now - deletedFor))
    .run().changes;
  const namedIn = (text: typeof entries.steps | typeof entries.inverse) =>
    sql`instr(${text}, '"batch":"' || ${batches.id} || '"') > 0`;
  const untaken = db
    .delete(batches)
    .where(
      and(
        lt(batches.createdAt, now - batchesFor),
        notExists(
          db
            .select({ one: sql`1` })
            .from(entries)
            .where(
              and(
                eq(entries.projectId, batches.projectId),
                or(namedIn(entries.steps), namedIn(entries.inverse)),
              ),
            ),
        ),
      ),
    )
    .run().changes;
  return { projects: gone, batches: untaken };
}
