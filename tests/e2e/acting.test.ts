/** An exported page that acts: forms that are sent, dialogs, what is pressed without being a button, waiting, handlers. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';
import { doublePress, fillNumber } from '../browser/hands.ts';

const checkIn = `<screen name="CheckIn" padding="16" gap="12" when="{guests.length >= 2}" on.when="note = 'full of guests'">
  <form name="form" valid.bind="valid" changed.bind="changed" gap="8" on.submit="add(guests, { who: who, nights: nights }); reset(who, nights); message('Saved.')">
    <textField name="whoField" label="Guest" value.bind="who" required="true" valid="{!guests.some(row => row.who == who)}" message="Is here already" />
    <numberField name="nightsField" label="Nights" value.bind="nights" min="1" />
    <button name="save" text="Save" submits="true" />
  </form>
  <text name="told" text="{valid ? 'valid' : 'not valid'}, {changed ? 'changed' : 'as it was'}, {note}" />
  <repeat name="list" each="{guests}" as="row">
    <row name="line" gap="8" on.press="picked = row.who; open('Sure')"><text name="lineText" text="{row.who} {row.nights}" /><button name="ring" text="Ring" on.press="note = 'rung'" /></row>
  </repeat>
  <button name="late" text="Later" on.press="note = 'soon'; wait(0.3); note = 'now'" />
  <button name="print" text="Print" on.press="handlers.print(guests.length)" on.doublepress="note = 'twice'" />
  <button name="loops" text="Loops" on.press="let said = ''; for (let i = 0; i &lt; 4; i++) { if (i == 1) continue; said += i } for (const [key, n] of Object.entries(Object.fromEntries([['a', 1]]))) said += key + n; while (Object.entries({ said }).length == 1) { if (said.length &gt; 9) break; said += '.' } note = said" />
  <button name="endless" text="Endless" on.press="try { while (true) note = 'round' } catch { note = 'caught' }" />
  <button name="caught" text="Caught" on.press="try { note = Group.by(guests, 'who')[7].key } catch (error) { note = 'caught: ' + error.message }" />
  <textField name="code" label="Code" min-length="3" max-length="6" pattern="[A-Z]+" message="Three to six capitals" value.bind="code" />
  <textField name="keys" label="Keys" on.key="note = key" />
  <column height="900" />
  <text name="end" text="End" on.visible="note = 'at the end'" />
</screen>`;
const sure = `<screen name="Sure" title="Sure?" dialog="true" align="center" justify="center" background="#1f2a2499">
  <column name="panel" padding="16" gap="12" background="sheet">
    <text name="question" text="Send {picked} home?" />
    <textField name="why" label="Why" value.bind="reason" />
    <row gap="8">
      <button name="no" text="No" on.press="close()" />
      <button name="yes" text="Yes" on.press="remove(guests, guests.find(row => row.who == picked)); message('Gone.'); close()" />
    </row>
  </column>
</screen>`;

let opened: ExportedPage;
let page: Page;
beforeAll(async () => {
  opened = await openExported(
    [checkIn, sure],
    [
      { name: 'guests', type: 'list', initial: [{ who: 'Ilka', nights: 2 }] },
      { name: 'who', type: 'text', initial: '' },
      { name: 'nights', type: 'number', initial: 1 },
      { name: 'valid', type: 'boolean', initial: false },
      { name: 'changed', type: 'boolean', initial: false },
      { name: 'note', type: 'text', initial: '' },
      { name: 'picked', type: 'text', initial: '' },
      { name: 'code', type: 'text', initial: '' },
      { name: 'reason', type: 'text', initial: '', screen: 'Sure' },
    ],
  );
  page = opened.page;
});
afterAll(() => opened.close());

const named = (name: string) => opened.named(name);
const told = () => named('told').innerText();
const lines = () => page.locator('[data-name^="lineText["]').allInnerTexts();

it('a form that is not valid is not sent: the first field that is wrong says why and takes the focus', async () => {
  expect(await told()).toMatch(/^not valid, as it was/);
  await named('save').click();
  expect(await page.getByLabel('Guest').evaluate((field) => field === document.activeElement)).toBe(true);
  await page.getByLabel('Guest').fill('Ilka');
  expect(await told()).toMatch(/^not valid, changed/);
  await page.keyboard.press('Enter');
  expect(await page.getByText('Is here already').isVisible()).toBe(true);
  expect(await lines()).toEqual(['Ilka 2']);
});

it('a form that is valid is sent once, by Enter too, and then is as nobody had touched it', async () => {
  await page.getByLabel('Guest').fill('Runa');
  await fillNumber(page.getByLabel('Nights'), '3');
  expect(await told()).toMatch(/^valid, changed/);
  await page.keyboard.press('Enter');
  await expect.poll(lines).toEqual(['Ilka 2', 'Runa 3']);
  await expect.poll(told).toBe('not valid, as it was, full of guests');
  expect(await page.getByLabel('Guest').inputValue()).toBe('');
  expect(await page.getByText('Is here already').isVisible()).toBe(false);
});

it('what is wrong is said while one types, once one pauses, not before, and goes as soon as it is right', async () => {
  const code = page.getByLabel('Code');
  const isSaid = () => page.getByText('Three to six capitals').isVisible();
  await code.focus();
  expect(await isSaid()).toBe(false);
  await page.keyboard.type('AB');
  expect(await isSaid()).toBe(false);
  await expect.poll(isSaid).toBe(true);
  expect(await code.evaluate((input) => input === document.activeElement)).toBe(true);
  await page.keyboard.type('C');
  await expect.poll(isSaid).toBe(false);
  await page.keyboard.type('d');
  await expect.poll(isSaid).toBe(true);
  await page.keyboard.press('Backspace');
  await page.keyboard.type('DEFGH');
  expect(await code.inputValue()).toBe('ABCDEF');
  expect(await isSaid()).toBe(false);
});

it('a dialog opens over the screen with the focus inside, and gives it back', async () => {
  await named('line[1]').press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Sure?' });
  expect(await dialog.getByText('Send Runa home?').isVisible()).toBe(true);
  expect(await dialog.evaluate((element) => element.contains(document.activeElement))).toBe(true);
  await dialog.getByLabel('Why').fill('It snows');
  await page.keyboard.press('Escape');
  await expect.poll(() => dialog.count()).toBe(0);
  expect(await named('line[1]').evaluate((line) => line === document.activeElement)).toBe(true);
  await named('line[1]').click();
  // What only the dialog knows begins anew.
  expect(await dialog.getByLabel('Why').inputValue()).toBe('');
  await dialog.getByRole('button', { name: 'Yes' }).click();
  await expect.poll(lines).toEqual(['Ilka 2']);
  expect(await page.getByRole('status').innerText()).toBe('Gone.');
  expect(await dialog.count()).toBe(0);
});

it('a button inside something that is pressed is pressed alone', async () => {
  await named('ring[0]').click();
  expect(await told()).toMatch(/rung$/);
  await named('ring[0]').press('Enter');
  expect(await page.getByRole('dialog').count()).toBe(0);
});

it('waits, tells of keys, double presses and what comes into sight', async () => {
  await named('late').click();
  expect(await told()).toMatch(/soon$/);
  await expect.poll(told).toMatch(/now$/);
  await page.getByLabel('Keys').press('Control+k');
  await expect.poll(told).toMatch(/Control\+k$/);
  await doublePress(named('print'));
  await expect.poll(told).toMatch(/twice$/);
  await named('end').scrollIntoViewIfNeeded();
  await expect.poll(told).toMatch(/at the end$/);
});

it('calls what the application’s own script has put there', async () => {
  await page.evaluate(() => {
    const shared = window as unknown as { handlers: object; printed: unknown[] };
    shared.printed = [];
    shared.handlers = { print: (count: unknown) => shared.printed.push(count) };
  });
  await named('print').click();
  expect(await page.evaluate(() => (window as unknown as { printed: unknown[] }).printed)).toEqual([1]);
});

it('loops, counts and catches, with the functions and within the budget of the page', async () => {
  await named('loops').click();
  await expect.poll(told).toContain('023a1.....');
  const before = opened.problems.length;
  await named('endless').click();
  await expect.poll(() => opened.problems.slice(before).join()).toContain('too long');
  expect(await told()).not.toContain('caught');
  await named('caught').click();
  await expect.poll(told).toContain('caught: `key` cannot be read');
});
