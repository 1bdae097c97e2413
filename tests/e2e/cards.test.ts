/** What an event does, as cards: changed, moved by hand and by keys, turned off, copied to another event. */
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { facts, tree } from './workbench.ts';

let page: Page;
demoForAll(async (demo) => {
  page = demo.page;
  await page.getByRole('button', { name: 'CheckIn', exact: true }).first().click();
  await tree(page, 'cancel').click();
});

const text = () => facts(page).getByLabel('On press', { exact: true });
const cards = () =>
  facts(page)
    .getByRole('listitem')
    .evaluateAll((items) => items.map((item) => item.getAttribute('aria-label')));
const more = async (card: string, entry: string) => {
  await page.getByRole('button', { name: `More for ${card}` }).click();
  await page.getByRole('menuitem', { name: entry, exact: true }).click();
};

it('cards are the text, and what is changed in one is changed in the other', async () => {
  expect(await text().inputValue()).toBe('reset(guestName); go("Arrivals")');
  expect(await cards()).toEqual(['Put back guestName', 'Go to "Arrivals"']);
  await page.getByLabel('Go to', { exact: true }).selectOption('Bunks');
  await expect.poll(() => text().inputValue()).toBe('reset(guestName); go("Bunks")');
  await text().fill('reset(guestName); go("Bunks"); message("Back.")');
  await expect.poll(cards).toEqual(['Put back guestName', 'Go to "Bunks"', 'Show a message "Back."']);
  await page.getByLabel('Show a message', { exact: true }).fill('"Not kept');
  expect(await page.getByLabel('Show a message', { exact: true }).getAttribute('aria-invalid')).toBe('true');
  await page.getByLabel('Show a message', { exact: true }).fill('guestName + " is not kept."');
  await page.keyboard.press('Enter');
  await expect.poll(() => text().inputValue()).toContain('message(guestName + " is not kept.")');
  expect(await axeFaults(page)).toEqual([]);
});

it('cards are put in another order by keys and by hand, each undone by one step', async () => {
  const first = page.getByRole('button', { name: /^Move Show a message/ });
  await first.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  const moved = /^message\(.*\); reset\(guestName\); go\("Bunks"\)$/;
  await expect.poll(() => text().inputValue()).toMatch(moved);
  const grip = (await page.getByRole('button', { name: 'Move Go to "Bunks"' }).boundingBox())!;
  const target = (await page.getByRole('button', { name: /^Move Show a message/ }).boundingBox())!;
  await page.mouse.move(grip.x + 6, grip.y + 10);
  await page.mouse.down();
  await page.mouse.move(grip.x + 6, grip.y - 20, { steps: 3 });
  await page.mouse.move(target.x + 6, target.y + 8, { steps: 5 });
  await page.mouse.up();
  await expect.poll(() => text().inputValue()).toMatch(/^go\("Bunks"\); message/);
  await page.locator('body').press('Control+z');
  await expect.poll(() => text().inputValue()).toMatch(moved);
});

it('a card is turned off and on again, and copied to another event', async () => {
  await more('Go to "Bunks"', 'Turn off');
  await expect.poll(() => text().inputValue()).toMatch(/\/\* off: go\("Bunks"\) \*\/$/);
  expect(await cards()).toContain('Off: Go to "Bunks"');
  await more('Go to "Bunks"', 'Turn on');
  await expect.poll(() => text().inputValue()).toMatch(/go\("Bunks"\)$/);
  await more('Put back guestName', 'Copy');
  await tree(page, 'form').click();
  await page.getByRole('button', { name: 'Add what On submit does' }).click();
  await page.getByRole('menuitem', { name: 'Paste: Put back guestName' }).click();
  await expect
    .poll(() => facts(page).getByLabel('On submit', { exact: true }).inputValue())
    .toMatch(/; reset\(guestName\)$/);
});

it('what is wrong is marked on its card', async () => {
  await tree(page, 'cancel').click();
  await text().fill('go("Bunks"); guestNam = ""');
  await page.getByText('There is no state variable `guestNam`.').waitFor();
  expect(
    await facts(page).getByRole('listitem', { name: 'Set guestNam to ""' }).getAttribute('class'),
  ).toContain('border-brick');
  await page.getByLabel('Set guestNam to', { exact: true }).waitFor();
});
