/** Requests of somebody who means harm: each is answered with a sentence, and the others are answered meanwhile. */
import type { Appended, Step } from '@hovrin/core';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { randomScreen } from '../../../tests/parity/documents.ts';
import { noCode, noPieces } from '../../core/test/documents.ts';
import { type Served, served } from './served.ts';

let server: Served;
let id: string;
let screen: string;
beforeAll(async () => {
  server = await served({ seconds: 4, memory: 256 });
  id = server.store.createBlank('Trial');
  screen = server.store.read(id)!.project.screens[0]!.id;
});
afterAll(() => server.close());

let sequence = 0;
const post = (path: string, body: unknown) =>
  fetch(server.base + path, { method: 'POST', body: typeof body === 'string' ? body : JSON.stringify(body) });
async function send(...steps: unknown[]): Promise<Appended> {
  const entry = { sequence: sequence++, kind: 'change', label: 'Try', steps };
  const answer = await post(`/api/projects/${id}/entries`, {
    clientId: 'window-one',
    baseRevision: 0,
    entries: [entry],
  });
  return (await answer.json()) as Appended;
}
const refusal = async (...steps: unknown[]): Promise<string | undefined> =>
  (await send(...steps)).refused[0]?.reason;
const control = (more: object) => ({ id: 'x', kind: 'row', props: {}, children: [], ...more });
const insert = (more: object) => ({ type: 'insert', parent: screen, index: 0, control: control(more) });

describe('a step that is refused', () => {
  const long = 'x'.repeat(300_000);
  it.each<[string, () => object]>([
    ['an id that a child has, too', () => insert({ children: [control({})] })],
    ['an id twice', () => insert({ children: [control({ id: 'y' }), control({ id: 'y' })] })],
    ['an id that is none', () => insert({ id: '../x' })],
    ['a name that is none', () => insert({ name: 'a b' })],
    ['a name twice', () => insert({ name: 'a', children: [control({ id: 'y', name: 'a' })] })],
    ['a value that is none', () => insert({ props: { gap: 'wide' } })],
    ['a value that is a number', () => insert({ props: { gap: 4 } })],
    [
      'a value that is too long',
      () => insert({ children: [control({ id: 't', kind: 'text', props: { text: long } })] }),
    ],
    [
      'a character that no file has',
      () => insert({ children: [control({ id: 't', kind: 'text', props: { text: 'a\u0001' } })] }),
    ],
    [
      'half a character',
      () => insert({ children: [control({ id: 't', kind: 'text', props: { text: 'a\ud800' } })] }),
    ],
    [
      'an attribute of a prototype',
      () =>
        JSON.parse(
          `{"type":"insert","parent":"${screen}","index":0,"control":{"id":"x","kind":"row","props":{"__proto__":"1"},"children":[]}}`,
        ),
    ],
    ['a comment with an end in it', () => insert({ comments: { before: ['--> <script/>'] } })],
    ['comments of a strange place', () => insert({ comments: { where: ['a'] } })],
    ['a field that no control has', () => insert({ act: 1 })],
    ['a draft with more in it', () => insert({ props: { gap: { draft: '4', more: 1 } } })],
    [
      'an icon with a name of 100 KB',
      () => insert({ children: [control({ id: 'i', kind: 'icon', props: { icon: 'x'.repeat(100_000) } })] }),
    ],
    [
      'a set of a value that is none',
      () => ({ type: 'set', control: screen, property: 'gap', value: 'wide' }),
    ],
    [
      'a set of 100 KB as a size',
      () => ({ type: 'set', control: screen, property: 'gap', value: 'x'.repeat(100_000) }),
    ],
    [
      'a band that is no band',
      () => ({ type: 'put', of: 'bands', entity: { name: 'On', label: '', from: 0 } }),
    ],
    ['a collection that is none', () => ({ type: 'put', of: '__proto__', entity: {} })],
    [
      'a variable with a way out',
      () => ({ type: 'put', of: 'state', entity: { name: '__proto__', type: 'text', initial: '' } }),
    ],
    [
      'a record with a way out',
      () =>
        JSON.parse(
          '{"type":"put","of":"state","entity":{"name":"a","type":"record","initial":{"__proto__":{"a":1}}}}',
        ),
    ],
    [
      'a record that is very deep',
      () => ({
        type: 'put',
        of: 'state',
        entity: {
          name: 'a',
          type: 'record',
          initial: JSON.parse(`${'{"a":'.repeat(500)}1${'}'.repeat(500)}`),
        },
      }),
    ],
    [
      'a screen that leads nowhere as a put',
      () => ({ type: 'put', of: 'screens', entity: control({ kind: 'screen' }) }),
    ],
    ['a rename to what is no name', () => ({ type: 'rename', of: 'screens', key: 'Screen1', to: '1' })],
    ['a change of nothing', () => ({ type: 'change', of: 'bands', key: 'lap', fields: {} })],
    [
      'a change of a key',
      () => ({ type: 'change', of: 'bands', key: 'lap', fields: { name: { to: 'pad' } } }),
    ],
    ['an order of bands', () => ({ type: 'order', of: 'bands', key: 'lap', before: null })],
    ['a name of the project that is long', () => ({ type: 'project', key: 'name', value: long })],
    ['a value of a prototype', () => ({ type: 'project', key: 'constructor', value: 'x' })],
    ['a step of a prototype', () => ({ type: 'constructor' })],
    ['nothing', () => null as never],
  ])('%s is refused in a short sentence, and nothing changes', async (_, step) => {
    const before = server.store.read(id);
    const reason = await refusal(step());
    expect(reason).toBeTypeOf('string');
    expect(reason!.length).toBeLessThan(500);
    expect(server.store.read(id)).toEqual(before);
  });

  it('of a mark at the file’s edge, of a lone surrogate pair or of an emoji is no harm', async () => {
    const text = { id: 'emoji', kind: 'text', props: { text: 'a 🏔 b\tc' }, children: [] };
    expect(await refusal({ type: 'insert', parent: screen, index: 0, control: text })).toBeUndefined();
  });
});

