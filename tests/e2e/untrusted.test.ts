/** What comes from outside and what a running page does of its own: nothing acts, nothing is lost, and a person is asked. */
import { readFile } from 'node:fs/promises';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { addByKeys, fact, saved, tree, Workbench } from './workbench.ts';

const evil = '<img src=x onerror="top.acted=1">';
let bench: Workbench;
let page: Page;
beforeAll(async () => {
  bench = await Workbench.start();
  page = await bench.window();
  await bench.newProject(page, `${evil} ../../hut`);
});
afterAll(async () => {
  // What could act is stopped by the page's policy where it is read, which the browser tells of.
  expect(bench.problems.filter((problem) => !problem.includes('inline event handler'))).toEqual([]);
  await bench.stop();
});

/** Whether anything acted in the window or in one of its frames. */
const acted = async () =>
  (await Promise.all(page.frames().map((frame) => frame.evaluate(() => 'acted' in window)))).includes(true);
const desk = () => page.frameLocator('iframe[title^="Desk,"]');
const addVariable = async (name: string) => {
  await page.getByRole('button', { name: 'Add a variable' }).click();
  await page.keyboard.type(name);
  await page.keyboard.press('Enter');
};

it('names are names, and none is a way out of the data', async () => {
  await expect.poll(() => page.title()).toContain(evil);
  await page.getByRole('link', { name: 'Data' }).click();
  for (const [name, message] of [
    ['__proto__', '`__proto__` cannot be a name: it is out of reach for expressions.'],
    ['a word', 'A name has no spaces; try `aWord`.'],
    [evil, /^A name has no spaces\.$/],
  ] as const) {
    await addVariable(name);
    await page.getByText(message).waitFor();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
  }
  await addVariable('words');
  await page.getByLabel('Start of words').fill(`</script><script>top.acted=1</script>${evil}`);
  await addVariable('where');
  await page.getByLabel('Start of where').fill('javascript:top.acted=1');
});

it('a file of rows that names such a column is refused as a whole, with the line; hostile cells are words', async () => {
  await addVariable('guests');
  await page.getByLabel('Type of guests').selectOption('table');
  const variable = page.getByRole('row').filter({ has: page.getByLabel('Type of guests') });
  await variable.getByRole('button', { name: 'Edit as a table' }).click();
  const take = (name: string, text: string) =>
    page
      .getByLabel('A file with rows')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await take('bad.csv', '__proto__,note\n1,2');
  await page.getByText('A column cannot be called `__proto__`.').waitFor();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await take('rows.csv', `guest,note\n"${evil.replaceAll('"', '""')}",=1+1`);
  await page.getByRole('button', { name: 'Take the rows' }).click();
  await page.getByRole('gridcell', { name: evil }).waitFor();
  await page.keyboard.press('Escape');
  expect(await acted()).toBe(false);
});

it('a picture loses what could act in it, and a person is told', async () => {
  await page.getByRole('link', { name: 'Build' }).click();
  await addByKeys(page, 'picture', 'badge');
  const take = (name: string, inside: string) =>
    page
      .locator('input[type=file]')
      .first()
      .setInputFiles({
        name,
        mimeType: 'image/svg+xml',
        buffer: Buffer.from(
          `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9" width="9" height="9"><defs><path id="p" d="M0 0h9v9z"/></defs>${inside}<use href="#p"/></svg>`,
        ),
      });
  const stored = (name: string) =>
    page.evaluate(
      async (address) => (await fetch(address)).text(),
      `/api/projects/${page.url().split('/')[4]}/assets/${name}`,
    );
  await take('plain.svg', '<style>path{fill:red}</style>');
  await expect.poll(() => fact(page, 'Picture').inputValue()).toBe('plain.svg');
  expect(await stored('plain.svg')).toContain('<style>path{fill:red}</style>');
  await take(
    'evil.svg',
    '<script>top.acted=1</script><a href="javascript:top.acted=1"><rect width="9" height="9"/></a>',
  );
  await page
    .getByText(/evil.svg had something in it that does not draw; that was left out: <script>/)
    .waitFor();
  await expect.poll(() => fact(page, 'Picture').inputValue()).toBe('evil.svg');
  const left = await stored('evil.svg');
  expect(left).toContain('<rect');
  expect(left).toContain('<use');
  expect(left).not.toMatch(/script/);
});

it('in Try nothing acts, and what a page gives away is asked about', async () => {
  await tree(page, 'Screen1').click();
  await addByKeys(page, 'text', 'shown');
  await fact(page, 'Text').fill('{words}');
  await tree(page, 'Screen1').click();
  await addByKeys(page, 'link', 'way');
  await fact(page, 'Leads to').fill('{where}');
  await tree(page, 'Screen1').click();
  await addByKeys(page, 'button', 'give');
  await fact(page, 'On press').fill("copy(words); download('list.txt', words)");
  await saved(page);
  await page.getByRole('button', { name: 'Try' }).click();
  await expect.poll(() => desk().locator('[data-name="shown"]').innerText()).toContain(evil);
  // The page's script may still be about to run: it leaves out what leads nowhere that a link may lead to.
  await expect.poll(() => desk().locator('[data-name="way"]').getAttribute('href')).toBe('');
  await desk().locator('[data-name="give"]').press('Enter');
  await page.getByText('The page copies').waitFor();
  await page.getByText('and 1 more').waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Leave it' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save it' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('list.txt');
  expect(await readFile(await download.path(), 'utf8')).toContain(evil);
  await page.getByText('The page gives a file').waitFor({ state: 'detached' });
  expect(await acted()).toBe(false);
});
