/** Tasks: files of them, names that change in them, and what is wrong with them. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { controlStates, type Task, taskFiles, withControlRenamed } from '../src/document/task.ts';
import {
  applySteps,
  nameControl,
  type Project,
  printFolder,
  problemsOf,
  projectProblem,
  readFolder,
  renameState,
  renameTree,
  type Step,
  type TaskStep,
  taskStepWords,
} from '../src/index.ts';
import { named, projectWith } from './documents.ts';

const task: Task = {
  name: 'A guest checks in',
  start: 'Home',
  steps: [
    { do: 'press', screen: 'Home', control: 'go' },
    { do: 'press', screen: 'Home', control: 'menu', item: 'Check in' },
    { do: 'enter', screen: 'CheckIn', control: 'guest[2]', value: 'Ilka' },
    { do: 'enter', screen: 'CheckIn', control: 'guest', value: '' },
    { do: 'enter', screen: 'CheckIn', control: 'dog', value: true },
    { do: 'enter', screen: 'CheckIn', control: 'dog', item: 'rope', value: false },
    { do: 'key', screen: 'CheckIn', control: 'guest', key: 'Escape' },
    { do: 'wait', seconds: 2 },
    { do: 'back' },
    { do: 'expect', screen: 'CheckIn', control: 'guest', text: 'Ilka' },
    { do: 'expect', screen: 'CheckIn', control: 'guest', value: 'Ilka' },
    { do: 'expect', screen: 'CheckIn', control: 'guest', is: 'enabled' },
    { do: 'expect-screen', screen: 'CheckIn' },
    { do: 'expect-value', variable: 'count', value: 3 },
  ],
};
const project: Project = {
  ...projectWith(
    [{ name: 'count', type: 'number', initial: 0 }],
    '<screen name="Home"><button name="go" text="Go" on.press="go(&quot;CheckIn&quot;)" /><menuButton name="menu" text="More" options="Check in" /></screen>',
    '<screen name="CheckIn"><textField name="guest" label="Guest" /><checkbox name="dog" label="Dog" /></screen>',
  ),
  tasks: [task],
};
const after = (now: Project, steps: readonly Step[]): Project => {
  const done = applySteps(now, steps);
  if (!done.ok) throw new Error(done.reason);
  return done.project;
};

const ids = () => {
  let count = 0;
  return () => `id${++count}`;
};

describe('files of tasks', () => {
  it('have a step on each line, and come back the same', () => {
    const files = printFolder(project);
    const text = files.get('tasks/a-guest-checks-in.task.json')!;
    expect(text.split('\n')[4]).toBe('    {"do":"press","screen":"Home","control":"go"},');
    const read = readFolder(files, ids());
    expect(read.ok && read.project.tasks).toEqual([task]);
    expect(files.get('project.json')).not.toContain('tasks');
  });

  it('tell tasks apart whose names would give the same file', () => {
    const two = ['A b', 'a B!', '?!'].map((name) => ({ name, steps: [] }));
    expect([...taskFiles(two).keys()]).toEqual([
      'tasks/a-b.task.json',
      'tasks/a-b-2.task.json',
      'tasks/task.task.json',
    ]);
  });

  it('come back the same, whatever is done in them', () => {
    const where = { screen: fc.string(), control: fc.string() };
    const step: fc.Arbitrary<TaskStep> = fc.oneof(
      fc.record({ do: fc.constant('press' as const), ...where, item: fc.string() }),
      fc.record({ do: fc.constant('enter' as const), ...where, value: fc.oneof(fc.string(), fc.boolean()) }),
      fc.record({ do: fc.constant('expect' as const), ...where, text: fc.string() }),
      fc.record({ do: fc.constant('expect' as const), ...where, is: fc.constantFrom(...controlStates) }),
      fc.record({ do: fc.constant('expect-value' as const), variable: fc.string(), value: fc.jsonValue() }),
    );
    fc.assert(
      fc.property(fc.array(step), (steps) => {
        const read = readFolder(printFolder({ ...project, tasks: [{ name: 'x', steps }] }), ids());
        expect(read.ok && read.project.tasks).toEqual(JSON.parse(JSON.stringify([{ name: 'x', steps }])));
      }),
    );
  });

  it.each([
    ['{', 'JSON'],
    ['{"name":"a","steps":[{"do":"jump"}]}', 'a step does none of press'],
    ['{"name":"a","steps":[{"do":"press","control":"go"}]}', 'has no `screen`'],
    ['{"name":"a","steps":[{"do":"back","screen":"Home"}]}', 'has no `screen`'],
    ['{"name":"a","steps":[{"do":"expect","screen":"H","control":"c"}]}', 'one of `text`, `value`, `is`'],
    ['{"name":"a","steps":[{"do":"wait","seconds":900}]}', 'at most 60 seconds'],
    ['{"name":"a/b","steps":[]}', 'no slashes'],
    ['{"name":"a","steps":[],"then":1}', 'has no `then`'],
  ])('are refused with their place: %s', (text, sentence) => {
    const read = readFolder(new Map([...printFolder(project), ['tasks/bad.task.json', text]]), ids());
    if (read.ok) throw new Error('It was read.');
    expect(read.problems[0]).toMatchObject({
      file: 'tasks/bad.task.json',
      message: expect.stringContaining(sentence),
    });
  });
});

describe('names', () => {
  it('of screens, controls and variables change in tasks, too, and back', () => {
    const screen = project.screens[1]!;
    let now = after(project, renameTree(project, screen.id, 'Arriving'));
    now = after(now, nameControl(now.screens[1]!, named(now, 'guest'), 'visitor', now.tasks));
    now = after(now, renameState('count', 'people'));
    const words = now.tasks![0]!.steps.map((step) => JSON.stringify(step)).join('\n');
    expect(words).not.toMatch(/CheckIn|"guest|count/);
    expect(words).toContain('"control":"visitor[2]"');
    expect(now.tasks![0]!.steps.at(-1)).toEqual({ do: 'expect-value', variable: 'people', value: 3 });
    const home = after(now, renameTree(now, now.screens[0]!.id, 'Begin'));
    expect(home.tasks![0]!.start).toBe('Begin');
  });

  it('change on their own screen only', () => {
    expect(withControlRenamed(task, 'Home', 'guest', 'x')).toEqual(task);
  });
});

describe('what is wrong with a task', () => {
  it('is a problem of the project', () => {
    expect(problemsOf(project).filter(({ kind }) => kind === 'task')).toEqual([]);
    const broken = {
      ...project,
      tasks: [
        {
          name: 'Lost',
          start: 'Nowhere',
          steps: [
            { do: 'press', screen: 'Home', control: 'gone' },
            { do: 'expect-screen', screen: 'Attic' },
            { do: 'expect-value', variable: 'wind', value: 1 },
          ] as const,
        },
      ],
    };
    const found = problemsOf(broken).filter(({ kind }) => kind === 'task');
    expect(found.map(({ sentence }) => sentence)).toEqual([
      'In “Lost” it begins on `Nowhere`, which is no screen.',
      'In “Lost” step 1, “Press gone”: there is no control `gone` on `Home`.',
      'In “Lost” step 2, “Attic is seen”: there is no screen `Attic`.',
      'In “Lost” step 3, “wind is “1””: there is no state variable `wind`.',
    ]);
    expect(found[0]!.place).toEqual({ in: 'task', task: 'Lost' });
  });

  it('and two of one name are none', () => {
    expect(projectProblem({ ...project, tasks: [task, task] })).toContain('There are two tasks');
  });

  it('reads as a list of what is done', () => {
    expect(task.steps.map(taskStepWords)).toEqual([
      'Press go',
      'Press “Check in” in menu',
      'Enter “Ilka” into guest[2]',
      'Empty guest',
      'Tick dog',
      'Untick “rope” in dog',
      'Press the key Escape in guest',
      'Wait 2 s',
      'Go back',
      'guest says “Ilka”',
      'guest holds “Ilka”',
      'guest is enabled',
      'CheckIn is seen',
      'count is “3”',
    ]);
  });
});
