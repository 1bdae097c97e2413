/** State at work: variables of all types, some that follow others, what events do, and the trace of it. */
import type { FrameLocator, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { fact, facts, pressScaled, saved, tree, Workbench } from './workbench.ts';

let bench: Workbench;
let page: Page;
beforeAll(async () => {
  ({ bench, page } = await Workbench.withDemo());
});
afterAll(async () => {
  expect(bench.problems).toEqual([]);
  await bench.stop();
});

const desk = (): FrameLocator => page.frameLocator('iframe[title^="Desk,"]');
const press = async (name: string | RegExp) =>
  pressScaled(
    page,
    page.locator('iframe[title^="Desk,"]'),
    desk().getByRole('button', { name, exact: typeof name === 'string' }),
  );

it('a variable holds a list, another follows it; what is no JSON or no name yet says so and loses nothing', async () => {
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Add a variable' }).click();
  await page.keyboard.type('ropesOut');
  await page.keyboard.press('Enter');
  await page.getByLabel('Type of ropesOut').selectOption('list');
  const start = page.getByLabel('Start of ropesOut');
  await start.fill('[{ "length": 40 }, { "length": 60 }');
  await page.getByText('This is not JSON yet').waitFor();
  await start.fill('[{ "length": 40 }, { "length": 60 }]');
  expect(await page.getByText('This is not JSON yet').count()).toBe(0);
  await page.getByLabel('Type of price').waitFor();
  await page.getByRole('button', { name: 'Add a variable' }).click();
  await page.keyboard.type('ropeMetres');
  await page.keyboard.press('Enter');
  await page.getByLabel('Type of ropeMetres').selectOption('number');
  await page.getByLabel('How ropeMetres gets its value').selectOption('follows');
  const expression = page.getByLabel('Expression of ropeMetres');
  await expression.fill('ropeOut.length');
  await page.getByText('There is no state variable `ropeOut`. Did you mean `ropesOut`?').waitFor();
  await expression.fill('ropesOut.reduce((sum, rope) => sum + rope.length, 0)');
  await page.getByText('is 100 at the start').waitFor();
  expect(await axeFaults(page)).toEqual([]);
  // A new name goes into what follows it.
  await page.getByLabel('Name of ropesOut').fill('ropes60');
  await page.keyboard.press('Enter');
  await expect.poll(() => expression.inputValue()).toContain('ropes60.reduce');
  await saved(page);
  for (const name of ['ropes60', 'ropeMetres'])
    await page.getByRole('button', { name: `Delete ${name}`, exact: true }).click();
  await saved(page);
});

it('events offer what they can do, and say what they cannot', async () => {
  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByRole('button', { name: 'Arrivals', exact: true }).first().click();
  await tree(page, 'checkIn').click();
  const field = fact(page, 'On press');
  await facts(page).getByRole('button', { name: 'Add what On press does' }).click();
  await page.getByRole('menuitem', { name: /^message/ }).click();
  await expect.poll(() => field.inputValue()).toBe('go("CheckIn"); message("")');
  await field.fill('expected = 3');
  await page.getByText('`expected` is worked out from other values').waitFor();
  await field.fill('message("Who is it?"); go("CheckIn")');
  await tree(page, 'search').click();
  await facts(page).getByRole('button', { name: 'On each input' }).click();
  await fact(page, 'On each input').fill('chosenName = found.length > 0 ? found[0].name : ""');
  await saved(page);
});

it('an evening: a party is found, opened, checked in; the trace says what each event did', async () => {
  await page.getByRole('button', { name: 'Try' }).click();
  await desk().getByLabel('Find a party').waitFor();
  await page.getByRole('button', { name: 'Trace' }).click();
  await page.getByText('Nothing has happened yet').waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await desk().getByLabel('Find a party').fill('ridge');
  // What follows a list is the same in all sizes.
  await expect
    .poll(() =>
      page.frameLocator('iframe[title^="Hand,"]').locator('[data-name^="whoName["]').allTextContents(),
    )
    .toEqual(['Ridge section, spring course']);
  await expect.poll(() => desk().locator('[data-name="detailName"]').innerText()).toContain('Ridge');
  await press('Check this party in');
  await desk().getByLabel('Name of the guest who booked').waitFor();
  await press('Check in');
  await desk()
    .getByRole('status')
    .filter({ hasText: 'Ridge section, spring course is checked in' })
    .waitFor();
  await expect
    .poll(() => desk().locator('[data-name="summary"]').innerText())
    .toBe('10 guests in 4 parties still on the way.');
  const log = page.getByRole('log');
  const entry = (name: string) => log.getByRole('listitem').filter({ hasText: name }).first();
  expect(await entry('save').innerText()).toMatch(/guestName: "Ridge section, spring course" → ""/);
  expect(await entry('save').innerText()).toContain('go("Arrivals")');
  expect(await entry('search entered').innerText()).toMatch(/wanted: .* → "ridge"/);
  // A problem is in the trace, too; the rest goes on.
  await page.getByRole('button', { name: 'Clear' }).click();
  await page.getByText('Nothing has happened yet').waitFor();
  await desk().getByLabel('Find a party').fill('q');
  await entry('search entered').getByRole('button', { name: 'search' }).click();
  await expect.poll(() => facts(page).getByLabel('Name').first().inputValue()).toBe('search');
});
