/** Gives jobs to threads that can be ended: each has a bound on its time and its memory. */
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { workspace } from '@hovrin/files';
import type { Given, Jobs, Outcome } from './jobs.ts';

/** What a thread is told to do. */
export interface Order<J extends keyof Jobs = keyof Jobs> {
  readonly job: J;
  readonly given: Given<J>;
}

/** A job that was ended, or failed; the message is for the person. */
export class JobFailed extends Error {}

/** Threads at most, seconds that a job may take, and memory that it may use, MB. */
export interface Bounds {
  readonly threads: number;
  readonly seconds: number;
  readonly memory: number;
}

const usualBounds: Bounds = { threads: 2, seconds: 30, memory: 1024 };

interface Waiting {
  readonly order: Order;
  readonly resolve: (outcome: unknown) => void;
  readonly reject: (error: Error) => void;
}

const workerFile = join(workspace, 'packages/server/dist/worker.mjs');

export class Workshop {
  readonly #file: string;
  readonly #bounds: Bounds;
  readonly #idle: Worker[] = [];
  #busy = 0;
  readonly #waiting: Waiting[] = [];
  #isClosed = false;

  /** @param file of the database. */
  constructor(file: string, bounds: Partial<Bounds> = {}) {
    this.#file = file;
    this.#bounds = { ...usualBounds, ...bounds };
  }

  /** Does a job. @throws JobFailed where it takes too long, needs too much memory, or fails. */
  do<J extends keyof Jobs>(job: J, given: Given<J>): Promise<Outcome<J>> {
    return new Promise<Outcome<J>>((resolve, reject) => {
      this.#waiting.push({ order: { job, given }, resolve: resolve as never, reject });
      this.#next();
    });
  }

  #next(): void {
    if (this.#busy >= this.#bounds.threads) return;
    const waiting = this.#waiting.shift();
    if (!waiting) return;
    this.#busy += 1;
    const worker =
      this.#idle.pop() ??
      new Worker(workerFile, {
        workerData: { file: this.#file },
        resourceLimits: { maxOldGenerationSizeMb: this.#bounds.memory },
      });
    worker.ref();
    const end = (isReusable: boolean) => {
      clearTimeout(timer);
      worker.off('message', answered);
      worker.off('error', failed);
      if (isReusable && !this.#isClosed) {
        // A thread that waits does not keep the process alive.
        worker.unref();
        this.#idle.push(worker);
      } else void worker.terminate();
      this.#busy -= 1;
      this.#next();
    };
    const fail = (sentence: string) => {
      end(false);
      waiting.reject(new JobFailed(sentence));
    };
    const timer = setTimeout(
      () => fail(`This was ended: it took longer than ${this.#bounds.seconds} seconds to work out.`),
      this.#bounds.seconds * 1000,
    );
    const answered = (answer: { outcome?: unknown; problem?: string }) => {
      end(true);
      if (answer.problem === undefined) waiting.resolve(answer.outcome);
      else waiting.reject(new JobFailed(`This could not be worked out: ${answer.problem}`));
    };
    const failed = (error: Error & { code?: string }) =>
      fail(
        error.code === 'ERR_WORKER_OUT_OF_MEMORY'
          ? 'This was ended: it needs more memory than there is for one project.'
          : `This could not be worked out: ${error.message}`,
      );
    worker.on('message', answered);
    worker.on('error', failed);
    worker.postMessage(waiting.order);
  }

  async close(): Promise<void> {
    this.#isClosed = true;
    await Promise.all(this.#idle.splice(0).map((worker) => worker.terminate()));
  }
}
