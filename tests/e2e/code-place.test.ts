/** Code: files of it are added, written, checked, tried, renamed and deleted. */
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { demoForAll } from './demo-for-all.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const go = (place: string) => page.getByRole('link', { name: place, exact: true }).click();
const editor = () => page.locator('.cm-content');
const files = () => page.getByRole('navigation', { name: 'Files of code' });

it('a function is written, with what the compiler knows of the state', async () => {
  await go('Code');
  await page.getByRole('button', { name: 'Functions for expressions' }).click();
  await page.getByText('Nothing is wrong here.').waitFor();
  await editor().click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type(
    "\nimport { state } from 'hovrin';\nexport const guests = (): string => state.gue",
  );
  await page.getByRole('option', { name: 'guestName', exact: true }).waitFor();
  await page.keyboard.type('sts');
  await page.getByRole('button', { name: /Property 'guests' does not exist/ }).click();
  await files().getByTitle('Problems in functions.ts').waitFor();
  await page.keyboard.press('Control+a');
  await page.keyboard.insertText(
    "/** @sample 'so many' */\nexport function counted(of: number): string {\n  return of === 1 ? 'one' : String(of) + ' in words';\n}\n",
  );
  await page.getByText('Nothing is wrong here.').waitFor();
});

it('a text on the bench shows the sample, and in Try what the code gives', async () => {
  await go('Build');
  await page.getByRole('treeitem', { name: 'heading', exact: true }).first().click();
  const field = page.getByRole('complementary', { name: 'Facts' }).getByLabel('Text', { exact: true });
  await field.fill('{code.counted(3)}');
  await field.press('Enter');
  await expect.poll(() => page.locator('[data-bay="Desk"]').innerText()).toContain('so many');
  await field.fill('{code.conted(3)}');
  await page
    .getByText(/has no function/)
    .first()
    .waitFor();
  await field.fill('{code.counted(3)}');
  await field.press('Enter');
  await page.getByRole('button', { name: 'Try', exact: true }).click();
  await page.frameLocator('iframe').first().getByText('3 in words').first().waitFor();
});

it('a file is renamed and deleted, and comes back', async () => {
  await page.goBack();
  await go('Code');
  const name = page.getByLabel('Name of the file');
  await name.fill('2 words');
  await page.getByText(/named by a letter/).waitFor();
  await name.fill('words');
  await name.press('Enter');
  await files().getByRole('button', { name: 'words.ts' }).waitFor();
  await page.getByRole('button', { name: 'Delete code/words.ts' }).click();
  await page.getByRole('button', { name: 'Functions for expressions' }).waitFor();
  await page.keyboard.press('Control+z');
  await files().getByRole('button', { name: 'words.ts' }).waitFor();
  expect(await editor().innerText()).toContain('export function counted');
});
