/** A table of many rows, kept beside the document: from a file to the running page, through the interface. */
import type { FrameLocator, Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { running, saved, tree } from './workbench.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const many = 30_000;
const csv = ['guest,people,paid']
  .concat(
    Array.from(
      { length: many },
      (_, index) => `Guest ${index},${(index % 9) + 1},${index % 2 ? 'yes' : 'no'}`,
    ),
  )
  .join('\n');
const grid = () => page.getByRole('grid', { name: 'Rows of stays' });
/** The texts of the row that is shown with a number. */
const row = (number: number) =>
  grid()
    .getByRole('row')
    .filter({ has: page.getByRole('rowheader', { name: String(number), exact: true }) })
    .getByRole('gridcell')
    .allTextContents();
const take = (name: string, text: string) =>
  page
    .getByLabel('A file with rows')
    .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

it('a list becomes a table as thirty thousand rows come; they are found, sorted, changed, and one undo each', async () => {
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Add a variable' }).click();
  await page.keyboard.type('stays');
  await page.keyboard.press('Enter');
  await page.getByLabel('Type of stays').selectOption('list');
  const variable = page.getByRole('row').filter({ has: page.getByLabel('Type of stays') });
  await variable.getByRole('button', { name: 'Edit as a table' }).click();
  await take('bad.csv', `${csv}\nGuest,three,no`.replace('guest,people', 'guest,guest'));
  await page.getByText('The file has two columns `guest`.').waitFor();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await take('stays.csv', csv);
  await page.getByRole('button', { name: 'Take the rows' }).click();
  await page.getByText('30,000 rows', { exact: true }).waitFor();
  await page.getByText(/^stays has 30,000 rows with .*stays is a table now/).waitFor();
  await expect.poll(() => row(1)).toEqual(['Guest 0', '1', 'no']);
  expect(await axeFaults(page)).toEqual([]);
  await grid().focus();
  await page.keyboard.press('Control+End');
  await expect.poll(() => row(many)).toEqual(['Guest 29999', '3', 'yes']);
  await page.keyboard.type('no');
  await page.keyboard.press('Enter');
  await expect.poll(() => row(many)).toEqual(['Guest 29999', '3', 'no']);
  // One goes on below the last row.
  await page.getByText('30,001 rows', { exact: true }).waitFor();
  await page.keyboard.press('Control+z');
  await expect.poll(() => row(many)).toEqual(['Guest 29999', '3', 'yes']);
  await page.getByRole('button', { name: 'Sort by people' }).click();
  await page.getByRole('button', { name: 'Sort by people' }).click();
  await page.keyboard.press('Shift+Tab');
  await page.getByLabel('Find rows of stays').fill('guest 2999');
  await page.getByText('11 of 30,000 rows').waitFor();
  await expect
    .poll(() => grid().getByRole('rowheader').allTextContents())
    .toEqual([
      '29997',
      '29996',
      '29995',
      '29994',
      '29993',
      '29992',
      '3000',
      '29991',
      '30000',
      '29999',
      '29998',
    ]);
  // What is changed among those that are found is changed where it stands.
  await grid().focus();
  await page.keyboard.press('Control+Home');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type('8');
  await page.keyboard.press('Tab');
  await expect.poll(() => row(29997)).toEqual(['Guest 29996', '8', 'no']);
  await page.getByLabel('Find rows of stays').fill('');
  await page.getByText('30,000 rows', { exact: true }).waitFor();
  // A column takes another name in all rows.
  await grid()
    .getByRole('button', { name: /^guest/ })
    .click();
  const column = page.getByRole('dialog', { name: 'Column guest' });
  await column.getByRole('textbox', { name: 'Name' }).fill('name');
  await page.keyboard.press('Enter');
  await grid().getByRole('columnheader', { name: /^name/ }).waitFor();
  await saved(page);
  await expect.poll(() => row(9)).toEqual(['Guest 8', '9', 'no']);
  // All of them go, and come back.
  await grid().focus();
  await page.keyboard.press('Control+a');
  await page.getByRole('button', { name: 'Sort by people' }).click();
  await grid().focus();
  await page.keyboard.press('Control+Delete');
  await page.getByText('0 rows', { exact: true }).waitFor();
  await saved(page);
  await grid().focus();
  await page.keyboard.press('Control+z');
  await page.getByText('30,000 rows', { exact: true }).waitFor();
  await expect.poll(() => row(9)).toEqual(['Guest 8', '9', 'no']);
  await page.keyboard.press('Escape');
  await saved(page);
  await page.reload();
  await page.getByText('30,000 rows in the project’s own table').waitFor();
});

it('the running page finds all of its rows, those too that the document does not hold', async () => {
  await page.getByRole('button', { name: 'Make of stays' }).click();
  await page.getByRole('menuitem', { name: 'A list to find things in' }).click();
  await tree(page, 'rows').waitFor();
  await saved(page);
  await page.getByRole('button', { name: 'Try' }).click();
  const desk = (): FrameLocator => page.frameLocator('iframe[title^="Desk,"]');
  await running(desk());
  await desk().getByLabel('Find').fill('guest 29995');
  await expect.poll(() => desk().locator('[data-name^="first["]').allTextContents()).toEqual(['Guest 29995']);
});
