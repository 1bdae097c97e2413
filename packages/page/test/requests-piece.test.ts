/** Requests on a page: asked by events and by themselves, with secrets, and rows that lie behind a service. */
import type { DataSource, RemoteTable } from '@hovrin/core';
import { parseExpression } from '@hovrin/core';
import {
  addStatements,
  type Host,
  type ProgramRequest,
  type ProgramVariable,
  Runtime,
} from '@hovrin/core/runtime';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Around } from '../src/pieces/piece.ts';
import { piece } from '../src/pieces/requests.ts';

const office: DataSource = {
  name: 'office',
  base: 'https://office.example/api/',
  auth: { as: 'bearer', secret: 'warden' },
};
const idle = { state: 'idle', result: null, error: '', status: 0, next: '' };
const asked = (name: string, request: Partial<ProgramRequest>): ProgramVariable => ({
  name,
  type: 'record',
  initial: idle,
  request: { source: 'office', method: 'GET', path: name, parameters: [], ...request },
});
const follows = (text: string) => {
  const read = parseExpression(text);
  if (!read.ok) throw new Error(read.problem.message);
  return read.value;
};

/** What was sent, and what is answered: by the method and the path. */
let sent: { method: string; path: string; headers: Record<string, string>; body: unknown }[];
let answers: Record<string, () => Response>;
let said: string[];
beforeEach(() => {
  vi.useFakeTimers();
  sent = [];
  said = [];
  answers = {};
  vi.stubGlobal('fetch', async (address: string, init: RequestInit = {}) => {
    const { pathname, search } = new URL(address);
    const path = pathname.replace('/api/', '') + search;
    const { method = 'GET', headers, body } = init;
    sent.push({
      method,
      path,
      headers: headers as Record<string, string>,
      body: body === undefined ? undefined : JSON.parse(String(body)),
    });
    const answer = answers[`${method} ${path}`];
    if (!answer) throw new TypeError('nobody answers');
    return answer();
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status });
const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms);

/** A page with these variables, as its script starts the piece. */
async function page(...state: readonly ProgramVariable[]) {
  const acting = { message: () => {} } as unknown as Host['acting'];
  const host: Host = { acting, problem: (text: string) => void said.push(text) };
  const program = { name: 'Hut', start: 'A', state, sources: [office], pictures: {}, screens: [] };
  const runtime = new Runtime(program, host);
  piece(document, {
    program,
    runtime,
    host,
    addStatements,
    say: (text: string) => void said.push(text),
    asItLeads: () => {},
  } as unknown as Around);
  await settle();
  const answer = (name: string) => runtime.read(name) as unknown as typeof idle;
  return { host, runtime, answer };
}

/** An event asks a request. */
const asks = (runtime: Runtime, name: string) =>
  runtime.run([{ type: 'ask', how: 'ask', name, span: [0, 0] }]);

describe('a request', () => {
  it('is asked by an event, and its variable tells how it goes', async () => {
    answers = { 'GET guests': () => json(['Ilka']) };
    const { runtime, answer } = await page(asked('guests', {}));
    asks(runtime, 'guests');
    expect(answer('guests').state).toBe('waiting');
    await settle();
    expect(answer('guests')).toMatchObject({ state: 'done', result: ['Ilka'] });
    asks(runtime, 'nobody');
    await settle();
    expect(said).toContain('`nobody` is no request.');
  });

  it('is asked by itself, again and again, and anew when what it follows changes', async () => {
    answers = { 'GET guests': () => json([]), 'GET guests?day=2026-12-03': () => json([3]) };
    const day = { name: 'day', in: 'query', type: 'date', value: follows('day') } as const;
    const { runtime, answer } = await page(
      { name: 'day', type: 'date', initial: '' },
      asked('guests', { every: 10, parameters: [day] }),
    );
    expect(sent).toHaveLength(1);
    await settle(10_000);
    expect(sent).toHaveLength(2);
    runtime.assign('day', '2026-12-03');
    await settle();
    expect(answer('guests').result).toEqual([3]);
    expect(sent).toHaveLength(3);
  });

  it('waits with that until what it needs is there', async () => {
    answers = { 'GET guests/4': () => json('Ilka') };
    const id = { name: 'id', in: 'path', type: 'text', required: true, value: follows('chosen') } as const;
    const { runtime, answer } = await page(
      { name: 'chosen', type: 'text', initial: '' },
      asked('guest', { every: 0, path: 'guests/{id}', parameters: [id] }),
    );
    expect([sent, answer('guest').state]).toEqual([[], 'idle']);
    runtime.assign('chosen', '4');
    await settle();
    expect(answer('guest').result).toBe('Ilka');
  });

  it('has the secret that an event gave, until it is taken away', async () => {
    answers = { 'GET guests': () => json([]) };
    const { host, runtime } = await page(asked('guests', {}));
    for (const secret of ['s3', '']) {
      host.acting.setSecret!('warden', secret);
      asks(runtime, 'guests');
      await settle();
    }
    expect(sent.map(({ headers }) => headers.Authorization)).toEqual(['Bearer s3', undefined]);
  });

  it('says in the console that nobody answers, where it was asked by itself', async () => {
    const told = vi.spyOn(console, 'warn').mockImplementation(() => {});
    const { answer } = await page(asked('guests', { every: 0 }));
    expect(answer('guests')).toMatchObject({ state: 'failed', error: 'The service does not answer.' });
    expect(told).toHaveBeenCalledWith('guests: The service does not answer.');
  });
});

describe('rows behind a service', () => {
  const remote: RemoteTable = { list: 'list', add: 'addOne', change: 'changeOne', remove: 'removeOne' };
  const id = { name: 'id', in: 'path', type: 'number', required: true } as const;
  const guest = { name: 'guest', in: 'field', type: 'text' } as const;
  const people = { name: 'people', in: 'field', type: 'number' } as const;
  const stays = () =>
    page(
      {
        name: 'stays',
        type: 'list',
        initial: [],
        columns: [{ name: 'id', type: 'number', role: 'key' }],
        remote,
      },
      asked('list', { every: 0, path: 'stays' }),
      asked('addOne', { method: 'POST', path: 'stays', parameters: [guest, people] }),
      asked('changeOne', { method: 'PATCH', path: 'stays/{id}', parameters: [id, guest, people] }),
      asked('removeOne', { method: 'DELETE', path: 'stays/{id}', parameters: [id] }),
    );
  beforeEach(() => {
    answers = { 'GET stays': () => json([{ id: 1, guest: 'Ilka', people: 2 }]) };
  });

  it('come from it; what changes is sent once nothing more is typed, of a row only what changed', async () => {
    answers['PATCH stays/1'] = () => json({ id: 1, guest: 'Ilka S', people: 2, version: 2 });
    const { runtime } = await stays();
    expect(runtime.read('stays')).toEqual([{ id: 1, guest: 'Ilka', people: 2 }]);
    for (const name of ['Ilka ', 'Ilka S']) runtime.assign('stays', [{ id: 1, guest: name, people: 2 }]);
    await settle(300);
    expect(sent).toHaveLength(1);
    await settle(200);
    expect(sent[1]).toMatchObject({ method: 'PATCH', path: 'stays/1', body: { guest: 'Ilka S' } });
    expect(runtime.read('stays')).toEqual([{ id: 1, guest: 'Ilka S', people: 2, version: 2 }]);
  });

  it('are added and removed, and taken back with a message where that is refused', async () => {
    answers['POST stays'] = () => json({ id: 40, guest: 'Bram', people: 1 }, 201);
    answers['DELETE stays/1'] = () => json({ detail: 'They are here already.' }, 422);
    const { runtime } = await stays();
    runtime.assign('stays', [{ id: 2, guest: 'Bram', people: 1 }]);
    await settle(500);
    expect(sent.slice(1).map(({ method, path }) => `${method} ${path}`)).toEqual([
      'POST stays',
      'DELETE stays/1',
    ]);
    expect(runtime.read('stays')).toEqual([
      { id: 1, guest: 'Ilka', people: 2 },
      { id: 40, guest: 'Bram', people: 1 },
    ]);
    expect(said).toContain('They are here already.');
  });
});
