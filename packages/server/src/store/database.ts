/** Opens the SQLite file and brings its tables up to date. */
import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { workspace } from '@hovrin/files';
import Database from 'better-sqlite3';
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import * as schema from './schema.ts';

export type Db = BetterSQLite3Database<typeof schema>;

/**
 * @param file path of the SQLite file, or `:memory:`.
 * @returns the database and what closes it.
 */
export function openDatabase(file: string): { db: Db; close: () => void } {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const sqlite = new Database(file);
  sqlite.pragma('journal_mode = WAL');
  // What is answered as saved must survive a power cut, not only the end of the process.
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  const db = drizzle(sqlite, { schema });
  migrate(db, { migrationsFolder: join(workspace, 'packages/server/drizzle') });
  return { db, close: () => sqlite.close() };
}
