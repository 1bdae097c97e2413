/** Columns of tables are checked names: those that are missing are said, those that get another name get it everywhere. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  columnsInEvent,
  columnsNamed,
  type ShapeOf,
  withColumnRenamed,
} from '../src/expression/column-uses.ts';
import {
  applySteps,
  attributeProblems,
  followersOfColumn,
  type Project,
  parseExpression,
  parseStatements,
  renamingColumn,
  type StateVariable,
  usesOfColumn,
  walk,
} from '../src/index.ts';
import { projectWith } from './documents.ts';

const shapeOf: ShapeOf = (name) =>
  name === 'stays' || name === 'rooms'
    ? { is: 'rows', table: name }
    : name === 'stay'
      ? { is: 'row', table: 'stays' }
      : undefined;

const namedIn = (text: string): string[] => {
  const read = parseExpression(text);
  if (!read.ok) throw new Error(read.problem.message);
  return columnsNamed(read.value, shapeOf).uses.map(({ table, column }) => `${table}.${column}`);
};
const inEvent = (text: string) => {
  const read = parseStatements(text);
  if (!read.ok) throw new Error(read.problem.message);
  return columnsInEvent(read.value, shapeOf);
};

describe('an expression names columns', () => {
  it.each([
    ['stay.guest', ['stays.guest']],
    ["stay['guest name'] ?? stay?.guest", ['stays.guest name', 'stays.guest']],
    ['stays[0].nights + stays.length', ['stays.nights']],
    ['stays.filter(each => each.late).map(each => each.guest)', ['stays.late', 'stays.guest']],
    [
      'stays.toSorted((a, b) => a.nights - b.nights)[0].guest',
      ['stays.nights', 'stays.nights', 'stays.guest'],
    ],
    ['rooms.find(room => room.id == stay.room)?.door', ['rooms.id', 'stays.room', 'rooms.door']],
    ['stays.reduce((sum, each) => sum + each.nights, 0)', ['stays.nights']],
    ["Group.by(stays, 'room').map(group => group.key)", ['stays.room']],
    ['(stay.late ? stays : rooms).at(0).id', ['stays.late', 'stays.id']],
    ['{ ...stay, nights: 2 }.nights', ['stays.nights', 'stays.nights']],
    ['stays.map(each => ({ label: each.guest })).at(0).label', ['stays.guest']],
    ['stays.some(stay => stay.x) && stay.guest', ['stays.x', 'stays.guest']],
    ['other.guest', []],
  ])('%s', (text, columns) => {
    expect(namedIn(text)).toEqual(columns);
  });

  it('and so does an event, which may write them', () => {
    const uses = inEvent(
      "add(stays, { guest, nights: 1 }); change(stays, stay, { late: true }); stays[0].room = 2; for (const each of rooms) { x = each.door } if (stay.guest == '') return",
    );
    expect(
      uses.map(({ table, column, written }) => `${table}.${column}${written ? ' written' : ''}`),
    ).toEqual([
      'stays.guest written',
      'stays.nights written',
      'stays.late written',
      'stays.room written',
      'rooms.door',
      'stays.guest',
    ]);
  });
});

describe('a column gets another name', () => {
  const renamed = (text: string, to: string) => {
    const read = parseExpression(text);
    return withColumnRenamed(
      text,
      read.ok ? columnsNamed(read.value, shapeOf).uses : [],
      'stays',
      'guest',
      to,
    );
  };

  it.each([
    ['stay.guest + other.guest', 'who', 'stay.who + other.guest'],
    ["stay?.guest ?? stay['guest']", 'who', "stay?.who ?? stay['who']"],
    ['stay.guest', 'the guest', 'stay["the guest"]'],
    ['stay?.guest', 'the guest', 'stay?.["the guest"]'],
    ['{ ...stay, guest: 1 }', 'the guest', '{ ...stay, "the guest": 1 }'],
    ['{ ...stay, guest }', 'who', '{ ...stay, who: guest }'],
  ])('%s', (text, to, expected) => {
    expect(renamed(text, to)).toBe(expected);
  });

  it('property: there and back again changes nothing', () => {
    const part = fc.constantFrom(
      'stay.guest',
      "stay?.['guest']",
      'stays.filter(each => each.guest == 1).length',
      '{ ...stay, guest: 2 }',
      'stays[0].guest',
      'other.guest',
    );
    const name = fc.constantFrom('who', 'guest2', 'a');
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 4 }), name, (parts, to) => {
        const text = parts.join(' || ');
        const there = renamed(text, to);
        const read = parseExpression(there);
        if (!read.ok) throw new Error(read.problem.message);
        const uses = columnsNamed(read.value, shapeOf).uses;
        expect(uses.some(({ column }) => column === 'guest')).toBe(false);
        expect(withColumnRenamed(there, uses, 'stays', to, 'guest')).toBe(text);
      }),
    );
  });
});

const stays: StateVariable = {
  name: 'stays',
  type: 'list',
  initial: [{ guest: 'Ilka', nights: 2, room: 1 }],
  columns: [
    { name: 'guest', type: 'text' },
    { name: 'nights', type: 'number' },
    { name: 'room', type: 'number', refers: { list: 'rooms', column: 'id' } },
  ],
};
const others: readonly StateVariable[] = [
  { name: 'rooms', type: 'list', initial: [{ id: 1, door: 'Twin' }], columns: [] },
  { name: 'long', type: 'list', initial: [], computed: 'stays.filter(each => each.nights > 3)' },
  { name: 'tasks', type: 'list', initial: [{ what: 'wood' }] },
];
const source = `<screen name="A">
  <repeat name="r" each="{long}" as="stay"><text name="t" text="{stay.guest}, {stay.nights}" /></repeat>
  <table name="list" rows="{stays}" columns="guest: Who | nights: Nights" sort="-nights" on.choose="x = row.nights" />
  <table name="cells" rows="{stays}"><cell head="Nights" field="nights"><text name="n" text="{row.nights}" /></cell></table>
  <button name="b" text="More" on.press="change(stays, stays[0], { nights: stays[0].nights + 1 }) /* off: x = stays[0].nights */; change(tasks, tasks[0], { done: true })" />
  <text name="d" text="{tasks[0].done}" />
