/** Trying the application out: all sizes together, turned and resized while it runs, and back to the bench. */
import type { FrameLocator, Locator, Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { pressScaled, running } from './workbench.ts';

let page: Page;
demoForAll(async (demo) => {
  page = demo.page;
  await page.keyboard.press('t');
  await frame('Desk').locator('[data-name="todoRopes"]').waitFor();
});

const frame = (label: string): FrameLocator => page.frameLocator(`iframe[title^="${label},"]`);
/** Presses something in a frame, which is shown smaller than it is. */
const press = (label: string, inside: Locator) =>
  pressScaled(page, page.locator(`iframe[title^="${label},"]`), inside);
const ropes = (label: string) => frame(label).getByRole('checkbox', { name: 'Hang the wet ropes' });

it('what is done in one size happens in the others, until they are taken apart', async () => {
  await press('Hand', ropes('Hand'));
  await expect.poll(() => ropes('Desk').isChecked()).toBe(true);
  await press('Lap', frame('Lap').getByRole('button', { name: 'See who is coming' }));
  await frame('Hand').locator('[data-name="parties"]').waitFor();
  await press('Desk', frame('Desk').getByRole('link', { name: 'Tonight', exact: true }));
  await ropes('Hand').waitFor();
  await page.getByLabel('Together').uncheck();
  await press('Hand', ropes('Hand'));
  await expect.poll(() => ropes('Hand').isChecked()).toBe(false);
  expect(await ropes('Desk').isChecked()).toBe(true);
  await page.getByLabel('Together').check();
});

it('turning, resizing and other conditions keep what was entered', async () => {
  await press('Lap', ropes('Lap'));
  await press('Lap', ropes('Lap'));
  await expect.poll(() => ropes('Hand').isChecked()).toBe(true);
  await page.getByRole('button', { name: 'Turn Hand' }).click();
  await page.locator('iframe[title="Hand, 844 × 390"]').waitFor();
  await expect.poll(() => ropes('Hand').isChecked()).toBe(true);
  const corner = (await page.locator('[data-corner="Hand"]').boundingBox())!;
  await page.mouse.move(corner.x + 10, corner.y + 10);
  await page.mouse.down();
  await page.mouse.move(corner.x - 40, corner.y + 60, { steps: 3 });
  await page.mouse.up();
  expect(await page.locator('iframe[title="Hand, 844 × 390"]').count()).toBe(0);
  expect(await ropes('Hand').isChecked()).toBe(true);
  const size = () =>
    frame('Lap')
      .locator('#Tonight [data-name="summary"]')
      .evaluate((element) => getComputedStyle(element).fontSize);
  expect(await size()).toBe('16px');
  await page.getByLabel('Text scale').selectOption('2');
  await expect.poll(size).toBe('32px');
  await page.getByLabel('Right to left').check();
  await expect
    .poll(() =>
      frame('Lap')
        .locator('html')
        .evaluate((element) => (element as HTMLElement).dir),
    )
    .toBe('rtl');
  expect(await ropes('Lap').isChecked()).toBe(true);
});

it('other sizes are chosen, join in where the others are, and are remembered', async () => {
  await page.getByRole('button', { name: 'Sizes', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Folded/ }).click();
  await expect.poll(() => ropes('Folded').isChecked()).toBe(true);
  expect(await axeFaults(page)).toEqual([]);
  await page.reload();
  // All sizes load at once; what is pressed in one that is still loading is lost.
  for (const size of ['Hand', 'Lap', 'Desk', 'Folded']) await ropes(size).waitFor();
});

it('a control that is pressed with Alt is selected on the bench', async () => {
  await page.keyboard.down('Alt');
  await press('Desk', frame('Desk').locator('#Tonight [data-name="summary"]'));
  await page.keyboard.up('Alt');
  await page.getByRole('treeitem', { name: 'summary', exact: true, selected: true }).waitFor();
});

it('a form that is seen again says nothing of problems from before', async () => {
  const go = (name: string) =>
    frame('Desk').locator('[data-name="navBeside"]').getByRole('link', { name, exact: true }).press('Enter');
  const said = frame('Desk').getByText('Who is it?');
  await page.getByRole('button', { name: 'Try' }).click();
  await running(frame('Desk'));
  await go('Check-in');
  const guest = frame('Desk').locator('[data-name="guest"] input');
  await guest.focus();
  await page.keyboard.type('Zora');
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Delete');
  await said.waitFor();
  await go('Tonight');
  await ropes('Desk').waitFor();
  await go('Check-in');
  await guest.waitFor();
  expect(await said.isVisible()).toBe(false);
  await guest.focus();
  await page.keyboard.type('Zora');
  await go('Tonight');
  await ropes('Desk').waitFor();
  await go('Check-in');
  await expect.poll(() => guest.inputValue()).toBe('Zora');
});

it('Escape leaves to the bench, and no farther when it is pressed twice at once', async () => {
  await page.evaluate(() => {
    for (let times = 0; times < 2; times++)
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
  });
  await page.getByRole('treeitem', { name: 'summary', exact: true }).waitFor();
  expect(new URL(page.url()).pathname).toMatch(/^\/projects\/[\w-]+$/);
});
