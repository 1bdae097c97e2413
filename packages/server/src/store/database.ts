/** Opens the SQLite file and brings its tables up to date. */
import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { workspace } from '@hovrin/files';
import type { RunResult } from 'better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { BetterSQLiteSession } from 'drizzle-orm/better-sqlite3/session';
import { BaseSQLiteDatabase, SQLiteSyncDialect } from 'drizzle-orm/sqlite-core';
import Database from 'libsql';

export type Db = BaseSQLiteDatabase<'sync', RunResult>;
/** A transaction in the database. */
export type Transaction = Parameters<Parameters<Db['transaction']>[0]>[0];

/**
 * Drizzle on the `libsql` package, which has the interface of `better-sqlite3` and brings its binaries inside packages
 * of the registry: nothing is compiled when Hovrin is installed. Drizzle's own entry for that interface imports
 * `better-sqlite3` itself, so its parts are put together here.
 */
function drizzleOn(sqlite: Database.Database): Db {
  const dialect = new SQLiteSyncDialect();
  const session = new BetterSQLiteSession(sqlite as never, dialect, undefined);
  return new BaseSQLiteDatabase('sync', dialect, session as never, undefined);
}

/**
 * Where the disk is full, SQLite rolls a transaction back by itself. `libsql` then rolls back once more, which fails, and
 * hides why; here the second one is left out.
 */
class Connection extends Database {
  override exec(sql: string): this {
    if (sql !== 'ROLLBACK' || this.inTransaction) super.exec(sql);
    return this;
  }
}

/** Milliseconds that one connection waits for another that writes. */
const patience = 10_000;

/**
 * @param file path of the SQLite file. @param isReader it only reads, beside the connection that writes.
 * @returns the database and what closes it.
 */
export function openDatabase(file: string, { isReader = false } = {}): { db: Db; close: () => void } {
  mkdirSync(dirname(file), { recursive: true });
  const sqlite = new Connection(file, { timeout: patience });
  if (isReader) {
    sqlite.pragma('query_only = ON');
    return { db: drizzleOn(sqlite), close: () => sqlite.close() };
  }
  sqlite.pragma('journal_mode = WAL');
  // What is answered as saved must survive a power cut, not only the end of the process.
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  const db = drizzleOn(sqlite);
  migrate(db as never, { migrationsFolder: join(workspace, 'packages/server/drizzle') });
  return { db, close: () => sqlite.close() };
}
