import { expect, it } from 'vitest';
import { typesText } from '../src/export/own-code.ts';
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
  print(guests: number, length: number): void | Promise<void>;
  ready(): void | Promise<void>;
  ring(row: { who: string; nights: number }, who: string, value3: number): void | Promise<void>;
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

it('what a handler gives has the type of where it is kept', () => {
  const { state, screens } = projectOf(
    '<screen name="s" on.enter="guests = handlers.count(late); name = handlers.who(); handlers.count(late)" />',
  );
  const kept = { ...projectOf('<screen name="s" />'), state, screens };
  expect(handlersText(handlersOf(kept))).toBe(`export interface Handlers {
  count(late: boolean): number | Promise<number>;
  who(): string | Promise<string>;
}
`);
  const types = typesText({
    ...kept,
    state: [...state, { name: 'sum', type: 'number', initial: 0, computed: 'guests' }],
  });
  expect(types).toContain('  guests: number;\n');
  expect(types).toContain('  readonly sum: number;\n');
  expect(types).toContain('type HovrinScreen = "s";');
  expect(types).toContain('  count(late: boolean): number | Promise<number>;');
});
