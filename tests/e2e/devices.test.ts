/** Devices, conditions and the wall: what a screen meets besides its width. */
import { readFile } from 'node:fs/promises';
import type { FrameLocator, Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { fact, running, saved, tree, treeNames } from './workbench.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const frame = (label: string): FrameLocator => page.frameLocator(`iframe[title^="${label},"]`);
const topOf = (label: string, name: string) =>
  frame(label)
    .locator(`[data-name="${name}"]`)
    .first()
    .evaluate((element) => element.getBoundingClientRect().top);

it('a bay keeps another screen, and a size of one’s own is added, with what it keeps free', async () => {
  await page.getByRole('button', { name: 'More of Desk' }).click();
  await page.getByRole('menuitem', { name: 'Keep Tonight here' }).click();
  await page.getByRole('button', { name: 'Bunks', exact: true }).first().click();
  await page.locator('figure', { hasText: 'Desk · Tonight' }).getByText('Before ten').waitFor();
  await page.getByRole('button', { name: 'Add a size' }).click();
  await page.getByRole('menuitem', { name: /^One of your own/ }).click();
  await page.getByRole('button', { name: 'Add the size' }).click();
  await page.getByText('It needs a name.').waitFor();
  await page.getByLabel('Name', { exact: true }).last().fill('Gate tablet');
  await page.getByLabel('Width', { exact: true }).last().fill('600');
  await page.getByLabel('Kept free at the top').fill('30');
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Add the size' }).click();
  await page.locator('[data-bay="Gate tablet"]').waitFor();
  await page.locator('[data-covered="Kept free at the top"]').waitFor();
  // It can be chosen again after a reload.
  await page.reload();
  await page.locator('[data-bay="Gate tablet"]').waitFor();
  await page.getByRole('button', { name: 'More of Gate tablet' }).click();
  await page.getByRole('menuitem', { name: 'Take away' }).click();
});

it('longer texts show on the bench, and the arrangement of a band is another one', async () => {
  await page
    .getByRole('button', { name: /^Tonight/ })
    .first()
    .click();
  await page.keyboard.press('Shift+T');
  await page.locator('[data-bay="working"]').getByText('Tóóñííght').first().waitFor();
  await page.keyboard.press('Shift+T');
  await page.locator('[data-bay="working"]').getByText('Before ten').waitFor();
  await tree(page, 'halves').click();
  await expect.poll(() => fact(page, 'Like').inputValue()).toBe('');
  await page.getByText('desk: grid').waitFor();
});

it('what is edited in a side bay is for its band', async () => {
  const scope = page.locator('[data-scope]');
  const lap = page.locator('[data-bay="Lap"]');
  await lap.click({ position: { x: 100, y: 120 } });
  await expect.poll(() => scope.textContent()).toContain('Lap and up');
  await tree(page, 'halves').click();
  await fact(page, 'Gap').fill('31');
  await page.getByText('elsewhere 20').waitFor();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.locator('[data-bay="working"]').click({ position: { x: 100, y: 120 } });
  await expect.poll(() => scope.textContent()).toContain('All widths');
  await saved(page);
});

it('what is moved while a band is edited moves there only', async () => {
  const before = await treeNames(page);
  await page.locator('[data-scope]').click();
  await page.getByRole('menuitem', { name: /^Lap and up/ }).click();
  await tree(page, 'onTheWay').click();
  await page.keyboard.press('Alt+ArrowUp');
  await page.locator('[data-saving="saved"]').waitFor();
  expect(await treeNames(page)).toEqual(before);
  expect(Number(await fact(page, 'Order').inputValue())).toBe(-3);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.locator('[data-scope]').click();
  await page.getByRole('menuitem', { name: 'All widths' }).click();
  await saved(page);
});

it('the application is tried in the dark, on folding and notched screens, with longer texts', async () => {
  await page.getByRole('button', { name: 'Try' }).click();
  await running(frame('Hand'));
  await frame('Hand').getByText('Before ten').waitFor();
  const ground = () =>
    frame('Hand')
      .locator('body')
      .evaluate((element) => getComputedStyle(element).backgroundColor);
  expect(await ground()).toBe('rgb(246, 243, 236)');
  await page.getByLabel('Dark').check();
  await expect.poll(ground).toBe('rgb(26, 32, 29)');
  await page.getByLabel('Less motion').check();
  await expect.poll(() => frame('Hand').locator('html[data-motion="less"]').count()).toBe(1);
  await page.getByRole('button', { name: 'Sizes', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Folded/ }).click();
  await frame('Folded').getByText('Before ten').waitFor();
  // What its notch covers is kept free.
  await expect.poll(() => topOf('Folded', 'ridge')).toBe(44);
  await page.getByRole('button', { name: 'More of Folded' }).click();
  await page.getByRole('menuitem', { name: 'Half open' }).click();
  await page.locator('iframe[title="Folded, 772 × 812"]').waitFor();
  await page.locator('[data-covered="The hinge"]').waitFor();
  await expect
    .poll(() =>
      frame('Folded')
        .locator('html')
        .evaluate((element) => (element as HTMLElement).style.getPropertyValue('--hinge-width')),
    )
    .toBe('20px');
  await page.getByRole('button', { name: 'More of Desk' }).click();
  await page.getByRole('menuitem', { name: /^Half, beside/ }).click();
  await page.locator('iframe[title="Desk, 640 × 800"]').waitFor();
  const ropes = frame('Lap').locator('[data-name="todoRopes"] input');
  await ropes.evaluate((element) => (element as HTMLElement).click());
  await page.getByLabel('Longer texts').check();
  await frame('Lap').getByText('Bééfóóřéé').first().waitFor();
  // What was entered is there in the new pages, too.
  await expect.poll(() => ropes.isChecked()).toBe(true);
  expect(await axeFaults(page)).toEqual([]);
});

it('all screens hang on the wall, and are saved as one picture', async () => {
  await page.getByRole('button', { name: 'Wall', exact: true }).click();
  await page.locator('[data-hanging="Bunks Wall"]').waitFor();
  expect(await page.locator('[data-hanging]').count()).toBe(28);
  expect(await axeFaults(page, '[data-hanging]')).toEqual([]);
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as one picture' }).click();
  await page.getByRole('menuitem', { name: 'SVG' }).click();
  const svg = await readFile((await (await coming).path())!, 'utf8');
  expect(svg.match(/<svg x=/g)!.length).toBeGreaterThanOrEqual(28);
  expect(svg).toContain('Tamsin and Bruno Areth');
  // As a page for a printer it is a page of its own, without what one presses.
  const pdf = await page.pdf();
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByRole('button', { name: 'Arrivals', exact: true }).click();
  await tree(page, 'parties').waitFor();
});
