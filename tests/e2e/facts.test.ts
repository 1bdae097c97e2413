/** Facts as one finds it at first: what matters, a pad, a drawing of room, every property found by any word; words in place. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { sourceText, writeSource } from './source-drawer.ts';
import { fact, facts, saved, tree, Workbench } from './workbench.ts';

let bench: Workbench;
let page: Page;
beforeAll(async () => {
  bench = await Workbench.start();
  page = await bench.window();
  await bench.newProject(page, 'Facts');
  await page.keyboard.press('x');
  await writeSource(
    page,
    '<screen name="Screen1" padding="20"><row name="line" width="300" height="120" gap="8"><text name="one" text="Soup, {1 + 2} bowls"/><text name="two" text="Bread"/></row><radioGroup name="supper" label="Supper" options="six: At six | At seven"/></screen>',
  );
  await saved(page);
  await tree(page, 'line').click();
});
afterAll(async () => {
  await bench.stop();
  expect(bench.problems).toEqual([]);
});

const text = () => sourceText(page);
/** The middle of some words on the bench: a layer above them takes the pointer. */
async function press(words: RegExp | string, how: 'once' | 'twice' = 'once', hold = ''): Promise<void> {
  const at = (await page.locator('[data-bay="working"]').getByText(words).boundingBox())!;
  if (hold) await page.keyboard.down(hold);
  await page.mouse.click(at.x + at.width / 2, at.y + at.height / 2, { clickCount: how === 'twice' ? 2 : 1 });
  if (hold) await page.keyboard.up(hold);
}
const undo = () => page.locator('body').press('Control+z');

it('only what matters is shown until the rest is asked for; that is kept', async () => {
  await bench.showAtHand(page);
  expect(await facts(page).getByLabel('Rotate', { exact: true }).count()).toBe(0);
  const panel = facts(page).locator('fieldset').first();
  const size = await facts(page)
    .locator('> div')
    .last()
    .evaluate((element) => [element.scrollHeight, element.clientHeight]);
  expect(size[0]! / size[1]!).toBeLessThan(1.4);
  await panel.getByRole('button', { name: /more properties$/ }).click();
  await fact(page, 'Rotate').waitFor();
  await bench.showAtHand(page);
  expect(await axeFaults(page)).toEqual([]);
});

it('slash finds a property by any word, shows what it does, and Enter goes to its field', async () => {
  await page.keyboard.press('/');
  const find = page.getByRole('combobox', { name: 'Find a property' });
  await find.waitFor();
  await page.keyboard.type('turn it');
  await page.keyboard.press('Escape');
  await find.waitFor({ state: 'detached' });
  await page.locator('body').press('/');
  await page.keyboard.type('rounded');
  await page.getByRole('option', { name: /How round the corners are/ }).waitFor();
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.activeElement?.closest('[data-property="corner"]'));
  await page.keyboard.type('12');
  await page.keyboard.press('Enter');
  await expect.poll(text).toContain('corner="12"');
  await undo();
});

it('the pad shows on the bench what a press would do, names what it sets, and sets it in one undo', async () => {
  const pad = page.getByRole('toolbar', { name: 'Where children stand' });
  const at = async () => (await page.locator('[data-bay="working"]').getByText('Bread').boundingBox())!.x;
  const before = await at();
  await pad.getByRole('button', { name: 'end across, centre down' }).hover();
  await expect.poll(at).toBeGreaterThan(before + 20);
  await facts(page).getByText('justify of line: end, align of line: center').waitFor();
  expect(await text()).not.toContain('justify');
  await pad.getByRole('button', { name: 'end across, centre down' }).click();
  await expect.poll(text).toContain('align="center" justify="end"');
  await facts(page).getByRole('button', { name: 'between' }).click();
  await expect.poll(text).toContain('justify="between"');
  await undo();
  await undo();
  await expect.poll(text).not.toContain('align=');
  // By keys: one stop of Tab, arrows go from place to place.
  await pad.getByRole('button').first().focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect.poll(text).toContain('align="center" justify="center"');
  await undo();
});

