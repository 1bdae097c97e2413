/** What can be read at a control, written by a press where the cursor was; and the map of what feeds what. */
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { fact, tree } from './workbench.ts';

let page: Page;
demoForAll(async (demo) => {
  page = demo.page;
  await page.getByRole('tab', { name: 'Components', exact: true }).click();
  await page.getByRole('button', { name: /^Meal/ }).first().click();
  await tree(page, 'orderTable').click();
  await page.keyboard.press('d');
});

const readable = (name: string) =>
  page.getByRole('list', { name: 'Can be read here' }).getByRole('button', { name, exact: true });

it('what is pressed is written where the cursor was, in braces where there are none', async () => {
  const text = page.getByLabel(/^(Bound )?Text$/).first();
  await text.fill('Table ');
  await page.getByRole('button', { name: 'Open meal', exact: true }).click();
  await readable('table 3').click();
  await expect.poll(() => text.inputValue()).toBe('Table {meal.table}');
  await text.fill('{}');
  await text.press('ArrowLeft');
  await page.getByLabel('Find what can be read').fill('number');
  await readable('number').click();
  await expect.poll(() => text.inputValue()).toBe('{Format.number()}');
  // The cursor is between the brackets.
  await page.getByLabel('Find what can be read').fill('meal.count');
  await readable('count 4').click();
  await expect.poll(() => text.inputValue()).toBe('{Format.number(meal.count)}');
  expect(await axeFaults(page)).toEqual([]);
  await page.getByLabel('Find what can be read').fill('no such thing');
  await page.getByText('Nothing here is called so.').waitFor();
});

it('the map shows what feeds a control and what it feeds, and leads there', async () => {
  await page.getByRole('tab', { name: 'Screens', exact: true }).click();
  await page.getByRole('button', { name: 'Kitchen', exact: true }).first().click();
  await tree(page, 'totalSum').click();
  const feeds = page.getByRole('tabpanel', { name: 'bindings' });
  await feeds.getByText('orderTotal', { exact: true }).waitFor();
  await feeds.getByText('orders', { exact: true }).first().waitFor();
  await feeds.getByRole('button', { name: 'Meal.serve' }).click();
  await expect.poll(() => fact(page, 'Name').inputValue()).toBe('serve');
  await feeds.getByText('What feeds serve, and what it feeds').waitFor();
  await feeds.getByRole('button', { name: 'Kitchen.totalSum' }).waitFor();
});

it('what another control holds is kept in a variable by one press, from the tree or where it was typed', async () => {
  await page.getByRole('button', { name: 'New screen' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('tab', { name: /Source/ }).click();
  await page.locator('.cm-content').click();
  await page.keyboard.press('Control+a');
  await page.keyboard.insertText(
    '<screen name="Trial"><slider name="heat" label="Stove" value="4" min="0" max="10"/><textField name="who" label="Who" value="Ilka"/><text name="said" text="Hello"/></screen>',
  );
  await tree(page, 'said').click();
  const text = page.getByLabel(/^(Bound )?Text$/).first();
  await text.fill('{heat * 2}');
  await page.getByText('`heat` is a control, no variable').waitFor();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByText('is 8', { exact: true }).waitFor();
  await page.getByRole('tab', { name: /Bindings/ }).click();
  await text.fill('{View.band}, ');
  await page.getByLabel('Find what can be read').fill('');
  await page.getByRole('button', { name: 'Open Controls', exact: true }).click();
  await page.getByRole('button', { name: 'Open who', exact: true }).click();
  await readable('value kept nowhere yet').click();
  await expect.poll(() => text.inputValue()).toBe('{View.band}, {who}');
  await page.getByText(/^is “\w+, Ilka”$/).waitFor();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await tree(page, 'said').click();
  await readable('value kept nowhere yet').waitFor();
});
