/** An exported page whose screens are entered with values, whose fields tell whether they are valid, whose rows lie beside it. */
import type { Row } from '@hovrin/core';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';

const arrivals = `<screen name="Arrivals" padding="16" gap="12">
  <text name="count" text="{bookings.length} bookings, {status}" />
  <repeat name="list" each="{bookings.slice(-2)}" as="row">
    <row name="line" gap="8">
      <text name="lineText" text="{row.guest}" />
      <button name="come" text="Check in" on.press="go('CheckIn', { guest: row.guest, nights: row.nights + 1 })" />
    </row>
  </repeat>
  <button name="ask" text="Ask" on.press="guest = 'Somebody'; open('Sure', { guest, question: 'Really?' })" />
</screen>`;
const checkIn = `<screen name="CheckIn" padding="16" gap="12" on.enter="told = told + ' entered with ' + guest">
  <textField name="guestField" label="Guest" value.bind="guest" required="true" validity.bind="guestRight" />
  <choiceList name="meals" label="Meals" options="Supper | Tea" many="true" value.bind="meals" valid="{meals != ''}" validity.bind="mealsRight" />
  <choiceList name="needs" label="Needs" options="Blanket | Pillow" many="true" value.bind="needs" required="{meals != ''}" disabled="{meals == ''}" validity.bind="needsRight" />
  <text name="told" text="{guest}, {nights} nights, {guestRight ? 'right' : 'wrong'}, {mealsRight ? 'fed' : 'hungry'}, needs {needsRight ? 'right' : 'wrong'}; {told}" />
  <button name="again" text="Again" on.press="go('CheckIn', { nights: 9 })" />
  <button name="back" text="Back" on.press="back()" />
</screen>`;
const sure = `<screen name="Sure" title="Sure" dialog="true">
  <column name="panel" padding="16" gap="12" background="sheet">
    <text name="question" text="{question} {guest}" />
    <button name="no" text="No" on.press="close()" />
  </column>
</screen>`;

const rows: Row[] = Array.from({ length: 1500 }, (_, index) => ({
  guest: `Guest ${index}`,
  nights: index % 4,
}));
let opened: ExportedPage;
let page: Page;
beforeAll(async () => {
  opened = await openExported(
    [arrivals, checkIn, sure],
    [
      {
        name: 'bookings',
        type: 'list',
        initial: rows.slice(0, 1000),
        table: { id: 't', rows: rows.length, status: 'status' },
      },
      { name: 'status', type: 'text', initial: 'waiting' },
      { name: 'guest', type: 'text', initial: '' },
      { name: 'nights', type: 'number', initial: 1, screen: 'CheckIn' },
      { name: 'meals', type: 'text', initial: '' },
      { name: 'guestRight', type: 'boolean', initial: true },
      { name: 'mealsRight', type: 'boolean', initial: true },
      { name: 'needs', type: 'text', initial: 'Blanket' },
      { name: 'needsRight', type: 'boolean', initial: true },
      { name: 'told', type: 'text', initial: '', screen: 'CheckIn' },
      { name: 'question', type: 'text', initial: '', screen: 'Sure' },
    ],
    { width: 600, height: 800 },
    new Map([['t', rows]]),
  );
  page = opened.page;
});
afterAll(async () => {
  expect(opened.problems).toEqual([]);
  await opened.close();
});

const text = (name: string) => opened.named(name).innerText();

it('rows that lie beside the page come to one that was opened from disk, and that is told', async () => {
  await expect.poll(() => text('count')).toBe('1500 bookings, live');
  expect(await page.locator('[data-name^="lineText["]').allInnerTexts()).toEqual([
    'Guest 1498',
    'Guest 1499',
  ]);
});

it('a screen is entered with values, its own variables among them, and knows them as it is entered', async () => {
  await opened.named('come[1]').click();
  await expect
    .poll(() => text('told'))
    .toBe('Guest 1499, 4 nights, right, hungry, needs right; entered with Guest 1499');
  // Where it is shown already they are set, and it is not entered again.
  await opened.named('again').click();
  await expect.poll(() => text('told')).toContain('9 nights');
  expect((await text('told')).match(/entered/g)).toHaveLength(1);
});

it('a field tells whether it is valid, also one of several boxes', async () => {
  await page.getByLabel('Guest').fill('');
  await expect.poll(() => text('told')).toContain('wrong, hungry');
  await page.getByLabel('Guest').fill('Ilka');
  await page.getByLabel('Tea').check();
  await expect.poll(() => text('told')).toContain('right, fed');
  // A group of boxes of which one is needed, and one that follows what else is chosen.
  await expect.poll(() => text('told')).toContain('needs right');
  await page.getByLabel('Blanket').uncheck();
  await expect.poll(() => text('told')).toContain('needs wrong');
  await page.getByLabel('Tea').uncheck();
  await expect.poll(() => text('told')).toContain('needs right');
  expect(await page.getByLabel('Blanket').isDisabled()).toBe(true);
});

it('a dialog is opened with values; without any its own begin anew', async () => {
  await opened.named('back').click();
  await opened.named('ask').click();
  await expect.poll(() => text('question')).toBe('Really? Somebody');
  await opened.named('no').click();
});
