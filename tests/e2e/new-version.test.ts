/** What runs in Try takes a new version of the project from another window, and goes on where it was. */
import type { FrameLocator, Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { demoForAll } from './demo-for-all.ts';
import { pressScaled, type Workbench } from './workbench.ts';

let bench: Workbench;
let running: Page;
let building: Page;
demoForAll(async (demo) => {
  ({ bench, page: running } = demo);
  building = await bench.window();
  await building.goto(running.url());
  await building.locator('[data-bay="Desk"] img').first().waitFor();
  await running.bringToFront();
  await running.keyboard.press('t');
  await frame('Desk').locator('[data-name="todoRopes"]').waitFor();
});

const frame = (label: string): FrameLocator => running.frameLocator(`iframe[title^="${label},"]`);
const ropes = (label: string) => frame(label).getByRole('checkbox', { name: 'Hang the wet ropes' });
const press = (label: string, inside: ReturnType<typeof ropes>) =>
  pressScaled(running, running.locator(`iframe[title^="${label},"]`), inside);
const write = async (text: string) => {
  await building.bringToFront();
  const field = building.getByRole('complementary', { name: 'Facts' }).getByLabel('Text', { exact: true });
  await field.fill(text);
  await field.press('Enter');
  await running.bringToFront();
};

it('says that it is older, and takes the new one without losing what was done', async () => {
  await press('Desk', ropes('Desk'));
  await expect.poll(() => ropes('Hand').isChecked()).toBe(true);
  await building.bringToFront();
  await building.getByRole('treeitem', { name: 'heading', exact: true }).first().click();
  await write('This very evening');
  await running.getByText('The project has changed').waitFor();
  expect(await frame('Desk').getByText('This very evening').count()).toBe(0);
  await running.getByRole('button', { name: 'Take the new version' }).click();
  await frame('Desk').getByText('This very evening').waitFor();
  await expect.poll(() => ropes('Desk').isChecked()).toBe(true);
  expect(await running.getByText('The project has changed').count()).toBe(0);
});

it('follows edits where that is wished, and stays on the screen', async () => {
  await running.getByLabel('Follow edits').check();
  await press('Lap', frame('Lap').getByRole('button', { name: 'See who is coming' }));
  await frame('Hand').locator('[data-name="parties"]').waitFor();
  const address = () => running.locator('iframe').first().getAttribute('src');
  const before = await address();
  await write('Another evening');
  await expect.poll(address).not.toBe(before);
  await frame('Hand').locator('[data-name="parties"]').waitFor();
  await press('Desk', frame('Desk').getByRole('link', { name: 'Tonight', exact: true }));
  await frame('Desk').getByText('Another evening').waitFor();
  expect(await ropes('Desk').isChecked()).toBe(true);
});
