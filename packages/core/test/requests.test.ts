/** Requests: what goes over the wire, what comes back, and how a request's variable tells of it. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DataSource, RequestParameter } from '../src/document/source.ts';
import { answered } from '../src/requests/answered.ts';
import { type Exchanged, exchange, longestAnswer, type Wire } from '../src/requests/exchange.ts';
import {
  type Answer,
  Asker,
  baseHere,
  CannotAsk,
  idleAnswer,
  type Outgoing,
  outgoing,
} from '../src/requests/index.ts';
import type { ProgramRequest } from '../src/runtime/program.ts';

const office: DataSource = { name: 'office', base: 'https://office.example/api/' };
const list: ProgramRequest = { source: 'office', method: 'GET', path: 'reservations', parameters: [] };
const parameter = (name: string, place: RequestParameter['in'], type: RequestParameter['type'] = 'text') => ({
  name,
  in: place,
  type,
});
const base = office.base;

describe('where a service is', () => {
  const at = (source: Pick<DataSource, 'base' | 'standIn'>, inTry: boolean, page: string, said?: string) =>
    baseHere(source, { inTry, page, said });
  const page = 'https://hut.example/app/index.html';

  it('is what its base says, in Try its stand-in, and whatever config.json says', () => {
    const source = { base: 'api/', standIn: 'stand-ins/office/hut/' };
    expect(at(source, false, page)).toBe('https://hut.example/app/api/');
    expect(at(source, true, page)).toBe('https://hut.example/stand-ins/office/hut/');
    expect(at(source, false, page, 'https://office.example/')).toBe('https://office.example/');
    expect(at(office, true, page)).toBe(office.base);
  });

  it('is nowhere where nothing answers', () => {
    expect(() => at({ base: 'api/' }, true, page)).toThrow('nothing answers here');
    expect(() => at({ base: 'stand-ins/office/hut/' }, false, 'file:///page/index.html')).toThrow(
      'in Hovrin only',
    );
  });
});

describe('what is sent', () => {
  it('has its parameters where they belong', () => {
    const change: ProgramRequest = {
      ...list,
      method: 'PATCH',
      path: 'reservations/{id}?from=page',
      parameters: [
        parameter('id', 'path', 'number'),
        parameter('day', 'query', 'date'),
        { ...parameter('version', 'header', 'number'), header: 'If-Match' },
        parameter('guest', 'field'),
        parameter('people', 'field', 'number'),
        parameter('note', 'field'),
        parameter('dog', 'field', 'boolean'),
      ],
    };
    expect(
      outgoing(office, change, {
        base: `${base}?room=7`,
        values: { id: 4, day: '2026-12-03', version: 2, guest: 'Näv & Co', people: '3', note: null },
      }),
    ).toEqual({
      url: 'https://office.example/api/reservations/4?room=7&from=page&day=2026-12-03',
      method: 'PATCH',
      headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'If-Match': '2' },
      body: '{"guest":"Näv & Co","people":3,"note":null}',
    });
  });

  it('is whole where one parameter is the body, and has several of one name for a list', () => {
    const add: ProgramRequest = {
      ...list,
      method: 'POST',
      parameters: [parameter('all', 'body', 'list'), parameter('day', 'query', 'list')],
    };
    const sent = outgoing(office, add, { base, values: { all: [1, 2], day: ['a', 'b c'] } });
    expect(sent.body).toBe('[1,2]');
    expect(sent.url).toBe('https://office.example/api/reservations?day=a&day=b+c');
  });

  it('never leads out of its address, whatever it is given', () => {
    const one: ProgramRequest = { ...list, path: 'r/{id}/end', parameters: [parameter('id', 'path')] };
    fc.assert(
      fc.property(fc.string(), (id) => {
        try {
          const { url } = outgoing(office, one, { base, values: { id } });
          const { origin, pathname, search, hash } = new URL(url);
          expect([origin, search, hash]).toEqual(['https://office.example', '', '']);
          expect(decodeURIComponent(pathname)).toBe(`/api/r/${id}/end`);
        } catch (error) {
          expect(error).toBeInstanceOf(CannotAsk);
          expect(['', '.', '..']).toContain(id);
        }
      }),
    );
  });

  it('has no header with more than one line', () => {
    const one: ProgramRequest = { ...list, parameters: [parameter('who', 'header')] };
    const { headers } = outgoing(office, one, { base, values: { who: 'a\r\nX-Evil: 1' } });
    expect(headers.who).toBe('a  X-Evil: 1');
  });

  it.each([
    [{ as: 'bearer', secret: 'warden' }, { Authorization: 'Bearer s3' }],
    [{ as: 'header', header: 'X-Key', secret: 'warden' }, { 'X-Key': 's3' }],
    [{ as: 'basic', user: 'Nävé', secret: 'warden' }, { Authorization: 'Basic TsOkdsOpOnMz' }],
  ] as const)('tells who asks: %j', (auth, headers) => {
    const sent = (secret: string) =>
      outgoing({ ...office, auth }, list, { base, values: {}, secret }).headers;
    expect(sent('s3')).toMatchObject(headers);
    expect(sent('')).toEqual({ Accept: 'application/json' });
  });

  it('gives the secret to no other service that an answer names', () => {
    const page = { url: 'https://elsewhere.example/api/reservations?page=2' };
    expect(() => outgoing(office, list, { base, values: {}, page })).toThrow(CannotAsk);
    const own = { url: 'https://office.example/other' };
    expect(outgoing(office, list, { base, values: {}, page: own }).url).toBe(own.url);
  });

  it.each([
    [{ ...parameter('people', 'query', 'number'), required: true }, {}, '`people` is needed, and not given.'],
    [
      parameter('people', 'query', 'number'),
      { people: 'many' },
      '`people` is a number; what it is given is none.',
    ],
    [parameter('day', 'query', 'date'), { day: '31.12.' }, '`day` is a date; what it is given is none.'],
  ])('is not sent where %j is given %j', (one, values, sentence) => {
    expect(() => outgoing(office, { ...list, parameters: [one] }, { base, values })).toThrow(sentence);
  });
});

/** A wire on which answers are laid out beforehand; what is waited for happens at once. */
type OnWire = Response | Error | 'never';
function wireOf(...answers: readonly OnWire[]) {
  const sent: Outgoing[] = [];
  const waited: number[] = [];
  const late = new AbortController();
  const wire: Wire = {
    async send(outgoing, signal) {
      sent.push(outgoing);
      const answer = answers[sent.length - 1] ?? answers.at(-1)!;
      if (answer === 'never') {
        queueMicrotask(() => late.abort());
        await new Promise((_, reject) => {
          signal.addEventListener('abort', reject);
          if (signal.aborted) reject(new Error('ended'));
        });
      }
      if (answer instanceof Error) throw answer;
      return (answer as Response).clone();
    },
    async wait(seconds) {
      waited.push(seconds);
    },
    after: () => late.signal,
    isOnline: () => true,
  };
  return { wire, sent, waited };
}
const json = (value: unknown, init: ResponseInit = {}) => new Response(JSON.stringify(value), init);
const open = () => new AbortController().signal;
const out = (method: Outgoing['method'] = 'GET'): Outgoing => ({ url: `${base}x`, method, headers: {} });

