/**
 * While a heavy request is worked out, a request to another project is answered: the longest that one waits, against
 * 200 ms. The server is a process of its own.
 */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Project, Step } from '@hovrin/core';
import { workspace } from '@hovrin/files';
import { freePort } from '../tests/browser/free-port.ts';
import { costly, type HeavyRequest, heavyRequests, insert, text } from './heavy-requests.ts';
import type { Measured } from './measure.ts';

/** Milliseconds that a request to another project may wait. */
const most = 200;

/** A server in a process of its own, until `end`. */
async function served(folder: string): Promise<{ base: string; end: () => Promise<void> }> {
  const port = await freePort();
  const file = join(workspace, 'packages/server/dist/server.mjs');
  const server = spawn(process.execPath, [file, '--port', String(port), '--data', folder], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await once(server.stdout, 'data');
  return {
    base: `http://127.0.0.1:${port}`,
    async end() {
      const exit = once(server, 'exit');
      server.kill();
      await exit;
    },
  };
}

class Client {
  #sequence = 0;
  readonly #base: string;

  constructor(base: string) {
    this.#base = base;
  }

  ask = ({ path, body }: Omit<HeavyRequest, 'name'>): Promise<Response> =>
    fetch(this.#base + path, body === undefined ? {} : { method: 'POST', body });

  async project(name: string): Promise<{ id: string; project: Project }> {
    const made = await this.ask({ path: '/api/projects', body: JSON.stringify({ name }) });
    const { id } = (await made.json()) as { id: string };
    const opened = await this.ask({ path: `/api/projects/${id}` });
    return { id, ...((await opened.json()) as { project: Project }) };
  }

  /** A request's body with one entry. */
  entries = (...steps: Step[]): string => {
    const entry = { sequence: this.#sequence++, kind: 'change', label: 'Change', steps };
    return JSON.stringify({ clientId: 'bench-window', baseRevision: 0, entries: [entry] });
  };

  /** Milliseconds: the longest wait for another project, asked for again and again until the heavy request is answered. */
  async longestWait(other: string, heavy: HeavyRequest): Promise<number> {
    let isAnswered = false;
    const answer = this.ask(heavy).finally(() => {
      isAnswered = true;
    });
    let longest = 0;
    do {
      const begun = performance.now();
      await (await this.ask({ path: `/api/projects/${other}` })).text();
      longest = Math.max(longest, performance.now() - begun);
    } while (!isAnswered);
    await (await answer).arrayBuffer();
    return longest;
  }
}

export async function attended(): Promise<Measured[]> {
  const folder = await mkdtemp(join(tmpdir(), 'hovrin-bench-'));
  const { base, end } = await served(folder);
  try {
    const client = new Client(base);
    const other = await client.project('Other');
    const { id, project } = await client.project('Heavy');
    const stays: Step = {
      type: 'put',
      of: 'state',
      entity: { name: 'stays', type: 'list', initial: [{ guest: 'Ilka', beds: 2 }] },
    };
    const texts = Array.from({ length: 100 }, (_, index) =>
      insert(project.screens[0]!.id, text(`costly${index}`, costly)),
    );
    await client.ask({ path: `/api/projects/${id}/entries`, body: client.entries(stays, ...texts) });
    const requests = heavyRequests(id, project, client.entries);
    // While they were made, the server closed the connection, which is only heard of in a moment.
    await new Promise((resolve) => setTimeout(resolve, 500));
    const measured: Measured[] = [];
    for (const heavy of requests) {
      const wait = await client.longestWait(other.id, heavy);
      measured.push({
        name: `another project during ${heavy.name}`,
        against: `${most} ms`,
        ratio: Number((most / wait).toFixed(2)),
        aim: 1,
      });
    }
    return measured;
  } finally {
    await end();
    await rm(folder, { recursive: true });
  }
}
