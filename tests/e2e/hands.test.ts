/** The bench by hand: sizes in their unit, shares against each other, the inside, by the mouse and by keys, put back by Escape. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { sourceText, writeSource } from './source-drawer.ts';
import { saved, tree, Workbench } from './workbench.ts';

let bench: Workbench;
let page: Page;
beforeAll(async () => {
  bench = await Workbench.start();
  page = await bench.window();
  await bench.newProject(page, 'Hands');
  await page.keyboard.press('x');
  await writeSource(
    page,
    '<screen name="Screen1" padding="10"><row name="line" width="300" height="60" padding="0 20"><column name="one" width="share"/><column name="two" width="share"/></row><column name="part" width="50%" height="60" background="tint"/></screen>',
  );
  await saved(page);
});
afterAll(async () => {
  await bench.stop();
  expect(bench.problems).toEqual([]);
});

const text = () => sourceText(page);
const undo = () => page.locator('body').press('Control+z');
const scale = async () => (await page.locator('[data-bay="working"]').boundingBox())!.width / 390;

/** Hands follow the selection by a frame: those of what was selected before are gone. */
const handsFollow = () =>
  page.evaluate(async () => {
    for (let frames = 0; frames < 3; frames++)
      await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
  });

/** Drags a hand by px of the screen. */
async function drag(hand: string, by: number, { hold = '', letGo = true } = {}) {
  await handsFollow();
  const { x, y, width, height } = (await page.locator(hand).first().boundingBox())!;
  const isAcross = height > width;
  const far = by * (await scale());
  if (hold) await page.keyboard.down(hold);
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  const to = [x + width / 2 + (isAcross ? far : 0), y + height / 2 + (isAcross ? 0 : far)] as const;
  await page.mouse.move(...to, { steps: 4 });
  if (letGo) await page.mouse.up();
  if (hold) await page.keyboard.up(hold);
}

it('between two that share stands a divider: dragged, it sets small ratios, freed by a key, px by another', async () => {
  await tree(page, 'one').click();
  await drag('[data-inside="share"]', 45);
  await expect
    .poll(text)
    .toContain('<column name="one" width="share 2"/> <column name="two" width="share"/>');
  await undo();
  await expect.poll(text).toContain('<column name="one" width="share"/>');
  await drag('[data-inside="share"]', 45, { hold: 'Alt' });
  await expect.poll(text).toMatch(/name="one" width="share 1\.3\d?"/);
  await undo();
  await drag('[data-inside="share"]', 10, { hold: 'Control' });
  await expect.poll(text).toMatch(/name="one" width="1[34]\d"\/> <column name="two" width="share"/);
  await undo();
  // The grip at its edge means the same.
  await drag('[data-grip="1 0"]', 45);
  await expect.poll(text).toContain('name="one" width="share 2"');
  await undo();
  await expect.poll(text).toContain('<column name="one" width="share"/> <column name="two" width="share"/>');
});

it('per cent stay per cent', async () => {
  await tree(page, 'part').click();
  await drag('[data-grip="1 0"]', 92);
  await expect.poll(text).toContain('name="part" width="75%"');
  await undo();
  await expect.poll(text).toContain('name="part" width="50%"');
});

it('Escape puts back what it was while it is held; nothing of it is left to undo', async () => {
  await tree(page, 'one').click();
  const before = await text();
  await drag('[data-inside="share"]', 45, { letGo: false });
  await expect.poll(text).not.toBe(before);
  await page.keyboard.press('Escape');
  await expect.poll(text).toBe(before);
  await page.mouse.up();
  expect(await text()).toBe(before);
  await page.getByRole('treeitem', { name: 'one', selected: true }).waitFor();
});