it('whatever is accepted can be printed, read back, duplicated and handed over', async () => {
  const { filesOf, readFiles } = await import('@hovrin/files');
  const { exporterNamed } = await import('@hovrin/core');
  const parts = { fonts: { files: [], standIns: [] }, script: '', pieces: noPieces, compileCode: noCode };
  const name = fc.constantFrom('a', 'b', 'Screen1', 'class', '1', 'constructor', 'late');
  const text = fc.oneof(
    fc.string({ unit: 'binary', maxLength: 12 }),
    fc.constantFrom('{late}', '{{', '}', '{', 'lap', '4', '50%', 'share 2', '-->', '&#0;', '<a>'),
  );
  const property = fc.constantFrom(
    'text',
    'gap',
    'width',
    'lap.gap',
    'value.bind',
    'on.press',
    'on.enter',
    'hidden',
    'padding',
    'label',
    'nonsense',
    'pad.gap',
  );
  const props = fc.dictionary(property, text, { maxKeys: 3 });
  const tree = fc.letrec<{ control: object }>((tie) => ({
    control: fc.record({
      id: fc
        .string({ minLength: 4, maxLength: 12, unit: 'grapheme-ascii' })
        .map((each) => each.replace(/[^\w]/g, '_')),
      kind: fc.constantFrom('row', 'text', 'button', 'textField', 'grid', 'script'),
      name: fc.option(name, { nil: undefined }),
      props,
      children: fc.oneof(
        { weight: 3, arbitrary: fc.constant([]) },
        fc.array(tie('control'), { maxLength: 2 }),
      ),
      comments: fc.option(fc.record({ before: fc.array(fc.string({ maxLength: 8 }), { maxLength: 2 }) }), {
        nil: undefined,
      }),
    }),
  }));
  const key = fc.constantFrom('hand', 'lap', 'desk', 'late', 'a', 'b', 'pad');
  const of = fc.constantFrom('bands', 'state', 'assets', 'screens');
  const value = fc.oneof(fc.jsonValue({ maxDepth: 2 }), fc.string());
  const step = fc.oneof(
    fc.record({
      type: fc.constant('insert'),
      parent: fc.constantFrom(null, 'SCREEN'),
      index: fc.integer({ min: -1, max: 3 }),
      control: tree.control,
    }),
    fc.record({
      type: fc.constant('set'),
      control: fc.constant('SCREEN'),
      property,
      value: fc.oneof(text, fc.constant(null), fc.record({ draft: text })),
    }),
    fc.record({ type: fc.constant('name'), control: fc.constant('SCREEN'), name }),
    fc.record({
      type: fc.constant('put'),
      of,
      entity: fc.record(
        {
          name: key,
          label: fc.string(),
          from: fc.integer({ min: -4, max: 900 }),
          type: fc.constantFrom('text', 'number', 'list', 'image/png'),
          initial: value,
          width: fc.integer({ max: 40 }),
          height: fc.integer({ max: 40 }),
        },
        { requiredKeys: ['name'] },
      ),
    }),
    fc.record({
      type: fc.constant('change'),
      of,
      key,
      fields: fc.dictionary(
        fc.constantFrom('label', 'from', 'initial', 'computed', 'kept', 'type', 'columns', 'color'),
        fc.record({ to: value }),
        { maxKeys: 2 },
      ),
    }),
    fc.record({ type: fc.constant('drop'), of, key }),
    fc.record({
      type: fc.constant('rename'),
      of,
      key: fc.oneof(key, fc.constant('Screen1')),
      to: fc.oneof(key, name),
    }),
    fc.record({ type: fc.constant('project'), key: fc.constantFrom('name', 'start', 'bands'), value: text }),
  );
  let accepted = 0;
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 1, max: 300 }),
      fc.array(step, { maxLength: 8 }),
      async (seed, steps) => {
        const { store } = server;
        const project = store.createBlank('Hostile');
        const first = store.read(project)!.project.screens[0]!.id;
        const made = randomScreen(seed).children.slice(0, 2);
        const all = [
          ...made.map((each) => ({ type: 'insert', parent: 'SCREEN', index: 0, control: each })),
          ...steps,
        ];
        const entries = all.map((each, index) => ({
          sequence: index,
          kind: 'change' as const,
          label: 'x',
          steps: [JSON.parse(JSON.stringify(each).replaceAll('"SCREEN"', `"${first}"`)) as Step],
        }));
        accepted += store.append(project, 'window-one', 0, entries)!.accepted.length;
        const now = store.read(project)!.project;
        const pictures = new Map(now.assets.map((asset) => [asset.name, new Uint8Array()]));
        const files = filesOf({ project: now, rows: new Map(), pictures });
        let count = 0;
        const back = readFiles(files, () => `r${count++}`);
        expect(filesOf(back)).toEqual(files);
        expect(store.duplicate(project)).toBeTypeOf('string');
        expect(exporterNamed('html')!.files(now, parts).files.size).toBeGreaterThan(2);
        for (const { inverse } of store.history(project, 'window-one', 1e9).entries.toReversed())
          expect(inverse.length).toBeGreaterThan(0);
      },
    ),
    { numRuns: 150 },
  );
  expect(accepted).toBeGreaterThan(150);
});

