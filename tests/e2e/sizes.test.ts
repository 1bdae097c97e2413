/** Every size at once: editing for a band, moving and removing bands, and what the checks say. */
import { readFile } from 'node:fs/promises';
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { fact, facts, saved, tree } from './workbench.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const scope = () => page.locator('[data-scope]');
const edit = async (what: string | RegExp) => {
  await scope().click();
  await page.getByRole('menuitem', { name: what }).click();
};
const width = () => page.getByLabel('Width of the working bay', { exact: true });

it('a value that is set for a band holds from there up, says what it is elsewhere, and can be for all', async () => {
  await tree(page, 'counts').click();
  await edit(/^Lap and up/);
  expect(await width().inputValue()).toBe('820');
  await fact(page, 'Gap').fill('40');
  await page.getByText('elsewhere 8').waitFor();
  await edit('All widths');
  await expect.poll(() => fact(page, 'Gap').inputValue()).toBe('8');
  await page.getByText('lap: 40').waitFor();
  await page.getByRole('button', { name: 'Make lap.gap the value for all widths' }).click();
  await expect.poll(() => fact(page, 'Gap').inputValue()).toBe('40');
  expect(await page.getByText('lap: 40').count()).toBe(0);
  await page.keyboard.press('Escape');
  for (let undo = 0; undo < 2; undo++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByText('lap: 16').waitFor();
});

it('a value that is bound for all widths is shown as bound for those of a band, too', async () => {
  await tree(page, 'counts').click();
  await fact(page, 'Padding').fill('{2 + 3}');
  const bound = facts(page).getByRole('img', { name: 'Bound', exact: true });
  await bound.waitFor();
  await edit(/^Lap and up/);
  await tree(page, 'counts').click();
  await bound.waitFor();
  await page.getByText('is 5', { exact: true }).waitFor();
  await fact(page, 'Padding').fill('12');
  await expect.poll(() => bound.count()).toBe(0);
  await edit('All widths');
  for (let undo = 0; undo < 2; undo++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(() => fact(page, 'Padding').inputValue()).toBe('');
});

it('B edits for the band of this width; resizing by hand then leaves other widths alone', async () => {
  await width().fill('1300');
  await page.keyboard.press('Enter');
  await tree(page, 'counts').click();
  await page.keyboard.press('b');
  expect(await scope().getAttribute('data-scope')).toBe('desk');
  await fact(page, 'Padding').fill('9');
  await edit('All changes of the screen …');
  await page.getByRole('row', { name: /padding Desk and up 9/ }).waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Take away desk.padding of counts' }).click();
  expect(await page.getByRole('row', { name: /padding Desk and up 9/ }).count()).toBe(0);
  await page.keyboard.press('Escape');
  await tree(page, 'counts').click();
  await page.keyboard.press('b');
  expect(await scope().getAttribute('data-scope')).toBe('');
});

it('bands are renamed, moved and removed with what hangs on them', async () => {
  await edit('Bands …');
  await page.getByLabel('Name of Lap', { exact: true }).fill('pad');
  await page.keyboard.press('Enter');
  await page.getByLabel('Lap begins at').fill('600');
  await page.keyboard.press('Enter');
  expect(await axeFaults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await tree(page, 'counts').click();
  await page.getByText('pad: 16').waitFor();
  await edit('Bands …');
  await page.getByRole('button', { name: 'Remove Lap' }).click();
  await page.getByRole('combobox').selectOption({ label: 'They go away' });
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await page.keyboard.press('Escape');
  expect(await page.getByText('pad: 16').count()).toBe(0);
  for (let undo = 0; undo < 3; undo++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByText('lap: 16').waitFor();
  // The edge of a band is dragged on the ruler.
  const edge = (await page.locator('[data-band-edge="lap"]').boundingBox())!;
  await page.mouse.move(edge.x + edge.width / 2, edge.y + 10);
  await page.mouse.down();
  await page.mouse.move(edge.x + edge.width / 2 + 30, edge.y + 10, { steps: 4 });
  await page.mouse.up();
  await edit('Bands …');
  expect(Number(await page.getByLabel('Lap begins at').inputValue())).toBeGreaterThan(600);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
});

it('what is wrong at some width is found, shown, mended by a button, or ignored with a reason', async () => {
  await tree(page, 'counts').click();
  await fact(page, 'Min width').fill('700');
  await tree(page, 'greeting').click();
  await page.keyboard.press('c');
  const drawer = page.getByRole('tabpanel', { name: 'checks' });
  const row = drawer.getByRole('listitem').filter({ hasText: 'counts reaches up to' }).first();
  await row.waitFor();
  expect(await axeFaults(page)).toEqual([]);
  await row.getByTitle('Select it, at a width where it happens').click();
  expect(Number(await width().inputValue())).toBeLessThan(840);
  await row.getByRole('button', { name: 'Ignore with a reason' }).click();
  await page.getByLabel('Why it is as it should be').fill('only shown on the wall');
  await page.keyboard.press('Enter');
  await drawer.getByText('only shown on the wall').waitFor();
  await drawer.getByRole('button', { name: 'Check again' }).click();
  await row.waitFor();
  await row.getByRole('button', { name: 'Take the least width from counts' }).click();
  await row.waitFor({ state: 'detached' });
  await saved(page);
});

it('outlines show what a control is made of; words are replaced on all screens by one undo', async () => {
  await tree(page, 'counts').click();
  await page.keyboard.press('o');
  expect(await page.locator('[data-anatomy="gap"]').count()).toBeGreaterThan(0);
  await page.keyboard.press('o');
  await page.keyboard.press('o');
  expect(await page.locator('[data-anatomy]').count()).toBe(0);
  await page.keyboard.press('Control+Shift+F');
  await page.getByLabel('Find', { exact: true }).fill('Free bunks');
  await page.getByLabel('Put instead').fill('Empty bunks');
  await page.getByRole('button', { name: 'Replace', exact: true }).click();
  await page.locator('[data-bay="working"]').getByText('Empty bunks').first().waitFor();
  await page.keyboard.press('Control+z');
  await page.locator('[data-bay="working"]').getByText('Free bunks').first().waitFor();
});

it('what is locked does not move, and what is hidden can be seen faintly', async () => {
  await tree(page, 'ridge').click();
  await page.keyboard.press('Shift+X');
  await page.keyboard.press('Alt+ArrowDown');
  await page.getByRole('treeitem', { name: 'ridge', exact: true }).getByLabel('Locked').waitFor();
  const order = await page.getByRole('treeitem').allTextContents();
  expect(order.findIndex((words) => words.includes('ridge'))).toBeLessThan(
    order.findIndex((words) => words.includes('page')),
  );
  await page.keyboard.press('h');
  await page.keyboard.press('Shift+H');
  await page.locator('[data-hidden-one]').first().waitFor({ state: 'attached' });
  for (let undo = 0; undo < 2; undo++) await page.keyboard.press('Control+z');
});

it('panels are as large as they were left, by hand and by keys', async () => {
  const edge = (name: string) => page.getByRole('separator', { name });
  const size = async (name: string) => Number(await edge(name).getAttribute('aria-valuenow'));
  const drag = async (name: string, by: number) => {
    const { x, y, width: wide, height } = (await edge(name).boundingBox())!;
    await page.mouse.move(x + wide / 2, y + height / 2);
    await page.mouse.down();
    await page.mouse.move(x + wide / 2 + by, y + height / 2, { steps: 3 });
    await page.mouse.up();
  };
  const [tree0, facts0] = [await size('Width of screens and controls'), await size('Width of Facts')];
  await drag('Width of screens and controls', 50);
  await edge('Width of Facts').press('ArrowLeft');
  await page.reload();
  await tree(page, 'counts').waitFor();
  expect(await size('Width of screens and controls')).toBe(tree0 + 50);
  expect(await size('Width of Facts')).toBe(facts0 + 16);
  // Not so large that nothing of the bench is left.
  await drag('Width of screens and controls', 1000);
  await drag('Width of Facts', -1000);
  expect((await width().boundingBox())!.width).toBeGreaterThan(40);
  expect((await page.locator('[data-bay="working"]').boundingBox())!.width).toBeGreaterThan(60);
  for (const name of ['Width of screens and controls', 'Width of Facts']) await edge(name).dblclick();
  expect(await size('Width of screens and controls')).toBe(tree0);
  // Dragged far in, a column is put away, and stays so; pressed, its edge brings it back.
  await drag('Width of screens and controls', -300);
  await page.getByRole('tree').waitFor({ state: 'detached' });
  await page.reload();
  await page.getByRole('button', { name: 'Show screens and controls' }).click();
  await page.getByRole('tree').waitFor();
});

it('the work has the room: the bench, twenty lines of the tree, a phone as large with the drawer open', async () => {
  const bench = page.getByRole('region', { name: 'Bench' });
  const working = page.locator('[data-bay="working"]');
  const part = async () => {
    const { width: wide, height } = (await bench.boundingBox())!;
    return (wide * height) / (1280 * 800);
  };
  expect(await part()).toBeGreaterThanOrEqual(0.45);
  const tree20 = (await page.getByRole('tree').boundingBox())!;
  expect(tree20.height).toBeGreaterThanOrEqual(20 * 28);
  const phone = (await working.boundingBox())!;
  expect(phone.width).toBeGreaterThanOrEqual(0.85 * 390);
  await page.keyboard.press('c');
  await page.getByRole('tabpanel', { name: 'checks' }).waitFor();
  expect(await working.boundingBox()).toMatchObject({ width: phone.width });
  await page.keyboard.press('c');
  // Other sizes can be read, leave out the one that is worked on, and go away by a key.
  const bays = () =>
    page.locator('[data-bay]').evaluateAll((all) => all.map((each) => each.getAttribute('data-bay')));
  expect(await bays()).toEqual(['working', 'Lap', 'Desk']);
  const lap = (await page.locator('[data-bay="Lap"]').boundingBox())!;
  expect(lap.width).toBeGreaterThanOrEqual(0.35 * 820);
  await page.getByLabel('Width of the working bay').fill('820');
  await page.getByLabel('Height of the working bay').fill('1180');
  await page.getByLabel('Height of the working bay').press('Enter');
  await page.getByRole('heading', { name: 'On Tonight' }).click();
  await expect.poll(bays).toEqual(['working', 'Desk']);
  await page.locator('body').press('z');
  await expect.poll(bays).toEqual(['working']);
  await page.locator('body').press('z');
  await page.locator('body').press('[');
  await page.locator('body').press(']');
  await page.getByRole('complementary', { name: 'Facts' }).waitFor({ state: 'detached' });
  await page.getByRole('tree').waitFor({ state: 'detached' });
  expect(await part()).toBeGreaterThanOrEqual(0.8);
  await page.locator('body').press('[');
  await page.locator('body').press(']');
  await page.getByRole('tree').waitFor();
  await page.reload();
  // Small windows, and others at 200 %: the bench has all of it until a column is asked for.
  await page.setViewportSize({ width: 640, height: 400 });
  await page.getByRole('tree').waitFor({ state: 'detached' });
  expect((await bench.boundingBox())!.width).toBeGreaterThanOrEqual(500);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('tree').waitFor();
});

it('the working bay is saved as a picture with its fonts and pictures in it', async () => {
  for (const [entry, name, begins] of [
    ['PNG of the window', /^Tonight-\d+x\d+\.png$/, '\x89PNG'],
    ['SVG of the whole screen', /^Tonight-\d+x\d+\.svg$/, '<svg '],
  ] as const) {
    const coming = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as a picture' }).click();
    await page.getByRole('menuitem', { name: entry }).click();
    const file = await coming;
    expect(file.suggestedFilename()).toMatch(name);
    const bytes = await readFile((await file.path())!);
    expect(bytes.toString('latin1').startsWith(begins)).toBe(true);
    if (entry.startsWith('SVG'))
      expect(bytes.toString('utf8')).toMatch(/font\/woff2;base64,.*data:image\/svg/s);
  }
});

it('a picture is laid under the working bay to build after, and how far one is off is told', async () => {
  await width().fill('390');
  await page.keyboard.press('Enter');
  await tree(page, 'counts').click();
  // The screen itself, as a picture of twice the size.
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a picture' }).click();
  await page.getByRole('menuitem', { name: 'PNG of the window' }).click();
  const mock = (await (await coming).path())!;
  await page.keyboard.press('j');
  const strip = page.getByRole('region', { name: 'Tracing' });
  await strip.getByLabel('Picture to trace').setInputFiles({
    name: 'mock.png',
    mimeType: 'image/png',
    buffer: await readFile(mock),
  });
  await page.locator('[data-traced="under"]').waitFor();
  await strip.getByText(/^0\.\d % differ$/).waitFor();
  await strip.getByText('Difference', { exact: true }).click();
  await page.locator('[data-traced="difference"]').waitFor();
  await strip.getByLabel('Y').fill('40');
  await strip.getByText(/^[1-9]\d*\.\d % differ$/).waitFor();
  expect(await axeFaults(page)).toEqual([]);
  // It is kept for this screen and band.
  await page.reload();
  await page.locator('[data-bay="Desk"] img').first().waitFor();
  await page.keyboard.press('j');
  await page.locator('[data-traced="difference"]').waitFor();
  await page.getByRole('button', { name: 'Take away', exact: true }).click();
  await page.locator('[data-traced]').waitFor({ state: 'detached' });
  await page.keyboard.press('j');
});
