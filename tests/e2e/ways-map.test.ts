/** Ways: the map of screens; ways drawn, led elsewhere, timed and taken away; folders, order, the menu; all by pointer and by keys. */
import { readFile } from 'node:fs/promises';
import type { Locator, Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { saved } from './workbench.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const go = (place: string) => page.getByRole('link', { name: place, exact: true }).click();
const map = () => page.getByRole('group', { name: 'Screens and ways' });
const head = (name: string) => page.locator(`[data-map-head="${name}"]`);
const card = (name: string) => page.locator(`[data-map-screen="${name}"]`);
const chosen = () => page.getByRole('complementary', { name: 'Chosen' });
const list = () => page.getByRole('navigation', { name: 'Folders and screens' });
const arrow = (from: string, to: string) => page.locator(`[data-way="${from} ${to}"]`);

const middle = async (element: Locator, part = 0.5) => {
  const box = (await element.boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height * part };
};

it('every screen is there as a live picture, with its ways', async () => {
  await go('Ways');
  await map().waitFor();
  await expect
    .poll(() =>
      map()
        .getByRole('img', { name: /^Picture of/ })
        .count(),
    )
    .toBe(7);
  await expect.poll(() => arrow('Kitchen', 'Order').count()).toBe(1);
  await chosen().getByText('Every screen is reached and left.').waitFor();
  expect(await axeFaults(page)).toEqual([]);
});

it('a way is drawn from a control in a picture to a screen, and taken back', async () => {
  await head('Bunks').click();
  const from = await middle(card('Bunks'), 0.22);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  const to = await middle(card('Mast'));
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await page.mouse.up();
  await arrow('Bunks', 'Mast').first().waitFor();
  await chosen()
    .getByText(/goes to/)
    .first()
    .waitFor();
  await page.keyboard.press('Control+z');
  await expect.poll(() => arrow('Bunks', 'Mast').count()).toBe(0);
});

it('a way is added by keys, led elsewhere, given a transition, gone, taken away', async () => {
  await list().getByRole('button', { name: 'Mast', exact: true }).click();
  await chosen().getByRole('button', { name: 'Add a way' }).click();
  const form = chosen().getByRole('form', { name: 'New way' });
  await form.getByLabel(/leads to/).selectOption('Kitchen');
  await form.getByRole('button', { name: 'Add the way' }).click();
  await arrow('Mast', 'Kitchen').waitFor();
  await chosen()
    .getByRole('button', { name: /goes to Kitchen/ })
    .click();
  const way = chosen().getByRole('region', { name: 'Way' });
  await way.getByLabel(/Comes by/).selectOption('slide-start');
  const seconds = way.getByRole('textbox', { name: 'Takes, s' });
  await seconds.pressSequentially('0.4');
  await page.keyboard.press('Tab');
  await way.getByRole('button', { name: 'Play' }).click();
  await expect
    .poll(() => way.evaluate((element) => element.getAnimations({ subtree: true }).length))
    .toBeGreaterThan(0);
  await way.getByLabel(/Leads to/).selectOption('Arrivals');
  await arrow('Mast', 'Arrivals').waitFor();
  await chosen()
    .getByRole('button', { name: /goes to Arrivals/ })
    .click();
  await way.getByRole('button', { name: 'Go this way' }).click();
  await chosen().getByRole('heading', { name: 'Arrivals' }).waitFor();
  await chosen().getByText('Mast › Arrivals').waitFor();
  await chosen().getByRole('button', { name: 'Back' }).click();
  await chosen()
    .getByRole('button', { name: /goes to Arrivals/ })
    .click();
  expect(await axeFaults(page)).toEqual([]);
  await way.getByRole('button', { name: 'Take the way away' }).click();
  await expect.poll(() => arrow('Mast', 'Arrivals').count()).toBe(0);
});

it('screens are put into folders and into order, and folders out of the menu', async () => {
  await list().getByRole('button', { name: 'New folder' }).click();
  await list().getByRole('button', { name: 'More for the folder Folder' }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  const name = list().getByRole('textbox', { name: 'Name of the folder' });
  await name.press('Control+a');
  await name.pressSequentially('Wardens');
  await name.press('Enter');
  const row = (of: string) => list().getByRole('button', { name: new RegExp(`^${of}`) });
  const from = await middle(row('Mast'));
  const to = await middle(list().getByRole('region', { name: 'Wardens' }).getByText('Empty'));
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x, from.y - 12, { steps: 3 });
  await page.mouse.move(to.x, to.y, { steps: 6 });
  await page.mouse.up();
  await list().getByRole('region', { name: 'Wardens' }).getByRole('button', { name: /^Mast/ }).waitFor();
  await list().getByRole('button', { name: 'More for the folder Wardens' }).click();
  await page.getByRole('menuitem', { name: 'In the application’s menu' }).click();
  await row('Mast').getByLabel('Not in the application’s menu').waitFor();
  await row('CheckIn').focus();
  await page.keyboard.press('Alt+ArrowUp');
  const names = () => list().getByRole('listitem').allInnerTexts();
  await expect.poll(names).toEqual(['Tonight', 'Arrivals', 'CheckIn', 'Bunks', 'Kitchen', 'Order', 'Mast']);
  await page.keyboard.press('Control+z');
  await expect.poll(names).toEqual(['Tonight', 'Arrivals', 'Bunks', 'CheckIn', 'Kitchen', 'Order', 'Mast']);
});

it('cards are moved by their heads and by keys, stay there, and are arranged again', async () => {
  const before = (await card('Order').boundingBox())!;
  const from = await middle(head('Order'));
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y + 30, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => (await card('Order').boundingBox())!.x).toBeGreaterThan(before.x + 40);
  await saved(page);
  await page.reload();
  await map().waitFor();
  const arrange = page.getByRole('button', { name: 'Arrange' });
  await expect.poll(() => arrange.isEnabled()).toBe(true);
  await arrange.click();
  await expect.poll(() => arrange.isEnabled()).toBe(false);
  await head('Tonight').focus();
  await page.keyboard.press('ArrowRight');
  await expect
    .poll(() => page.evaluate(() => document.activeElement?.getAttribute('data-map-head')))
    .not.toBe('Tonight');
  await head('Tonight').focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect.poll(() => arrange.isEnabled()).toBe(true);
});

it('the map is saved as a picture, with its screens', async () => {
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Picture', exact: true }).click();
  await page.getByRole('menuitem', { name: 'SVG' }).click();
  const file = await coming;
  expect(file.suggestedFilename()).toBe('velmora-hut-ways.svg');
  const svg = await readFile(await file.path(), 'utf8');
  expect(svg.match(/<svg /g)?.length).toBeGreaterThan(7);
  expect(svg).toContain('>Kitchen</text>');
  const isRead = await page.evaluate(
    (text) =>
      new DOMParser().parseFromString(text, 'image/svg+xml').querySelector('parsererror')?.textContent,
    svg,
  );
  expect(isRead).toBeUndefined();
});
