/** What the bench itself does: sizes, pictures, marks, values that are sent back, running at other sizes. */
import { join } from 'node:path';
import { workspace } from '@hovrin/files';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { addByKeys, fact, facts, saved, tree, Workbench } from './workbench.ts';

let bench: Workbench;
let page: Page;
beforeAll(async () => {
  bench = await Workbench.start();
  page = await bench.window();
  await bench.newProject(page, 'Bench');
});
afterAll(() => bench.stop());

it('the working bay takes its size by typing, by dragging, and from a side bay', async () => {
  const width = page.getByLabel('Width of the working bay');
  await width.fill('300');
  await expect
    .poll(() =>
      page
        .locator('[data-bay="working"] > div')
        .first()
        .evaluate((element) => (element as HTMLElement).style.width),
    )
    .toBe('300px');
  const edge = (await page.locator('[data-edge="width"]').boundingBox())!;
  await page.mouse.move(edge.x + 6, edge.y + edge.height / 2);
  await page.mouse.down();
  await page.mouse.move(edge.x + 46, edge.y + edge.height / 2, { steps: 4 });
  await page.mouse.up();
  expect(Number(await width.inputValue())).toBeGreaterThan(330);
  await width.fill('7');
  expect(await width.getAttribute('aria-invalid')).toBe('true');
  await page.getByRole('button', { name: 'Work at Desk' }).click();
  expect(await width.inputValue()).toBe('1280');
  expect(await page.getByRole('button', { name: 'Work at Hand' }).count()).toBe(1);
});

it('a picture is brought in from the computer and shown', async () => {
  await page.getByRole('button', { name: 'Screen1', exact: true }).first().click();
  await addByKeys(page, 'picture', 'ridge');
  await facts(page)
    .getByLabel('Picture file')
    .setInputFiles(join(workspace, 'demo/velmora-hut/assets/ridge.svg'));
  await page.locator('[data-bay="working"] img').waitFor();
  await expect.poll(() => fact(page, 'Picture').inputValue()).toBe('ridge.svg');
  await facts(page)
    .getByLabel('Picture file')
    .setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await page.getByText('notes.png is not a picture that can be shown.').waitFor();
});

it('a number steps by keys and by dragging its label, and is sent back to its default', async () => {
  const width = fact(page, 'Width');
  await width.fill('200');
  await width.press('ArrowUp');
  await width.press('Shift+ArrowDown');
  expect(await width.inputValue()).toBe('191');
  // As when its edge is dragged: to whole steps, freely with Alt, within its limits, from the size that it has.
  const dragLabel = async (by: number) => {
    const label = (await facts(page).getByText('Width', { exact: true }).boundingBox())!;
    await page.mouse.move(label.x + 10, label.y + 8);
    await page.mouse.down();
    await page.mouse.move(label.x + 10 + by, label.y + 8, { steps: 5 });
    await page.mouse.up();
    return width.inputValue();
  };
  expect(await dragLabel(30)).toBe('220');
  await page.keyboard.down('Alt');
  expect(await dragLabel(-7)).toBe('213');
  await page.keyboard.up('Alt');
  await fact(page, 'Max width').fill('240');
  expect(await dragLabel(90)).toBe('240');
  await fact(page, 'Max width').fill('');
  // What was dragged was not pressed: keys go to the bench.
  expect(await width.evaluate((field) => field === document.activeElement)).toBe(false);
  await facts(page).getByRole('button', { name: 'Send Width back to its default' }).click();
  expect(await width.inputValue()).toBe('');
  await width.fill('wide');
  await page.getByText('`wide` is not a number, `fit`, `share`, `share N` or a percentage.').waitFor();
  expect(await tree(page, 'ridge').getByRole('img', { name: 'Has a value that is not valid' }).count()).toBe(
    1,
  );
  await width.fill('50%');
});

it('Enter goes to the words of a control in Facts, two presses to them where they stand; Escape gives the keys back', async () => {
  await page.getByRole('treeitem', { name: 'Screen1', exact: true }).click();
  await addByKeys(page, 'heading', 'evening');
  const text = fact(page, 'Text');
  const isTyped = () => text.evaluate((field) => field === document.activeElement);
  await page.keyboard.press('Enter');
  await expect.poll(isTyped).toBe(true);
  await page.keyboard.type('Who sleeps here');
  await page.keyboard.press('Escape');
  await expect.poll(isTyped).toBe(false);
  const words = page.locator('[data-bay="working"]').getByText('Who sleeps here', { exact: true });
  await words.waitFor();
  // Keys are the bench's again; where a button has them, Enter presses that.
  await page.keyboard.press('w');
  const why = page.getByRole('tab', { name: 'Why' });
  await page.getByRole('tabpanel', { name: 'Why' }).waitFor();
  await page.getByRole('tab', { name: 'Sweep' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('tabpanel', { name: 'Sweep' }).waitFor();
  expect(await isTyped()).toBe(false);
  await why.click();
  await page.getByRole('button', { name: 'Close the drawer' }).click();
  await tree(page, 'ridge').click();
  const box = (await words.boundingBox())!;
  await page.mouse.dblclick(box.x + 8, box.y + box.height / 2);
  const inPlace = page.locator('[data-words="text"]');
  await inPlace.waitFor();
  await page.keyboard.type('Tonight');
  await page.keyboard.press('Escape');
  await inPlace.waitFor({ state: 'detached' });
  await words.waitFor();
  await page.mouse.dblclick(box.x + 8, box.y + box.height / 2);
  await inPlace.waitFor();
  await page.keyboard.type('Tonight');
  await page.keyboard.press('Enter');
  await page.locator('[data-bay="working"]').getByText('Tonight', { exact: true }).waitFor();
});

it('an input is given a variable of its own in one change', async () => {
  await page.getByRole('treeitem', { name: 'Screen1', exact: true }).click();
  await addByKeys(page, 'yes no', 'ropes');
  await fact(page, 'Checked kept in').selectOption({ label: 'a new variable' });
  await expect.poll(() => fact(page, 'Checked kept in').inputValue()).toBe('ropes');
  // A yes or no can follow an expression too.
  await tree(page, 'ridge').click();
  await facts(page).getByRole('button', { name: 'Bind Hidden to an expression' }).click();
  await page.keyboard.type('{!ropes}');
  await page.locator('[data-bay="working"] img').waitFor({ state: 'detached' });
  await facts(page).getByRole('button', { name: 'Send Hidden back to its default' }).click();
  await page.locator('[data-bay="working"] img').waitFor();
  await page.getByRole('link', { name: 'Data' }).click();
  expect(await page.getByLabel('Type of ropes').inputValue()).toBe('boolean');
  for (let count = 0; count < 3; count++) await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByText('There are no state variables yet.').waitFor();
  await page.getByRole('link', { name: 'Build' }).click();
});

it('a deleted variable marks what still names it, and undo mends it', async () => {
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Add a variable' }).click();
  await page.getByLabel('Name of value1').fill('late');
  await page.keyboard.press('Enter');
  await page.getByLabel('Type of late').selectOption('boolean');
  await page.getByRole('link', { name: 'Build' }).click();
  await tree(page, 'ridge').click();
  await fact(page, 'Description').fill('{late ? "Night" : "Ridge"}');
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Delete late' }).click();
  await page.getByText('1 property still names late').waitFor();
  await page.getByRole('link', { name: 'Build' }).click();
  await tree(page, 'ridge').click();
  await page.getByText('There is no state variable `late`.').waitFor();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByText('There is no state variable `late`.').waitFor({ state: 'detached' });
  await saved(page);
  expect(bench.problems).toEqual([]);
});
