/** Versions: one gets a name, the project changes, what differs is seen, and taken back. */
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const go = (place: string) => page.getByRole('link', { name: place, exact: true }).click();
const tonight = () => page.getByRole('region', { name: 'Tonight', exact: true });
const facts = () => page.getByRole('complementary', { name: 'Facts' });

it('a version gets a name, and what differs from it is told control by control', async () => {
  await go('Versions');
  await page.getByText('Nothing was done yet.').waitFor();
  await page.getByRole('button', { name: 'Name this version' }).click();
  await page.getByRole('button', { name: 'Name it' }).click();
  await page.getByText('A version needs a name.').waitFor();
  await page.getByLabel('Name', { exact: true }).pressSequentially('First evening');
  await page.getByLabel('Note').pressSequentially('As the wardens saw it');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Name it' }).click();
  await page.getByText('They are alike.').waitFor();
  await go('Build');
  await page.getByRole('treeitem', { name: 'heading', exact: true }).first().click();
  const field = facts().getByLabel('Text', { exact: true });
  await field.fill('A very long evening up at the hut');
  await field.press('Tab');
  await page.getByRole('treeitem', { name: 'weather', exact: true }).first().click();
  await page.keyboard.press('Delete');
  await go('Versions');
  await tonight().getByText('text “Tonight” → “A very long evening up at the hut”').waitFor();
  await tonight().getByText('gone from').waitFor();
  await tonight().getByText('at every width').waitFor();
  expect(
    await tonight()
      .getByRole('img', { name: /Tonight, (?:before|now), at/ })
      .count(),
  ).toBe(2);
  expect(await axeFaults(page)).toEqual([]);
});

it('the story leads to what it was before each change, and is searched', async () => {
  await page.getByRole('button', { name: 'Delete weather' }).click();
  await page.getByRole('heading', { name: /what it was before “Delete weather”/ }).waitFor();
  await expect.poll(() => tonight().getByText('text “Tonight”').count()).toBe(0);
  await page.getByLabel('Find a control or a change').pressSequentially('heading');
  await expect.poll(() => page.getByRole('button', { name: 'Delete weather' }).count()).toBe(0);
  await page.getByLabel('Find a control or a change').fill('');
  await page
    .getByRole('button', { name: /First evening/ })
    .first()
    .click();
  await tonight().getByText('text “Tonight”').waitFor();
});

it('pictures are laid over each other and shown in turn; one control and all is taken back', async () => {
  await tonight().getByLabel('How they are shown').selectOption('Over each other');
  await tonight().getByRole('slider').fill('80');
  await tonight().getByLabel('How they are shown').selectOption('In turn');
  await tonight().getByRole('button', { name: 'Hold' }).click();
  await tonight().getByRole('button', { name: 'Take heading back' }).click();
  await page.getByText('What differed in heading is as it was.').waitFor();
  await expect.poll(() => tonight().getByText('text “Tonight”').count()).toBe(0);
  await tonight().getByText('gone from').waitFor();
  await page.getByRole('button', { name: 'Take everything back' }).click();
  await page.getByText('They are alike.').waitFor();
  await page.keyboard.press('Control+z');
  await tonight().getByText('gone from').waitFor();
});

it('any two versions that have a name are compared; what is not now cannot be taken back', async () => {
  await page.getByRole('button', { name: 'Name this version' }).click();
  await page.getByLabel('Name', { exact: true }).pressSequentially('Without the weather');
  await page.getByRole('button', { name: 'Name it' }).click();
  await page
    .getByRole('button', { name: /First evening/ })
    .first()
    .click();
  await page.getByLabel('Against').selectOption('Without the weather');
  await tonight().getByText('gone from').waitFor();
  expect(
    await tonight()
      .getByRole('button', { name: /^Take .*back/ })
      .count(),
  ).toBe(0);
  expect(await page.getByRole('button', { name: 'Take everything back' }).count()).toBe(0);
  await page.getByLabel('Against').selectOption('now');
  await page.getByRole('button', { name: 'Take everything back' }).waitFor();
  await page.getByRole('button', { name: 'Take the name of Without the weather away' }).click();
});

it('a name is changed, and taken away', async () => {
  await page.getByRole('button', { name: 'Rename First evening' }).click();
  await page.getByLabel('Name', { exact: true }).fill('The very first');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Take the name of The very first away' }).click();
  await page.getByText('No version has a name yet.').waitFor();
});
