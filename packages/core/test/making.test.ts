/** Screens made from data: forms from tables and schemas, lists with a way to find. What is made is valid, and works. */
import { describe, expect, it } from 'vitest';
import { brokenRule } from '../src/document/row-rules.ts';
import { programOf } from '../src/export/program.ts';
import {
  applySteps,
  attributeProblems,
  type Column,
  cellsOfTable,
  checkAll,
  makeEdited,
  makeForm,
  makeList,
  makeListWithDetail,
  makeTable,
  type Project,
  projectProblem,
  questionsOf,
  questionsOfSchema,
  sampleOf,
  spoken,
  walk,
} from '../src/index.ts';
import { type ItemFrame, itemFrame, Runtime } from '../src/runtime/index.ts';
import { noActing, projectOf, testShaper } from './documents.ts';

const columns: Column[] = [
  { name: 'guestName', type: 'text', required: true, unique: true },
  { name: 'people', type: 'number' },
  { name: 'half board', type: 'boolean' },
  { name: 'until', type: 'date', required: true },
  { name: 'state', type: 'text', values: ['Late', 'Called'] },
  { name: 'note', type: 'text' },
];
const rows = [
  {
    guestName: 'Ilka Sorrel',
    people: 4,
    'half board': true,
    until: '2026-07-14',
    state: 'Late',
    note: 'many words '.repeat(8),
  },
];
const base: Project = {
  ...projectOf('<screen name="Home" />'),
  state: [{ name: 'bookings', type: 'list', initial: rows, columns }],
};
let ids = 0;
const newId = () => `m${++ids}`;
const applied = (project: Project, steps: ReturnType<typeof makeForm>['steps']): Project => {
  const result = applySteps(project, steps);
  if (!result.ok) throw new Error(result.reason);
  return result.project;
};
/** Kinds and labels of what a screen asks. */
const asked = (project: Project) =>
  [...walk(project.screens.at(-1)!)]
    .filter(({ props }) => props.label !== undefined)
    .map(({ kind, props }) => `${kind}: ${String(props.label)}${props.required === 'true' ? ' *' : ''}`);

it('a name is said as people say it', () => {
  expect(['guestName', 'guest_name', 'people', 'URL', 'half board', 'bunkNumber2'].map(spoken)).toEqual([
    'Guest name',
    'Guest name',
    'People',
    'URL',
    'Half board',
    'Bunk number2',
  ]);
});

describe('a form from a table', () => {
  const made = makeForm(base, 'bookings', 'New booking', questionsOf(columns, rows), newId);
  const project = applied(base, made.steps);

  it('asks with the part that fits each type, and is valid throughout', () => {
    expect(asked(project)).toEqual([
      'textField: Guest name *',
      'numberField: People',
      'checkbox: Half board',
      'dateField: Until *',
      'select: State',
      'textArea: Note',
    ]);
    expect(projectProblem(project)).toBeUndefined();
    for (const control of walk(project.screens.at(-1)!))
      expect(attributeProblems(project, control)).toEqual([]);
  });

  it('keeps the answers as a record, and refuses what is missing or there twice', () => {
    const made = [...walk(project.screens.at(-1)!)];
    const named = (name: string) => made.find((control) => control.name === name)!.props;
    expect(named('form')['on.submit']).toBe(
      'add(bookings, { guestName: newGuestName, people: newPeople, "half board": newHalfBoard, until: newUntil, state: newState, note: newNote }); ' +
        'reset(newGuestName, newPeople, newHalfBoard, newUntil, newState, newNote); message("Saved.")',
    );
    expect(named('save').submits).toBe('true');
    expect(named('guestNameField')).toMatchObject({
      required: 'true',
      valid: '{!bookings.some(row => row.guestName == newGuestName)}',
    });
  });

  it('lays out well at every width', async () => {
    const found = checkAll(await testShaper(), project, project.screens.at(-1)!);
    expect(found.filter(({ severity }) => severity !== 'advice')).toEqual([]);
  });

  it('goes beside another one of the same list', () => {
    const again = applied(
      project,
      makeForm(project, 'bookings', 'New booking', questionsOf(columns, rows), newId).steps,
    );
    expect(again.screens.map(({ name }) => name)).toEqual(['Home', 'BookingsForm', 'BookingsForm1']);
    expect(projectProblem(again)).toBeUndefined();
  });
});

it.each([
  ['a list', makeList],
  ['a table', makeTable],
  ['a list with detail', makeListWithDetail],
  ['a list edited in place', makeEdited],
])('%s shows the records, is valid throughout, and lays out well at every width', async (_, make) => {
  const project = applied(base, make(base, 'bookings', columns, newId).steps);
  expect(projectProblem(project)).toBeUndefined();
  for (const control of walk(project.screens.at(-1)!))
    expect(attributeProblems(project, control)).toEqual([]);
  const found = checkAll(await testShaper(), project, project.screens.at(-1)!);
  // A table scrolls sideways instead of breaking the long note of this guest.
  const wrong = found.filter(({ severity, check }) => severity !== 'advice' && check !== 'long-line');
  expect(wrong).toEqual([]);
  // A second one of the same list has names of its own.
  expect(projectProblem(applied(project, make(project, 'bookings', columns, newId).steps))).toBeUndefined();
});

