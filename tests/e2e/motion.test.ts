/** The drawer of motions: keys from what is selected, recorded and typed; the bench at any instant; all by pointer and by keys. */
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { demoForAll } from './demo-for-all.ts';
import { facts, tree } from './workbench.ts';

let page: Page;
demoForAll((demo) => {
  page = demo.page;
});

const drawer = () => page.getByRole('tabpanel', { name: 'motion' });
const keys = () => drawer().locator('[data-motion-key]');
const playhead = () => drawer().getByRole('slider', { name: 'Playhead' });
/** Height of the heading's box on the working bay, px of the window. */
const headingTop = async () =>
  (await page.locator('[data-bay]').first().getByText('Weather', { exact: true }).first().boundingBox())!.y;

it('a motion begins with a key for what is selected', async () => {
  await page.getByRole('button', { name: 'Mast', exact: true }).first().click();
  await page.keyboard.press('m');
  expect(await axeFaults(page)).toEqual([]);
  await drawer().getByRole('button', { name: 'New motion' }).click();
  await drawer().getByText('Select a control to give it a key.').waitFor();
  await tree(page, 'heading').click();
  await drawer().getByLabel('Key for heading').selectOption('opacity');
  await expect.poll(() => keys().count()).toBe(1);
  await drawer().getByRole('button', { name: 'heading Opacity 1 at 0.00 s' }).waitFor();
});

it('what is changed while it is recorded becomes a key at the playhead, and the bench shows the instant', async () => {
  const before = await headingTop();
  await playhead().focus();
  for (let step = 0; step < 5; step++) await page.keyboard.press('PageUp');
  await drawer().getByText('0.50 s').waitFor();
  await drawer().getByRole('button', { name: 'Record' }).click();
  const top = facts(page).getByLabel('Padding top').first();
  await top.fill('60');
  await top.press('Tab');
  await drawer()
    .getByRole('button', { name: /^heading Padding 60 0 0 at 0.50 s/ })
    .waitFor();
  await drawer().getByRole('button', { name: 'Recording' }).click();
  await expect.poll(async () => (await headingTop()) - before).toBeGreaterThan(40);
  await playhead().press('Home');
  await expect.poll(async () => Math.abs((await headingTop()) - before)).toBeLessThan(2);
});

it('keys are moved by keys and by the pointer, eased, copied, deleted, and all of it is undone', async () => {
  const key = () =>
    drawer()
      .getByRole('button', { name: /^heading Padding/ })
      .first();
  await key().focus();
  await key().press('ArrowRight');
  await drawer()
    .getByRole('button', { name: /at 0.51 s/ })
    .waitFor();
  const box = (await key().boundingBox())!;
  await page.mouse.move(box.x + 12, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + 80, box.y + 12, { steps: 6 });
  await page.mouse.up();
  await expect
    .poll(() =>
      drawer()
        .getByRole('button', { name: /at 0.51 s/ })
        .count(),
    )
    .toBe(0);
  await drawer().getByLabel('Comes by').selectOption('bounce');
  await drawer().getByRole('img', { name: 'The curve of bounce' }).waitFor();
  const at = drawer().getByRole('textbox', { name: 'At' });
  await at.fill('soon');
  await drawer().getByText('`soon` is not seconds').waitFor();
  await at.fill('80%');
  await at.press('Enter');
  await drawer()
    .getByRole('button', { name: /^heading Padding.*at 0.80 s/ })
    .waitFor();
  await drawer().getByRole('button', { name: 'Copy to the playhead' }).click();
  await expect.poll(() => keys().count()).toBe(3);
  expect(await axeFaults(page)).toEqual([]);
  await key().focus();
  await key().press('Delete');
  await expect.poll(() => keys().count()).toBe(2);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(() => keys().count()).toBe(2);
});

it('it is played on the bench, with its own length, and stands in the source', async () => {
  const back = drawer().getByRole('button', { name: 'The motion', exact: true });
  if (await back.isVisible()) await back.click();
  const seconds = drawer().getByRole('textbox', { name: 'Takes, s' });
  await seconds.fill('40');
  await seconds.press('Enter');
  await drawer().getByRole('textbox', { name: 'Plays while' }).fill('{mast.wind > 5}');
  await page.keyboard.press('Enter');
  await drawer().getByRole('button', { name: 'Play', exact: true }).click();
  await expect
    .poll(async () => Number((await drawer().getByLabel('Time').innerText()).replace(' s', '')))
    .toBeGreaterThan(0.3);
  await drawer().getByRole('button', { name: 'Hold' }).click();
  await drawer().getByRole('button', { name: 'Without the motion' }).click();
  await drawer().getByText('–').waitFor();
  await page.getByRole('tab', { name: 'Source' }).click();
  await page.locator('.cm-content').getByText('seconds="40"').first().waitFor();
});
