/** The focus order: shown on the bench, changed by keys, by dragging and by pressing in turn, and true on the page. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { drag, saved, tree, Workbench } from './workbench.ts';

let bench: Workbench;
let page: Page;
beforeAll(async () => {
  ({ bench, page } = await Workbench.withDemo());
  await page
    .getByRole('button', { name: /^CheckIn/ })
    .first()
    .click();
  await tree(page, 'guest').waitFor();
});
afterAll(() => bench.stop());

const rows = () =>
  page
    .getByRole('list', { name: 'Focus order' })
    .getByRole('listitem')
    .evaluateAll((items) => items.map((item) => item.querySelector('span.truncate')?.textContent ?? ''));
const row = (name: string) =>
  page.getByRole('list', { name: 'Focus order' }).getByRole('button', { name, exact: false }).last();

it('is numbered on the bench and moved by keys and by dragging', async () => {
  await page.keyboard.press('f');
  await page.locator('[data-focus-turn]').first().waitFor();
  const inTree = await rows();
  expect(inTree.slice(0, 5)).toEqual(['placesScroll', 'navBeside', 'guest', 'party', 'until']);
  expect(inTree.at(-1)).toBe('navBelow');
  await page.getByText('The focus follows the tree.').waitFor();
  await page
    .getByRole('list', { name: 'Focus order' })
    .getByRole('button', { name: /^party/ })
    .focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect.poll(rows).toEqual(inTree.with(2, 'party').with(3, 'guest'));
  // What now comes after its neighbour on the right is said to jump.
  await row('guest').getByText('jumps back').waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await drag(
    page,
    page.getByRole('button', { name: /^Move party/ }),
    page.getByRole('button', { name: /^Move placesScroll/ }),
  );
  await page.mouse.up();
  await expect.poll(async () => (await rows())[0]).toBe('party');
  await page.getByRole('button', { name: 'As the tree has it' }).click();
  await expect.poll(rows).toEqual(inTree);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await rows())[0]).toBe('party');
  await page.keyboard.press('Control+Shift+z');
  await expect.poll(rows).toEqual(inTree);
});

it('is given by pressing controls in turn, and the page goes by it', async () => {
  await page.getByRole('button', { name: 'Press controls in turn' }).click();
  for (const name of ['guest', 'party', 'until'])
    await page.getByRole('button', { name: `${name}: next in turn` }).click();
  await page.getByRole('button', { name: /^Done, 3 of/ }).click();
  expect((await rows()).slice(0, 4)).toEqual(['guest', 'party', 'until', 'placesScroll']);
  await saved(page);
  await page.keyboard.press('t');
  const frame = page.frameLocator('iframe').first();
  await frame.locator('[data-name="guest"] input').waitFor();
  const focused = () =>
    frame
      .locator('body')
      .evaluate(() => document.activeElement?.closest<HTMLElement>('[data-name]')?.dataset.name);
  await frame.locator('[data-name="guest"] input').focus();
  await page.keyboard.press('Tab');
  expect(await focused()).toBe('party');
  await page.keyboard.press('Tab');
  expect(await focused()).toBe('until');
  expect(bench.problems).toEqual([]);
});
