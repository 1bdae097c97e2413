/** Stored tables over HTTP: rows are found, sorted, changed, taken from files, and never written over unseen. */
import type { Appended, Row, RowBatch, RowSet, StateVariable, Step } from '@hovrin/core';
import { afterAll, beforeAll, expect, it } from 'vitest';
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

async function call<T>(method: string, path: string, body?: string): Promise<{ status: number; body: T }> {
  const response = await fetch(base + path, { method, ...(body === undefined ? {} : { body }) });
  return { status: response.status, body: (await response.json()) as T };
}

let sequence = 0;
async function send(id: string, ...steps: Step[]): Promise<Appended> {
  const entry = { sequence: sequence++, kind: 'change', label: 'Try', steps };
  const { body } = await call<Appended>(
    'POST',
    `/api/projects/${id}/entries`,
    JSON.stringify({ clientId: 'window-one', baseRevision: store.read(id)!.revision, entries: [entry] }),
  );
  return body;
}

/** The steps that take back what was stored last. */
const inverseOf = (id: string, { accepted }: Appended): readonly Step[] =>
  store.history(id, 'window-one', accepted[0]!.revision + 1).entries.at(-1)!.inverse;

const stays: StateVariable = {
  name: 'stays',
  type: 'list',
  initial: [],
  columns: [
    { name: 'guest', type: 'text', required: true },
    { name: 'people', type: 'number' },
  ],
  table: { id: 't1', rows: 0 },
};

/** A project with an empty table. */
async function withTable(): Promise<string> {
  const id = store.createBlank('Trial');
  await send(id, { type: 'put', of: 'state', entity: stays });
  return id;
}

const rowsStep = (at: number, remove: RowSet, insert: RowSet): Step => ({
  type: 'rows',
  list: 'stays',
  at,
  remove,
  insert,
});
const guest = (index: number): Row => ({ guest: `Guest ${index}`, people: index % 5 });
const guests = (count: number, from = 0) => Array.from({ length: count }, (_, index) => guest(from + index));

interface Page {
  readonly total: number;
  readonly found: number;
  readonly wrong: number;
  readonly rows: readonly { place: number; row: Row; wrong?: Record<string, string> }[];
}
const page = async (id: string, query: string) =>
  (await call<Page>('GET', `/api/projects/${id}/tables/stays/rows?${query}`)).body;
const stored = (id: string) => new Store(openDatabase(server.file).db).rows.rows(id, 't1');

it('rows put in, changed and taken away are the ones that are stored, in their order', async () => {
  const id = await withTable();
  await send(id, rowsStep(0, [], guests(10)));
  await send(id, rowsStep(4, [guest(4)], [{ guest: 'Ilka', people: 4 }, { guest: 'Bruno' }]));
  await send(id, rowsStep(0, guests(2), []));
  const expected = [guest(2), guest(3), { guest: 'Ilka', people: 4 }, { guest: 'Bruno' }, ...guests(5, 5)];
  expect(store.rows.rows(id, 't1')).toEqual(expected);
  // As another process reads them.
  expect(stored(id)).toEqual(expected);
  expect(store.read(id)!.project.state[0]!.initial).toEqual(expected);
});

it('an entry that does not fit changes nothing, neither in the document nor among the rows', async () => {
  const id = await withTable();
  await send(id, rowsStep(0, [], guests(3)));
  const answer = await send(id, rowsStep(3, [], guests(1, 3)), rowsStep(0, [guest(7)], []));
  expect(answer.refused).toMatchObject([{ reason: 'These rows have changed meanwhile.' }]);
  expect(store.rows.rows(id, 't1')).toEqual(guests(3));
  expect(stored(id)).toEqual(guests(3));
  expect(store.read(id)!.project.state[0]!.table!.rows).toBe(3);
  const strange = await send(id, {
    type: 'put',
    of: 'state',
    entity: { ...stays, name: 'other', table: { id: 't9', rows: 4 } },
  });
  expect(strange.refused).toMatchObject([{ reason: 'The rows of `other` are not there.' }]);
});

