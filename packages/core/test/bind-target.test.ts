/** What inputs are bound to: variables, values inside records, values of the rows that they stand in. */
import { describe, expect, it } from 'vitest';
import { programOf } from '../src/export/program.ts';
import { readTarget } from '../src/expression/bind-target.ts';
import {
  applySteps,
  attributeProblems,
  type Project,
  placesToBind,
  renameState,
  renamingColumn,
  type StateVariable,
  usesOfState,
  walk,
} from '../src/index.ts';
import { itemFrame, Runtime } from '../src/runtime/index.ts';
import { read } from './component-files.ts';
import { noActing, projectWith } from './documents.ts';

const state: readonly StateVariable[] = [
  { name: 'order', type: 'record', initial: { guest: { name: 'Ilka' }, beds: 2 } },
  {
    name: 'tasks',
    type: 'list',
    initial: [{ title: 'wood', done: false }],
    columns: [
      { name: 'title', type: 'text' },
      { name: 'done', type: 'boolean' },
    ],
  },
  { name: 'at', type: 'number', initial: 0 },
];
const withIn = (inside: string) => projectWith(state, `<screen name="A">${inside}</screen>`);
const repeated = (inside: string, each = 'tasks.filter(task => !task.done)') =>
  withIn(`<repeat name="r" each="{${each}}" as="task">${inside}</repeat>`);
const problems = (project: Project) =>
  [...walk(project.screens[0]!)].flatMap((control) =>
    attributeProblems(project, control).map(({ message }) => message),
  );

describe('a target', () => {
  it.each(['count', ' order.guest.name ', "order['the name']", 'tasks[at].title'])('can be %s', (text) => {
    expect(readTarget(text).ok).toBe(true);
  });
  it.each(['', '3', 'a + b', 'order?.name', 'tasks.find(x => x)', 'a.b = 3'])('cannot be “%s”', (text) => {
    expect(readTarget(text).ok).toBe(false);
  });
});

describe('an input', () => {
  it('is bound to values in records and rows, and says why it cannot be to others', () => {
    expect(problems(withIn('<textField label="A" value.bind="order.guest.name" />'))).toEqual([]);
    expect(problems(repeated('<textField label="A" value.bind="task.title" />'))).toEqual([]);
    expect(problems(repeated('<textField label="A" value.bind="task.title" />', "[{ title: 'x' }]"))).toEqual(
      [
        '`task` is worked out, so that nothing can be put into it: repeat a list itself, or rows that are filtered or sorted from one.',
      ],
    );
    expect(problems(repeated('<textField label="A" value.bind="task.titel" />'))).toEqual([
      '`tasks` has no column `titel`. Did you mean `title`?',
    ]);
  });

  it('is offered what it can be bound to', () => {
    const project = repeated('<textField name="f" label="A" />');
    const field = [...walk(project.screens[0]!)].find(({ name }) => name === 'f')!;
    expect(placesToBind(project, field)).toEqual([
      { text: 'task.title', type: 'text' },
      { text: 'task.done', type: 'boolean' },
      { text: 'order.guest', type: undefined },
      { text: 'order.beds', type: 'number' },
    ]);
  });

  it('follows when what it is bound to gets another name', () => {
    const project = repeated(
      '<textField label="A" value.bind="task.title" /><numberField label="B" value.bind="order.beds" />',
    );
    expect(usesOfState(project, 'order').map(({ property }) => property)).toEqual(['value.bind']);
    const steps = [
      ...renameState('order', 'stay'),
      ...renamingColumn(project, { table: 'tasks', from: 'title', to: 'what' }),
    ];
    const applied = applySteps(project, steps);
    if (!applied.ok) throw new Error(applied.reason);
    const bound = [...walk(applied.project.screens[0]!)].flatMap(({ props }) => props['value.bind'] ?? []);
    expect(bound).toEqual(['task.what', 'stay.beds']);
  });
});

describe('a value of a row', () => {
  const begin = (inside: string) => {
    const program = programOf(repeated(inside));
    const told: string[] = [];
    const runtime = new Runtime(program, { acting: noActing, problem: (text) => told.push(text) });
    const [repeat] = program.screens[0]!.repeats;
    const rows = () => runtime.read('tasks') as readonly Record<string, unknown>[];
    const frame = itemFrame('task', rows()[0], undefined);
    return { runtime, item: repeat!.item, rows, frame, told };
  };

  it('is entered into its row, wherever that stands', () => {
    const { runtime, item, rows, frame, told } = begin(
      '<textField name="f" label="A" value.bind="task.title" />',
    );
    runtime.assign('tasks', [{ title: 'water', done: false }, ...rows()]);
    runtime.enter(item.twoWay[0]!, 'logs', frame);
    expect(rows().map(({ title }) => title)).toEqual(['water', 'logs']);
    runtime.enter(item.twoWay[0]!, 'logs and more', frame);
    expect(rows().map(({ title }) => title)).toEqual(['water', 'logs and more']);
    expect(told).toEqual([]);
    runtime.assign('tasks', []);
    runtime.enter(item.twoWay[0]!, 'x', frame);
    expect(told).toEqual(['The row is not in `tasks` any more.']);
  });

  it('is set by an event, which reads what it has set before', () => {
    const { runtime, item, rows, frame } = begin(
      `<button name="b" text="Do" on.press="task.done = !task.done; task.title = task.title + (task.done ? ' (done)' : '')" />`,
    );
    const [event] = item.events;
    runtime.run(event!.statements, frame);
    expect(rows()).toEqual([{ title: 'wood (done)', done: true }]);
  });

  it('is set inside a component that it is given to, by its fields and by its events', () => {
    const project = read(
      {
        Line: '<component name="Line"><parameter name="what" two-way="true" /><column name="box"><textField name="field" label="What" value.bind="what" /><button name="clear" text="Clear" on.press="what = \'\'" /></column></component>',
        A: '<screen name="A"><repeat name="r" each="{tasks}" as="task"><Line name="line" what.bind="task.title" /></repeat></screen>',
      },
      state,
    );
    const program = programOf(project);
    const runtime = new Runtime(program, { acting: noActing, problem: () => {} });
    const { item } = program.screens[0]!.repeats[0]!;
    const rows = () => runtime.read('tasks') as readonly Record<string, unknown>[];
    const frame = itemFrame('task', rows()[0], undefined);
    runtime.enter(item.twoWay[0]!, 'logs', frame);
    expect(rows()[0]).toEqual({ title: 'logs', done: false });
    runtime.run(item.events[0]!.statements, frame);
    expect(rows()[0]).toEqual({ title: '', done: false });
  });
});
