/** A table whose cells are made of controls: sorted, acted in, gone through by keys, and long without as many elements. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';

const source = `<screen name="Guests" padding="8" gap="8">
  <row gap="8">
    <button name="more" text="More" on.press="add(guests, { who: 'Anso', nights: 0, late: true })" />
    <button name="many" text="Many" on.press="guests = several" />
  </row>
  <text name="told" text="{picked}, {order}, {note}" />
  <table name="table" rows="{guests}" label="Guests" sort.bind="order" on.choose="picked = row.who">
    <cell name="whoCell" head="Guest" field="who"><text name="who" text="{row.who}" weight="600" /><text name="state" text="{row.late ? 'Late' : 'In time'}" size="13" color="{row.late ? 'alert' : 'quiet'}" /></cell>
    <cell name="nightsCell" head="Nights" field="nights" align="end"><text name="nights" text="{row.nights} of {guests.length}" /></cell>
    <cell name="acts" head="Do" padding="4" align="start"><button name="ring" text="Ring" on.press="note = 'rung ' + row.who; change(guests, row, { late: false })" /></cell>
  </table>
</screen>`;

let opened: ExportedPage;
let page: Page;
beforeAll(async () => {
  opened = await openExported(
    [source],
    [
      {
        name: 'guests',
        type: 'list',
        initial: [
          { who: 'Ilka', nights: 2, late: true },
          { who: 'Oddvar', nights: 11, late: false },
          { who: 'Bruno', nights: 3, late: true },
        ],
      },
      {
        name: 'several',
        type: 'list',
        initial: Array.from({ length: 3000 }, (_, index) => ({ who: `Guest ${index}`, nights: index })),
      },
      { name: 'order', type: 'text', initial: '' },
      { name: 'picked', type: 'text', initial: 'nobody' },
      { name: 'note', type: 'text', initial: '' },
    ],
  );
  page = opened.page;
});
afterAll(async () => {
  expect(opened.problems).toEqual([]);
  await opened.close();
});

const who = () => page.locator('[data-name^="who["]').allInnerTexts();
const told = () => opened.named('told').innerText();
const head = (name: string) => page.getByRole('columnheader', { name });

it('has a row for each record, sorted by its heads, and follows what its cells read', async () => {
  expect(await who()).toEqual(['Ilka', 'Oddvar', 'Bruno']);
  await head('Nights').click();
  expect(await who()).toEqual(['Ilka', 'Bruno', 'Oddvar']);
  expect(await head('Nights').getAttribute('aria-sort')).toBe('ascending');
  await head('Guest').click();
  await head('Guest').click();
  expect(await who()).toEqual(['Oddvar', 'Ilka', 'Bruno']);
  expect(await head('Nights').getAttribute('aria-sort')).toBeNull();
  // Nothing is said of this column, so nothing sorts by it.
  await head('Do').click();
  expect(await told()).toBe('nobody, -who,');
  await opened.named('more').click();
  expect(await who()).toEqual(['Oddvar', 'Ilka', 'Bruno', 'Anso']);
  expect(await page.locator('[data-name="nights[0]"]').innerText()).toBe('11 of 4');
});

it('a button in a cell acts on its row and chooses none; the cell beside it chooses it', async () => {
  await opened.named('ring[2]').click();
  expect(await told()).toBe('nobody, -who, rung Bruno');
  expect(await page.locator('[data-name="state[2]"]').innerText()).toBe('In time');
  await opened.named('state[1]').click();
  expect(await told()).toContain('Ilka, -who');
});

it('keys go from cell to cell; what is in a cell has its own keys, and Escape leads out', async () => {
  const focused = () => page.evaluate(() => (document.activeElement as HTMLElement).dataset.name);
  await page.locator('.k-table').focus();
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowRight', 'ArrowRight'])
    await page.keyboard.press(key);
  expect(await focused()).toBe('acts[1]');
  await page.keyboard.press('Tab');
  expect(await focused()).toBe('ring[1]');
  await page.keyboard.press('ArrowDown');
  expect(await focused()).toBe('ring[1]');
  await page.keyboard.press('Enter');
  expect(await told()).toContain('rung Ilka');
  await page.keyboard.press('Escape');
  expect(await focused()).toBe('acts[1]');
  await page.keyboard.press('ArrowDown');
  expect(await focused()).toBe('acts[2]');
  await page.keyboard.press('Enter');
  expect(await told()).toContain('Bruno, -who');
});

it('of three thousand rows only those near what is seen have elements, wherever one is', async () => {
  await opened.named('many').click();
  await head('Nights').click();
  const there = () => page.locator('[data-name^="who["]').count();
  await expect.poll(there).toBeLessThan(120);
  expect(await opened.named('who[0]').innerText()).toBe('Guest 0');
  const height = await page.evaluate(() => document.documentElement.scrollHeight);
  expect(height).toBeGreaterThan(3000 * 40);
  await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight));
  await opened.named('who[2999]').waitFor();
  expect(await opened.named('who[2999]').innerText()).toBe('Guest 2999');
  expect(await there()).toBeLessThan(120);
  await opened.named('ring[2998]').click();
  await expect.poll(told).toContain('rung Guest 2998');
});