describe('of a table that refers to another by its number', () => {
  const stays: Column[] = [
    { name: 'id', type: 'number', role: 'key' },
    { name: 'guest', type: 'text', required: true },
    { name: 'room', type: 'number', required: true, refers: { list: 'rooms', column: 'id' } },
    { name: 'nights', type: 'number', min: 1, max: 9 },
  ];
  const before: Project = {
    ...projectOf('<screen name="Home" />'),
    state: [
      {
        name: 'rooms',
        type: 'list',
        initial: [
          { id: 7, note: 'north', door: 'Twin room' },
          { id: 8, note: 'south', door: 'Dormitory' },
        ],
        columns: [
          { name: 'id', type: 'number', role: 'key' },
          { name: 'note', type: 'text' },
          { name: 'door', type: 'text', role: 'name' },
        ],
      },
      { name: 'stays', type: 'list', initial: [{ id: 1, guest: 'Ilka', room: 8 }], columns: stays },
    ],
  };
  const textsOf = (project: Project) =>
    [...walk(project.screens.at(-1)!)].flatMap(({ id, props: { text } }) =>
      typeof text === 'string' && text.includes('room') ? [[id, text] as const] : [],
    );

  it('a form offers the names, keeps the number, and asks for no key', () => {
    const made = makeForm(before, 'stays', 'Stay', questionsOf(stays, []), newId);
    const project = applied(before, made.steps);
    expect(asked(project)).toEqual(['textField: Guest *', 'select: Room *', 'numberField: Nights']);
    const room = [...walk(project.screens.at(-1)!)].find(({ kind }) => kind === 'select')!;
    for (const control of walk(project.screens.at(-1)!))
      expect(attributeProblems(project, control)).toEqual([]);
    expect(sampleOf(project, room, String(room.props.options))).toEqual({
      value: [
        { value: 7, label: 'Twin room' },
        { value: 8, label: 'Dormitory' },
      ],
    });
    expect(project.state.find(({ name }) => name === room.props['value.bind'])).toMatchObject({
      type: 'number',
      nullable: true,
      initial: null,
    });
  });

  it.each([
    ['a list', makeList],
    ['a table', makeTable],
    ['a list with detail', makeListWithDetail],
  ])('%s reads the names, and finds by them', (_, make) => {
    const project = applied(before, make(before, 'stays', stays, newId).steps);
    expect(projectProblem(project)).toBeUndefined();
    for (const control of walk(project.screens.at(-1)!))
      expect(attributeProblems(project, control)).toEqual([]);
    const texts = textsOf(project);
    expect(texts.length).toBeGreaterThan(0);
    for (const [, text] of texts) expect(text).toContain('rooms.find(each => each.id ==');
    const search = [...walk(project.screens.at(-1)!)]
      .flatMap(({ props }) => [props.each, props.rows])
      .find((each) => typeof each === 'string');
    expect(search).toContain('rooms.find(each => each.id == row.room)?.door ?? row.room');
  });
});

it('a list edited in place adds a row that its rules let in, and takes away the one that is pressed', () => {
  const ruled: Column[] = [
    { name: 'id', type: 'number', role: 'key' },
    { name: 'guest', type: 'text', required: true, unique: true },
    { name: 'room', type: 'number', required: true, refers: { list: 'rooms', column: 'id' } },
    { name: 'board', type: 'text', values: ['half', 'full'] },
    { name: 'from', type: 'date', required: true },
    { name: 'nights', type: 'number', required: true, min: 2 },
    { name: 'paid', type: 'boolean' },
  ];
  const before: Project = {
    ...projectOf('<screen name="Home" />'),
    state: [
      { name: 'rooms', type: 'list', initial: [{ id: 7 }] },
      { name: 'stays', type: 'list', initial: [], columns: ruled },
    ],
  };
  const project = applied(before, makeEdited(before, 'stays', ruled, newId).steps);
  for (const control of walk(project.screens.at(-1)!))
    expect(attributeProblems(project, control)).toEqual([]);
  const program = programOf(project);
  const problems: string[] = [];
  const runtime = new Runtime(program, {
    acting: noActing,
    problem: (text) => problems.push(text),
    brokenRule,
    see: (_, hold) => hold('2026-07-14'),
  });
  const screen = program.screens.at(-1)!;
  const press = (name: string, frame?: ItemFrame) => {
    const events = [...screen.events, ...screen.repeats[0]!.item.events];
    runtime.run(events.find(({ control }) => control === name)!.statements, frame);
  };
  press('add');
  press('add');
  const rows = () => runtime.read('stays') as readonly object[];
  expect(rows()[1]).toEqual({ id: 2, guest: 'New 2', room: 7, board: 'half', from: '2026-07-14', nights: 2 });
  press('remove', itemFrame('row', rows()[0], undefined));
  expect(rows().map((row) => (row as { id: number }).id)).toEqual([2]);
  expect(problems).toEqual([]);
});