describe('what comes back', () => {
  it('is data, with the address of the next page', async () => {
    const { wire } = wireOf(
      json([1], { headers: { Link: '</api/x?page=9>; rel="last", <x?page=2>; rel="next"' } }),
    );
    expect(await exchange(out(), {}, wire, open())).toEqual({
      ok: true,
      status: 200,
      body: [1],
      next: 'https://office.example/api/x?page=2',
    });
    expect(await exchange(out(), {}, wireOf(new Response(null, { status: 204 })).wire, open())).toEqual({
      ok: true,
      status: 204,
      body: null,
    });
  });

  it.each([
    [json({ detail: 'The hut is full.' }, { status: 422 }), 'The hut is full.'],
    [json({ error: { code: 3 } }, { status: 409 }), 'Somebody else has changed this meanwhile.'],
    [new Response('<h1>Oh</h1>', { status: 500 }), 'The service has a fault (500).'],
    [new Response('<h1>Oh</h1>', { headers: { 'Content-Type': 'text/html' } }), 'What came is no JSON.'],
    [new Error('gone'), 'The service does not answer.'],
    ['never' as const, 'The service did not answer within 20 seconds.'],
    [new Response('x'.repeat(longestAnswer + 1)), 'The answer is longer than 8 MB.'],
  ])('is a sentence where it went wrong', async (answer, sentence) => {
    expect(await exchange(out(), {}, wireOf(answer).wire, open())).toMatchObject({ ok: false, sentence });
  });

  it('is asked for again, with longer and longer waits, or as long as the service says', async () => {
    const busy = new Response('', { status: 503 });
    const asked = new Response('', { status: 429, headers: { 'Retry-After': '7' } });
    const { wire, sent, waited } = wireOf(new Error('gone'), busy, asked, json('in'));
    expect(await exchange(out(), { retry: 3 }, wire, open())).toMatchObject({ ok: true, body: 'in' });
    expect(sent).toHaveLength(4);
    expect(waited).toEqual([0.5, 1, 7]);
  });

  it('is not asked for again where that could do it twice, or would not help', async () => {
    for (const [method, status] of [
      ['POST', 503],
      ['PATCH', 503],
      ['GET', 404],
      ['PUT', 422],
    ] as const) {
      const { wire, sent } = wireOf(new Response('', { status }));
      await exchange(out(method), { retry: 5 }, wire, open());
      expect(sent).toHaveLength(1);
    }
  });

  it('is nothing where it was given up', async () => {
    const ending = new AbortController();
    const { wire } = wireOf('never');
    const coming = exchange(out(), {}, { ...wire, after: () => open() }, ending.signal);
    ending.abort();
    expect(await coming).toBeUndefined();
  });
});