it('the direction is chosen by signs; room is typed where it stands', async () => {
  await facts(page).getByRole('button', { name: 'column', exact: true }).click();
  await expect.poll(text).toContain('like="column"');
  await undo();
  await facts(page).getByLabel('Padding left').click();
  await page.keyboard.type('14');
  await page.keyboard.press('Enter');
  await expect.poll(text).toContain('padding="0 0 0 14"');
  await facts(page).getByLabel('Padding top').focus();
  await page.keyboard.press('Shift+ArrowUp');
  await expect.poll(text).toContain('padding="10 0 0 14"');
  await undo();
  await undo();
});

it('a field with words opens them by Alt and Down; the beginning of a word is no error', async () => {
  await page.keyboard.press('/');
  await page.keyboard.type('height');
  await page.keyboard.press('Escape');
  const height = facts(page).getByRole('combobox', { name: 'Height', exact: true });
  await height.click();
  await page.keyboard.press('Alt+ArrowDown');
  const list = page.getByRole('listbox', { name: 'Words' });
  await list.getByRole('option', { name: 'share', exact: true }).waitFor();
  await page.keyboard.press('Escape');
  await list.waitFor({ state: 'detached' });
  await height.fill('');
  await page.keyboard.type('sh');
  expect(await height.getAttribute('aria-invalid')).toBe('false');
  await page.keyboard.press('Tab');
  await expect.poll(text).toMatch(/name="line" width="300" height="share"/);
  await undo();
});

it('two presses on words edit them where they stand; expressions are chips, entries too are words', async () => {
  await press(/^Soup/, 'twice');
  const words = page.locator('[data-words]');
  await words.waitFor();
  expect(await words.locator('[data-expression="{1 + 2}"]').innerText()).toBe('1 + 2');
  await page.keyboard.press('Home');
  await page.keyboard.type('Hot ');
  // Every size shows it while it is typed.
  await expect.poll(text).toContain('text="Hot Soup, {1 + 2} bowls"');
  await page.keyboard.press('Escape');
  await expect.poll(text).toContain('text="Soup, {1 + 2} bowls"');
  await press('At seven', 'twice');
  await words.waitFor();
  await page.keyboard.type('At eight');
  await page.keyboard.press('Enter');
  await expect.poll(text).toContain('options="six: At six | At eight"');
  await undo();
  await expect.poll(text).toContain('At seven');
});

it('one press selects the innermost control; with Ctrl it climbs, as Escape does', async () => {
  const selected = () => page.getByRole('treeitem', { selected: true }).getAttribute('aria-label');
  await press('Bread');
  await expect.poll(selected).toBe('two');
  await press('Bread', 'once', 'Control');
  await expect.poll(selected).toBe('line');
  await press('Bread');
  await page.keyboard.press('Escape');
  await expect.poll(selected).toBe('line');
});

it('what is not valid yet is not lost in place; for several controls no property is looked for', async () => {
  await tree(page, 'two').click();
  await fact(page, 'Text').fill('Bread {gue');
  await page.keyboard.press('Tab');
  await press('Bread', 'twice');
  const words = page.locator('[data-words]');
  await words.waitFor();
  expect(await words.innerText()).toBe('Bread {gue');
  await page.keyboard.press('Escape');
  await tree(page, 'one').click();
  await tree(page, 'two').click({ modifiers: ['Shift'] });
  await page.locator('body').press('/');
  await page.getByText('A property is found for one control at a time').waitFor();
  await tree(page, 'one').click();
  expect(await page.getByRole('combobox', { name: 'Find a property' }).count()).toBe(0);
  // As the first steps say it: Alt+R wraps them in a row.
  await tree(page, 'two').click({ modifiers: ['Shift'] });
  await page.locator('body').press('Alt+r');
  await expect.poll(text).toMatch(/<row[^>]*name="line"[^>]*>\s*<row/);
});
