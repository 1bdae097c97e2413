import { request } from 'node:http';
import type { Appended, Project, Step } from '@hovrin/core';
import { unzipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadDemo } from '../src/demo-data.ts';
import { openDatabase } from '../src/store/database.ts';
import { Store } from '../src/store/store.ts';
import { type Served, served } from './served.ts';

let store: Store;
let base: string;
let server: Served;
beforeAll(async () => {
  server = await served();
  ({ store, base } = server);
});
afterAll(() => server.close());

async function call<T>(method: string, path: string, body?: unknown): Promise<{ status: number; body: T }> {
  const response = await fetch(base + path, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  return { status: response.status, body: (await response.json()) as T };
}

async function blank(): Promise<{ id: string; project: Project; screen: string }> {
  const { body } = await call<{ id: string }>('POST', '/api/projects', { name: 'Trial' });
  const { project } = store.read(body.id)!;
  return { id: body.id, project, screen: project.screens[0]!.id };
}

const set = (control: string, property: string, value: string): Step => ({
  type: 'set',
  control,
  property,
  value,
});
const send = (id: string, clientId: string, baseRevision: number, sequence: number, ...steps: Step[]) =>
  call<Appended>('POST', `/api/projects/${id}/entries`, {
    clientId,
    baseRevision,
    entries: [{ sequence, kind: 'change', label: 'Try', steps }],
  });

describe('the log', () => {
  it('takes a repeated request once', async () => {
    const { id, screen } = await blank();
    const first = await send(id, 'client-one', 0, 0, set(screen, 'gap', '4'));
    const again = await send(id, 'client-one', 0, 0, set(screen, 'gap', '4'));
    expect([first.body.revision, again.body.revision]).toEqual([1, 1]);
    expect(again.body.accepted).toEqual(first.body.accepted);
    expect(store.entriesAfter(id, 0).entries).toHaveLength(1);
  });

  it('puts steps with an old base on top where they still fit, and tells what was missed', async () => {
    const { id, screen } = await blank();
    await send(id, 'client-one', 0, 0, set(screen, 'gap', '4'));
    const late = await send(id, 'client-two', 0, 0, set(screen, 'padding', '8'));
    expect(late).toMatchObject({
      status: 200,
      body: { revision: 2, missed: [{ revision: 1, clientId: 'client-one' }] },
    });
    expect(store.read(id)!.project.screens[0]!.props).toMatchObject({ gap: '4', padding: '8' });
  });

  it('answers with a conflict that names the control where they do not', async () => {
    const { id, screen } = await blank();
    const control = { id: 'text-one', kind: 'text', name: 'title', props: {}, children: [] };
    await send(id, 'client-one', 0, 0, { type: 'insert', parent: screen, index: 0, control });
    await send(id, 'client-one', 1, 1, { type: 'remove', control: 'text-one' });
    const late = await send(id, 'client-two', 1, 0, set('text-one', 'text', 'Hello'));
    expect(late).toMatchObject({
      status: 409,
      body: {
        revision: 2,
        refused: [
          {
            sequence: 0,
            control: 'title',
            reason: 'The control is not there any more. “Try” took it away.',
          },
        ],
      },
    });
  });

  it('of several entries in one request get a revision each, one after the other', async () => {
    const { id, screen } = await blank();
    const entries = ['4', '8', '12'].map((value, sequence) => ({
      sequence,
      kind: 'change' as const,
      label: 'x',
      steps: [set(screen, 'gap', value)],
    }));
    const appended = store.append(id, 'client-one', 0, entries)!;
    expect(appended.accepted.map(({ revision }) => revision)).toEqual([1, 2, 3]);
    expect(store.read(id)).toMatchObject({ revision: 3 });
    // The same request again changes nothing, and answers the same.
    expect(store.append(id, 'client-one', 0, entries)!.accepted).toEqual(appended.accepted);
    expect(store.read(id)).toMatchObject({ revision: 3 });
  });

  it('is read the same after a restart, past snapshots and between them', async () => {
    const { id, screen } = await blank();
    for (let sequence = 0; sequence < 137; sequence++)
      store.append(id, 'client-one', sequence, [
        { sequence, kind: 'change', label: 'x', steps: [set(screen, 'gap', String(sequence))] },
      ]);
    const reopened = openDatabase(server.file);
    expect(new Store(reopened.db).read(id)).toEqual(store.read(id));
    expect(store.read(id)).toMatchObject({ revision: 137 });
    reopened.close();
  });

  it('tells other windows of each entry', async () => {
    const { id, screen } = await blank();
    const stream = await fetch(`${base}/api/changes?of=${id}:0`);
    const reader = stream.body!.getReader();
    await send(id, 'client-one', 0, 0, set(screen, 'gap', '12'));
    let heard = '';
    while (!heard.includes('"gap"')) heard += new TextDecoder().decode((await reader.read()).value);
    expect(heard).toContain('"revision":1');
    await reader.cancel();
  });
});

describe('requests', () => {
  it.each([
    ['a negative base', { clientId: 'client-one', baseRevision: -1, entries: [] }],
    ['something else', 'nonsense'],
  ])('with %s are refused with a sentence', async (_, body) => {
    const { id } = await blank();
    const answer = await call<{ error: string }>('POST', `/api/projects/${id}/entries`, body);
    expect(answer.status).toBe(400);
    expect(answer.body.error.length).toBeGreaterThan(5);
  });

  it('with an entry that is none refuse that one, and store the others', async () => {
    const { id, screen } = await blank();
    const steps = [set(screen, 'gap', '4')];
    const good = { sequence: 7, kind: 'change', label: 'Good', steps };
    const entries = [
      { ...good, sequence: undefined },
      { ...good, sequence: 1, kind: 'destroy' },
      { ...good, sequence: 2, label: 'x'.repeat(301) },
      { ...good, sequence: 3, group: 'x'.repeat(65) },
      { ...good, sequence: 4, steps: [] },
      { ...good, sequence: 5, steps: [{ type: 'set', control: screen, property: 'gap', value: 'wide' }] },
      'nonsense',
      good,
    ];
    const answer = await call<Appended>('POST', `/api/projects/${id}/entries`, {
      clientId: 'client-one',
      baseRevision: 0,
      entries,
    });
    expect(answer.status).toBe(409);
    expect(answer.body.refused).toHaveLength(7);
    for (const { reason } of answer.body.refused) expect(reason).toMatch(/^.{10,}\.$/);
    expect(answer.body.accepted.map(({ label }) => label)).toEqual(['Good']);
    expect(store.read(id)!.project.screens[0]!.props.gap).toBe('4');
  });

  it('whose steps make no valid project are refused, and change nothing', async () => {
    const { id, screen } = await blank();
    const before = store.read(id);
    const answer = await send(id, 'client-one', 0, 0, {
      type: 'insert',
      parent: screen,
      index: 0,
      control: { id: 'x', kind: 'script', props: {}, children: [] },
    });
    expect(answer).toMatchObject({
      status: 409,
      body: { refused: [{ reason: 'There is no kind `script`.' }] },
    });
    expect(store.read(id)).toEqual(before);
  });

  it('from other sites or under other names are not answered', async () => {
    const status = (headers: Record<string, string>, path = '/api/projects') =>
      new Promise<number | undefined>((resolve) => {
        request(base + path, { headers }, (response) => {
          response.resume();
          resolve(response.statusCode);
        }).end();
      });
    const host = new URL(base).host;
    expect(await status({ Host: 'hut.example' })).toBe(403);
    expect(await status({ Origin: 'http://hut.example' })).toBe(403);
    expect(await status({ Origin: 'null' })).toBe(403);
    expect(await status({ 'Sec-Fetch-Site': 'cross-site' })).toBe(403);
    expect(await status({ Host: host, Origin: `http://${host}` })).toBe(200);
    expect(await status({}, '/fonts/..%2f..%2fpackage.json')).toBe(404);
  });
});

describe('projects', () => {
  it('are renamed, duplicated, deleted and brought back', async () => {
    const { id } = await blank();
    await call('PATCH', `/api/projects/${id}`, { name: 'Evening' });
    const copy = await call<{ id: string }>('POST', `/api/projects/${id}/duplicate`);
    expect(store.read(copy.body.id)!.project.name).toBe('Evening (copy)');
    await call('DELETE', `/api/projects/${id}`);
    expect((await call('GET', `/api/projects/${id}`)).status).toBe(404);
    expect(store.list(true).map((project) => project.id)).toContain(id);
    await call('POST', `/api/projects/${id}/restore`);
    expect((await call('GET', `/api/projects/${id}`)).status).toBe(200);
  });

  it('give their page as a zip, and as a running page that may do nothing else', async () => {
    const id = await loadDemo(store);
    const zip = unzipSync(
      new Uint8Array(await (await fetch(`${base}/api/projects/${id}/export/html`)).arrayBuffer()),
    );
    expect(Object.keys(zip)).toEqual(
      expect.arrayContaining([
        'index.html',
        'style.css',
        'script.js',
        'assets/ridge.svg',
        'fonts/hanken-grotesk-latin-400.woff2',
      ]),
    );
    const running = await fetch(`${base}/try/${id}/0/index.html`);
    // It is the same page, but for the script by which it listens to the window around it.
    const trial = '<script src="trial.js" defer></script>\n    ';
    const text = await running.text();
    expect(text).toContain(trial);
    expect(text.replace(trial, '')).toBe(new TextDecoder().decode(zip['index.html']));
    expect((await fetch(`${base}/try/${id}/0/trial.js`)).status).toBe(200);
    expect(running.headers.get('Content-Security-Policy')).toContain("default-src 'none'");
    expect((await fetch(`${base}/try/${id}/0/fonts/..%2f..%2findex.html`)).status).toBe(404);
  });

  it('take pictures and nothing else, and never write over one', async () => {
    const { id } = await blank();
    const put = (type: string, name = 'a.png') =>
      fetch(`${base}/api/projects/${id}/assets?name=${name}&width=2&height=2`, {
        method: 'POST',
        body: type === 'image/png' ? new Uint8Array([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]) : 'x',
        headers: { 'Content-Type': type },
      });
    expect((await put('text/html')).status).toBe(415);
    expect((await put('image/png', '..%2fa.png')).status).toBe(400);
    expect((await put('image/png')).status).toBe(200);
    expect((await put('image/png')).status).toBe(409);
  });
});