describe('what a variable holds of it', () => {
  const came = (body: unknown): Exchanged & { ok: true } => ({ ok: true, status: 200, body });

  it('is the result at its place, and no secret', () => {
    const request = { at: 'data.rows', secret: { name: 'warden', at: 'data.token' } };
    const { answer, secret } = answered(request, came({ data: { rows: [1], token: 't' } }), idleAnswer);
    expect(answer).toEqual({ state: 'done', result: [1], error: '', status: 200, next: '' });
    expect(secret).toBe('t');
    const whole = answered(
      { secret: { name: 'warden', at: 'token' } },
      came({ token: 't', name: 'w' }),
      idleAnswer,
    );
    expect(whole.answer.result).toEqual({ name: 'w' });
  });

  it('stays what it was where something is wrong, with the reason beside it', () => {
    const before: Answer = { ...idleAnswer, state: 'done', result: [1] };
    const wrong = answered({ shape: { type: 'array', items: { type: 'string' } } }, came([2]), before);
    expect(wrong.answer).toMatchObject({ state: 'failed', result: [1] });
    expect(wrong.answer.error).toContain('`answer[0]` is a whole number, not a text');
  });

  it.each([
    [{ by: 'page', parameter: 'p' }, came([1, 2]), '2'],
    [
      { by: 'cursor', parameter: 'c', next: 'paging.next' },
      came({ rows: [1], paging: { next: 'x9' } }),
      'x9',
    ],
    [{ by: 'offset', parameter: 'from' }, came([1, 2]), '2'],
    [{ by: 'link' }, { ...came([1]), next: 'https://office.example/2' }, 'https://office.example/2'],
    [{ by: 'page', parameter: 'p' }, came([]), ''],
  ] as const)('knows where more of it is: %j', (pages, answer, next) => {
    const at = pages.by === 'cursor' ? { at: 'rows' } : {};
    expect(answered({ pages, ...at }, answer, idleAnswer).answer.next).toEqual(next);
  });
});

