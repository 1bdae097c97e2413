/** The list of projects, and one project: reading it, adding to its log. */
import { longestEntry, mostEntriesOfBatch, type SentEntry } from '@hovrin/core';
import type Router from '@koa/router';
import Joi from 'joi';
import type { Parts } from '../parts.ts';
import { check, RequestError, readJson } from '../request.ts';
import { readStarter, starterIds } from '../starters.ts';

const nameShape = Joi.object<{ name: string }>({ name: Joi.string().trim().min(1).max(200).required() });

const newShape = nameShape.append<{ name: string; starter?: string }>({ starter: Joi.string().max(40) });

/** A window, as its requests name it. */
const clientShape = Joi.string().pattern(/^[\w-]{8,64}$/);

const sendShape = Joi.object<{ clientId: string; baseRevision: number; entries: SentEntry[] }>({
  clientId: clientShape.required(),
  baseRevision: Joi.number().integer().min(0).required(),
  // Each entry is held against its shape by itself, so that one that is none does not keep others back.
  entries: Joi.array().max(mostEntriesOfBatch).items(Joi.any()).required(),
});

/** Longest body of entries, in bytes: one entry of the greatest length, in characters of up to three bytes. */
const largestBody = 3 * longestEntry;

export function projectRoutes(router: Router, { store }: Parts): void {
  const known = (id: string | undefined): string => {
    if (id === undefined || !store.has(id))
      throw new RequestError(404, 'There is no such project; it may have been deleted.');
    return id;
  };

  router.get('/api/projects', (context) => {
    context.body = { projects: store.list(), deleted: store.list(true) };
  });

  router.post('/api/projects', async (context) => {
    const { name, starter } = await readJson(context, newShape);
    if (starter === undefined) {
      context.body = { id: store.createBlank(name) };
      return;
    }
    if (!(await starterIds()).includes(starter)) throw new RequestError(404, 'There is no such starter.');
    // What the starter says of itself is nothing that the new project says.
    const { description: _, ...begun } = await readStarter(starter);
    context.body = { id: store.begin({ ...begun, name }) };
  });

  router.patch('/api/projects/:id', async (context) => {
    const id = known(context.params.id);
    const { name } = await readJson(context, nameShape);
    const { revision } = store.read(id)!;
    store.append(id, 'projects-list', revision, [
      {
        sequence: store.nextSequence(id, 'projects-list'),
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
    const { client } = check(
      context.query,
      Joi.object<{ client?: string }>({ client: clientShape }).unknown(true),
    );
    context.body = {
      ...store.read(id)!,
      isForeign: store.isForeign(id),
      ...(client === undefined ? {} : { nextSequence: store.nextSequence(id, client) }),
    };
  });

  // What a window did itself, for undo and redo, page by page from the newest.
  router.get('/api/projects/:id/history', (context) => {
    const id = known(context.params.id);
    const { client, before } = check(
      context.query,
      Joi.object<{ client: string; before: number }>({
        client: clientShape.required(),
        before: Joi.number().integer().min(0).required(),
      }),
    );
    context.body = store.history(id, client, before);
  });

  // Entries that could not be read when the project was opened, to be taken away as a file.
  router.get('/api/projects/:id/unreadable', (context) => {
    const id = known(context.params.id);
    context.attachment('unreadable-changes.json');
    context.type = 'application/json';
    context.body = JSON.stringify(store.unreadable(id), undefined, 1);
  });

  router.post('/api/projects/:id/entries', async (context) => {
    const id = known(context.params.id);
    const { clientId, baseRevision, entries } = await readJson(context, sendShape, largestBody);
    const appended = store.append(id, clientId, baseRevision, entries)!;
    context.status = appended.refused.length > 0 ? 409 : 200;
    context.body = appended;
  });
}
