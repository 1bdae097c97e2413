/** Bindings and events of an exported screen, joined to its elements by the runtime. */
import { Runtime } from '@hovrin/core/runtime';
import { beforeAll, expect, it } from 'vitest';
import { brokenRule } from '../../core/src/document/row-rules.ts';
import { programOf } from '../../core/src/export/program.ts';
import { exporterNamed, type StateVariable } from '../../core/src/index.ts';
import { noActing, noCode, noPieces, projectWith } from '../../core/test/documents.ts';
import { Binder, finderIn } from '../src/binder.ts';
import { Repeat } from '../src/repeats.ts';
import { enter, likeBrowsers, one } from './page.ts';

beforeAll(() => {
  likeBrowsers();
});

/** Shows a screen as it is exported, and binds it. */
function begin(source: string, state: readonly StateVariable[]) {
  const project = projectWith(state, source);
  const { files } = exporterNamed('html')!.files(project, {
    fonts: { files: [], standIns: [] },
    script: '',
    pieces: noPieces,
    compileCode: noCode,
  });
  document.body.innerHTML = /<body>([\s\S]*)<\/body>/.exec(files.get('index.html') ?? '')?.[1] ?? '';
  const problems: string[] = [];
  const said: string[] = [];
  const program = programOf(project);
  const runtime = new Runtime(program, {
    acting: { ...noActing, message: (text) => void said.push(text) },
    problem: (text) => problems.push(text),
    brokenRule,
  });
  const binder = new Binder(runtime, program);
  binder.makeRepeat = (...given) => new Repeat(...given);
  const [screen] = program.screens;
  const find = finderIn([one('.k-screen')]);
  const end = [...binder.bindAll(screen!, find), binder.listen(screen!, find)];
  return {
    runtime,
    said,
    problems,
    end: () => {
      for (const stop of end) stop();
    },
  };
}
const named = <T extends HTMLElement>(name: string) => one<T>(`[data-name="${name}"]`);

it('words, attributes and looks follow what they are bound to, and nothing more once it ends', () => {
  const { runtime, end } = begin(
    '<screen name="A"><text name="t" text="Bunk {bunk}" color="{bunk &gt; 3 ? \'alert\' : \'ink\'}" /><button name="b" text="Go" disabled="{bunk == 0}" /></screen>',
    [{ name: 'bunk', type: 'number', initial: 1 }],
  );
  expect(named('t').textContent).toBe('Bunk 1');
  runtime.assign('bunk', 4);
  expect(named('t').textContent).toBe('Bunk 4');
  expect(named('t').style.color).toBe('var(--alert)');
  runtime.assign('bunk', 0);
  expect(named<HTMLButtonElement>('b').disabled).toBe(true);
  end();
  runtime.assign('bunk', 9);
  expect(named('t').textContent).toBe('Bunk 0');
});

it('what is entered is in the variable before an event reads it, and a number that is none is told, not taken', () => {
  const { runtime, said } = begin(
    '<screen name="A"><numberField name="n" label="Beds" value.bind="beds" on.change="message(\'now \' + beds)" /></screen>',
    [{ name: 'beds', type: 'number', initial: 2 }],
  );
  const input = named('n').querySelector('input')!;
  expect(input.value).toBe('2');
  enter(input, '5');
  input.dispatchEvent(new Event('change', { bubbles: true }));
  expect(runtime.read('beds')).toBe(5);
  expect(said).toEqual(['now 5']);
  enter(input, '');
  expect(runtime.read('beds')).toBe(5);
  expect(input.getAttribute('aria-invalid')).toBe('true');
});

it('a part that is made anew keeps what was entered in it', () => {
  const { runtime } = begin(
    '<screen name="A"><select name="s" label="Board" options="{kinds}" value.bind="board" /></screen>',
    [
      { name: 'kinds', type: 'list', initial: ['half', 'full'] },
      { name: 'board', type: 'text', initial: 'full' },
    ],
  );
  const select = () => named('s').querySelector('select')!;
  expect(select().value).toBe('full');
  runtime.assign('kinds', ['full', 'none']);
  expect([...select().options].map(({ value }) => value)).toEqual(['full', 'none']);
  expect(select().value).toBe('full');
});

