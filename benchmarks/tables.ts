/** A stored table of 100,000 rows: what a page of it, a search and a changed cell take of what a person waits for. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Row, StateVariable, Step } from '@hovrin/core';
import { openDatabase } from '../packages/server/src/store/database.ts';
import { Store } from '../packages/server/src/store/store.ts';
import { type Measured, median, time } from './measure.ts';

const count = 100_000;
const rowAt = (index: number): Row => ({
  guest: `Guest ${(index * 7919) % count}`,
  note: index % 3 === 0 ? 'Half board' : 'Needs the drying room',
  people: (index % 9) + 1,
  paid: index % 2 === 0,
});

export function tables(): Measured[] {
  const folder = mkdtempSync(join(tmpdir(), 'hovrin-bench-'));
  const { db, close } = openDatabase(join(folder, 'bench.sqlite'));
  const store = new Store(db);
  const id = store.createBlank('Bench');
  let sequence = 0;
  const send = (...steps: Step[]) =>
    store.append(id, 'bench-window', store.read(id)!.revision, [
      { sequence: sequence++, kind: 'change', label: 'Change', steps },
    ])!;
  const rows = Array.from({ length: count }, (_, index) => rowAt(index));
  const stays: StateVariable = { name: 'stays', type: 'list', initial: [], table: { id: 't', rows: 0 } };
  send({ type: 'put', of: 'state', entity: stays });
  send({ type: 'rows', list: 'stays', at: 0, remove: [], insert: store.rows.keep(id, rows) });
  const took = (work: () => void) => {
    work();
    return median(Array.from({ length: 9 }, () => time(work)));
  };
  let turn = 0;
  const page = (find: string) => {
    const found = store.rows.answer(id, 't', { find, sort: 'guest' });
    const all = store.rows.rows(id, 't');
    return found.slice(-200).map((place) => all[place]);
  };
  const change = () => {
    const at = (turn++ * 7) % count;
    const before = store.rows.rows(id, 't')[at]!;
    const { refused } = send({
      type: 'rows',
      list: 'stays',
      at,
      remove: [before],
      insert: [{ ...before, people: turn }],
    });
    if (refused.length > 0) throw new Error(refused[0]!.reason);
  };
  const against = (name: string, milliseconds: number, work: () => void): Measured => ({
    name: `${name} of 100,000 rows`,
    against: `${milliseconds} ms`,
    ratio: Number((milliseconds / took(work)).toFixed(2)),
    aim: 1,
  });
  const measured = [
    against('another page', 16, () => page('')),
    against('a search that was not asked before, sorted,', 500, () => page(`t ${turn++}`)),
    against('one changed cell, stored,', 100, change),
    against('reading all from the database', 1000, () => {
      store.rows.forget(id);
      store.rows.rows(id, 't');
    }),
  ];
  close();
  rmSync(folder, { recursive: true });
  return measured;
}