it('padding is dragged at one side, two, or all; the gap between children', async () => {
  await tree(page, 'line').click();
  await drag('[data-hand="padding left"]', 12);
  await expect.poll(text).toContain('padding="0 20 0 32"');
  await drag('[data-hand="padding top"]', 8, { hold: 'Shift' });
  await expect.poll(text).toContain('padding="8 20 8 32"');
  await drag('[data-hand="padding right"]', -4, { hold: 'Control' });
  await expect.poll(text).toContain('padding="24"');
  await drag('[data-inside="gap"]', 16);
  await expect.poll(text).toContain('gap="16"');
  for (let times = 0; times < 4; times++) await undo();
  await expect.poll(text).toContain('padding="0 20"');
});

it('by keys: one key takes hold, Tab goes from hand to hand, arrows move, Escape lets go', async () => {
  await tree(page, 'line').click();
  await page.keyboard.press('Control+Enter');
  const held = page.locator('[data-hand]:focus');
  await held.waitFor();
  for (let times = 0; times < 12; times++) {
    if ((await held.getAttribute('data-hand')) === 'padding left') break;
    await page.keyboard.press('Tab');
  }
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(text).toContain('padding="0 20 0 31"');
  await page.keyboard.press('Escape');
  await held.waitFor({ state: 'detached' });
  await undo();
  await undo();
  await expect.poll(text).toContain('padding="0 20"');
});

it('signs beside the name say how large it is, and offer the other ways with what they come to', async () => {
  await tree(page, 'one').click();
  await handsFollow();
  await page.locator('[data-sign="width"]').click();
  const ways = page.getByRole('menu');
  await ways.waitFor();
  expect(
    (await ways.getByRole('menuitem').allInnerTexts()).map((each) => each.replaceAll('\n', ' ')),
  ).toEqual([
    'auto 0 px',
    'fit 0 px',
    'share 130 px',
    '50% 130 px',
    '130 130 px',
    'Never narrower than 130',
    'Never wider than 130',
    'Keeps the ratio 13/6',
  ]);
  await ways.getByRole('menuitem', { name: /^50%/ }).click();
  await expect.poll(text).toContain('name="one" width="50%"');
  expect(await page.locator('[data-sign="width"]').innerText()).toBe('50%');
  await undo();
});

it('limits are set by the sign, and dragged at their edge', async () => {
  await tree(page, 'part').click();
  await handsFollow();
  await page.locator('[data-sign="width"]').click();
  await page.getByRole('menuitem', { name: /^Never narrower than/ }).click();
  await expect.poll(text).toContain('min-width="185"');
  await drag('[data-hand="min-width"]', -20);
  await expect.poll(text).toMatch(/min-width="16\d"/);
  await undo();
  await undo();
  await expect.poll(text).not.toContain('min-width');
});

it('a corner is dragged round', async () => {
  await tree(page, 'part').click();
  const knob = page.locator('[data-hand="corner"]');
  await handsFollow();
  const { x, y, width, height } = (await knob.boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 - 8, y + height / 2 + 8, { steps: 3 });
  await page.mouse.up();
  await expect.poll(text).toMatch(/name="part"[^>]* corner="\d+"/);
  await undo();
});

it('nothing covers the work: plus signs are seen near the pointer only, and nothing of ours while one drags', async () => {
  await tree(page, 'two').click();
  const seen = () =>
    page
      .locator('[data-gap]')
      .evaluateAll((all) => all.filter((each) => getComputedStyle(each).opacity !== '0').length);
  const bay = (await page.locator('[data-bay="working"]').boundingBox())!;
  await page.mouse.move(bay.x + 20, bay.y + bay.height / 2);
  await expect.poll(seen).toBe(0);
  const { x, y, width, height } = (await page.locator('[data-gap]').first().boundingBox())!;
  await page.mouse.move(x + width / 2 + 10, y + height / 2 + 10);
  await expect.poll(seen).toBe(1);
  await drag('[data-inside="share"]', 30, { letGo: false });
  await page.locator('[data-gap]').first().waitFor({ state: 'detached' });
  await page.locator('[data-sign]').first().waitFor({ state: 'detached' });
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await page.locator('[data-sign]').first().waitFor();
});

