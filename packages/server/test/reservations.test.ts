/** The simulated office: its list in pages, who may change it, conflicts, and troubles on request. */

import { readOpenApi } from '@hovrin/core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type Served, served } from './served.ts';

let server: Served;
let room = 0;
beforeAll(async () => {
  server = await served();
});
afterAll(() => server.close());

/** Asks in a room of one's own. */
function office(name = `room-${++room}`) {
  const base = `${server.base}/stand-ins/office/${name}/`;
  const ask = async (method: string, path: string, body?: unknown, headers: Record<string, string> = {}) => {
    const answer = await fetch(base + path, {
      method,
      headers: { 'Content-Type': 'application/json', ...headers },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await answer.text();
    return { answer, status: answer.status, body: text === '' ? null : JSON.parse(text) };
  };
  const signed = async (method: string, path: string, body?: unknown, headers = {}) => {
    const { body: said } = await ask('POST', 'sign-in', { name: 'warden', pin: '4621' });
    return ask(method, path, body, { Authorization: `Bearer ${said.token}`, ...headers });
  };
  return { ask, signed, base };
}
const stay = { guest: 'Ilka Sorrel', day: '2026-12-20', people: 3 };

it('lists in pages, by day and state, and says where the next page is', async () => {
  const { ask } = office();
  const first = await ask('GET', 'reservations?size=5');
  expect(first.body).toMatchObject({ total: 12, items: { length: 5 } });
  const [, next = ''] = /<([^>]*)>; rel="next"/.exec(first.answer.headers.get('link')!)!;
  expect((await (await fetch(next)).json()).items).toHaveLength(5);
  const day = await ask('GET', 'reservations?day=2026-12-03&state=confirmed');
  expect(day.body.items.every((each: { day: string }) => each.day === '2026-12-03')).toBe(true);
  expect(day.answer.headers.get('link')).toBeNull();
  expect((await ask('GET', 'reservations?day=soon')).status).toBe(400);
});

it('lets only the warden change it', async () => {
  const { ask, signed } = office();
  expect((await ask('POST', 'sign-in', { name: 'warden', pin: '1' })).status).toBe(401);
  const refused = await ask('POST', 'reservations', stay);
  expect([refused.status, refused.body.detail]).toEqual([401, expect.stringContaining('sign in')]);
  const added = await signed('POST', 'reservations', stay);
  expect([added.status, added.body]).toEqual([
    201,
    { ...stay, id: 13, state: 'asked', note: null, version: 1 },
  ]);
  expect((await signed('PATCH', 'reservations/13', { people: 4 })).body).toMatchObject({
    people: 4,
    version: 2,
  });
  expect((await signed('DELETE', 'reservations/13')).status).toBe(204);
  expect((await signed('DELETE', 'reservations/13')).status).toBe(404);
});

it('refuses what somebody else was quicker with, and what does not fit into the hut', async () => {
  const { signed } = office();
  await signed('PATCH', 'reservations/1', { note: null }, { 'If-Match': '1' });
  const late = await signed('PATCH', 'reservations/1', { note: 'x' }, { 'If-Match': '"1"' });
  expect([late.status, late.body.detail]).toEqual([412, expect.stringContaining('Ilka Sorrel')]);
  expect((await signed('PATCH', 'reservations/1', { people: 46 })).body.detail).toContain('46 bunks');
  expect((await signed('POST', 'reservations', { ...stay, people: 0 })).status).toBe(400);
  expect((await signed('POST', 'reservations', { ...stay, id: 3 })).status).toBe(400);
});

it('has a list for each room, which begins anew when it is asked to', async () => {
  const one = office('one');
  await one.signed('DELETE', 'reservations/1');
  expect((await office('two').ask('GET', 'reservations')).body.total).toBe(12);
  expect((await one.ask('GET', 'reservations')).body.total).toBe(11);
  await one.ask('POST', 'reset');
  expect((await one.ask('GET', 'reservations')).body.total).toBe(12);
  expect((await office('no room!').ask('GET', 'reservations')).status).toBe(400);
});

it('fails and waits as often as it is asked to', async () => {
  const { ask } = office();
  const failed = await ask('GET', 'reservations?errors=1');
  expect([failed.status, failed.answer.headers.get('retry-after')]).toEqual([503, '1']);
});

it('says of itself what it can be asked', async () => {
  const { ask, base } = office();
  const { body } = await ask('GET', 'openapi.json');
  const { source, requests, leftOut } = readOpenApi(body, () => false);
  expect([source.base, leftOut]).toEqual([base, []]);
  expect(requests.map(({ name }) => name)).toEqual([
    'signIn',
    'reservations',
    'addReservation',
    'changeReservation',
    'removeReservation',
  ]);
});

it('lets running pages in, whose origin is opaque, and no other site', async () => {
  const { base } = office();
  const asks = async (origin: string) => {
    const answer = await fetch(`${base}reservations/1`, {
      method: 'OPTIONS',
      headers: { Origin: origin, 'Access-Control-Request-Method': 'PATCH' },
    });
    return [answer.status, answer.headers.get('access-control-allow-methods')];
  };
  expect(await asks('null')).toEqual([204, 'GET, POST, PATCH, DELETE']);
  expect(await asks('https://elsewhere.example')).toEqual([403, null]);
  const elsewhere = await fetch(`${server.base}/api/projects`, {
    method: 'POST',
    headers: { Origin: 'null' },
  });
  expect(elsewhere.status).toBe(403);
});

it('the frame that asks may ask nobody but the one that is named', async () => {
  const frame = await fetch(
    `${server.base}/try/asking?origin=${encodeURIComponent('https://office.example')}`,
  );
  const policy = frame.headers.get('content-security-policy')!;
  expect(policy).toContain("connect-src 'self' https://office.example;");
  expect(policy).toContain('sandbox allow-scripts');
  expect((await fetch(`${server.base}/try/asking?origin=javascript:alert(1)`)).status).toBe(400);
});
