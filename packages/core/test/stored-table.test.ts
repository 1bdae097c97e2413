/** Tables beside the document: the document always holds the first rows, and every change of rows can be taken back. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { collectionFault } from '../src/collections/catalogue.ts';
import { stateVariables } from '../src/collections/state-variables.ts';
import { programOf } from '../src/export/program.ts';
import {
  applyStep,
  applySteps,
  changing,
  firstRows,
  inSample,
  orderOfRows,
  type Project,
  printFolder,
  projectProblem,
  type Row,
  type RowsStep,
  readFolder,
  renameState,
  rewrittenRow,
  rowSteps,
  type StateVariable,
  stepProblem,
} from '../src/index.ts';
import { projectOf } from './documents.ts';
import { readTableFile } from './table-reading.ts';

const rowsNamed = (count: number, from = 0): Row[] =>
  Array.from({ length: count }, (_, index) => ({
    guest: `Guest ${from + index}`,
    people: (from + index) % 7,
  }));

const tableOf = (rows: readonly Row[], more: Partial<StateVariable> = {}): StateVariable => ({
  name: 'stays',
  type: 'list',
  initial: rows.slice(0, firstRows),
  table: { id: 't1', rows: rows.length, status: 'told' },
  ...more,
});

const withState = (...state: StateVariable[]): Project => ({
  ...projectOf('<screen name="Stays" />'),
  state,
});
const told: StateVariable = { name: 'told', type: 'text', initial: 'live' };
const initialOf = (project: Project, name = 'stays') =>
  project.state.find((each) => each.name === name)!.initial as readonly Row[];

/** Sizes of a table and of a change of its rows, as small or large as one likes. */
const sizes = fc.record({
  count: fc.oneof(fc.nat(5), fc.nat(2500)),
  at: fc.oneof(fc.nat(5), fc.nat(2500)),
  remove: fc.oneof(fc.nat(5), fc.nat(2000)),
  insert: fc.oneof(fc.nat(5), fc.nat(1500)),
  inBatches: fc.boolean(),
  saysBehind: fc.boolean(),
});