describe('a request that is asked', () => {
  function asking(request: Partial<ProgramRequest>, ...answers: readonly OnWire[]) {
    const held: Answer[] = [idleAnswer];
    const secrets = new Map<string, string>();
    const { wire, sent } = wireOf(...answers);
    const asker = new Asker(
      { ...office, auth: { as: 'bearer', secret: 'warden' } },
      { ...list, ...request },
      {
        read: () => held.at(-1)!,
        hold: (answer) => void held.push(answer),
        followed: () => ({ day: 'follows' }),
        base: () => Promise.resolve(base),
        secret: (name) => secrets.get(name) ?? '',
        keepSecret: (name, text) => void secrets.set(name, text),
      },
      wire,
    );
    return { asker, held, sent, secrets, states: () => held.map(({ state }) => state) };
  }
  const day = parameter('day', 'query');

  it('tells that it waits, and what came', async () => {
    const { asker, held, states, sent } = asking({ parameters: [day] }, json([1]));
    expect(await asker.ask({ day: 'given' })).toMatchObject({ sentence: '' });
    await asker.ask(undefined);
    expect(states()).toEqual(['idle', 'waiting', 'done', 'waiting', 'done']);
    expect(held.at(-1)!.result).toEqual([1]);
    expect(sent.map(({ url }) => new URL(url).search)).toEqual(['?day=given', '?day=follows']);
  });

  it('counts only its newest question where it reads', async () => {
    const { asker, states } = asking({}, 'never', json(['new']));
    const first = asker.ask(undefined);
    const second = asker.ask(undefined);
    expect(await first).toBeUndefined();
    expect(await second).toMatchObject({ result: ['new'] });
    expect(states().at(-1)).toBe('done');
  });

  it('sends all that change something, one after the other', async () => {
    const { asker, sent } = asking({ method: 'POST', parameters: [parameter('guest', 'field')] }, json({}));
    const both = [asker.ask({ guest: 'Ilka' }), asker.ask({ guest: 'Bram' })];
    expect(await Promise.all(both)).toHaveLength(2);
    expect(sent.map(({ body }) => body)).toEqual(['{"guest":"Ilka"}', '{"guest":"Bram"}']);
  });

  it('holds what it held, where it is given up', async () => {
    const { asker, held } = asking({}, json([1]), 'never');
    await asker.ask(undefined);
    const given = asker.ask(undefined);
    asker.cancel();
    expect(await given).toBeUndefined();
    expect(held.at(-1)).toMatchObject({ state: 'done', result: [1] });
  });

  it('brings more of its list until there is none', async () => {
    const { asker, held, sent } = asking(
      { pages: { by: 'page', parameter: 'page' }, at: 'items' },
      json({ items: [1, 2] }),
      json({ items: [3, 4] }),
      json({ items: [5] }),
    );
    await asker.ask(undefined);
    expect(held.at(-1)!.next).toBe('2');
    await asker.more();
    await asker.more();
    expect(held.at(-1)).toMatchObject({ result: [1, 2, 3, 4, 5], next: '' });
    await asker.more();
    expect(sent.map(({ url }) => new URL(url).search)).toEqual(['', '?page=2', '?page=3']);
    await asker.ask(undefined);
    expect(held.at(-1)!.result).toEqual([5]);
  });

  it('keeps the secret that it brings, and asks with it from then on', async () => {
    const { asker, held, sent } = asking(
      { method: 'POST', secret: { name: 'warden', at: 'token' } },
      json({ token: 't-1', name: 'w' }),
    );
    await asker.ask(undefined);
    await asker.ask(undefined);
    expect(sent.map(({ headers }) => headers.Authorization)).toEqual([undefined, 'Bearer t-1']);
    expect(JSON.stringify(held)).not.toContain('t-1');
  });

  it('fails in Try where it is to fail, and says what is wrong with what it is given', async () => {
    const failing = asking({ trouble: 'failing' }, json([1]));
    expect(await failing.asker.ask(undefined)).toMatchObject({ sentence: 'The service does not answer.' });
    const given = asking({ parameters: [{ ...day, type: 'number' }] }, json([1]));
    expect(await given.asker.ask({ day: 'x' })).toMatchObject({ sentence: expect.stringContaining('`day`') });
    expect(given.states().at(-1)).toBe('failed');
    expect(await given.asker.ask(7)).toMatchObject({ sentence: expect.stringContaining('a record') });
    expect(given.sent).toHaveLength(0);
  });
});
