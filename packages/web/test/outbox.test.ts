/** What is on its way: nothing is lost, nothing keeps anything else back, whatever the server does. */
import type { Project, Step } from '@hovrin/core';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Outbox, type PendingEntry } from '../src/editor/outbox.ts';
import { type Failure, FakeServer } from './fakeServer.ts';
import { trialProject } from './trialProject.ts';

const set = (value: string): Step => ({ type: 'set', control: 't', property: 'text', value });

interface Trial {
  readonly server: FakeServer;
  readonly outbox: Outbox;
  readonly aside: { label: string; reason: string }[];
  readonly add: (label: string, more?: Partial<PendingEntry>) => void;
}

function trial(project: Project = trialProject): Trial {
  const server = new FakeServer(project);
  const aside: Trial['aside'] = [];
  const outbox = new Outbox({
    send: (entries) => server.append('window-one', server.revision, entries),
    answered: ({ refused }, sent) => {
      for (const { sequence, reason } of refused)
        aside.push({ label: sent.find((each) => each.sequence === sequence)!.label, reason });
    },
    setAside: ({ label }, reason) => aside.push({ label, reason }),
    changed: () => undefined,
  });
  return {
    server,
    outbox,
    aside,
    add: (label, more = {}) =>
      outbox.add({ kind: 'change', label, steps: [set(label)], inverse: [], ...more }),
  };
}

const stored = ({ server }: Trial) => server.entries.map(({ label }) => label);

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('the outbox', () => {
  it('sends more than a request may carry in several, in order', async () => {
    const now = trial();
    const labels = Array.from({ length: 1100 }, (_, index) => `n${index}`);
    for (const label of labels) now.add(label);
    await vi.advanceTimersByTimeAsync(5000);
    expect(stored(now)).toEqual(labels);
    expect(now.server.requests.length).toBeGreaterThan(5);
    expect(Math.max(...now.server.requests.map((each) => each.length))).toBeLessThanOrEqual(200);
  });

  it('keeps each request within its length, though single changes are long', async () => {
    const now = trial();
    for (const letter of 'abcde') now.add(letter, { steps: [set(letter.repeat(1_500_000))] });
    await vi.advanceTimersByTimeAsync(5000);
    expect(stored(now)).toEqual([...'abcde']);
    for (const request of now.server.requests) expect(JSON.stringify(request).length).toBeLessThan(4_100_000);
  });

  it('sets aside at once what can never be sent, and sends the rest', async () => {
    const now = trial();
    now.add('before');
    now.add('large', { steps: [set('x'.repeat(16_000_000))] });
    now.add('many', { steps: Array.from({ length: 20_001 }, () => set('x')) });
    now.add('after');
    await vi.advanceTimersByTimeAsync(1000);
    expect(stored(now)).toEqual(['before', 'after']);
    expect(now.aside.map(({ label }) => label)).toEqual(['large', 'many']);
    expect(now.aside[0]!.reason).toContain('larger than 15 MB');
    expect(now.outbox.saving).toBe('saved');
  });

  it.each([400, 413, 500])(
    'finds the one of many that the server answers with %i, sets it aside and sends the others',
    async (status) => {
      const now = trial();
      now.server.stumbles = ({ label }) => (label === 'n13' ? status : undefined);
      for (let index = 0; index < 40; index++) now.add(`n${index}`);
      await vi.advanceTimersByTimeAsync(60_000);
      expect(now.aside).toEqual([{ label: 'n13', reason: 'The server stumbles over n13.' }]);
      expect(stored(now)).toHaveLength(39);
      expect(now.outbox.saving).toBe('saved');
    },
  );

  it.each([503, 507, 404, 429])(
    'tells %i apart from no connection, sets nothing aside and tries again',
    async (status) => {
      const now = trial();
      now.server.failures = [status, status, status];
      now.add('soup');
      await vi.advanceTimersByTimeAsync(400);
      expect([now.outbox.saving, now.outbox.failure]).toEqual(['failing', `The server answered ${status}.`]);
      await vi.advanceTimersByTimeAsync(30_000);
      expect([stored(now), now.aside, now.outbox.saving]).toEqual([['soup'], [], 'saved']);
    },
  );

  it('stores once what arrived although its answer was lost', async () => {
    const now = trial();
    now.server.failures = ['lost'];
    now.add('soup');
    await vi.advanceTimersByTimeAsync(400);
    expect(now.outbox.saving).toBe('offline');
    now.add('bread');
    await vi.advanceTimersByTimeAsync(5000);
    expect(stored(now)).toEqual(['soup', 'bread']);
  });

  it('says in time that it cannot be settled', async () => {
    const now = trial();
    now.server.failures = ['gone'];
    now.add('soup');
    const first = now.outbox.settled();
    await vi.advanceTimersByTimeAsync(100);
    expect(await first).toBe(false);
    await vi.advanceTimersByTimeAsync(5000);
    expect(await now.outbox.settled()).toBe(true);
  });

  it('stores everything once and in order, or sets it aside with a reason, whatever happens on the way', async () => {
    const failure = fc.constantFrom<Failure>('gone', 'lost', 429, 503, 507);
    const act = fc.oneof(
      fc.record({ fails: fc.array(failure, { maxLength: 3 }) }),
      fc.record({ waits: fc.integer({ min: 0, max: 4000 }) }),
      fc.record({ group: fc.constantFrom('one', 'other', undefined) }),
    );
    await fc.assert(
      fc.asyncProperty(
        fc.array(act, { maxLength: 25 }),
        fc.nat(20),
        fc.constantFrom(400, 500),
        async (acts, bad, status) => {
          const now = trial();
          now.server.stumbles = ({ label }) => (label === `n${bad}` ? status : undefined);
          let count = 0;
          const texts: string[] = [];
          for (const each of acts) {
            if ('fails' in each) now.server.failures.push(...each.fails);
            else if ('waits' in each) await vi.advanceTimersByTimeAsync(each.waits);
            else {
              const label = `n${count++}`;
              texts.push(label);
              now.add(label, each.group ? { group: each.group } : {});
            }
          }
          now.server.failures = [];
          await vi.advanceTimersByTimeAsync(120_000);
          expect(now.outbox.pending).toEqual([]);
          const kept = [...stored(now), ...now.aside.map(({ label }) => label)];
          expect(new Set(kept).size).toBe(kept.length);
          // What was joined with another has its label and its value.
          expect(stored(now)).toEqual(texts.filter((label) => stored(now).includes(label)));
          const last = texts.at(-1);
          if (last !== undefined) expect(kept).toContain(last);
          for (const { reason } of now.aside) expect(reason).not.toBe('');
        },
      ),
      { numRuns: 60 },
    );
  });
});
