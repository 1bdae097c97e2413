/** The folder that a server keeps its data in: held by one process, opened only where what lies there can be read. */
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { databaseName, databaseProblem, firstValue, holdFolder, putAside, workspace } from '@hovrin/files';
import Database from 'libsql';
import { type Db, openDatabase } from './database.ts';

export interface DataFolder {
  readonly db: Db;
  /** Path of the database. */
  readonly file: string;
  /** Sentences for whoever started the server. */
  readonly told: readonly string[];
  close(): void;
}

/** Why a folder cannot be used; the message is for whoever started the server. */
export class FolderRefused extends Error {}

/** When the newest migration that this version knows was made, ms since 1970. */
function newestMigration(): number {
  const journal: { entries: { when: number }[] } = JSON.parse(
    readFileSync(join(workspace, 'packages/server/drizzle/meta/_journal.json'), 'utf8'),
  );
  return Math.max(...journal.entries.map(({ when }) => when));
}

/** Whether a newer version of Hovrin has changed the tables of a database. */
function isNewer(file: string): boolean {
  const database = new Database(file);
  try {
    const numberOf = (query: string) => Number(firstValue(database, query) ?? 0);
    if (numberOf("SELECT count(*) FROM sqlite_master WHERE name = '__drizzle_migrations'") === 0)
      return false;
    return numberOf('SELECT max(created_at) FROM __drizzle_migrations') > newestMigration();
  } finally {
    database.close();
  }
}

/**
 * Opens a data folder. A database that cannot be read is put aside, never taken for a new one.
 *
 * @throws FolderRefused where another process uses it, or a newer version of Hovrin wrote it.
 */
export function openDataFolder(folder: string, now = Date.now()): DataFolder {
  mkdirSync(folder, { recursive: true });
  const letGo = holdFolder(folder);
  if (!letGo)
    throw new FolderRefused(
      `Another Hovrin is using the data in ${folder}. Stop it first, or keep this one's data elsewhere: --data FOLDER`,
    );
  try {
    const file = join(folder, databaseName);
    const told: string[] = [];
    const problem = databaseProblem(file);
    if (problem) {
      const aside = putAside(file, now);
      told.push(
        `The data in ${file} could not be read: ${problem}. It was put aside as ${aside}; nothing in it was changed. To go back to it, stop Hovrin and move it to ${file}; a backup is put back by \`npx hovrin restore FILE --data ${folder}\`.`,
      );
    } else if (existsSync(file) && isNewer(file))
      throw new FolderRefused(
        `A newer version of Hovrin has written the data in ${folder}; this one does not know its tables. Use that version, or keep this one's data elsewhere: --data FOLDER`,
      );
    const { db, close } = openDatabase(file);
    return {
      db,
      file,
      told,
      close: () => {
        close();
        letGo();
      },
    };
  } catch (error) {
    letGo();
    throw error;
  }
}
