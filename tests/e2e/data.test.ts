/** State at work: variables of all types, some that follow others, what events do, and the trace of it. */
import type { FrameLocator, Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { fact, facts, pressScaled, saved, tree } from './workbench.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const desk = (): FrameLocator => page.frameLocator('iframe[title^="Desk,"]');
const press = async (name: string | RegExp) =>
  pressScaled(
    page,
    page.locator('iframe[title^="Desk,"]'),
    desk().getByRole('button', { name, exact: typeof name === 'string' }),
  );

it('a variable holds a list, another follows it; what is no JSON or no name yet says so and loses nothing', async () => {
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Add a variable' }).click();
  await page.keyboard.type('ropesOut');
  await page.keyboard.press('Enter');
  await page.getByLabel('Type of ropesOut').selectOption('list');
  const start = page.getByLabel('Start of ropesOut');
  await start.fill('[{ "length": 40 }, { "length": 60 }');
  await page.getByText('This is not JSON yet').waitFor();
  await start.fill('[{ "length": 40 }, { "length": 60 }]');
  expect(await page.getByText('This is not JSON yet').count()).toBe(0);
  await page.getByLabel('Type of price').waitFor();
  await page.getByRole('button', { name: 'Add a variable' }).click();
  await page.keyboard.type('ropeMetres');
  await page.keyboard.press('Enter');
  await page.getByLabel('Type of ropeMetres').selectOption('number');
  await page.getByLabel('How ropeMetres gets its value').selectOption('follows');
  const expression = page.getByLabel('Expression of ropeMetres');
  await expression.fill('ropeOut.length');
  await page.getByText('There is no state variable `ropeOut`. Did you mean `ropesOut`?').waitFor();
  await expression.fill('ropesOut.reduce((sum, rope) => sum + rope.length, 0)');
  await page.getByText('is 100 at the start').waitFor();
  expect(await axeFaults(page)).toEqual([]);
  // A new name goes into what follows it.
  await page.getByLabel('Name of ropesOut').fill('ropes60');
  await page.keyboard.press('Enter');
  await expect.poll(() => expression.inputValue()).toContain('ropes60.reduce');
  await saved(page);
  for (const name of ['ropes60', 'ropeMetres'])
    await page.getByRole('button', { name: `Delete ${name}`, exact: true }).click();
  await saved(page);
});

it('events offer what they can do, and say what they cannot', async () => {
  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByRole('button', { name: 'Arrivals', exact: true }).first().click();
  await tree(page, 'checkIn').click();
  const field = fact(page, 'On press');
  await facts(page).getByRole('button', { name: 'Add what On press does' }).click();
  await page.getByRole('menuitem', { name: /^message/ }).click();
  await expect.poll(() => field.inputValue()).toBe('go("CheckIn"); message("")');
  await field.fill('expected = 3');
  await page.getByText('`expected` follows other values').waitFor();
  await field.fill('message("Who is it?"); go("CheckIn")');
  await tree(page, 'search').click();
  await facts(page).getByRole('button', { name: 'On each input' }).click();
  await fact(page, 'On each input').fill('chosenName = found.length > 0 ? found[0].name : ""');
  await saved(page);
});

it('an evening: a party is found, opened, checked in; the trace says what each event did', async () => {
  await page.getByRole('button', { name: 'Try' }).click();
  await desk().getByLabel('Find a party').waitFor();
  await page.getByRole('button', { name: 'Trace' }).click();
  await page.getByText('Nothing has happened yet').waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await desk().getByLabel('Find a party').fill('ridge');
  // What follows a list is the same in all sizes.
  await expect
    .poll(() =>
      page.frameLocator('iframe[title^="Hand,"]').locator('[data-name$=".whoName"]').allTextContents(),
    )
    .toEqual(['Ridge section, spring course']);
  await expect.poll(() => desk().locator('[data-name="detailName"]').innerText()).toContain('Ridge');
  await press('Check this party in');
  await desk().getByLabel('Name of the guest who booked').waitFor();
  await press('Check in');
  await desk()
    .getByRole('status')
    .filter({ hasText: 'Ridge section, spring course is checked in' })
    .waitFor();
  await expect
    .poll(() => desk().locator('[data-name="summary"]').innerText())
    .toBe('10 guests in 4 parties still on the way.');
  const log = page.getByRole('log');
  const entry = (name: string) => log.getByRole('listitem').filter({ hasText: name }).first();
  expect(await entry('form submit').innerText()).toMatch(/guestName: "Ridge section, spring course" → ""/);
  expect(await entry('form submit').innerText()).toContain('go("Arrivals")');
  expect(await entry('search entered').innerText()).toMatch(/wanted: .* → "ridge"/);
  // The trace is stepped through, with the variables' values at each step.
  await page.getByRole('button', { name: 'Step through form submit' }).first().click();
  const steps = page.getByRole('listbox', { name: 'Steps' });
  const now = () => steps.getByRole('option', { selected: true }).innerText();
  expect(await now()).toContain('taken becomes');
  await page.getByLabel('After step 1').getByText('"Ridge section, spring course"').waitFor();
  await steps.focus();
  while (!(await now()).includes('guestName becomes')) await page.keyboard.press('ArrowDown');
  await page
    .getByLabel(/After step/)
    .getByText('""', { exact: true })
    .first()
    .waitFor();
  expect(await axeFaults(page)).toEqual([]);
  // A problem is in the trace, too; the rest goes on.
  await page.getByRole('button', { name: 'Clear' }).click();
  await page.getByText('Nothing has happened yet').waitFor();
  await desk().getByLabel('Find a party').fill('q');
  await entry('search entered').getByRole('button', { name: 'search', exact: true }).click();
  await expect.poll(() => facts(page).getByLabel('Name').first().inputValue()).toBe('search');
});

it('a list is a table: typed, pasted, ruled, taken from a file as a whole or not at all', async () => {
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Edit as a table' }).first().click();
  const grid = page.getByRole('grid', { name: 'Rows of bookings' });
  const texts = (row: number) => grid.getByRole('row').nth(row).getByRole('gridcell').allTextContents();
  expect(await texts(1)).toEqual(['Ilka Sorrel', 'Half board, one without meat', '17:10', '4', 'Late']);
  // By keys alone: to the number of people, another one, and on to a new row.
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowRight', 'Control+End', 'ArrowLeft'])
    await page.keyboard.press(key);
  await page.keyboard.type('five');
  await page.keyboard.press('Enter');
  await page.getByText('1 cell is not right').waitFor();
  await page.keyboard.press('ArrowUp');
  await page.getByText('“five” is no number.').waitFor();
  await page.keyboard.type('5');
  await page.keyboard.press('Escape');
  await grid.waitFor();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('5');
  await page.keyboard.press('Tab');
  expect(await texts(5)).toEqual([
    'Fenna Quill with children',
    'Bottom bunks, cot if there is one',
    '20:15',
    '5',
    'Called',
  ]);
  expect(await axeFaults(page)).toEqual([]);
  // Two rows as a spreadsheet has them.
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Home');
  await grid.evaluate((element) => {
    const data = new DataTransfer();
    data.setData(
      'text/plain',
      'Noor Halvard\tStays two nights\t18:00\t2\tCalled\nEben Strand\t\t21:30\t1\tLate\n',
    );
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  });
  await page.getByText('7 rows', { exact: true }).waitFor();
  expect(await texts(7)).toEqual(['Eben Strand', '', '21:30', '1', 'Late']);
  // A rule for a column, and a file that breaks it.
  await grid.getByRole('button', { name: /^name/ }).click();
  await page.getByRole('checkbox', { name: 'Different in each row' }).check();
  await page.getByRole('dialog', { name: 'Column name' }).getByRole('button', { name: 'Close' }).click();
  // What refers to another list has one of its values.
  await grid.getByRole('button', { name: /^state/ }).click();
  const column = page.getByRole('dialog', { name: 'Column state' });
  await column.getByLabel('Refers to').selectOption({ label: 'dish of dishes' });
  await page.getByText('7 cells are not right').waitFor();
  await column.getByLabel('Refers to').selectOption({ label: 'no other list' });
  await column.getByRole('button', { name: 'Close' }).click();
  await expect.poll(() => page.getByText(/cells? (is|are) not right/).count()).toBe(0);
  const file = (text: string) =>
    page
      .getByLabel('A file with rows')
      .setInputFiles({ name: 'evening.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await file('name;people\nAda Brenn;3\nAda Brenn;many\n');
  const coming = page.getByRole('dialog', { name: 'Rows from evening.csv' });
  await coming.getByText('2 rows in the file; the table has 7 rows.').waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await coming.getByRole('button', { name: 'Take the rows' }).click();
  // All that is wrong is told in one round: with the file, and with the rows there.
  await coming.getByText('1 row is not right; nothing was taken.').waitFor();
  await coming.getByText(/^Line 3: people: “many” is no number\./).waitFor();
  const back = page.waitForEvent('download');
  await coming.getByRole('button', { name: 'Save the others as a file' }).click();
  expect((await back).suggestedFilename()).toBe('not right in evening.csv');
  await coming.getByRole('button', { name: 'Take the 1 row that is right' }).click();
  await page.getByText('8 rows', { exact: true }).waitFor();
  await grid.focus();
  await page.keyboard.press('Control+z');
  await page.getByText('7 rows', { exact: true }).waitFor();
  await file('name;people\nAda Brenn;3\nJoss Ferrin;2\n');
  await coming.getByLabel('Instead of all 7 rows').check();
  await coming.getByRole('button', { name: 'Take the rows' }).click();
  await page.getByText('2 rows', { exact: true }).waitFor();
  expect((await texts(1)).filter(Boolean)).toEqual(['Ada Brenn', '3']);
  await grid.focus();
  await page.keyboard.press('Control+z');
  await page.getByText('7 rows', { exact: true }).waitFor();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('menuitem', { name: 'as CSV' }).click();
  expect((await download).suggestedFilename()).toBe('bookings.csv');
  await page.keyboard.press('Escape');
  await saved(page);
});

it('a form and a list are made of a table, one from a schema; what is saved in one is in the other', async () => {
  const make = async (what: string) => {
    await page.getByRole('link', { name: 'Data' }).click();
    await page.getByRole('button', { name: 'Make of bookings' }).click();
    await page.getByRole('menuitem', { name: what }).click();
  };
  await make('A list to find things in');
  await tree(page, 'rows').waitFor();
  await make('A form that adds to it');
  await tree(page, 'peopleField').waitFor();
  // One undo takes the screen and its variables away again, one redo brings them back.
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await tree(page, 'peopleField').waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await page.getByRole('button', { name: 'BookingsForm', exact: true }).first().click();
  await tree(page, 'form').click();
  const event = fact(page, 'On submit');
  await event.fill(`${await event.inputValue()}; go("BookingsList")`);
  await saved(page);
  await page.getByRole('button', { name: 'Try' }).click();
  await desk().getByLabel('Name', { exact: true }).fill('Mara Teal');
  await desk().getByLabel('People').fill('3');
  await press('Save');
  await expect.poll(() => desk().locator('[data-name^="first["]').allTextContents()).toContain('Mara Teal');
  await desk().getByLabel('Find').fill('teal');
  await expect.poll(() => desk().locator('[data-name^="first["]').allTextContents()).toEqual(['Mara Teal']);
  await desk().getByLabel('Find').fill('nobody at all');
  await desk().getByText('There is nothing here.').waitFor();
  await page.getByRole('button', { name: 'Build' }).click();
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Form from a schema' }).click();
  const schema = page.getByLabel('Schema', { exact: true });
  await schema.fill('{ "properties": 1 }');
  await page.getByText('A schema of an object is expected').waitFor();
  await schema.fill(
    '{ "title": "Gear for hire", "required": ["item"], "properties": { "item": { "type": "string" }, "out": { "type": "boolean" } } }',
  );
  await page.getByText('Item (required), Out').waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Make the form' }).click();
  await tree(page, 'outField').waitFor();
  await saved(page);
});

it('a binding is completed by keys from what can be read there, and says what it gives', async () => {
  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByRole('tab', { name: 'Components', exact: true }).click();
  await page
    .getByRole('button', { name: /^PartyRow/ })
    .first()
    .click();
  await tree(page, 'whoNote').click();
  const text = fact(page, 'Text');
  await text.fill('At {party.time}, ');
  await page.keyboard.type('{pa');
  const list = page.getByRole('listbox', { name: 'What can be read here' });
  await list.getByRole('option', { name: /^party a record/ }).waitFor();
  await page.keyboard.press('Enter');
  await page.keyboard.type('.pe');
  await list.getByRole('option', { name: 'people 4' }).waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Tab');
  await page.keyboard.type('} people');
  await page.getByText('is “At 17:10, 4 people”').waitFor();
  expect(await list.count()).toBe(0);
  await expect
    .poll(() => page.locator('[data-bay="working"]').getByText('At 17:10, 4 people', { exact: true }).count())
    .toBe(1);
  // Escape closes the list and leaves what was typed.
  await page.keyboard.type(' {fr');
  await list.waitFor();
  await page.keyboard.press('Escape');
  await list.waitFor({ state: 'detached' });
  expect(await text.inputValue()).toBe('At {party.time}, {party.people} people {fr');
  await text.fill('{party.time}');
  await saved(page);
});

it('the application is tried with no rows, with one, with many; the bench shows the same', async () => {
  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByRole('tab', { name: 'Screens', exact: true }).click();
  await page.getByRole('button', { name: 'Arrivals', exact: true }).first().click();
  const bay = page.locator('[data-bay="working"]');
  const see = async (what: string) => {
    await page.getByRole('button', { name: 'What is seen' }).click();
    await page.getByRole('menuitem', { name: what }).click();
  };
  await see('No rows');
  await bay.getByText('No party like that is expected.').waitFor();
  await bay.getByText('Everybody is in.').first().waitFor();
  await see('Many rows');
  await bay.getByText(/ 100$/).first().waitFor({ state: 'attached' });
  await see('Rows as they are');
  await bay.getByText('No party like that is expected.').waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'Try' }).click();
  const rows = page.getByLabel('Rows of tables');
  const summary = () => desk().locator('[data-name="summary"]').innerText();
  await rows.selectOption({ label: 'One row' });
  await expect.poll(summary).toMatch(/in 1 party still on the way/);
  await rows.selectOption({ label: 'No rows' });
  await expect.poll(summary).toBe('Everybody is in.');
  await expect
    .poll(() => desk().getByRole('button', { name: 'Check this party in' }).isDisabled())
    .toBe(true);
  await rows.selectOption({ label: 'Many rows (1000)' });
  await expect.poll(summary).toMatch(/in 1,000 parties still on the way/);
  await desk().getByLabel('Find a party').fill(' 999');
  await expect.poll(() => desk().locator('[data-name$=".whoName"]').count()).toBe(1);
  await rows.selectOption({ label: 'Rows as they are' });
  await expect.poll(summary).not.toMatch(/1,000/);
  await page.getByRole('button', { name: 'Build' }).click();
});
