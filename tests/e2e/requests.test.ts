/** Services: brought in from what they say of themselves, asked from the workbench, and rows behind one that are changed in Try. */
import type { Frame, FrameLocator, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { saved, Workbench } from './workbench.ts';

let bench: Workbench;
beforeAll(async () => {
  bench = await Workbench.start();
});
afterAll(async () => {
  // Refusals of a service stand in the browser's console, as they do in every page.
  expect(bench.problems.filter((text) => !/status of (401|412|422)/.test(text))).toEqual([]);
  await bench.stop();
});

const office = (path: string) => `${bench.address}/stand-ins/office/hut/${path}`;
const service = async (path: string): Promise<{ items: readonly Record<string, unknown>[] }> =>
  (await fetch(office(path))).json();

describe('a service in Data', () => {
  let page: Page;
  beforeAll(async () => {
    page = await bench.window();
    await bench.newProject(page, 'Behind a service');
    await page.getByRole('link', { name: 'Data' }).click();
  });
  afterAll(() => page.close());

  it('is brought in from its OpenAPI description, with the requests that are wanted', async () => {
    await page.getByRole('button', { name: 'From OpenAPI' }).click();
    const dialog = page.getByRole('dialog', { name: 'Service from OpenAPI' });
    await dialog.getByLabel('Description of the service').fill('title: no service');
    await dialog.getByText('This is no description of a service').waitFor();
    expect(await dialog.getByRole('button', { name: 'Bring in' }).isDisabled()).toBe(true);
    await dialog.getByRole('button', { name: 'Take the simulated office' }).click();
    await dialog.getByLabel('signIn').uncheck();
    expect(await axeFaults(page)).toEqual([]);
    await dialog.getByRole('button', { name: 'Bring in 4 requests' }).click();
    const requests = page.getByRole('list', { name: 'Requests of valleyOffice' });
    await expect.poll(() => requests.getByRole('button', { name: /^Edit / }).count()).toBe(4);
    expect(await axeFaults(page)).toEqual([]);
    await page.keyboard.press('Control+z');
    await expect.poll(() => requests.count()).toBe(0);
    await page.keyboard.press('Control+Shift+z');
    await requests.waitFor();
  });

  it('is asked, and what comes is kept as the sample', async () => {
    await page.getByRole('button', { name: 'Edit reservations', exact: true }).click();
    const dialog = page.getByRole('dialog', { name: 'Request reservations' });
    await dialog.getByLabel('Value of day').fill('2026-12-03');
    await dialog.getByRole('button', { name: 'Ask', exact: true }).click();
    await dialog.getByText('A list of 3').waitFor();
    await dialog.getByLabel('Value of day').fill('soon');
    await dialog.getByRole('button', { name: 'Ask', exact: true }).click();
    await dialog.getByText('`day` is a date; what it is given is none.').waitFor();
    await dialog.getByLabel('Value of day').fill('');
    await dialog.getByRole('button', { name: 'Ask', exact: true }).click();
    await dialog.getByRole('button', { name: /Expect answers like this/ }).click();
    expect(await axeFaults(page)).toEqual([]);
    await dialog.getByLabel('Path').fill('reservations/{day-of}');
    await dialog.getByText(/its path has `\{day-of\}`/).waitFor();
    await dialog.getByLabel('Path').fill('reservations');
    await dialog.getByLabel('Is asked').selectOption('start');
    await dialog.getByRole('button', { name: 'Save' }).click();
    await page.getByText('a sample of 12').waitFor();
  });

  it('holds the rows of a list, whose requests and key are guessed', async () => {
    await page.getByRole('button', { name: 'Add a variable' }).click();
    await page.keyboard.type('stays');
    await page.keyboard.press('Enter');
    await page.getByLabel('Type of stays').selectOption('list');
    await page.getByLabel('How stays gets its value').selectOption('behind');
    expect(await page.getByLabel('Request that lists stays').inputValue()).toBe('reservations');
    expect(await page.getByLabel('Request by which rows of stays are changed').inputValue()).toBe(
      'changeReservation',
    );
    await page.getByRole('button', { name: 'Make of stays' }).click();
    await page.getByRole('menuitem', { name: 'A list edited in place' }).click();
    await page.locator('[data-bay]').first().waitFor();
    await saved(page);
    await page.keyboard.press('t');
    const frame = page.frameLocator('iframe').first();
    await expect.poll(() => frame.locator('[data-name^="field1["]').count()).toBe(12);
  });
});

describe('rows behind a service in Try', () => {
  let page: Page;
  const lap = (): FrameLocator => page.frameLocator('iframe[title^="Lap,"]');
  const named = (name: string) => lap().locator(`[data-name="${name}"]`);
  const guest = (row: number) => named(`guestIn[${row}]`).locator('input');
  const people = (row: number) => named(`peopleIn[${row}]`).locator('input');
  const guests = () => lap().locator('[data-name^="guestIn["] input');
  const rowOf = (name: string) =>
    guests().evaluateAll(
      (fields, wanted) => fields.findIndex((field) => (field as HTMLInputElement).value === wanted),
      name,
    );
  const press = (name: string) => named(name).press('Enter');
  const says = (text: string) => lap().getByText(text);
  beforeAll(async () => {
    page = await bench.window();
    await page.goto(bench.address);
    await page.getByRole('button', { name: 'New project' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Reservations');
    await page.getByRole('dialog').getByText('Table behind a service').click();
    await page.getByRole('button', { name: 'Create' }).click();
    await page.locator('[data-bay]').first().waitFor();
    await fetch(office('reset'), { method: 'POST' });
    await page.keyboard.press('t');
  });
  afterAll(() => page.close());

  it('come page by page, and anew when what they follow changes', async () => {
    await expect.poll(() => named('how').innerText()).toBe('8 shown, there are more');
    await press('moreRows');
    await expect.poll(() => named('how').innerText()).toBe('12 reservations');
    await named('stateIn').locator('select').selectOption({ label: 'Declined' });
    await expect.poll(() => named('how').innerText()).toBe('2 reservations');
    await named('stateIn').locator('select').selectOption({ label: 'All' });
    await expect.poll(() => named('how').innerText()).toBe('8 shown, there are more');
  });

  it('a change that the service refuses is taken back, and the person is told where they are', async () => {
    await guest(0).fill('Somebody else');
    await says('Only the warden changes reservations: please sign in.').waitFor();
    await expect.poll(() => guest(0).inputValue()).toBe('Ilka Sorrel');
  });

  it('who signs in changes, adds and removes; a wrong PIN is told in the dialog', async () => {
    await press('sign');
    await named('pinIn').locator('input').fill('1111');
    await press('enter');
    await expect.poll(() => named('wrongWords').innerText()).toBe('The name or the PIN is wrong.');
    await named('pinIn').locator('input').fill('4621');
    await page.keyboard.press('Enter');
    await expect.poll(() => named('sign').innerText()).toBe('Sign out');
    const senders = new Set<Frame>();
    page.on('request', (request) => {
      if (request.method() === 'PATCH') senders.add(request.frame());
    });
    await guest(0).focus();
    await guest(0).press('End');
    await page.keyboard.type(' and dog');
    await expect
      .poll(async () => (await service('reservations')).items[0])
      .toMatchObject({ guest: 'Ilka Sorrel and dog' });
    await press('newOne');
    await named('guestNew').locator('input').fill('Late party');
    await named('dayNew').locator('input').fill('2026-12-02');
    await press('keep');
    await expect
      .poll(async () => (await service('reservations')).items[0])
      .toMatchObject({ guest: 'Late party', id: 13, state: 'asked' });
    await press('gone[3]');
    await expect.poll(async () => (await service('reservations')).items.length).toBe(12);
    // The other sizes show it, and send nothing of their own.
    const hand = page.frameLocator('iframe[title^="Hand,"]');
    await expect
      .poll(() => hand.locator('[data-name="guestIn[0]"] input').inputValue())
      .toBe('Ilka Sorrel and dog');
    expect(senders.size).toBe(1);
  });

  it('where somebody else was quicker, the row is as they left it', async () => {
    const { items } = await service('reservations');
    const first = items.find(({ id }) => id === 1)!;
    await fetch(office('reservations/1'), {
      method: 'PATCH',
      headers: { Authorization: 'Bearer token-of-the-warden', 'Content-Type': 'application/json' },
      body: JSON.stringify({ people: 5 }),
    });
    expect(first.people).toBe(1);
    await guest(await rowOf('Ilka Sorrel and dog')).fill('Overtaken');
    await says('Somebody else has changed the reservation').first().waitFor();
    await expect.poll(async () => people(await rowOf('Ilka Sorrel and dog')).inputValue()).toBe('5');
    expect(await rowOf('Overtaken')).toBe(-1);
  });

  it('what is refused for the sake of the hut is said in its own words', async () => {
    const row = await rowOf('Ilka Sorrel and dog');
    await people(row).fill('46');
    await says('The hut has 46 bunks').first().waitFor();
    await expect.poll(() => people(row).inputValue()).toBe('5');
  });

  it('a secret stands neither in the values nor in the trace', async () => {
    await page.getByRole('button', { name: 'Values' }).click();
    await page.getByRole('button', { name: 'Trace' }).click();
    expect(await page.locator('body').innerText()).not.toContain('token-of-the-warden');
  });

  it('where no service answers, the screen says so and asks again', async () => {
    await page.getByLabel('Rows of tables').selectOption({ label: 'Failing feeds, tables and services' });
    await expect.poll(() => named('failureWords').innerText()).toBe('The service does not answer.');
    await page.getByLabel('Rows of tables').selectOption({ label: 'Rows as they are' });
    await expect.poll(() => named('how').innerText()).toBe('8 shown, there are more');
  });
});
