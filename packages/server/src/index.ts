/** Starts the server: `server.mjs --port N --data FOLDER [--fresh] [--yes] [--log]`. */

import { createServer } from 'node:net';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { messageOf } from '@hovrin/core';
import { workspace } from '@hovrin/files';
import { loadDemo } from './demo-data.ts';
import { listen, makeApplication, requestLog } from './server.ts';
import { type DataFolder, FolderRefused, openDataFolder } from './store/data-folder.ts';
import { Store } from './store/store.ts';
import { sweep } from './store/sweep.ts';
import { Workshop } from './work/workshop.ts';

/** Milliseconds from one sweep to the next. */
const sweepEvery = 24 * 3600 * 1000;

/** Whether nothing listens on a port of loopback. */
function isFree(port: number): Promise<boolean> {
  return new Promise((resolve) => {
    const probe = createServer()
      .once('error', () => resolve(false))
      .listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
}

async function agree(question: string): Promise<boolean> {
  if (!process.stdin.isTTY) {
    console.log(`${question}\nNobody can be asked here; add --yes to go on.`);
    return false;
  }
  const asking = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await asking.question(`${question} [y/N] `);
  asking.close();
  return /^y(es)?$/i.test(answer.trim());
}

/** The options of the command line, or what is wrong with them. */
function readOptions() {
  try {
    return parseArgs({
      options: {
        port: { type: 'string', default: '4870' },
        data: { type: 'string', default: join(workspace, 'data') },
        fresh: { type: 'boolean' },
        yes: { type: 'boolean' },
        log: { type: 'boolean' },
      },
    }).values;
  } catch (error) {
    return `${messageOf(error)}\nThe options are --port N, --data FOLDER, --fresh, --yes and --log.`;
  }
}

async function main(): Promise<number> {
  const values = readOptions();
  if (typeof values === 'string') {
    console.error(values);
    return 2;
  }
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) {
    console.error(`${values.port} is not a port; a port is a number from 1 to 65535.`);
    return 2;
  }
  // Before anything is touched: with the port taken, another Hovrin may be using the same data.
  if (!(await isFree(port))) {
    console.error(
      `Port ${port} is taken. Another Hovrin may be running there; stop it, or choose another port: npm run demo -- --port ${port + 1}`,
    );
    return 3;
  }
  let folder: DataFolder;
  try {
    folder = openDataFolder(values.data);
  } catch (error) {
    console.error(
      error instanceof FolderRefused
        ? error.message
        : `The data in ${values.data} cannot be opened: ${messageOf(error)}`,
    );
    return 3;
  }
  const { db, file, told, close } = folder;
  for (const sentence of told) console.error(sentence);
  const store = new Store(db);
  if (values.fresh && !store.isEmpty()) {
    if (
      store.isChanged() &&
      !values.yes &&
      !(await agree('This replaces all projects and changes by the demo data.'))
    ) {
      close();
      return 1;
    }
    store.clear();
  }
  if (store.isEmpty()) await loadDemo(store);
  sweep(db, Date.now());
  setInterval(() => sweep(db, Date.now()), sweepEvery).unref();
  const workshop = new Workshop(file);
  const log = values.log ? requestLog((line) => console.log(line)) : undefined;
  const server = await listen(makeApplication({ store, workshop }, log), port);
  console.log(`Hovrin is at http://127.0.0.1:${port}/ (its data in ${values.data}; stop it with Ctrl+C)`);
  const stop = () => {
    server.closeAllConnections();
    server.close(() => {
      void workshop.close().then(() => {
        close();
        process.exit(0);
      });
    });
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, stop);
  return 0;
}

const code = await main();
if (code !== 0) process.exit(code);