it('tracks of a grid have chips and lines: dragged in their unit, added, made even, taken away', async () => {
  await writeSource(
    page,
    '<screen name="Screen1" padding="20"><grid name="cells" columns="1fr 1fr 60" gap="10"><text name="a" text="soup" col="2"/><text name="b" text="bread" col-span="all"/></grid></screen>',
  );
  await saved(page);
  await tree(page, 'cells').click();
  await drag('[data-hand="line columns 2"]', 20);
  await expect.poll(text).toContain('columns="1fr 1fr 80"');
  await drag('[data-hand="line columns 0"]', 43);
  await expect.poll(text).toContain('columns="2fr 1fr 80"');
  await page.getByRole('button', { name: 'Add a column here, 1' }).click();
  await expect.poll(text).toMatch(/columns="2fr 2fr 1fr 80".*name="a" text="soup" col="3"/s);
  await page.getByRole('button', { name: 'column 1: 2fr' }).click();
  await page.getByRole('menuitem', { name: 'All columns even' }).click();
  await expect.poll(text).toContain('columns="repeat(4, 1fr)"');
  await page.getByRole('button', { name: 'column 1: 1fr' }).click();
  await page.getByRole('menuitem', { name: 'Take the column away' }).click();
  await expect.poll(text).toMatch(/columns="repeat\(3, 1fr\)".*name="a" text="soup" col="2"/s);
  for (let times = 0; times < 5; times++) await undo();
  await expect.poll(text).toContain('columns="1fr 1fr 60"');
});

it('pins are pressed, let go, dragged, and change their unit by a press', async () => {
  await writeSource(
    page,
    '<screen name="Screen1"><pinboard name="board" width="300" height="200"><column name="card" width="80" height="60" left="40" top="30"/></pinboard></screen>',
  );
  await saved(page);
  await tree(page, 'card').click();
  await handsFollow();
  await page.locator('[data-hand="pin right"]').click();
  await expect.poll(text).toContain('left="40" right="180" top="30"');
  await page.locator('[data-hand="pin left"]').click();
  await expect.poll(text).toContain('height="60" right="180" top="30"');
  await page.locator('[data-hand="unit right"]').click();
  await expect.poll(text).toContain('right="60%"');
  const knob = (await page.locator('[data-hand="pin top"]').boundingBox())!;
  await page.mouse.move(knob.x + 12, knob.y + 12);
  await page.mouse.down();
  await page.mouse.move(knob.x + 12, knob.y + 12 + 20 * (await scale()), { steps: 4 });
  await page.mouse.up();
  await expect.poll(text).toContain('top="52"');
  for (let times = 0; times < 4; times++) await undo();
  await expect.poll(text).toContain('left="40" top="30"');
});

it('the panes of a split are divided by their divider, in small ratios', async () => {
  await writeSource(
    page,
    '<screen name="Screen1"><split name="both" width="300" height="100" ratio="1/1"><column min-width="40"/><column min-width="40"/></split></screen>',
  );
  await saved(page);
  await tree(page, 'both').click();
  await drag('[data-hand="ratio"]', 50);
  await expect.poll(text).toContain('ratio="2/1"');
  await undo();
});

it('an empty container is seen and pressed on the bench, whatever its size', async () => {
  await writeSource(
    page,
    '<screen name="Screen1" padding="20" gap="60"><text name="above" text="soup"/><row name="bare"/><text name="below" text="bread"/></screen>',
  );
  await saved(page);
  await page.getByRole('button', { name: 'bare, empty' }).click({ position: { x: 12, y: 30 } });
  await page.getByRole('treeitem', { name: 'bare', selected: true }).waitFor();
  const { height } = (await page.getByRole('button', { name: 'bare, empty' }).boundingBox())!;
  expect(height).toBeGreaterThanOrEqual(47);
});
