/** Words: languages are added, texts translated by keys, pasted, found; files go out and come in; the bench shows them. */
import { readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const go = (place: string) => page.getByRole('link', { name: place, exact: true }).click();
const grid = () => page.getByRole('grid', { name: 'Words' });
const cell = (text: string) => grid().getByRole('gridcell', { name: text });
const details = () => page.getByRole('complementary', { name: 'Text' });
const add = async (tag: string) => {
  await page.getByRole('button', { name: 'Add a language' }).click();
  await page.getByLabel('Tag of the language').pressSequentially(tag);
  await page.keyboard.press('Enter');
};

it('languages are removed and added; a wrong tag says so', async () => {
  await go('Words');
  await cell('Heute Abend').first().waitFor();
  for (const language of ['German', 'French', 'Arabic', 'Japanese']) {
    await page.getByRole('button', { name: `More for ${language}` }).click();
    await page.getByRole('menuitem', { name: 'Remove the language' }).click();
    await page.getByRole('button', { name: `More for ${language}` }).waitFor({ state: 'detached' });
  }
  await page.getByText('The project has one language.').waitFor();
  await page.getByRole('button', { name: 'Add a language' }).click();
  await page.getByLabel('Tag of the language').pressSequentially('german!');
  await page.getByText('is no language').waitFor();
  await page.getByLabel('Tag of the language').fill('de-CH');
  await page.keyboard.press('Enter');
  await grid().getByRole('columnheader', { name: /de-CH/ }).waitFor();
  await add('ar');
  await grid()
    .getByRole('columnheader', { name: /Arabic/ })
    .waitFor();
  // The next keys go into its first text; the source stays in sight.
  await expect.poll(() => grid().getAttribute('aria-activedescendant')).toBe('words-0-2');
  await page.keyboard.type('Layla');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Add a language' }).click();
  await page.keyboard.type('fr');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Add a language' }).waitFor();
  expect(await grid().getByRole('columnheader').count()).toBe(3);
  expect(await axeFaults(page)).toEqual([]);
});

it('texts are translated by keys like in a spreadsheet, with undo', async () => {
  await grid().focus();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.type('Heute Abend', { delay: 5 });
  await page.keyboard.press('Enter');
  await page.keyboard.type('Heute auf der Hütte', { delay: 5 });
  await page.keyboard.press('Tab');
  await expect.poll(() => cell('Heute Abend').count()).toBe(1);
  await expect.poll(() => cell('Heute auf der Hütte').count()).toBe(1);
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('F2');
  await page.keyboard.press('End');
  await page.keyboard.type(' oben');
  await page.keyboard.press('Escape');
  await expect.poll(() => cell('Heute auf der Hütte').count()).toBe(1);
  await page.keyboard.press('Delete');
  await expect.poll(() => cell('Heute auf der Hütte').count()).toBe(0);
  await page.keyboard.press('Control+z');
  await expect.poll(() => cell('Heute auf der Hütte').count()).toBe(1);
});

it('what leaves out an expression is not used, and says why', async () => {
  await details().getByText('How long it may be').waitFor();
  await details()
    .getByText(/At 320 px (any length|about \d+ characters)/)
    .waitFor();
  await page.getByLabel('Find a text').fill('guests are in');
  await expect.poll(() => grid().getByRole('row').count()).toBe(2);
  await grid().focus();
  await page.keyboard.type('Gäste');
  await page.keyboard.press('Enter');
  await details().getByText('It leaves out').waitFor();
  await page.getByLabel('Which texts').selectOption('wrong');
  await expect.poll(() => grid().getByRole('row').count()).toBe(2);
  await page.getByLabel('Find a text').fill('');
  await page.getByLabel('Which texts').selectOption('all');
});

it('rows of a spreadsheet are pasted', async () => {
  await page.getByLabel('Find a text').fill('Tonight.todo');
  await grid().focus();
  await page.keyboard.press('Control+Home');
  await grid().evaluate((element) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', 'Vor zehn\nLäden zu\n');
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }));
  });
  await expect.poll(() => cell('Läden zu').count()).toBe(1);
  expect(await axeFaults(page)).toEqual([]);
});

it('texts that say the same become one shared entry, which is called something else everywhere', async () => {
  await page.getByLabel('Find a text').fill('Tonight');
  await grid().getByRole('gridcell', { name: 'Tonight Tonight.heading.text' }).click();
  await details().getByRole('button', { name: 'Make them one shared entry' }).click();
  await details().getByLabel('Name of the shared entry').waitFor();
  await page.keyboard.type('evening');
  await page.keyboard.press('Enter');
  await grid().getByRole('gridcell', { name: 'Tonight words.evening' }).click();
  await details().getByText('2 texts read {words.evening}.').waitFor();
  await details().getByLabel('Name of the shared entry').fill('tonight');
  await page.keyboard.press('Enter');
  await details().getByText('2 texts read {words.tonight}.').waitFor();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(() => grid().getByRole('gridcell', { name: 'words.' }).count()).toBe(0);
  await page.getByLabel('Find a text').fill('');
});

it('strings go out as XLIFF, come in with what is not right, and are taken in part', async () => {
  await page.getByLabel('Find a text').fill('');
  await page.getByRole('button', { name: 'More for Arabic' }).click();
  const coming = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Hand out as XLIFF 2.1' }).click();
  const text = await readFile(await (await coming).path(), 'utf8');
  expect(text).toContain('trgLang="ar"');
  const translated = text
    .replace('<source>Tonight</source>', '<source>Tonight</source><target>الليلة</target>')
    .replace('name="Tonight.heading.text"', 'name="Tonight.heeding.text"');
  const file = join(tmpdir(), `strings-${process.pid}.xlf`);
  await writeFile(file, translated);
  await page.getByLabel('Strings in ar from a file').setInputFiles(file);
  const dialog = page.getByRole('dialog', { name: 'Strings in ar' });
  await dialog.getByText('changes one text').waitFor();
  await dialog.getByText('no text `Tonight.heeding.text`').waitFor();
  await dialog.getByRole('button', { name: 'Take what is right' }).click();
  await expect.poll(() => cell('الليلة').count()).toBe(1);
});

it('the bench shows a language, mirrored where it is written from right to left', async () => {
  await go('Build');
  await page.getByRole('button', { name: 'What is seen' }).click();
  await page.getByRole('menuitem', { name: 'In Swiss High German' }).click();
  const bay = () => page.locator('[data-bay]').first();
  await bay().getByText('Heute auf der Hütte').first().waitFor();
  const left = async () =>
    (await bay()
      .getByText(/Heute auf der Hütte|Tonight/)
      .first()
      .boundingBox())!.x;
  const before = await left();
  await page.getByRole('button', { name: 'What is seen' }).click();
  await page.getByRole('menuitem', { name: 'In Arabic' }).click();
  await expect.poll(left).toBeGreaterThan(before + 50);
});
