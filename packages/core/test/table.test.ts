/** Lists of records as tables: types are recognised, rules are held, texts come in as a whole or not at all. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsFrom, tableLines } from '../src/document/table.ts';
import {
  applySteps,
  type Column,
  cellText,
  columnsOf,
  makeForm,
  type Project,
  projectProblem,
  questionsOf,
  type Row,
  readCell,
  renameState,
  tableProblems,
  walk,
} from '../src/index.ts';
import { projectOf } from './documents.ts';
import { readLines } from './table-reading.ts';

let ids = 0;
const lines = (text: string) => text.split('\n').map((line) => line.split(','));

describe('a table from texts', () => {
  it('recognises what its columns hold', () => {
    const reading = readLines(
      lines('guest,people,late,until,phone\nIlka,4,yes,2026-07-14,0170\nTomas,2,no,3.8.2026,'),
      [],
    );
    expect(reading).toEqual({
      ok: true,
      columns: [
        { name: 'guest', type: 'text' },
        { name: 'people', type: 'number' },
        { name: 'late', type: 'boolean' },
        { name: 'until', type: 'date' },
        { name: 'phone', type: 'text' },
      ],
      rows: [
        { guest: 'Ilka', people: 4, late: true, until: '2026-07-14', phone: '0170' },
        { guest: 'Tomas', people: 2, late: false, until: '2026-08-03' },
      ],
    });
  });

  it('says by line what is wrong, and lets nothing in then', () => {
    const known: Column[] = [
      { name: 'guest', type: 'text', required: true, unique: true },
      { name: 'people', type: 'number' },
      { name: 'state', type: 'text', values: ['late', 'called'] },
    ];
    const problems = (text: string) => {
      const reading = readLines(lines(text), known);
      return reading.ok ? [] : reading.said;
    };
    expect(problems('guest,people\nIlka,many\nTomas,2,3')).toEqual([
      'Line 2: people: “many” is no number.',
      'Line 3: There are 3 values, but 2 columns.',
    ]);
    expect(problems('guest,state\nIlka,late\n,called\nIlka,gone')).toEqual([
      'Line 3: `guest` is required.',
      'Line 4: `guest` is the same in row 1. `state` is one of late, called.',
    ]);
    expect(problems('guest,guest\nIlka,Ilka')).toEqual(['The file has two columns `guest`.']);
    expect(problems('__proto__\nx')).toEqual(['A column cannot be called `__proto__`.']);
    expect(problems('')).toEqual(['The first line names the columns; it is empty.']);
    expect(problems('guest,people\nIlka,4')).toEqual([]);
  });

  it('comes back from its own lines as it was', () => {
    const cell = fc.oneof(
      fc.record({
        type: fc.constant('text' as const),
        value: fc.string({ minLength: 1 }).map((text) => `t${text}`),
      }),
      fc.record({ type: fc.constant('number' as const), value: fc.integer() }),
      fc.record({ type: fc.constant('boolean' as const), value: fc.boolean() }),
    );
    fc.assert(
      fc.property(fc.array(cell, { minLength: 1, maxLength: 5 }), fc.nat({ max: 4 }), (cells, count) => {
        const columns = cells.map(({ type }, index): Column => ({ name: `c${index}`, type }));
        const rows = Array.from({ length: count }, () =>
          Object.fromEntries(cells.map(({ value }, index) => [`c${index}`, value])),
        );
        expect(readLines(tableLines(columns, rows), columns)).toEqual({ ok: true, columns, rows });
      }),
    );
  });
});

it('columns are those that some row has; a cell is read by its type', () => {
  expect(columnsFrom([{ a: 1 }, { b: 'x', a: 2 }])).toEqual([
    { name: 'a', type: 'number' },
    { name: 'b', type: 'text' },
  ]);
  expect(readCell('date', '31.2.2026').ok).toBe(false);
  expect(readCell('number', ' ')).toEqual({ ok: true, value: undefined });
  expect(cellText({ a: 1 })).toBe('{"a":1}');
  expect([...tableProblems([{ name: 'a', type: 'number' }], [{ a: 'x' }, { a: 3 }])]).toEqual([
    ['0 0', '“x” is no number.'],
  ]);
});

it('a column refers to rows of another list: what is not there is told, forms ask for what is, and names follow', () => {
  const base = projectOf('<screen name="s" />');
  const project: Project = {
    ...base,
    state: [
      { name: 'rooms', type: 'list', initial: [{ room: 'Ridge' }, { room: 'Lake' }] },
      {
        name: 'stays',
        type: 'list',
        initial: [
          { who: 'Ilka', where: 'Ridge' },
          { who: 'Bruno', where: 'Cellar' },
        ],
        columns: [
          { name: 'who', type: 'text' },
          { name: 'where', type: 'text', refers: { list: 'rooms', column: 'room' } },
        ],
      },
    ],
  };
  expect(projectProblem(project)).toBeUndefined();
  const stays = project.state[1]!;
  const rows = stays.initial as Row[];
  expect([...tableProblems(columnsOf(stays), rows, project.state)]).toEqual([
    ['1 1', 'There is no Cellar in `room` of `rooms`.'],
  ]);
  const made = makeForm(project, 'stays', 'A stay', questionsOf(columnsOf(stays), rows), () => `n${++ids}`);
  const select = [...walk(made.screen)].find(({ kind }) => kind === 'select')!;
  expect(select.props.options).toBe('{rooms.map(row => row.room)}');
  const renamed = applySteps(project, renameState('rooms', 'places'));
  expect(renamed.ok && columnsOf(renamed.project.state[1]!)[1]!.refers).toEqual({
    list: 'places',
    column: 'room',
  });
});
