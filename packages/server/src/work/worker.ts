/** The thread that jobs are done in. */

import { parentPort, workerData } from 'node:worker_threads';
import { messageOf } from '@hovrin/core';
import { openDatabase } from '../store/database.ts';
import { PictureStore } from '../store/pictures.ts';
import { RowStore } from '../store/rows.ts';
import { type Jobs, jobs } from './jobs.ts';
import type { Order } from './workshop.ts';

const { file }: { file: string } = workerData;
const { db } = openDatabase(file, { isReader: true });

parentPort!.on('message', async ({ job, given }: Order) => {
  try {
    // Rows may have changed since the last job: this thread hears of no step.
    const sources = { rows: new RowStore(db), pictures: new PictureStore(db) };
    const outcome = await (jobs[job] as (...all: unknown[]) => Promise<unknown>)(sources, given);
    parentPort!.postMessage({ outcome });
  } catch (error) {
    parentPort!.postMessage({ problem: messageOf(error) });
  }
});

export type { Jobs };
