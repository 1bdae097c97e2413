import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type mastFaults, readMast } from '../src/stand-ins/mast.ts';
import { type Served, served } from './served.ts';

describe('the weather mast', () => {
  it('says the same to everybody at a time, what can be, and little else a second later', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1_000_000 }),
        fc.integer({ min: 0, max: 2 ** 31 }),
        (seed, second) => {
          const now = readMast(seed, second)!;
          expect(readMast(seed, second)).toEqual(now);
          expect(now.wind).toBeGreaterThanOrEqual(0);
          expect(now.wind).toBeLessThan(40);
          expect(now.gust).toBeGreaterThanOrEqual(now.wind);
          expect(now.battery).toBeGreaterThan(0);
          expect(now.battery).toBeLessThanOrEqual(100);
          expect(Math.abs(readMast(seed, second + 1)!.wind - now.wind)).toBeLessThan(4);
        },
      ),
    );
  });

  it('has the fault that is asked for', () => {
    const minute = Array.from({ length: 60 }, (_, second) => 1_000_000 + second);
    const winds = (fault?: (typeof mastFaults)[number]) =>
      minute.map((second) => readMast(1, second, fault)?.wind);
    expect(winds('silence').filter((wind) => wind === undefined)).toHaveLength(36);
    expect(winds('spikes').filter((wind) => wind! > 200).length).toBeGreaterThan(3);
    expect(new Set(winds('stuck')).size).toBe(1);
    expect(new Set(winds()).size).toBeGreaterThan(20);
  });
});

describe('over the network', () => {
  let server: Served;
  let base: string;
  beforeAll(async () => {
    server = await served();
    base = `${server.base}/stand-ins`;
  });
  afterAll(() => server.close());

  it('the mast speaks as often as it is asked to, until nobody listens', async () => {
    const ending = new AbortController();
    const answer = await fetch(`${base}/mast?seed=3&every=0.2`, { signal: ending.signal });
    expect(answer.headers.get('content-type')).toContain('text/event-stream');
    const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
    let heard = '';
    while (heard.split('data: ').length < 4) heard += (await reader.read()).value ?? '';
    expect(heard).toMatch(/^retry: 1000\n\ndata: \{"wind":[\d.]+,"gust"/);
    ending.abort();
  });

  it('the kitchen answers in pages, and fails when it is told to', async () => {
    const get = async (query: string) => {
      const answer = await fetch(`${base}/suppers?${query}`);
      return { status: answer.status, body: (await answer.json()) as { id: number }[] };
    };
    const first = await get('size=40');
    const second = await get('size=40&page=2');
    expect([first.body.length, second.body.length, second.body[0]!.id]).toEqual([40, 17, 41]);
    expect((await get('page=3&size=40')).body).toEqual([]);
    expect((await get('errors=1')).status).toBe(503);
    expect((await get('size=51')).status).toBe(400);
    expect((await fetch(`${base}/mast?fault=rain`)).status).toBe(400);
  });

  it('answers running pages, whose origin is opaque, and no other site', async () => {
    const from = async (origin: string) =>
      (await fetch(`${base}/suppers`, { headers: { Origin: origin } })).status;
    expect([await from('null'), await from('https://elsewhere.example')]).toEqual([200, 403]);
  });
});
