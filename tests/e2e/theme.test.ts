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
  await page.getByRole('menuitem', { name: 'Length', exact: true }).click();
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
  // Who uses it is told, and leads there.
  await page.getByRole('button', { name: '1 use of space' }).click();
  await page.getByRole('menuitem', { name: 'Screen1.keep, padding' }).waitFor();
  await page.keyboard.press('Escape');
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
  // What stays at the control is chosen.
  await page.getByRole('checkbox', { name: 'padding = corner' }).uncheck();
  await page.getByRole('button', { name: 'Make it' }).click();
  await saved(page);
  expect(await props(page, 'keep')).toMatchObject({ style: 'keep' });
  expect((await props(page, 'keep'))!.background).toBeUndefined();
  expect((await props(page, 'keep'))!.padding).toBe('corner');
  await tree(page, 'Screen1').click();
  await addByKeys(page, 'button', 'second');
  await fact(page, 'Styles').fill('keep');
  await fact(page, 'Styles').press('Enter');
  await facts(page).getByText('style keep', { exact: true }).first().waitFor();
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

it('the control is seen in all its states beside each other', async () => {
  await tree(page, 'second').click();
  await page.locator('[data-scope]').click();
  await page.getByRole('menuitem', { name: 'All states beside each other' }).click();
  const pressed = page.getByRole('img', { name: 'While pressed' });
  await pressed.waitFor();
  const colours = await pressed
    .locator('div')
    .evaluateAll((all) => all.map((each) => getComputedStyle(each).backgroundColor));
  expect(colours).toContain('rgb(255, 0, 0)');
  await page.getByRole('button', { name: 'While hovered' }).click();
  expect(await page.locator('[data-scope]').getAttribute('data-scope')).toBe('hover');
  await page.getByRole('button', { name: 'As it is' }).click();
  await page.locator('[data-scope]').click();
  await page.getByRole('menuitem', { name: 'All states beside each other' }).click();
  await pressed.waitFor({ state: 'detached' });
});

it('a gradient is made in a popover, by keys, and its angle dragged on the bench', async () => {
  await tree(page, 'Screen1').click();
  await addByKeys(page, 'row', 'sky');
  for (const [label, value] of [
    ['Width', '200'],
    ['Height', '100'],
  ] as const) {
    await fact(page, label).fill(value);
    await fact(page, label).press('Enter');
  }
  await facts(page).getByRole('button', { name: 'Choose Background' }).click();
  await page.getByText('Gradient', { exact: true }).click();
  await page.getByRole('button', { name: 'Add a stop' }).click();
  await page.getByRole('slider', { name: /^Stop 2/ }).press('Shift+ArrowRight');
  await page.getByRole('button', { name: 'accent', exact: true }).click();
  await page.keyboard.press('Escape');
  await saved(page);
  expect((await props(page, 'sky'))!.background).toBe('linear-gradient(tint 0%, accent 60%, page 100%)');
  const angle = page.getByTitle(/Drag the gradient’s angle/);
  const from = (await angle.boundingBox())!;
  const middle = (await page.getByTitle('Drag stop 2').boundingBox())!;
  await page.mouse.move(from.x + 5, from.y + 5);
  await page.mouse.down();
  // A quarter turn, to the right of the middle.
  await page.mouse.move(middle.x + 150, middle.y - 5, { steps: 4 });
  await page.mouse.up();
  await saved(page);
  expect((await props(page, 'sky'))!.background).toBe(
    'linear-gradient(90deg, tint 0%, accent 60%, page 100%)',
  );
  await page.keyboard.press('Control+z');
  await expect
    .poll(async () => (await props(page, 'sky'))!.background)
    .toBe('linear-gradient(tint 0%, accent 60%, page 100%)');
});

it('what is turned has knobs to turn, shift and scale it, each an undo of its own', async () => {
  await fact(page, 'Rotate').fill('5');
  await fact(page, 'Rotate').press('Enter');
  const drag = async (title: RegExp, x: number, y: number) => {
    const knob = (await page.getByTitle(title).boundingBox())!;
    await page.mouse.move(knob.x + 6, knob.y + 6);
    await page.mouse.down();
    await page.mouse.move(knob.x + 6 + x, knob.y + 6 + y, { steps: 4 });
    await page.mouse.up();
    await saved(page);
  };
  await drag(/^Drag to turn it/, 60, 30);
  const turned = Number((await props(page, 'sky'))!.rotate);
  expect(turned).toBeGreaterThan(5);
  expect(turned % 15).toBe(0);
  await drag(/^Drag to shift it/, 20, 10);
  expect((await props(page, 'sky'))!.shift).toMatch(/^\d+ \d+$/);
  await drag(/^Drag to scale it/, -30, -20);
  expect(Number((await props(page, 'sky'))!.scale)).toBeGreaterThan(1);
  for (const name of ['scale', 'shift'])
    await page.keyboard
      .press('Control+z')
      .then(() => expect.poll(async () => (await props(page, 'sky'))![name]).toBeUndefined());
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await props(page, 'sky'))!.rotate).toBe('5');
  await page.keyboard.press('Control+z');
});

it('shades and lengths are made in one go, one undo for all of them', async () => {
  await place('Theme');
  await page.getByRole('button', { name: 'Add a token' }).click();
  await page.getByRole('menuitem', { name: 'A scale of lengths …' }).click();
  await page.keyboard.type('room');
  await page.getByRole('button', { name: 'Make 7 tokens' }).click();
  expect(await page.getByLabel('room.4, in the light', { exact: true }).inputValue()).toBe('16');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByLabel('room.4, in the light', { exact: true }).waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'Add a token' }).click();
  await page.getByRole('menuitem', { name: 'Shades of a colour …' }).click();
  await page.keyboard.type('accent');
  await page.getByRole('button', { name: 'Make 9 tokens' }).click();
  expect(await page.getByLabel('accent.100, in the light', { exact: true }).inputValue()).toMatch(/^#/);
});

it('colours that meet and do not stand out are listed, and the nearest that would is taken', async () => {
  await typed('quiet, in the light', '#b0b0b0');
  await place('Build');
  await tree(page, 'Screen1').click();
  await addByKeys(page, 'text', 'pale');
  await fact(page, 'Colour').fill('quiet');
  await fact(page, 'Colour').press('Enter');
  await saved(page);
  await place('Theme');
  const fix = page.getByRole('region', { name: 'Contrast' }).getByRole('button', { name: /^Make quiet #/ });
  await fix.first().click();
  await fix.first().waitFor({ state: 'detached' });
  expect(await page.getByLabel('quiet, in the light', { exact: true }).inputValue()).not.toBe('#b0b0b0');
  expect(await axeFaults(page)).toEqual([]);
});
