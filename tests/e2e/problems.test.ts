/** Nothing breaks in silence: problems of the whole project, columns in use, values while it runs, what is kept. */
import type { FrameLocator, Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { pressScaled, saved } from './workbench.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const place = (name: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name }).click();
const list = () => page.getByRole('tabpanel', { name: 'problems' });
const dialog = () => page.getByRole('dialog');
const desk = (): FrameLocator => page.frameLocator('iframe[title^="Desk,"]');
const ropes = () => desk().getByRole('checkbox', { name: 'Hang the wet ropes' });

it('what names something that is gone is listed with its place, and one gets there', async () => {
  await place('Data');
  await page.getByRole('button', { name: 'Delete guestName', exact: true }).click();
  await place('Build');
  await page.locator('[data-bay]').first().waitFor();
  await page.locator('body').press('p');
  const problem = list().getByRole('listitem').filter({ hasText: 'There is no state variable guestName.' });
  await problem.first().waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await problem
    .getByRole('button', { name: /^CheckIn\./ })
    .first()
    .click();
  await page.getByRole('treeitem', { selected: true }).waitFor();
  expect(await page.getByRole('heading', { name: 'On CheckIn' }).count()).toBe(1);
  await page.keyboard.press('Control+z');
  await expect.poll(() => problem.count()).toBe(0);
});

it('a problem is let stand with a reason, and counted again', async () => {
  await place('Ship');
  const problems = page.getByRole('region', { name: 'Problems' });
  await problems.getByText('which only Hovrin plays').waitFor();
  await problems.getByRole('button', { name: /^mast/ }).click();
  await expect
    .poll(() => page.evaluate(() => document.activeElement?.getAttribute('aria-label')))
    .toBe('Name of mast');
});

it('a column that gets another name gets it everywhere; one in use is not removed without a word', async () => {
  await page.getByRole('link', { name: 'Data' }).click();
  const open = async () => {
    const row = page.getByRole('row').filter({ has: page.locator('input[data-variable="orders"]') });
    await row.getByRole('button', { name: 'Edit as a table' }).click();
  };
  await open();
  await page.getByRole('button', { name: /^dish/ }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('meal');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^meal/ }).waitFor();
  await page.getByRole('button', { name: /^count/ }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await dialog()
    .getByText(/is used by/)
    .first()
    .waitFor();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await saved(page);
  await place('Build');
  await page.locator('[data-bay]').first().waitFor();
  await list().getByText('Comes from a stand-in').waitFor();
  expect(await list().getByText('has no column').count()).toBe(0);
});

it('values are seen and changed while it runs, and the next run begins with what was kept', async () => {
  await place('Data');
  await page.getByLabel('Keep ropes', { exact: true }).check();
  await saved(page);
  await place('Build');
  await page.locator('[data-bay]').first().waitFor();
  await page
    .getByRole('button', { name: /^Tonight/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Try' }).click();
  await ropes().waitFor();
  await page.getByRole('button', { name: 'Values' }).click();
  const pane = page.getByRole('region', { name: 'Values' });
  await pane.getByRole('searchbox').fill('ropes');
  const field = pane.getByRole('textbox', { name: 'ropes', exact: true });
  expect(await field.inputValue()).toBe('false');
  expect(await axeFaults(page)).toEqual([]);
  await field.fill('nonsense');
  await pane.getByText('This is not JSON yet').waitFor();
  await field.fill('true');
  await page.keyboard.press('Enter');
  await expect.poll(() => ropes().isChecked()).toBe(true);
  await page.getByRole('button', { name: 'Start again' }).click();
  await ropes().waitFor();
  await expect.poll(() => ropes().isChecked()).toBe(true);
  await pressScaled(page, page.locator('iframe[title^="Desk,"]'), ropes());
  await expect.poll(() => field.inputValue()).toBe('false');
  await pressScaled(page, page.locator('iframe[title^="Desk,"]'), ropes());
  await page.getByRole('button', { name: /^Forget 1 kept value/ }).click();
  await page.getByRole('button', { name: 'Start again' }).click();
  await expect.poll(() => field.inputValue()).toBe('false');
  await expect.poll(() => ropes().isChecked()).toBe(false);
});
