/** Tables behind a service: changes show at once, are sent once each, and are taken back where they are refused. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Asked, RemoteRows, type RowAction } from '../src/requests/index.ts';

type Row = Readonly<Record<string, unknown>>;

/** A service that holds rows, and answers when it is told to. */
function table(
  first: readonly Row[],
  refuses: (action: RowAction, row: Row) => number | undefined = () => undefined,
) {
  let held: readonly Row[] = [];
  let service = [...first];
  let next = 100;
  const asked: string[] = [];
  const told: string[] = [];
  const waiting: (() => void)[] = [];
  const settling: (() => void)[] = [];
  let listedAgain = 0;
  const carryOut = (action: RowAction, row: Row): Asked => {
    const status = refuses(action, row);
    if (status !== undefined) return { sentence: `refused ${action}`, status, result: null };
    if (action === 'remove') service = service.filter(({ id }) => id !== row.id);
    else if (action === 'add') service = [...service, { ...row, id: next++, version: 1 }];
    else
      service = service.map((each) =>
        each.id === row.id ? { ...row, version: Number(each.version) + 1 } : each,
      );
    const result = action === 'add' ? service.at(-1) : service.find(({ id }) => id === row.id);
    return { sentence: '', status: 200, result: result ?? null };
  };
  const rows: RemoteRows = new RemoteRows('id', {
    read: () => held,
    hold: (now) => {
      held = now;
    },
    asks: () => true,
    ask: (action, row) => {
      asked.push(`${action} ${row.id}`);
      return new Promise((resolve) => waiting.push(() => resolve(carryOut(action, row))));
    },
    listAgain: () => {
      listedAgain++;
    },
    tell: (sentence) => void told.push(sentence),
    settle: (then) => void settling.push(then),
  });
  const settle = () => {
    for (const then of settling.splice(0)) then();
  };
  return {
    asked,
    told,
    held: () => held,
    service: () => service,
    listedAgain: () => listedAgain,
    list: (isListed: (row: Row) => boolean = () => true) => rows.listed(service.filter(isListed)),
    elsewhere: (change: (rows: Row[]) => Row[]) => {
      service = change(service);
    },
    edit: (change: (rows: readonly Row[]) => readonly Row[]) => {
      held = change(held);
      rows.changed();
    },
    settle,
    /** All that is under way is answered, until nothing is. */
    async answer() {
      for (let turn = 0; turn < 50 && (waiting.length > 0 || settling.length > 0); turn++) {
        settle();
        for (const each of waiting.splice(0)) each();
        await new Promise((resolve) => setTimeout(resolve));
      }
    },
  };
}

const ilka = { id: 1, guest: 'Ilka', people: 2, version: 1 };
const bram = { id: 2, guest: 'Bram', people: 1, version: 1 };
const named = (guest: string) => (rows: readonly Row[]) =>
  rows.map((row) => (row.id === 1 ? { ...row, guest } : row));

