/** The drawer below the bench: why a control is as it is, and the sweep over all widths. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { addByKeys, fact, saved, tree, Workbench } from './workbench.ts';

let bench: Workbench;
let page: Page;
beforeAll(async () => {
  bench = await Workbench.start();
  page = await bench.window();
  await bench.newProject(page, 'Drawer');
  await page.getByRole('button', { name: 'Screen1', exact: true }).first().click();
  await addByKeys(page, 'row', 'line');
  await fact(page, 'Align self').fill('start');
  await page.keyboard.press('Enter');
  await tree(page, 'line').click();
  await addByKeys(page, 'text', 'label');
  await addByKeys(page, 'column', 'field');
});
afterAll(() => bench.stop());

const drawer = () => page.getByRole('region', { name: 'Drawer' });

it('Why says it in words, lights what it names, previews a fix and applies it as one step', async () => {
  await tree(page, 'field').click();
  await fact(page, 'Width').fill('share');
  await page.keyboard.press('Enter');
  await tree(page, 'field').click();
  await page.keyboard.press('w');
  await drawer().getByText('so it never has anything left over').waitFor();
  await drawer().getByRole('button', { name: 'line' }).first().hover();
  await expect.poll(() => page.locator('[data-lit="line"]').count()).toBeGreaterThan(0);
  const width = () =>
    page
      .locator('[data-selected="field"]')
      .first()
      .evaluate((mark) => mark.clientWidth);
  const before = Number(await width());
  const fix = drawer().getByRole('button', { name: /^Let line fill/ });
  await fix.hover();
  await expect.poll(async () => Number(await width())).toBeGreaterThan(before + 100);
  await page.mouse.move(640, 20);
  await expect.poll(async () => Number(await width())).toBe(before);
  await fix.click();
  await expect.poll(async () => Number(await width())).toBeGreaterThan(before + 100);
  await page.mouse.move(640, 20);
  await page.keyboard.press('Control+z');
  // What was taken back is selected: the row.
  await tree(page, 'field').click();
  await expect.poll(async () => Number(await width())).toBe(before);
  await saved(page);
});

it('Why answers about places too, and a name in it selects that control', async () => {
  await tree(page, 'label').click();
  await drawer().getByText('Place across').click();
  await drawer().getByText('stands first, at the start').waitFor();
  await drawer().getByRole('button', { name: 'line' }).first().click();
  await expect.poll(() => tree(page, 'line').getAttribute('aria-selected')).toBe('true');
});

it('Sweep draws the widths as they come, and moves the working width by pointer and keys', async () => {
  await tree(page, 'label').click();
  await drawer().getByRole('tab', { name: 'Sweep' }).click();
  await drawer()
    .getByText(/changes? *of/)
    .waitFor();
  const slider = drawer().getByRole('slider');
  await expect.poll(() => slider.locator('path').count()).toBe(2);
  await expect.poll(() => drawer().getByRole('status').count(), { timeout: 20_000 }).toBe(0);
  const working = page.getByRole('textbox', { name: 'Width of the working bay' });
  const box = (await slider.boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.75, box.y + box.height / 2);
  expect(Number(await working.inputValue())).toBeGreaterThan(1200);
  await slider.focus();
  const at = Number(await working.inputValue());
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowLeft');
  expect(Number(await working.inputValue())).toBe(at + 1 - 10);
  await drawer().getByRole('listitem').filter({ hasText: 'lap' }).getByRole('button').first().click();
  expect(await working.inputValue()).toBe('560');
  await page.keyboard.press('s');
  await expect.poll(() => drawer().getByRole('slider').count()).toBe(0);
});

it('a change is swept for the ruler and for the open drawer alike', async () => {
  await tree(page, 'label').click();
  await drawer().getByRole('tab', { name: 'Sweep' }).click();
  const ticks = page.getByRole('slider', { name: 'Working width, over the bands' }).locator('[data-change]');
  await expect.poll(() => drawer().getByRole('status').count()).toBe(0);
  const [onRuler, inDrawer] = [await ticks.count(), await drawer().getByRole('listitem').count()];
  await fact(page, 'Text').fill(
    'taken for two nights with supper and breakfast in bed by the window '.repeat(6),
  );
  await page.keyboard.press('Tab');
  await expect.poll(() => drawer().getByRole('listitem').count()).toBeGreaterThan(inDrawer);
  await expect.poll(() => ticks.count()).toBeGreaterThan(onRuler);
  await expect.poll(() => drawer().getByRole('status').count()).toBe(0);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('s');
  await saved(page);
});

it('a repeat shows its items, and follows its list when it runs', async () => {
  await page.getByRole('link', { name: 'Build' }).click();
  await tree(page, 'field').click();
  await addByKeys(page, 'repeat', 'list');
  await addByKeys(page, 'text', 'entry');
  await fact(page, 'Text').fill('Bunk {item}');
  await page.keyboard.press('Tab');
  await expect.poll(() => page.locator('[data-bay="working"]').getByText('Bunk 3').count()).toBe(1);
  await saved(page);
});
