import { expect, it } from 'vitest';
import { handlersOf, handlersText, type Project, referenceText, walk } from '../src/index.ts';
import { typeText } from '../src/meaning/handlers.ts';
import { projectOf } from './documents.ts';

const project: Project = {
  ...projectOf(
    `<screen name="Kitchen" on.enter="handlers.ready()"><button name="print" text="Print" on.press="if (late) handlers.print(guests, name.length); handlers.ready()" />
      <repeat each="{[{ who: 'Ilka', nights: 2 }]}" as="row"><button name="ring" text="Ring" on.press="for (const n of [1, 2]) handlers.ring(row, row.who, guests + 1)" /></repeat>
      <numberField name="count" label="Count" value.bind="guests" /></screen>`,
  ),
};

it('handlers are found wherever events call them, with names and types of what they are given', () => {
  expect(
    handlersOf(project).map(({ name, uses }) => [
      name,
      uses.map(({ control, event }) => `${control.name} ${event}`),
    ]),
  ).toEqual([
    ['print', ['print press']],
    ['ready', ['Kitchen enter', 'print press']],
    ['ring', ['ring press']],
  ]);
  expect(handlersText(handlersOf(project))).toBe(`export interface Handlers {
  print(guests: number, length: number): void;
  ready(): void;
  ring(row: { who: string; nights: number }, who: string, value3: number): void;
}
`);
});

it('types are written as TypeScript has them, and a control as code sees it', () => {
  expect([[], [1], [{ 'half board': true }], null, {}].map((value) => typeText(value))).toEqual([
    'readonly unknown[]',
    'readonly number[]',
    'readonly ({ "half board": boolean })[]',
    'unknown',
    'object',
  ]);
  const count = [...walk(project.screens[0]!)].find(({ name }) => name === 'count')!;
  expect(referenceText(count, 'count')).toBe('count: numberField, value: number');
});