it('a list has a copy for each item, which follows its item and knows it in its events', () => {
  const { runtime, said, problems } = begin(
    '<screen name="A"><repeat name="r" each="{guests}" as="guest"><button name="b" text="{guest.who}" on.press="message(guest.who)" /></repeat></screen>',
    [{ name: 'guests', type: 'list', initial: [{ who: 'Ilka' }, { who: 'Teo' }] }],
  );
  const names = () =>
    [...document.querySelectorAll('.k-repeat > .k-button')].map((each) => each.textContent?.trim());
  expect(names()).toEqual(['Ilka', 'Teo']);
  runtime.assign('guests', [{ who: 'Ilka' }, { who: 'Bruni' }, { who: 'Nils' }]);
  expect(names()).toEqual(['Ilka', 'Bruni', 'Nils']);
  named('b[2]').click();
  expect(said).toEqual(['Nils']);
  runtime.assign('guests', []);
  expect(names()).toEqual([]);
  expect(problems).toEqual([]);
  // A text is no list: nothing is shown, and it is told.
  runtime.assign('guests', 'none');
  expect(names()).toEqual([]);
  expect(problems).toHaveLength(1);
});

it('a value that a property does not take is told, and left out', () => {
  const { runtime } = begin('<screen name="A"><text name="t" text="x" width="{wide}" /></screen>', [
    { name: 'wide', type: 'number', initial: 120 },
  ]);
  expect(named('t').style.width).toBe('120px');
  runtime.assign('wide', -5);
  expect(named('t').style.width).toBe('');
});

it('finds a control by its name and the items that it stands in', () => {
  document.body.innerHTML = '<main data-name="A"><p data-name="b[1]"></p></main>';
  const main = one('main');
  expect(finderIn([main])('A')).toBe(main);
  expect(finderIn([main], () => '[1]')('b')).toBe(main.firstElementChild);
  expect(finderIn([main])('b')).toBeNull();
});

const tasks = `<screen name="A"><repeat name="r" each="{tasks}" as="task"><row name="line"><text name="t" text="{task.what}" /><textField name="note" label="Note" /><radioGroup name="how" label="How" options="a | b" /><button name="gone" text="Done" on.press="remove(tasks, task)" /></row></repeat></screen>`;

/** Lines by what they say, with what was typed and chosen beside it and is bound to nothing. */
const lines = () =>
  [...document.querySelectorAll<HTMLElement>('.k-repeat > .k-row')].map((line) => [
    line.querySelector<HTMLElement>('.k-button')?.dataset.name,
    line.querySelector('.k-text')?.textContent,
    line.querySelector('input')?.value,
    line.querySelector<HTMLInputElement>('input:checked')?.value,
  ]);

it('a copy goes with its row: what was typed in it, what was chosen, and the focus', () => {
  const { runtime, problems } = begin(tasks, [
    { name: 'tasks', type: 'list', initial: [{ what: 'wood' }, { what: 'water' }, { what: 'soup' }] },
  ]);
  enter(named('note[1]').querySelector('input')!, 'cold');
  enter(named('how[1]').querySelectorAll<HTMLInputElement>('input')[1]!, true);
  named('note[1]').querySelector('input')!.focus();
  const focused = document.activeElement;
  runtime.take('tasks', [{ what: 'soup' }, { what: 'water' }]);
  expect(lines()).toEqual([
    ['gone[0]', 'soup', '', undefined],
    ['gone[1]', 'water', 'cold', 'b'],
  ]);
  runtime.take('tasks', [{ what: 'water' }, { what: 'bread' }, { what: 'soup' }]);
  expect(lines()).toEqual([
    ['gone[0]', 'water', 'cold', 'b'],
    ['gone[1]', 'bread', '', undefined],
    ['gone[2]', 'soup', '', undefined],
  ]);
  expect(document.activeElement).toBe(focused);
  expect(named('note[0]').querySelector('label')?.htmlFor).toBe(focused?.id);
  // The row that is pressed is the one that goes.
  named('gone[1]').click();
  expect(lines().map(([, what]) => what)).toEqual(['water', 'soup']);
  expect(problems).toEqual([]);
});

