/** A server around a store of its own, on a free port of loopback. */
import { mkdtemp, rm } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { listen, makeApplication } from '../src/server.ts';
import { openDatabase } from '../src/store/database.ts';
import { Store } from '../src/store/store.ts';
import { type Bounds, Workshop } from '../src/work/workshop.ts';

export interface Served {
  readonly store: Store;
  /** The SQLite file. */
  readonly file: string;
  /** `http://127.0.0.1:PORT`. */
  readonly base: string;
  close(): Promise<void>;
}

/** @param bounds of jobs. */
export async function served(bounds: Partial<Bounds> = {}): Promise<Served> {
  const folder = await mkdtemp(join(tmpdir(), 'hovrin-server-'));
  const file = join(folder, 'test.sqlite');
  const { db, close } = openDatabase(file);
  const store = new Store(db);
  const workshop = new Workshop(file, bounds);
  const server = await listen(makeApplication({ store, workshop }), 0);
  // Tests that work for seconds in this very thread find their connections still there.
  server.keepAliveTimeout = 120_000;
  return {
    store,
    file,
    base: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    async close() {
      server.closeAllConnections();
      server.close();
      await workshop.close();
      close();
      await rm(folder, { recursive: true });
    },
  };
}