describe('rows of a table', () => {
  it('are the beginning of the table after every change, and after taking it back', () => {
    fc.assert(
      fc.property(sizes, ({ count, remove, insert, inBatches, saysBehind, ...size }) => {
        const rows = rowsNamed(count);
        const at = Math.min(count, size.at);
        const removed = rows.slice(at, at + remove);
        const come = rowsNamed(insert, 50_000);
        const before = withState(tableOf(rows), told);
        const first = initialOf(before);
        const batch = (set: readonly Row[], id: string, of: readonly Row[]) => ({
          batch: id,
          count: set.length,
          first: of,
        });
        const next = rows.toSpliced(at, removed.length, ...come);
        const behindFrom = Math.max(first.length, at + removed.length);
        const step: RowsStep = {
          type: 'rows',
          list: 'stays',
          at,
          remove: inBatches ? batch(removed, 'out', first.slice(at, at + removed.length)) : removed,
          insert: inBatches ? batch(come, 'in', come.slice(0, firstRows)) : come,
          ...(saysBehind ? { behind: rows.slice(behindFrom, behindFrom + firstRows) } : {}),
        };
        expect(stepProblem(before, step)).toBeUndefined();
        const applied = applyStep(before, step);
        if (!applied.ok) throw new Error(applied.reason);
        const after = initialOf(applied.project);
        expect(after).toEqual(next.slice(0, after.length));
        expect(applied.project.state[0]!.table!.rows).toBe(next.length);
        expect(projectProblem(applied.project)).toBeUndefined();
        if (saysBehind && !inBatches) expect(after.length).toBe(Math.min(firstRows, next.length));
        const back = applyStep(applied.project, applied.inverse);
        if (!back.ok) throw new Error(back.reason);
        const again = initialOf(back.project);
        expect(again).toEqual(rows.slice(0, again.length));
        expect(back.project.state[0]!.table!.rows).toBe(rows.length);
        // Where the step carries its rows, nothing is shorter than it was.
        if (!inBatches) expect(again.length).toBe(first.length);
      }),
      { numRuns: 200 },
    );
  });

  it('edits of any rows are steps that leave all other rows where they were', () => {
    const edit = fc.array(fc.record({ place: fc.nat(39), to: fc.option(fc.nat(9), { nil: undefined }) }), {
      maxLength: 25,
    });
    fc.assert(
      fc.property(edit, fc.nat(3), fc.boolean(), (changes, added, isTable) => {
        const rows = rowsNamed(40);
        const list = tableOf(rows);
        const { table: _, ...plain } = list;
        const places = new Map(changes.map(({ place, to }) => [place, to]));
        const changed = [...places].map(([place, to]) => ({
          place,
          row: rows[place]!,
          to: to === undefined ? undefined : { guest: `Other ${to}` },
        }));
        const more = rowsNamed(added, 900);
        const before = withState(isTable ? list : plain, told);
        const applied = applySteps(before, rowSteps('stays', { changed, added: more }, rows.length));
        if (!applied.ok) throw new Error(applied.reason);
        const expected = [
          ...rows.flatMap((row, place) => {
            if (!places.has(place)) return [row];
            const to = places.get(place);
            return to === undefined ? [] : [{ guest: `Other ${to}` }];
          }),
          ...more,
        ];
        expect(initialOf(applied.project)).toEqual(expected);
        const back = applySteps(applied.project, applied.inverse);
        expect(back.ok && back.project).toEqual(before);
      }),
    );
  });

  it('are more steps than one where they are more than a step carries', () => {
    const rows = rowsNamed(45_000);
    const before = withState(tableOf([]), told);
    const steps = rowSteps('stays', { added: rows }, 0);
    expect(steps.map((step) => stepProblem(before, step))).toEqual([undefined, undefined, undefined]);
    const applied = applySteps(before, steps);
    if (!applied.ok) throw new Error(applied.reason);
    expect(applied.project.state[0]!.table!.rows).toBe(45_000);
    expect(initialOf(applied.project)).toEqual(rows.slice(0, firstRows));
    const changed = rows.map((row, place) => ({ place, row, to: undefined }));
    const away = rowSteps('stays', { changed }, rows.length);
    expect(away.map((step) => stepProblem(before, step))).toEqual([undefined, undefined, undefined]);
    const emptied = applySteps(applied.project, away);
    expect(emptied.ok && emptied.project.state[0]!.table!.rows).toBe(0);
  });

  it('that somebody changed meanwhile are not written over', () => {
    const before = withState(tableOf(rowsNamed(5)), told);
    const step = (remove: RowsStep['remove']): RowsStep => ({
      type: 'rows',
      list: 'stays',
      at: 1,
      remove,
      insert: [],
    });
    expect(applyStep(before, step([{ guest: 'Somebody else' }]))).toMatchObject({ ok: false });
    expect(applyStep(before, { ...step([]), at: 6 })).toMatchObject({ ok: false });
    expect(applyStep(before, step(rowsNamed(5, 1)))).toMatchObject({ ok: false });
    expect(applyStep(before, { ...step([]), list: 'told' })).toMatchObject({ ok: false });
    // What a list in the document holds travels with its steps.
    const { table: _, ...plain } = tableOf(rowsNamed(5));
    const batch = { batch: 'b', count: 1, first: rowsNamed(1, 1) };
    expect(applyStep(withState(plain), step(batch))).toMatchObject({
      ok: false,
      reason: 'So many rows only go into a table.',
    });
  });

  it('stay what they are when its variable is changed and renamed by somebody who knew fewer', () => {
    const old = tableOf(rowsNamed(3));
    const now = withState(tableOf(rowsNamed(8)), told);
    const applied = applySteps(now, [
      ...changing('state', old, { ...old, kept: true }),
      ...renameState('stays', 'nights'),
    ]);
    if (!applied.ok) throw new Error(applied.reason);
    expect(applied.project.state[0]).toMatchObject({ name: 'nights', kept: true });
    expect(initialOf(applied.project, 'nights')).toHaveLength(8);
    expect(applied.project.state[0]!.table!.rows).toBe(8);
  });

  it('from outside are held against what they may be', () => {
    const before = withState(tableOf([]), told);
    const wrong = (step: Record<string, unknown>) =>
      stepProblem(before, { type: 'rows', list: 'stays', at: 0, remove: [], insert: [], ...step });
    expect(wrong({})).toBeUndefined();
    expect(wrong({ at: -1 })).toBe('A change of rows has no place.');
    expect(wrong({ list: 4 })).toBe('A change of rows has no place.');
    expect(wrong({ insert: 'all' })).toBe('A change of rows has none.');
    expect(wrong({ insert: [[1]] })).toBe('A row is no record of plain values.');
    expect(wrong({ insert: [Object.create({ a: 1 })] })).toBe('A row is no record of plain values.');
    expect(wrong({ behind: [4] })).toBe('A row is no record of plain values.');
    expect(wrong({ remove: { batch: '../x', count: 1, first: [] } })).toBe('A batch of rows has no name.');
    expect(wrong({ remove: { batch: 'x', count: 0, first: [{}] } })).toBe(
      'A batch of rows has more rows than it says.',
    );
    const wide = Object.fromEntries(Array.from({ length: 41 }, (_, index) => [`c${index}`, index]));
    expect(wrong({ insert: [wide] })).toBe('A row has more than 40 values.');
  });
});