it('where the row with the focus goes, the one in its place has it', () => {
  const { runtime } = begin(tasks, [
    { name: 'tasks', type: 'list', initial: [{ what: 'wood' }, { what: 'water' }, { what: 'soup' }] },
  ]);
  named('gone[1]').focus();
  named('gone[1]').click();
  expect(document.activeElement).toBe(named('gone[1]'));
  expect(lines().map(([, what]) => what)).toEqual(['wood', 'soup']);
  named('gone[1]').click();
  expect(document.activeElement).toBe(named('gone[0]'));
  runtime.take('tasks', []);
  expect(document.activeElement).toBe(document.body);
});

it('in repeats inside repeats, a row and all in it go to their new place', () => {
  const { runtime, said } = begin(
    `<screen name="A"><repeat name="r" each="{days}" as="day"><repeat name="q" each="{day.guests}" as="guest"><button name="b" text="{guest.who}" on.press="message(day.name + guest.who)" /></repeat></repeat></screen>`,
    [
      {
        name: 'days',
        type: 'list',
        initial: [
          { name: 'Mon ', guests: [{ who: 'Ilka' }] },
          { name: 'Tue ', guests: [{ who: 'Teo' }, { who: 'Nils' }] },
        ],
      },
    ],
  );
  runtime.take('days', [{ name: 'Tue ', guests: [{ who: 'Teo' }, { who: 'Nils' }] }]);
  named('b[0][1]').click();
  expect(said).toEqual(['Tue Nils']);
});

it('a number field that is emptied is nothing where its variable may be nothing', () => {
  const { runtime } = begin(
    '<screen name="A"><numberField name="n" label="Beds" value.bind="beds" /></screen>',
    [{ name: 'beds', type: 'number', nullable: true, initial: null }],
  );
  const input = named('n').querySelector('input')!;
  expect(input.value).toBe('');
  enter(input, '5');
  expect(runtime.read('beds')).toBe(5);
  enter(input, '');
  expect(runtime.read('beds')).toBeNull();
  expect(input.getAttribute('aria-invalid')).toBeNull();
});

it('rows are edited in place: what is entered is in its row, and what a rule refuses is said at the field', () => {
  const { runtime, problems } = begin(
    '<screen name="A"><repeat name="r" each="{tasks}" as="task"><row name="line"><textField name="t" label="Task" value.bind="task.what" on.input="last = value" /><checkbox name="d" label="Done" checked.bind="task.done" /></row></repeat><text name="n" text="{tasks.filter(task =&gt; task.done).length}" /></screen>',
    [
      {
        name: 'tasks',
        type: 'list',
        initial: [
          { what: 'wood', done: false },
          { what: 'water', done: false },
        ],
        columns: [
          { name: 'what', type: 'text', required: true },
          { name: 'done', type: 'boolean' },
        ],
      },
      { name: 'last', type: 'text', initial: '' },
    ],
  );
  enter(named('t[1]').querySelector('input')!, 'soup');
  expect(runtime.read('tasks')).toEqual([
    { what: 'wood', done: false },
    { what: 'soup', done: false },
  ]);
  expect(runtime.read('last')).toBe('soup');
  enter(named('d[0]').querySelector('input')!, true);
  expect(named('n').textContent).toBe('1');
  const field = named('t[0]').querySelector('input')!;
  enter(field, '');
  expect(field.getAttribute('aria-invalid')).toBe('true');
  expect(one('.page-message').textContent).toBe('what is required.');
  expect(problems).toEqual(['`what` is required.']);
  expect((runtime.read('tasks') as { what: string }[])[0]!.what).toBe('wood');
});
