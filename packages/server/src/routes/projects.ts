/** The list of projects, and one project: reading it, adding to its log, hearing of changes. */
import { PassThrough } from 'node:stream';
import type { SentEntry, StoredEntry } from '@hovrin/core';
import type Router from '@koa/router';
import Joi from 'joi';
import { check, RequestError, readJson } from '../request.ts';
import { entriesAtOnce, type Store } from '../store/store.ts';

const nameShape = Joi.object<{ name: string }>({ name: Joi.string().trim().min(1).max(200).required() });

const sendShape = Joi.object<{ clientId: string; baseRevision: number; entries: SentEntry[] }>({
  clientId: Joi.string().min(8).max(64).required(),
  baseRevision: Joi.number().integer().min(0).required(),
  entries: Joi.array()
    .max(1000)
    .items(
      Joi.object({
        sequence: Joi.number().integer().min(0).required(),
        kind: Joi.string().valid('change', 'undo', 'redo').required(),
        label: Joi.string().allow('').max(300).required(),
        group: Joi.string().max(100),
        // What a step may hold is checked by the core, against the project.
        steps: Joi.array()
          .items(Joi.object({ type: Joi.string().required() }).unknown(true))
          .min(1)
          .max(20_000)
          .required(),
      }),
    )
    .required(),
});

export function projectRoutes(router: Router, store: Store): void {
  const known = (id: string | undefined): string => {
    if (id === undefined || !store.has(id))
      throw new RequestError(404, 'There is no such project; it may have been deleted.');
    return id;
  };

  router.get('/api/projects', (context) => {
    context.body = { projects: store.list(), deleted: store.list(true) };
  });

  router.post('/api/projects', async (context) => {
    const { name } = await readJson(context, nameShape);
    context.body = { id: store.createBlank(name) };
  });

  router.patch('/api/projects/:id', async (context) => {
    const id = known(context.params.id);
    const { name } = await readJson(context, nameShape);
    const { revision } = store.read(id)!;
    store.append(id, 'projects-list', revision, [
      {
        sequence: revision + 1,
        kind: 'change',
        label: 'Rename project',
        steps: [{ type: 'project', key: 'name', value: name }],
      },
    ]);
    context.body = {};
  });

  router.post('/api/projects/:id/duplicate', (context) => {
    context.body = { id: store.duplicate(known(context.params.id)) };
  });

  router.delete('/api/projects/:id', (context) => {
    store.setDeleted(known(context.params.id), true);
    context.body = {};
  });

  router.post('/api/projects/:id/restore', (context) => {
    if (!store.setDeleted(context.params.id ?? '', false))
      throw new RequestError(404, 'There is no such project.');
    context.body = {};
  });

  router.get('/api/projects/:id', (context) => {
    const id = known(context.params.id);
    const { project, revision } = store.read(id)!;
    const entries = store.entriesBefore(id, revision + 1);
    context.body = { project, revision, entries, older: entries.length === entriesAtOnce };
  });

  router.get('/api/projects/:id/entries', (context) => {
    const id = known(context.params.id);
    const { before } = check(
      context.query,
      Joi.object<{ before: number }>({ before: Joi.number().integer().min(0).required() }),
    );
    const entries = store.entriesBefore(id, before);
    context.body = { entries, older: entries.length === entriesAtOnce };
  });

  router.post('/api/projects/:id/entries', async (context) => {
    const id = known(context.params.id);
    const { clientId, baseRevision, entries } = await readJson(context, sendShape);
    const appended = store.append(id, clientId, baseRevision, entries)!;
    context.status = appended.refused.length > 0 ? 409 : 200;
    context.body = appended;
  });

  // Server-sent events (HTML §9.2): each entry as it is stored.
  router.get('/api/projects/:id/changes', (context) => {
    const id = known(context.params.id);
    const { since } = check(
      context.query,
      Joi.object<{ since: number }>({ since: Joi.number().integer().min(0).required() }).unknown(true),
    );
    const stream = new PassThrough();
    const send = (entry: StoredEntry) =>
      stream.write(`id: ${entry.revision}\ndata: ${JSON.stringify(entry)}\n\n`);
    const from = Number(context.get('Last-Event-ID') || since);
    stream.write(': open\n\n');
    for (const entry of store.entriesAfter(id, from)) send(entry);
    const end = store.listen(id, send);
    const alive = setInterval(() => stream.write(': alive\n\n'), 15_000);
    stream.on('close', () => {
      clearInterval(alive);
      end();
    });
    context.req.on('close', () => stream.destroy());
    context.type = 'text/event-stream';
    context.set('Cache-Control', 'no-store');
    context.body = stream;
  });
}