</screen>`;
const project: Project = projectWith([stays, ...others, { name: 'x', type: 'number', initial: 0 }], source);
const problemsIn = (of: Project) =>
  [...walk(of.screens[0]!)].flatMap((control) =>
    attributeProblems(of, control).map(
      ({ attribute, message }) => `${control.name}.${attribute}: ${message}`,
    ),
  );

describe('in a project', () => {
  it('all that is named is there, what an event writes into an unsaid table, too', () => {
    expect(problemsIn(project)).toEqual([]);
  });

  it('it is known who names a column', () => {
    expect(
      usesOfColumn(project, 'stays', 'nights').map(
        ({ control, attribute }) => `${control.name}.${attribute}`,
      ),
    ).toEqual([
      't.text',
      'list.columns',
      'list.sort',
      'list.on.choose',
      'undefined.field',
      'n.text',
      'b.on.press',
    ]);
    expect(followersOfColumn(project, 'stays', 'nights').map(({ name }) => name)).toEqual(['long']);
    expect(followersOfColumn(project, 'rooms', 'id').map(({ name }) => name)).toEqual(['stays']);
  });

  it('a column that goes is missed wherever it was named', () => {
    const without = {
      ...project,
      state: project.state.map((each) =>
        each.name === 'stays'
          ? {
              ...each,
              columns: each.columns!.filter(({ name }) => name !== 'nights'),
              initial: [{ guest: 'Ilka' }],
            }
          : each,
      ),
    };
    const problems = problemsIn(without);
    expect(problems.filter((each) => each.includes('`stays` has no column `nights`'))).toHaveLength(8);
    expect(problems[0]).toBe('t.text: `stays` has no column `nights`.');
  });

  it('one that is mistyped is said with the one that was meant', () => {
    const wrong = projectWith(
      project.state,
      '<screen name="A"><text name="t" text="{stays[0].nihgts}" /></screen>',
    );
    expect(problemsIn(wrong)).toEqual(['t.text: `stays` has no column `nihgts`. Did you mean `nights`?']);
  });

  it('one that gets another name gets it everywhere, and all is as it was after undo', () => {
    const applied = applySteps(
      project,
      renamingColumn(project, { table: 'stays', from: 'nights', to: 'how long' }),
    );
    if (!applied.ok) throw new Error(applied.reason);
    const [screen] = applied.project.screens;
    const text = JSON.stringify(screen);
    expect(text).not.toContain('.nights');
    const named = (name: string) => [...walk(screen!)].find((each) => each.name === name)!.props;
    expect(named('list')).toMatchObject({ columns: 'guest: Who | how long: Nights', sort: '-how long' });
    expect(named('b')['on.press']).toBe(
      'change(stays, stays[0], { "how long": stays[0]["how long"] + 1 }) /* off: x = stays[0]["how long"] */; change(tasks, tasks[0], { done: true })',
    );
    expect(applied.project.state.find(({ name }) => name === 'long')?.computed).toBe(
      'stays.filter(each => each["how long"] > 3)',
    );
    const back = applySteps(applied.project, applied.inverse);
    expect(back.ok && back.project).toEqual(project);
    const rooms = applySteps(project, renamingColumn(project, { table: 'rooms', from: 'id', to: 'number' }));
    expect(rooms.ok && rooms.project.state[0]!.columns![2]!.refers).toEqual({
      list: 'rooms',
      column: 'number',
    });
  });
});
