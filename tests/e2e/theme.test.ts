/** Tokens, styles and states through the interface: what is set in one place holds wherever it is named. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { addByKeys, fact, facts, props, saved, tree, Workbench } from './workbench.ts';

let bench: Workbench;
let page: Page;
beforeAll(async () => {
  bench = await Workbench.start();
  page = await bench.window();
  await bench.newProject(page, 'Colours');
});
afterAll(async () => {
  await bench.stop();
  expect(bench.problems).toEqual([]);
});

const place = async (name: 'Build' | 'Theme'): Promise<void> => {
  await page.getByRole('link', { name, exact: true }).click();
  if (name === 'Theme') await page.getByRole('heading', { name: 'Tokens' }).waitFor();
  else await page.locator('[data-bay]').first().waitFor();
};
/** Types over what a field holds, key by key, and leaves it. */
async function typed(label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}
/** The colours that the working bay is painted with. */
const painted = (): Promise<string[]> =>
  page
    .locator('[data-bay]')
    .first()
    .locator('div')
    .evaluateAll((all) => [...new Set(all.map((each) => getComputedStyle(each).backgroundColor))]);

it('a colour of the theme is typed, seen wherever it is used, and taken back', async () => {
  await addByKeys(page, 'button', 'keep');
  await saved(page);
  expect(await painted()).toContain('rgb(47, 93, 80)');
  await place('Theme');
  await typed('accent, in the light', 'reddish');
  await page.getByText(/is not a colour such as/).waitFor();
  await typed('accent, in the light', 'hsl(200 100% 30%)');
  await page.getByText(/is not a colour such as/).waitFor({ state: 'detached' });
  expect(await page.getByLabel('accent, in the light', { exact: true }).inputValue()).toBe(
    'hsl(200 100% 30%)',
  );
  await place('Build');
  expect(await painted()).toContain('rgb(0, 102, 153)');
  await place('Theme');
  await page.getByRole('button', { name: 'Undo' }).click();
  expect(await page.getByLabel('accent, in the light', { exact: true }).inputValue()).toBe('#2f5d50');
});

it('a theme that ships is begun with, and the bench shows it in the dark', async () => {
  await page.getByRole('button', { name: /^Slate/ }).click();
  await saved(page);
  expect(await page.getByLabel('corner, in the light', { exact: true }).inputValue()).toBe('2');
  expect(await axeFaults(page)).toEqual([]);
  await place('Build');
  expect(await painted()).toContain('rgb(31, 90, 150)');
  await page.getByRole('button', { name: 'What is seen' }).click();
  await page.getByRole('menuitem', { name: 'In the dark' }).click();
  await expect.poll(painted).toContain('rgb(134, 185, 236)');
  await page.getByRole('button', { name: 'What is seen' }).click();
  await page.getByRole('menuitem', { name: 'In the light' }).click();
});

it('a length has a name, is used by it, renamed with all its uses, and replaced as it goes', async () => {
  await place('Theme');
  await page.getByRole('button', { name: 'Add a token' }).click();
  await page.getByRole('menuitem', { name: 'Length' }).click();
  await page.keyboard.type('room');
  await page.keyboard.press('Enter');
  await typed('room, in the light', '31');
  await place('Build');
  await tree(page, 'keep').click();
  await fact(page, 'Padding').fill('room');
  await fact(page, 'Padding').press('Enter');
  await saved(page);
  expect((await props(page, 'keep'))!.padding).toBe('room');
  await place('Theme');
  await typed('Name of room', 'space');
  await saved(page);
  await page.getByText('1 use', { exact: true }).waitFor();
  await page.getByRole('button', { name: 'Delete space' }).click();
  await page.getByRole('menuitem', { name: 'corner in its place' }).click();
  await saved(page);
  await place('Build');
  expect((await props(page, 'keep'))!.padding).toBe('corner');
});

it('a look becomes a style, which another control takes, and which is changed once for both', async () => {
  await tree(page, 'keep').click();
  await fact(page, 'Background').fill('tint');
  await fact(page, 'Background').press('Enter');
  await facts(page).getByRole('button', { name: 'Make a style of it' }).click();
  await saved(page);
  expect(await props(page, 'keep')).toMatchObject({ style: 'keep' });
  expect((await props(page, 'keep'))!.background).toBeUndefined();
  await tree(page, 'Screen1').click();
  await addByKeys(page, 'button', 'second');
  await fact(page, 'Styles').fill('keep');
  await fact(page, 'Styles').press('Enter');
  await facts(page).getByText('from style keep').first().waitFor();
  await place('Theme');
  await typed('background of keep', 'warm');
  await saved(page);
  await place('Build');
  const warm = (await painted()).filter((each) => each === 'rgb(168, 93, 26)');
  expect(warm).toHaveLength(1);
});

it('a value is set for a state, seen while it is set, and nowhere else', async () => {
  await tree(page, 'second').click();
  await page.locator('[data-scope]').click();
  await page.getByRole('menuitem', { name: 'While pressed' }).click();
  await fact(page, 'Background').fill('#ff0000');
  await fact(page, 'Background').press('Enter');
  await saved(page);
  expect((await props(page, 'second'))!['pressed.background']).toBe('#ff0000');
  await expect.poll(painted).toContain('rgb(255, 0, 0)');
  // A text is never pressed as a button is off: another selection without the state is edited for all.
  await tree(page, 'Screen1').click();
  await expect.poll(painted).not.toContain('rgb(255, 0, 0)');
});