it('pages are found and sorted among all rows, and say what is wrong in them', async () => {
  const id = await withTable();
  await send(id, rowsStep(0, [], [...guests(30), { people: 3 }, { guest: 'Zoë', people: 'many' }]));
  const first = await page(id, 'from=10&count=2');
  expect(first).toEqual({
    total: 32,
    found: 32,
    wrong: 2,
    rows: [
      { place: 10, row: guest(10) },
      { place: 11, row: guest(11) },
    ],
  });
  const last = await page(id, 'from=30&count=10');
  expect(last.rows.map(({ wrong }) => wrong)).toEqual([
    { guest: '`guest` is required.' },
    { people: '“many” is no number.' },
  ]);
  const sorted = await page(id, 'from=0&count=3&sort=people&descending=true');
  expect(sorted.rows.map(({ place }) => place)).toEqual([31, 4, 9]);
  expect(await page(id, 'from=0&count=3&find=zoe')).toMatchObject({ found: 1, rows: [{ place: 31 }] });
  // What is changed is found as it is now.
  await send(id, rowsStep(31, [{ guest: 'Zoë', people: 'many' }], [{ guest: 'Ada', people: 2 }]));
  expect(await page(id, 'from=0&count=3&find=zoe')).toMatchObject({ found: 0, wrong: 1, rows: [] });
  for (const query of [
    'from=-1&count=1',
    'from=0&count=90000',
    'from=0',
    `from=0&count=1&find=${'x'.repeat(300)}`,
  ])
    expect((await call('GET', `/api/projects/${id}/tables/stays/rows?${query}`)).status).toBe(400);
  expect((await call('GET', `/api/projects/${id}/tables/nights/rows?from=0&count=1`)).status).toBe(404);
});

it('a file of 20,000 rows comes in as one step, and going back takes it away and brings it again', async () => {
  const id = await withTable();
  await send(id, rowsStep(0, [], guests(3)));
  const csv = ['guest,people', ...guests(20_000, 100).map((row) => `${row.guest},${row.people}`)].join('\n');
  const taken = await call<{ ok: boolean; rows: RowBatch }>(
    'POST',
    `/api/projects/${id}/tables/stays/file?name=stays.csv&plan=${plan('replace', { guest: 'guest', people: 'people' })}`,
    csv,
  );
  expect(taken.body.ok).toBe(true);
  expect(taken.body.rows.count).toBe(20_000);
  // Nothing is in the table before the step that puts it there.
  expect(store.rows.rows(id, 't1')).toEqual(guests(3));
  const before = store.read(id)!.project;
  const put = await send(id, rowsStep(0, guests(3), taken.body.rows));
  expect(store.rows.rows(id, 't1')).toEqual(guests(20_000, 100));
  expect(store.read(id)!.project.state[0]!.initial).toHaveLength(1000);
  const back = await send(id, ...inverseOf(id, put));
  expect(back.refused).toEqual([]);
  expect(store.read(id)!.project).toEqual(before);
  expect(stored(id)).toEqual(guests(3));
  await send(id, ...inverseOf(id, back));
  expect(stored(id)).toEqual(guests(20_000, 100));
  // Half of them go by a name for what went; they come back under it.
  const batch = { batch: 'went', count: 10_000, first: guests(1000, 100) };
  const gone = await send(id, rowsStep(0, batch, []));
  expect(stored(id)).toEqual(guests(10_000, 10_100));
  expect(store.read(id)!.project.state[0]!.initial).toEqual(guests(1000, 10_100));
  await send(id, ...inverseOf(id, gone));
  expect(stored(id)).toEqual(guests(20_000, 100));
  // Somebody changed one of them meanwhile: the row that is to go is not the row that stands there.
  await send(id, rowsStep(5000, [guest(5100)], [guest(1)]));
  expect((await send(id, rowsStep(0, batch, []))).refused).toMatchObject([
    { reason: 'These rows have changed meanwhile.' },
  ]);
  expect((await send(id, rowsStep(0, [], { batch: 'nowhere', count: 1, first: [] }))).refused).toMatchObject([
    { reason: 'The rows that come are not there any more.' },
  ]);
});

