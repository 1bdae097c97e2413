import { expect, it } from 'vitest';
import {
  applySteps,
  type Control,
  contextOf,
  type Project,
  readableAt,
  renameTree,
  sampleOf,
} from '../src/index.ts';
import { named, projectOf } from './documents.ts';

const project: Project = {
  ...projectOf(
    '<screen name="s"><text name="out" /><repeat name="all" each="{[{name: \'Ilka\', people: 4}]}" as="party"><text name="inner" /></repeat></screen>',
  ),
  state: [
    { name: 'bookings', type: 'list', initial: [{ name: 'Ilka', people: 4 }] },
    { name: 'bunks', type: 'number', initial: 46 },
    { name: 'free', type: 'number', initial: 0, computed: 'bunks - bookings.length' },
  ],
};
const out = named(project, 'out');
const inside = named(project, 'inner');
const texts = (control: typeof out, before: string) =>
  readableAt(project, control, before).found.map(({ text }) => text);

it('names are offered with what they hold, those that begin so first', () => {
  const { found, replaces } = readableAt(project, out, '1 + b');
  expect(found.slice(0, 2)).toEqual([
    { text: 'bookings', what: 'variable', value: [{ name: 'Ilka', people: 4 }] },
    { text: 'bunks', what: 'variable', value: 46 },
  ]);
  expect(replaces).toBe(1);
  expect(readableAt(project, out, 'fre').found[0]).toMatchObject({ text: 'free', value: 45 });
  expect(texts(out, 'party')).not.toContain('party');
});

it('an event is offered what it can do, and the names of what that leads to', () => {
  const led = projectOf(
    '<screen name="Here"><textField name="guest" label="Guest" /><button name="see" text="See" /></screen>',
    '<screen name="There" />',
    '<screen name="Sure" dialog="true" />',
  );
  const at = (before: string) => {
    const { found, replaces } = readableAt(led, named(led, 'see'), before, true);
    return [found.slice(0, 3).map(({ text }) => text), replaces];
  };
  expect(at('scr')).toEqual([['scrollTo()'], 3]);
  expect(at('n = 1; go("')).toEqual([['Here', 'There'], 0]);
  expect(at("open('Su")).toEqual([['Sure'], 2]);
  expect(at('focus("g')).toEqual([['guest'], 1]);
  expect(at('scrollTo("e')).toEqual([['Here', 'guest', 'see'], 1]);
  expect(readableAt(led, named(led, 'see'), 'focus("g').found.map(({ what }) => what)).not.toContain(
    'control',
  );
});

it('inside a repeat its item comes first; behind a dot come its entries', () => {
  expect(readableAt(project, inside, '').found[0]).toEqual({
    text: 'party',
    what: 'item',
    value: { name: 'Ilka', people: 4 },
  });
  expect(readableAt(project, inside, 'party.').found).toEqual([
    { text: 'name', what: 'member', value: 'Ilka' },
    { text: 'people', what: 'member', value: 4 },
  ]);
  expect(texts(inside, 'party.name.').slice(0, 1)).toEqual(['length']);
  expect(texts(out, 'bookings.fil')).toEqual(['filter()']);
  expect(texts(out, 'Format.pl')).toEqual(['plural()']);
  expect(texts(out, 'nothing.like')).toEqual([]);
});

it('a value with expressions is worked out as everything begins', () => {
  expect(sampleOf(project, inside, '{party.name}, {party.people * 2}')).toEqual({ value: 'Ilka, 8' });
  expect(sampleOf(project, out, '{free}')).toEqual({ value: 45 });
  expect(sampleOf(project, out, '{gone}')).toEqual({ problem: 'There is no state variable `gone`.' });
  expect(sampleOf(project, out, '{1 +')).toHaveProperty('problem');
});

it('what only one screen knows is there for its own controls, follows its name, and is no name elsewhere', () => {
  const base = projectOf(
    '<screen name="Here"><text name="t" /></screen>',
    '<screen name="There"><text name="u" /></screen>',
  );
  const project: Project = {
    ...base,
    state: [...base.state, { name: 'draft', type: 'text', initial: '', screen: 'Here' }],
  };
  const [here, there] = project.screens.map(({ children }) => children[0]!);
  const names = (control: Control) => [...contextOf(project, control).names.keys()];
  expect(names(here!)).toContain('draft');
  expect(names(there!)).not.toContain('draft');
  expect(readableAt(project, here!, 'dra').found.map(({ text }) => text)).toEqual(['draft']);
  expect(readableAt(project, there!, 'dra').found).toEqual([]);
  const renamed = applySteps(project, renameTree(project, project.screens[0]!.id, 'Draft'));
  expect(renamed.ok && renamed.project.state.at(-1)).toMatchObject({ screen: 'Draft' });
});