describe('a table in a project', () => {
  it('says what is not right about it', () => {
    const problem = (more: object) =>
      collectionFault(stateVariables, [{ ...tableOf(rowsNamed(2)), ...more }, told], withState())?.message;
    expect(problem({})).toBeUndefined();
    expect(problem({ table: { id: '', rows: 2 } })).toContain('has no `id`');
    expect(problem({ table: { id: 't', rows: 1 } })).toContain('more rows than its table');
    expect(problem({ table: { id: 't', rows: -1 } })).toContain('0 to 200000 rows');
    expect(problem({ type: 'text', initial: '' })).toContain('only a list');
    expect(problem({ computed: '[]' })).toContain('from elsewhere');
    expect(
      collectionFault(stateVariables, [tableOf([]), { ...tableOf([]), name: 'other' }], withState())?.message,
    ).toContain('another variable');
  });

  it('lies in a file of its own, one row on a line, and is read from there', () => {
    const rows = rowsNamed(1200);
    const project = withState(tableOf(rows), told);
    const files = printFolder(project, new Map([['t1', rows]]));
    expect(files.get('tables/stays.json')!.split('\n')).toHaveLength(1203);
    const read = readFolder(files, () => 'c1');
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.rows.get('t1')).toEqual(rows);
    expect(read.project.state).toEqual(project.state);
    files.set('tables/stays.json', '[1]');
    expect(readFolder(files, () => 'c1')).toMatchObject({
      ok: false,
      problems: [{ file: 'tables/stays.json', message: 'A row is no record of plain values.' }],
    });
    files.delete('tables/stays.json');
    expect(readFolder(files, () => 'c1')).toMatchObject({
      ok: false,
      problems: [{ message: 'The rows of `stays` are missing.' }],
    });
  });

  it('tells the variable that it was given, under its new name as well', () => {
    const project = withState(tableOf(rowsNamed(2)), told);
    const renamed = applySteps(project, renameState('told', 'stayStatus'));
    expect(renamed.ok && renamed.project.state[0]!.table!.status).toBe('stayStatus');
  });

  it('comes with the page where it is short, beside it where it is long; late or never where that is tried', () => {
    const table = (count: number, condition: Parameters<typeof inSample>[1] = 'typical') =>
      programOf(inSample(withState(tableOf(rowsNamed(count)), told), condition)).state;
    expect(table(3)[0]!.table).toEqual({ status: 'told' });
    expect(table(3)[0]!.initial).toHaveLength(3);
    expect(table(1500)[0]!.table).toEqual({ file: 'tables/stays.js', status: 'told' });
    const [slow, slowTold] = table(3, 'slow');
    expect(slow).toMatchObject({ initial: [], table: { file: 'tables/stays.js', wait: 5 } });
    expect(slowTold!.initial).toBe('waiting');
    const [failing, failingTold] = table(3, 'failing');
    expect(failing!.initial).toEqual([]);
    expect(failing!.table).toBeUndefined();
    expect(failingTold!.initial).toBe('failed');
    expect(table(3, 'one')[0]!.initial).toHaveLength(1);
    expect(table(3, 'one')[0]!.table).toBeUndefined();
    expect(table(3, 'many')[0]!.initial).toHaveLength(1000);
    // As many as it has are many already.
    expect(table(1500, 'many')[0]!.table!.file).toBe('tables/stays.js');
  });
});