/** How a file comes in, as a part of the address. */
const plan = (mode: string, columns: object, onlyGood = false) =>
  encodeURIComponent(JSON.stringify({ mode, columns, onlyGood }));

it('a file that is not right brings nothing in, and says what and where', async () => {
  const id = await withTable();
  const take = async (name: string, text: string) =>
    (
      await call<object>(
        'POST',
        `/api/projects/${id}/tables/stays/file?name=${name}&plan=${plan('append', { guest: 'guest', people: 'people' })}`,
        text,
      )
    ).body;
  expect(await take('a.csv', 'guest,people\nIlka,4\n,2\n')).toEqual({
    ok: false,
    taken: 1,
    bad: [{ line: 3, cells: ['', '2'], message: '`guest` is required.' }],
    more: 0,
  });
  expect(await take('a.json', '[{"guest": "Ilka"}, 4]')).toMatchObject({ ok: false });
  expect(await take('a.csv', '__proto__\n1\n')).toMatchObject({ ok: false });
  const many = await take('a.csv', `guest,people\n${'Ilka,x\n'.repeat(2500)}`);
  expect(many).toMatchObject({ ok: false, more: 500 });
  const { status } = await call(
    'POST',
    `/api/projects/${id}/tables/stays/file?name=a.csv&plan=x`,
    'guest\nIlka',
  );
  expect(status).toBe(400);
});

it('columns are rewritten in all rows, files are saved, a copy of the project has rows of its own', async () => {
  const id = await withTable();
  await send(id, rowsStep(0, [], [{ guest: '=SUM(1)', people: 2 }, ...guests(2)]));
  const { body: batch } = await call<RowBatch>(
    'POST',
    `/api/projects/${id}/tables/stays/rewritten`,
    JSON.stringify({ what: 'rename', column: 'guest', to: 'name' }),
  );
  const there = store.rows.rows(id, 't1');
  await send(id, rowsStep(0, there, batch));
  expect(store.rows.rows(id, 't1')[1]).toEqual({ name: 'Guest 0', people: 0 });
  const csv = await (await fetch(`${base}/api/projects/${id}/tables/stays/file?as=csv`)).text();
  // What a spreadsheet would work out is text.
  expect(csv).toContain("'=SUM(1)");
  const json = await (await fetch(`${base}/api/projects/${id}/tables/stays/file?as=json`)).json();
  expect(json).toEqual(store.rows.rows(id, 't1'));
  const copy = store.duplicate(id)!;
  expect(store.rows.rows(copy, 't1')).toEqual(store.rows.rows(id, 't1'));
  await send(copy, rowsStep(0, store.rows.rows(copy, 't1'), []));
  expect(store.rows.rows(copy, 't1')).toEqual([]);
  expect(store.rows.rows(id, 't1')).toHaveLength(3);
  const wrong = JSON.stringify({ what: 'drop', column: 'x' });
  expect((await call('POST', `/api/projects/${id}/tables/stays/rewritten`, wrong)).status).toBe(400);
});

it('the page has a table of many rows beside it, and no more of it in its script than it begins with', async () => {
  const id = await withTable();
  await send(id, rowsStep(0, [], guests(1500)));
  const { revision } = store.read(id)!;
  const text = await (await fetch(`${base}/try/${id}/${revision}/tables/stays.js`)).text();
  expect(text.startsWith('hovrinPage.rows("stays", [{"guest":"Guest 0"')).toBe(true);
  expect(text).toContain('Guest 1499');
  const script = await (await fetch(`${base}/try/${id}/${revision}/script.js`)).text();
  expect(script).toContain('Guest 999');
  expect(script).not.toContain('Guest 1000');
  // Where rows are slow they come by the same way; where they fail they never do.
  expect(await (await fetch(`${base}/try/${id}/${revision}~rows-slow/tables/stays.js`)).text()).toContain(
    'Guest 1499',
  );
  expect((await fetch(`${base}/try/${id}/${revision}~rows-failing/tables/stays.js`)).status).toBe(404);
});
