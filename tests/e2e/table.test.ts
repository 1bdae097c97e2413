/** A table on a page: sorted by its heads, gone through by keys, its rows chosen, its columns made wider. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';

const source = `<screen name="Guests" padding="8" gap="8">
  <button name="more" text="More" on.press="add(guests, { who: 'Anso', nights: 10 })" />
  <table name="table" rows="{guests}" columns="who: Guest | nights: Nights" label="Guests" sort.bind="order" on.choose="picked = row.who" height="200" width="300" />
  <text name="told" text="{picked}, {order}" />
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
          { who: 'Ilka', nights: 2 },
          { who: 'Oddvar', nights: 11 },
          { who: 'Bruno', nights: 3 },
          ...Array.from({ length: 12 }, (_, index) => ({ who: `Guest ${index + 1}`, nights: 20 + index })),
        ],
      },
      { name: 'order', type: 'text', initial: '' },
      { name: 'picked', type: 'text', initial: 'nobody' },
    ],
  );
  page = opened.page;
});
afterAll(async () => {
  expect(opened.problems).toEqual([]);
  await opened.close();
});

const who = async (many = 3) => {
  const cells = await page.locator('.part-row:not(:first-child) > :first-child').allInnerTexts();
  return cells.slice(0, many);
};
const told = () => opened.named('told').innerText();
const head = (name: string) => page.getByRole('columnheader', { name });

it('is sorted by a press on a head, the other way by another, and stays so as rows come', async () => {
  expect(await who()).toEqual(['Ilka', 'Oddvar', 'Bruno']);
  await head('Nights').click();
  expect(await who()).toEqual(['Ilka', 'Bruno', 'Oddvar']);
  expect(await head('Nights').getAttribute('aria-sort')).toBe('ascending');
  await head('Nights').click();
  expect(await who(1)).toEqual(['Guest 12']);
  expect(await told()).toBe('nobody, -nights');
  await head('Guest').click();
  expect(await who(4)).toEqual(['Bruno', 'Guest 1', 'Guest 2', 'Guest 3']);
  await opened.named('more').click();
  expect(await who(2)).toEqual(['Anso', 'Bruno']);
});

it('is gone through by the arrow keys, which keep the focus, and a row is chosen', async () => {
  await page.getByRole('region', { name: 'Guests' }).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  expect(await told()).toMatch(/-who$/);
  await expect.poll(() => page.evaluate(() => document.activeElement?.textContent)).toBe('Guest');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  expect(await told()).toMatch(/^Oddvar/);
  await page.keyboard.press('Control+End');
  await page.keyboard.press(' ');
  expect(await told()).toMatch(/^Anso/);
  // The heads stay in sight.
  const table = (await opened.named('table').boundingBox())!;
  expect(Math.round((await head('Nights').boundingBox())!.y)).toBe(Math.round(table.y));
  await page.getByText('Bruno').click();
  expect(await told()).toMatch(/^Bruno/);
});

it('has columns that are made wider by hand and by keys, and stay so', async () => {
  const width = async () => Math.round((await head('Guest').boundingBox())!.width);
  const before = await width();
  const box = (await head('Guest').boundingBox())!;
  await page.mouse.move(box.x + box.width - 3, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width + 37, box.y + 8, { steps: 4 });
  await page.mouse.up();
  expect(await width()).toBe(before + 40);
  await head('Guest').focus();
  await page.keyboard.press('Alt+ArrowLeft');
  expect(await width()).toBe(before + 32);
  await head('Nights').click();
  expect(await width()).toBe(before + 32);
});
