/** Hearing of changes: one stream of server-sent events (HTML §9.2) for all projects that a browser has open. */

import { PassThrough } from 'node:stream';
import type { StoredEntry } from '@hovrin/core';
import { itemAt } from '@hovrin/core';
import type Router from '@koa/router';
import Joi from 'joi';
import type { Parts } from '../parts.ts';
import { check } from '../request.ts';

/** Bytes that may wait in a stream that nobody reads; then it ends, and what was missed is asked for. */
const mostWaiting = 4_000_000;
/** Most projects of one stream. */
const mostProjects = 50;
/** Milliseconds between two signs of life. */
const aliveEvery = 15_000;

const shape = Joi.object<{ of: string }>({
  of: Joi.string()
    .pattern(/^[\w-]{1,64}:\d{1,15}(,[\w-]{1,64}:\d{1,15})*$/)
    .max(100 * mostProjects)
    .required(),
});

export function changeRoutes(router: Router, { store }: Parts): void {
  // `of`: projects, each with the revision that is known.
  router.get('/api/changes', (context) => {
    const { of } = check(context.query, shape);
    const stream = new PassThrough();
    const say = (event: string, data: unknown) => {
      if (stream.writableEnded) return;
      if (stream.writableLength > mostWaiting) stream.end();
      else stream.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    };
    stream.write(': open\n\n');
    const ends = of
      .split(',')
      .slice(0, mostProjects)
      .filter((each) => store.has(itemAt(each.split(':'), 0)))
      .map((each) => {
        const [project = '', since] = each.split(':');
        const revision = store.read(project)?.revision ?? 0;
        const run = store.entriesAfter(project, Number(since));
        // What is too much for a stream is asked for as a whole.
        if (run.isTooLong || Number(since) > revision) say('behind', { project, revision });
        else for (const entry of run.entries) say('entry', { project, entry });
        return store.listen(project, (entry: StoredEntry) => say('entry', { project, entry }));
      });
    const alive = setInterval(() => {
      if (!stream.writableEnded) stream.write(': alive\n\n');
    }, aliveEvery);
    stream.on('close', () => {
      clearInterval(alive);
      for (const end of ends) end();
    });
    context.req.on('close', () => stream.destroy());
    context.type = 'text/event-stream';
    context.set('Cache-Control', 'no-store');
    context.body = stream;
  });
}