describe('a form from a schema', () => {
  const schema = {
    title: 'Gear for hire',
    type: 'object',
    required: ['item', 'count'],
    properties: {
      item: { type: 'string', enum: ['rope', 'axe', 'lamp'] },
      count: { type: 'integer', minimum: 1, maximum: 12, description: 'At most a dozen' },
      back: { type: 'string', format: 'date', title: 'Brought back on' },
      member: { type: ['boolean', 'null'] },
      code: { type: 'string', pattern: '[A-Z]{2}\\d+' },
      remarks: { type: 'string', minLength: 10, maxLength: 500 },
      sizes: { type: 'array' },
    },
  };

  it('takes types, limits, choices, titles and hints, and says what it leaves out', () => {
    const { title, questions, leftOut } = questionsOfSchema(schema);
    expect(leftOut).toEqual(['`sizes`: a value of type array cannot be asked in one field.']);
    const made = makeForm(base, 'gear', title!, questions, newId);
    const project = applied(base, made.steps);
    expect(asked(project)).toEqual([
      'select: Item *',
      'numberField: Count *',
      'dateField: Brought back on',
      'checkbox: Member',
      'textField: Code',
      'textArea: Remarks',
    ]);
    expect(projectProblem(project)).toBeUndefined();
    for (const control of walk(project.screens.at(-1)!))
      expect(attributeProblems(project, control)).toEqual([]);
    expect(project.state.find(({ name }) => name === 'gear')).toEqual({
      name: 'gear',
      type: 'list',
      initial: [],
    });
    const count = [...walk(made.screen)].find(({ name }) => name === 'countField')!;
    expect(count.props).toMatchObject({ min: '1', max: '12', hint: 'At most a dozen' });
    const remarks = [...walk(made.screen)].find(({ name }) => name === 'remarksField')!;
    expect(remarks.props).toMatchObject({ 'min-length': '10', 'max-length': '500' });
    expect(project.state.find(({ name }) => name === 'newCount')).toMatchObject({
      nullable: true,
      initial: null,
    });
  });

  it.each([
    [[], 'A schema of an object is expected'],
    [{ type: 'object' }, 'A schema of an object is expected'],
    [{ properties: { a: { type: 'array' } } }, 'Nothing in this schema can be asked.'],
  ])('refuses %j', (value, message) => {
    expect(() => questionsOfSchema(value)).toThrow(message);
  });

  it('is not led astray by names and words that mean something to expressions or pages', () => {
    const hostile = questionsOfSchema({
      properties: {
        'a"]; go("x': { type: 'string', title: '{state} <b>bold</b>' },
        '1st': { type: 'string', description: '}}{{' },
        '': { type: 'string' },
      },
    });
    const made = makeForm(base, 'gear', '<script>{1}</script>', hostile.questions, newId);
    const project = applied(base, made.steps);
    expect(projectProblem(project)).toBeUndefined();
    for (const control of walk(project.screens.at(-1)!))
      expect(attributeProblems(project, control)).toEqual([]);
  });
});

describe('cells of a table', () => {
  it('are its columns as they were, each with a text, and are valid', () => {
    const made = makeTable(base, 'bookings', columns, newId);
    const before = applied(base, made.steps);
    const table = [...walk(made.screen)].find(({ kind }) => kind === 'table')!;
    const after = applied(before, cellsOfTable(before, table.id, newId)!);
    expect(projectProblem(after)).toBeUndefined();
    const screen = after.screens.at(-1)!;
    for (const control of walk(screen)) expect(attributeProblems(after, control)).toEqual([]);
    const cells = [...walk(screen)].filter(({ kind }) => kind === 'cell');
    expect(cells.map(({ name, props }) => `${name}: ${props.head} by ${props.field}`).slice(0, 3)).toEqual([
      'guestNameCell: Guest name by guestName',
      'peopleCell: People by people',
      'halfBoardCell: Half board by half board',
    ]);
    expect(cells[1]!.props.align).toBe('end');
    expect(cells[2]!.children[0]!.props.text).toBe("{row[\"half board\"] ? 'yes' : 'no'}");
    // Nothing is made twice, and of nothing else.
    expect(cellsOfTable(after, table.id, newId)).toBeUndefined();
    expect(cellsOfTable(after, screen.id, newId)).toBeUndefined();
  });

  it('stand only in tables, which hold nothing else', () => {
    const project = projectOf('<screen name="A"><table name="t" /><column name="c" /></screen>');
    const [table, column] = project.screens[0]!.children;
    const into = (parent: string, kind: string) =>
      applySteps(project, [
        { type: 'insert', parent, index: 0, control: { id: newId(), kind, props: {}, children: [] } },
      ]);
    expect(into(table!.id, 'cell').ok).toBe(true);
    expect(into(table!.id, 'text')).toMatchObject({ reason: 'A table holds nothing but cells.' });
    expect(into(column!.id, 'cell')).toMatchObject({ reason: 'A cell can only stand in a table.' });
  });
});
