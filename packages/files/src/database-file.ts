/** The database of a server as a file: whether it can be read, one process at a time, copies while it is in use. */

import { closeSync, existsSync, openSync, readSync, renameSync, statSync } from 'node:fs';
import { messageOf } from '@hovrin/core';
import Database from 'libsql';

/** The name of the file in a data folder, and of the one that a running server holds. */
export const databaseName = 'hovrin.sqlite';
const lockName = 'hovrin.lock';

/** What stands at the beginning of every SQLite file (File Format 1.3). */
const magic = 'SQLite format 3\0';

/** Names of files that belong to a database file. */
const besides = ['', '-wal', '-shm'];

/** What a query finds first: the first column of its first row; undefined where it finds none. */
export function firstValue(database: Database.Database, query: string): unknown {
  const [row] = database.prepare(query).raw().all();
  return Array.isArray(row) ? row[0] : undefined;
}

const sentence = (error: unknown): string => messageOf(error);

/**
 * What is wrong with a database file; undefined where nothing is, or there is none. An empty file is not a new one: what
 * was in it is gone.
 */
export function databaseProblem(file: string): string | undefined {
  if (!existsSync(file)) return undefined;
  const { size } = statSync(file);
  if (size === 0) return 'the file is empty';
  const begin = Buffer.alloc(magic.length);
  const handle = openSync(file, 'r');
  try {
    readSync(handle, begin, 0, magic.length, 0);
  } finally {
    closeSync(handle);
  }
  if (begin.toString('latin1') !== magic) return 'the file is no database';
  let database: Database.Database | undefined;
  try {
    database = new Database(file);
    const found = firstValue(database, 'PRAGMA quick_check(1)');
    return found === 'ok' ? undefined : `the file is damaged: ${String(found)}`;
  } catch (error) {
    return sentence(error);
  } finally {
    database?.close();
  }
}

/** Renames a database file and its journals out of the way. @param time ms since 1970. @returns its new path. */
export function putAside(file: string, time: number): string {
  const stamp = new Date(time).toISOString().replaceAll(/[-:]/g, '').slice(0, 15);
  const aside = file.replace(/(\.sqlite)?$/, `.unreadable-${stamp}$1`);
  for (const ending of besides) if (existsSync(file + ending)) renameSync(file + ending, aside + ending);
  return aside;
}

/**
 * Holds a data folder for as long as this process lives, however it ends: the system lets go of it.
 *
 * @returns what lets go of it; undefined where another process holds it.
 */
export function holdFolder(folder: string): (() => void) | undefined {
  const database = new Database(`${folder}/${lockName}`);
  try {
    database.exec('PRAGMA locking_mode = EXCLUSIVE; BEGIN EXCLUSIVE;');
    return () => database.close();
  } catch {
    database.close();
    return undefined;
  }
}

/**
 * Copies a database into a new file, as it is at one moment, while others read and write it.
 *
 * @throws Error with a sentence where it cannot be read, or the new file is there already.
 */
export function copyDatabase(from: string, to: string): void {
  if (!existsSync(from)) throw new Error(`There is no database ${from}.`);
  if (existsSync(to)) throw new Error(`${to} is there already.`);
  const database = new Database(from);
  try {
    database.exec('PRAGMA busy_timeout = 10000;');
    database.prepare('VACUUM INTO ?').run(to);
  } finally {
    database.close();
  }
  const problem = databaseProblem(to);
  if (problem) throw new Error(`The copy cannot be read: ${problem}.`);
}
