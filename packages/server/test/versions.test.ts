/** Versions of a project: as it was at each revision, those with a name, and what was done. */
import type { Checkpoint, Project, ToldChange } from '@hovrin/core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type Served, served } from './served.ts';

let server: Served;
let id: string;
let screen: string;
beforeAll(async () => {
  server = await served();
  id = server.store.createBlank('Trial');
  screen = server.store.read(id)!.project.screens[0]!.id;
});
afterAll(() => server.close());

async function call<T>(method: string, path: string, body?: unknown): Promise<{ status: number; body: T }> {
  const response = await fetch(`${server.base}/api/projects/${path}`, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  return { status: response.status, body: (await response.json()) as T };
}
const gap = (project: Project) => project.screens[0]!.props.gap;
let sequence = 0;
/** Changes the gap of the screen. @returns the revision then. */
const change = (value: string): number =>
  server.store.append(id, 'client-one', server.store.read(id)!.revision, [
    {
      sequence: sequence++,
      kind: 'change',
      label: `Gap ${value}`,
      steps: [{ type: 'set', control: screen, property: 'gap', value }],
    },
  ])!.revision;
const at = (revision: number | string) => call<{ project: Project }>('GET', `${id}/at/${revision}`);

it('a project is there as it was at each revision', async () => {
  const first = gap(server.store.read(id)!.project);
  for (let value = 1; value <= 250; value++) change(String(value));
  for (const revision of [1, 17, 120, 249, 250]) {
    const { status, body } = await at(revision);
    expect([status, gap(body.project)]).toEqual([200, String(revision)]);
  }
  expect(gap((await at(0)).body.project)).toBe(first);
  for (const wrong of [251, -1, 'x', '1.5']) expect((await at(wrong)).status).toBe(404);
});

it('what was done is told, the newest first, up to a revision', async () => {
  const { body } = await call<{ changes: ToldChange[] }>('GET', `${id}/log?upTo=12`);
  expect(body.changes.map(({ label }) => label).slice(0, 3)).toEqual(['Gap 12', 'Gap 11', 'Gap 10']);
  expect(body.changes).toHaveLength(12);
  expect((await call<{ changes: ToldChange[] }>('GET', `${id}/log`)).body.changes[0]).toMatchObject({
    revision: 250,
    clientId: 'client-one',
    kind: 'change',
  });
  expect((await call('GET', `${id}/log?upTo=x`)).status).toBe(400);
});

it('versions get a name and a note, other ones, and lose them', async () => {
  const list = async () =>
    (await call<{ checkpoints: Checkpoint[] }>('GET', `${id}/checkpoints`)).body.checkpoints;
  const made = await call<Checkpoint>('POST', `${id}/checkpoints`, { name: ' First evening ', revision: 20 });
  expect(made.body).toMatchObject({ name: 'First evening', note: '', revision: 20 });
  await call('POST', `${id}/checkpoints`, { name: 'Second', note: 'With the kitchen', revision: 40 });
  expect((await list()).map(({ name }) => name)).toEqual(['Second', 'First evening']);
  const place = `${id}/checkpoints/${made.body.id}`;
  expect((await call('PATCH', place, { name: 'The first', note: 'x' })).status).toBe(200);
  expect((await list())[1]).toMatchObject({ name: 'The first', note: 'x', revision: 20 });
  expect((await call('DELETE', place)).status).toBe(200);
  expect(await list()).toHaveLength(1);
  for (const [method, path, body, status] of [
    ['DELETE', place, undefined, 404],
    ['PATCH', place, { name: 'a' }, 404],
    ['POST', `${id}/checkpoints`, { name: '', revision: 1 }, 400],
    ['POST', `${id}/checkpoints`, { name: 'a', revision: 9999 }, 409],
    ['POST', `${id}/checkpoints`, { name: 'a' }, 400],
    ['GET', 'nowhere/checkpoints', undefined, 404],
  ] as const)
    expect([path, (await call(method, path, body)).status]).toEqual([path, status]);
});