describe('a request', () => {
  it.each([
    ['/%', 400],
    ['/%E0%A4%A', 400],
    ['/fonts/%', 400],
    ['/api/projects/%', 404],
    ['/api/changes', 400],
    ['/api/changes?of=../../x:0', 400],
    ['/api/projects/none', 404],
    ['/healthz', 200],
  ])('to %s is answered with %i and a sentence', async (path, status) => {
    const answer = await fetch(server.base + path);
    expect(answer.status).toBe(status);
    const body = (await answer.json()) as { error?: string; ok?: boolean };
    if (status === 200) expect(body).toMatchObject({ ok: true });
    else expect(body.error).toMatch(/\.$/);
  });

  it.each([
    ['a body that is no JSON', 'x'],
    ['lists in lists', '['.repeat(100_000)],
    ['a batch that is too large', { clientId: 'window-one', baseRevision: 0, entries: Array(201).fill(1) }],
    ['a window that is none', { clientId: '../../etc', baseRevision: 0, entries: [] }],
  ])('with %s is refused', async (_, body) => {
    const answer = await post(`/api/projects/${id}/entries`, body);
    expect(answer.status).toBe(400);
    expect(((await answer.json()) as { error: string }).error).toMatch(/\.$/);
  });
});

it('a page that never ends is ended, says so, and others are answered meanwhile', async () => {
  const heavy = server.store.createBlank('Heavy');
  const first = server.store.read(heavy)!.project.screens[0]!.id;
  // Each is within the budget of a whole, and there are many wholes: a text in each state of each of many repeats.
  const long = `{[...'${'x'.repeat(900)}'].map(a => [...'${'x'.repeat(900)}'].map(b => a + b).join('')).length}`;
  const texts = Array.from({ length: 300 }, (_, index) => ({
    id: `t${index}`,
    kind: 'text',
    props: { text: long },
    children: [],
  }));
  const entries = texts.map((each, index) => ({
    sequence: index,
    kind: 'change' as const,
    label: 'x',
    steps: [{ type: 'insert', parent: first, index: 0, control: each } as Step],
  }));
  const { refused } = server.store.append(heavy, 'window-one', 0, entries)!;
  expect(refused).toEqual([]);
  const page = fetch(`${server.base}/try/${heavy}/1/index.html`);
  const other = await fetch(`${server.base}/api/projects/${id}`);
  expect(other.status).toBe(200);
  // It is made with what is too costly left out, or ended with a sentence.
  expect([200, 503]).toContain((await page).status);
});
