/** The project's own code in an exported page: functions of expressions, handlers of events, what fails. */
import { contextOf, defaultBands, type Project, parseScreen } from '@hovrin/core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type ExportedPage, openPage } from '../browser/exported-page.ts';

const prices = `import { rate, type Stay } from './rates.ts';
/** @sample 'so much' */
export function cost(stay: Stay): string {
  return (stay.nights * rate).toFixed(2);
}
export const strange = () => new Map();
export const failing = (): number => { throw new Error('no scale'); };
`;
const rates = `export interface Stay { readonly nights: number }
export const rate: number = 42;
export enum Kind { Dorm, Twin }
`;
const handlers = `import { state, go, message, subscribe } from 'hovrin';
const wait = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));
export async function book(guest: string): Promise<string> {
  await wait(10);
  if (guest === '') throw new Error('A guest has a name.');
  state.stays = [...state.stays, { guest, nights: 2 }];
  subscribe('stays', (stays) => { state.count = stays.length; });
  message(\`Welcome, \${guest}.\`);
  return 'booked';
}
export function leave(): void { go('B', { guest: 'gone' }); }
`;
const broken = 'export function (';

const code = [
  { name: 'broken', text: broken },
  { name: 'handlers', text: handlers },
  { name: 'prices', text: prices },
  { name: 'rates', text: rates },
];
const base: Project = {
  format: 1,
  name: 'Trial',
  bands: defaultBands,
  state: [
    { name: 'stays', type: 'list', initial: [{ guest: 'Ilka', nights: 3 }] },
    { name: 'guest', type: 'text', initial: '' },
    { name: 'count', type: 'number', initial: 0 },
    { name: 'said', type: 'text', initial: '' },
    { name: 'first', type: 'text', initial: '', computed: 'code.cost(stays[0])' },
  ],
  assets: [],
  screens: [],
  code,
};
const sources = [
  `<screen name="A" title="A"><repeat each="{stays}" as="stay"><text name="price" text="{code.cost(stay)}" /></repeat>
    <text name="first" text="{first}" /><text name="strange" text="[{code.strange()}]" /><text name="failing" text="[{code.failing()}]" />
    <textField name="guest" label="Guest" value.bind="guest" /><text name="said" text="{said} {count}" />
    <button name="book" text="Book" on.press="said = handlers.book(guest)" />
    <button name="attempt" text="Try" on.press="try { said = handlers.book('') } catch (error) { said = error.message }" />
    <button name="leave" text="Leave" on.press="handlers.leave()" /></screen>`,
  '<screen name="B" title="B"><text name="there" text="{guest}" /></screen>',
];

let opened: ExportedPage;
beforeAll(async () => {
  let ids = 0;
  const { dialogs: _, ...known } = contextOf(base);
  const screens = sources.map((source) => {
    const context = { ...known, screens: new Set(['A', 'B']) };
    const reading = parseScreen(source, { file: 'trial', context, newId: () => `t${++ids}` });
    if (!reading.ok) throw new Error(JSON.stringify(reading.problems));
    return reading.screen;
  });
  opened = await openPage({ ...base, screens });
});
afterAll(() => opened.close());

const text = (name: string) => opened.named(name).innerText();

it('is called by expressions, follows what it is given, and is opened from disk', async () => {
  expect(await opened.named('price[0]').innerText()).toBe('126.00');
  expect(await text('first')).toBe('126.00');
});

it('is called by events: it waits, sets the state, shows words, and gives something', async () => {
  await opened.named('guest').locator('input').fill('Teo');
  await opened.named('book').click();
  await opened.page.getByText('Welcome, Teo.').waitFor();
  await expect.poll(() => text('said')).toBe('booked 2');
  expect(await opened.named('price[1]').innerText()).toBe('84.00');
});

it('what it throws can be caught', async () => {
  await opened.named('attempt').click();

  await expect.poll(() => text('said')).toContain('A guest has a name.');
});

it('what fails, gives no plain data or cannot be read is told of, and leaves the rest as it is', () => {
  const all = opened.problems.join('\n');
  expect(all).toContain('code/broken.ts');
  expect(all).toContain('no scale');
  expect(all).toContain('something else than plain data');
});

it('goes to another screen', async () => {
  await opened.named('leave').click();
  await expect.poll(() => text('there')).toBe('gone');
});