describe('a table behind a service', () => {
  it('shows what the service lists, and asks nothing for that', () => {
    const of = table([ilka, bram]);
    of.list();
    expect(of.held()).toEqual([ilka, bram]);
    expect(of.asked).toEqual([]);
  });

  it('sends a row once nothing more is typed, and knows what the service made of it', async () => {
    const of = table([ilka, bram]);
    of.list();
    for (const guest of ['I', 'Il', 'Ilka S']) of.edit(named(guest));
    expect(of.asked).toEqual([]);
    of.settle();
    expect(of.asked).toEqual(['change 1']);
    await of.answer();
    expect(of.held()[0]).toEqual({ ...ilka, guest: 'Ilka S', version: 2 });
    expect(of.asked).toEqual(['change 1']);
  });

  it('sends what changes meanwhile afterwards, and does not undo it', async () => {
    const of = table([ilka]);
    of.list();
    of.edit(named('first'));
    of.settle();
    of.edit(named('second'));
    await of.answer();
    expect(of.asked).toEqual(['change 1', 'change 1']);
    expect(of.service()[0]).toMatchObject({ guest: 'second' });
    expect(of.held()[0]).toMatchObject({ guest: 'second', version: 3 });
  });

  it('gives an added row the key that the service gave it', async () => {
    const of = table([ilka]);
    of.list();
    of.edit((rows) => [...rows, { id: 2, guest: 'Nive', people: 1 }]);
    await of.answer();
    expect(of.held()).toEqual([ilka, { id: 100, guest: 'Nive', people: 1, version: 1 }]);
    expect(of.asked).toEqual(['add 2']);
  });

  it('takes back what is refused, says so, and asks anew where somebody was quicker', async () => {
    const of = table([ilka, bram], (action) => (action === 'add' ? 422 : action === 'change' ? 412 : 403));
    of.list();
    of.edit((rows) => [...named('other')(rows).filter(({ id }) => id !== 2), { id: 9, guest: 'Nive' }]);
    expect(of.held()).toHaveLength(2);
    await of.answer();
    expect(of.held()).toEqual([ilka, bram]);
    expect(of.told.toSorted()).toEqual(['refused add', 'refused change', 'refused remove']);
    expect(of.listedAgain()).toBe(1);
    expect(of.asked).toHaveLength(3);
  });

  it('keeps what is being sent when the list comes anew', async () => {
    const of = table([ilka, bram]);
    of.list();
    of.edit((rows) => [...named('mine')(rows).filter(({ id }) => id !== 2), { id: 9, guest: 'Nive' }]);
    of.settle();
    of.elsewhere((rows) => [...rows, { id: 50, guest: 'Corin' }]);
    of.list();
    expect(of.held().map(({ guest }) => guest)).toEqual(['mine', 'Corin', 'Nive']);
    await of.answer();
    expect(of.held().map(({ guest }) => guest)).toEqual(['mine', 'Corin', 'Nive']);
    expect(
      of
        .service()
        .map(({ guest }) => guest)
        .toSorted(),
    ).toEqual(['Corin', 'Nive', 'mine']);
  });

  it('leaves a row at the service that a list leaves out while it is sent, or typed in', async () => {
    for (const isSent of [true, false]) {
      const of = table([ilka, bram]);
      of.list();
      of.edit(named('typed'));
      if (isSent) of.settle();
      of.list(({ id }) => id !== 1);
      expect(of.held().map(({ guest }) => guest)).toEqual(['Bram', 'typed']);
      await of.answer();
      expect(of.held()).toEqual([bram]);
      expect(of.asked).toEqual(['change 1']);
      expect(of.service().map(({ guest }) => guest)).toEqual(['typed', 'Bram']);
    }
  });

  it('sends what is done to such a row before it goes', async () => {
    const of = table([ilka, bram]);
    of.list();
    of.edit(named('one'));
    of.settle();
    of.list(({ id }) => id !== 1);
    of.edit(named('two'));
    await of.answer();
    expect([of.asked, of.held()]).toEqual([['change 1', 'change 1'], [bram]]);
    of.list();
    of.edit(named('three'));
    of.settle();
    of.list(({ id }) => id !== 1);
    of.edit((rows) => rows.filter(({ id }) => id !== 1));
    await of.answer();
    expect(of.asked.slice(2)).toEqual(['change 1', 'remove 1']);
    expect(of.service()).toEqual([bram]);
  });

  it('removes nothing that nobody has removed, however lists leave rows out', async () => {
    const change = fc.record({
      does: fc.constantFrom('change', 'remove', 'settle', 'list', 'answer'),
      at: fc.nat({ max: 4 }),
      listed: fc.subarray([1, 2, 3, 4]),
      refused: fc.boolean(),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(change, { maxLength: 16 }), async (changes) => {
        const first = [1, 2, 3, 4].map((id) => ({ id, guest: `g${id}`, version: 1 }));
        let refused = false;
        const of = table(first, () => (refused ? 422 : undefined));
        of.list();
        const removed = new Set<unknown>();
        let fresh = 0;
        for (const { does, at, listed, refused: isRefused } of changes) {
          refused = isRefused;
          if (does === 'change')
            of.edit((rows) =>
              rows.map((row, index) => (index === at ? { ...row, guest: `n${fresh++}` } : row)),
            );
          if (does === 'remove') {
            removed.add(of.held()[at]?.id);
            of.edit((rows) => rows.filter((_, index) => index !== at));
          }
          if (does === 'settle') of.settle();
          if (does === 'list') of.list(({ id }) => listed.includes(Number(id)));
          if (does === 'answer') await of.answer();
        }
        refused = false;
        await of.answer();
        const ids = of.service().map(({ id }) => id);
        for (const { id } of first) if (!ids.includes(id)) expect(removed).toContain(id);
        for (const row of of.held()) expect(of.service()).toContainEqual(row);
      }),
      { numRuns: 300 },
    );
  });

  it('in the end holds what the service holds, whatever was done and refused', async () => {
    const change = fc.record({
      does: fc.constantFrom('add', 'change', 'remove', 'settle', 'list', 'answer'),
      at: fc.nat({ max: 5 }),
      refused: fc.boolean(),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(change, { maxLength: 14 }), async (changes) => {
        let refused = false;
        const of = table([ilka, bram], () => (refused ? 422 : undefined));
        of.list();
        let fresh = 1000;
        for (const { does, at, refused: isRefused } of changes) {
          refused = isRefused;
          if (does === 'add') of.edit((rows) => [...rows, { id: fresh++, guest: 'new' }]);
          if (does === 'change')
            of.edit((rows) =>
              rows.map((row, index) => (index === at ? { ...row, guest: `g${fresh++}` } : row)),
            );
          if (does === 'remove') of.edit((rows) => rows.filter((_, index) => index !== at));
          if (does === 'settle') of.settle();
          if (does === 'list') of.list();
          if (does === 'answer') await of.answer();
        }
        refused = false;
        await of.answer();
        const sorted = (rows: readonly Row[]) =>
          rows.toSorted((one, other) => Number(one.id) - Number(other.id));
        expect(sorted(of.held())).toEqual(sorted(of.service()));
      }),
      { numRuns: 200 },
    );
  });
});