describe('finding and sorting', () => {
  const rows: Row[] = [
    { guest: 'Zdenka', people: 10 },
    { guest: 'Élise', people: 9, late: true },
    { guest: '', people: 2 },
    { people: 9, late: false },
    { guest: 'bruno' },
  ];

  it('finds whatever the case and the accents, in any column', () => {
    expect(orderOfRows(rows, { find: ' ELI ' })).toEqual([1]);
    expect(orderOfRows(rows, { find: '9' })).toEqual([1, 3]);
    expect(orderOfRows(rows, { find: 'yes' })).toEqual([1]);
    expect(orderOfRows(rows, { find: 'nobody' })).toEqual([]);
  });

  it('sorts numbers as numbers, with nothing at the end either way', () => {
    expect(orderOfRows(rows, { sort: 'people' })).toEqual([2, 1, 3, 0, 4]);
    expect(orderOfRows(rows, { sort: 'people', descending: true })).toEqual([0, 1, 3, 2, 4]);
    expect(orderOfRows(rows, { sort: 'guest' })).toEqual([4, 1, 0, 2, 3]);
  });

  it('is an order of all rows, the same from any order of them', () => {
    const cell = fc.oneof(fc.integer({ min: -3, max: 3 }), fc.boolean(), fc.string(), fc.constant(undefined));
    fc.assert(
      fc.property(fc.array(fc.record({ value: cell, other: cell })), fc.boolean(), (some, descending) => {
        const order = orderOfRows(some, { sort: 'value', descending });
        expect(order.toSorted((a, b) => a - b)).toEqual([...some.keys()]);
        const sorted = order.map((index) => some[index]!);
        // Sorting what is sorted changes nothing.
        expect(orderOfRows(sorted, { sort: 'value', descending })).toEqual([...sorted.keys()]);
      }),
    );
  });
});

describe('files of rows', () => {
  it('say in which line or record something is wrong, and bring in nothing then', () => {
    const known = [{ name: 'people', type: 'number' as const }];
    expect(readTableFile('a.csv', 'guest,people\nIlka,4\nBruno,many\n', known)).toEqual({
      ok: false,
      said: ['Line 3: people: “many” is no number.'],
    });
    expect(readTableFile('a.json', '[{"people": 4}, {"people": "many"}]', known)).toEqual({
      ok: false,
      said: ['Record 2: people: “many” is no number.'],
    });
    expect(readTableFile('a.json', '{"people": 4}', known)).toEqual({
      ok: false,
      said: ['A list of records is expected.'],
    });
    expect(readTableFile('a.json', '[4', known)).toMatchObject({ ok: false });
    // As some programs begin their files.
    expect(readTableFile('a.csv', '\uFEFFpeople\n4\n', known)).toMatchObject({
      ok: true,
      rows: [{ people: 4 }],
    });
  });

  it('columns are renamed, read as another type and taken away in every row', () => {
    const row = { guest: 'Ilka', people: '4' };
    expect(Object.keys(rewrittenRow(row, { what: 'rename', column: 'guest', to: 'name' }))).toEqual([
      'name',
      'people',
    ]);
    expect(rewrittenRow(row, { what: 'retype', column: 'people', type: 'number' }).people).toBe(4);
    expect(rewrittenRow(row, { what: 'retype', column: 'guest', type: 'number' })).toEqual(row);
    expect(rewrittenRow(row, { what: 'remove', column: 'guest' })).toEqual({ people: '4' });
    expect(rewrittenRow(row, { what: 'remove', column: 'late' })).toBe(row);
  });
});
