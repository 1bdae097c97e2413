/** Ways through an exported page: addresses, the browser's Back, dialogs, the focus, scroll positions, no script. */
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { type ExportedPage, openExported } from '../browser/exported-page.ts';
import { goBack, goForward } from '../browser/hands.ts';

const lines = Array.from({ length: 60 }, (_, at) => `<text text="Line ${at}" />`).join('');
const screens = [
  `<screen name="Tonight" title="Tonight">
    <heading name="head" text="Tonight" />
    <button name="ask" text="Ask" on.press="open('Ask')" />
    <link name="kitchen" text="Kitchen" to="Kitchen" />
    <column>${lines}</column>
    <button name="mast" text="Mast" on.press="go('Mast')" />
  </screen>`,
  `<screen name="Kitchen" title="Kitchen"><heading name="soup" text="Kitchen" /><button name="home" text="Back" on.press="back()" /><button name="swap" text="Mast instead" on.press="go('Mast', {}, { replace: true })" /></screen>`,
  `<screen name="Mast" title="Mast"><text name="wind" text="Wind" /><textField name="from" label="From" /></screen>`,
  `<screen name="Ask" title="Ask" dialog="true">
    <button name="leave" text="To the mast" on.press="close(); go('Mast')" />
    <button name="more" text="More" on.press="open('More')" /><button name="shut" text="Shut" on.press="close()" /><button name="other" text="Other" on.press="close(); open('More')" />
    <link name="cook" text="To the kitchen" to="Kitchen" />
  </screen>`,
  `<screen name="More" title="More" dialog="true"><button name="done" text="Done" on.press="close()" /></screen>`,
];

/** Screens with bars: their content scrolls between them. */
const barred = [
  `<screen name="Tonight" title="Tonight">
    <bar edge="top"><nav name="places" options="Tonight: Tonight | Kitchen: Kitchen" /></bar>
    <heading level="1" text="Tonight" /><button name="first" text="First" on.press="message('x')" />
    <scroll name="few" height="200"><text text="few" /></scroll><scroll name="many" height="100"><column>${lines}</column></scroll>
    <column>${lines}</column>
  </screen>`,
  `<screen name="Kitchen" title="Kitchen"><bar edge="top"><text text="Velmora Hut" /></bar><heading level="1" text="Kitchen" /></screen>`,
];

let opened: ExportedPage;
let start: string;
beforeAll(async () => {
  opened = await openExported(screens);
  start = opened.page.url();
});
afterAll(() => opened.close());
beforeEach(async () => {
  await opened.page.goto('about:blank');
  await opened.page.goto(start);
});

const title = () => opened.page.title();
const hash = () => new URL(opened.page.url()).hash;
const dialogs = () => opened.page.locator('dialog').count();
const scrolled = () => opened.page.evaluate(() => Math.round(window.scrollY));
const focused = () => opened.page.evaluate(() => document.activeElement?.textContent?.trim());

/** Tonight is the second place of the visit, so that Back has somewhere to go. */
async function beenInTheKitchen(): Promise<void> {
  await opened.named('kitchen').click();
  await opened.named('home').click();
  await expect.poll(title).toBe('Tonight');
}

it('a screen that takes the place of another leaves that one out of the way back', async () => {
  await opened.named('kitchen').click();
  await expect.poll(title).toBe('Kitchen');
  const length = await opened.page.evaluate(() => window.history.length);
  await opened.named('swap').click();
  await expect.poll(title).toBe('Mast');
  expect(hash()).toBe('#Mast');
  expect(await opened.page.evaluate(() => window.history.length)).toBe(length);
  await goBack(opened.page);
  await expect.poll(title).toBe('Tonight');
  await goForward(opened.page);
  await expect.poll(title).toBe('Mast');
});

it('a screen that is come to has the focus on its heading, and its title', async () => {
  await opened.named('kitchen').click();
  await expect.poll(focused).toBe('Kitchen');
  expect(await title()).toBe('Kitchen');
  await opened.page.keyboard.press('Tab');
  expect(await focused()).toBe('Back');
});

it('Back and `back()` are the same, and each screen is where it was scrolled', async () => {
  const { page } = opened;
  await opened.named('mast').click();
  await expect.poll(title).toBe('Mast');
  expect(await scrolled()).toBe(0);
  await goBack(page);
  await expect.poll(title).toBe('Tonight');
  await expect.poll(scrolled).toBeGreaterThan(300);
  await goForward(page);
  await expect.poll(title).toBe('Mast');
  await goBack(page);
  await expect.poll(title).toBe('Tonight');
  await page.evaluate(() => window.scrollTo(0, 40));
  // A driver scrolls to what it presses.
  await opened.named('kitchen').evaluate((link) => (link as HTMLElement).click());
  await opened.named('home').click();
  await expect.poll(title).toBe('Tonight');
  await expect.poll(scrolled).toBe(40);
  // The place that it came back to is the first one: forward there is the kitchen.
  await goForward(page);
  await expect.poll(title).toBe('Kitchen');
});

it('Back closes dialogs one after the other, and then goes to the screen before', async () => {
  const { page } = opened;
  await beenInTheKitchen();
  await opened.named('ask').click();
  await opened.named('more').click();
  expect([await dialogs(), hash()]).toEqual([2, '']);
  await goBack(page);
  await expect.poll(dialogs).toBe(1);
  await goBack(page);
  await expect.poll(dialogs).toBe(0);
  expect(await title()).toBe('Tonight');
});

it('a dialog that was closed leaves nothing behind in the history', async () => {
  const { page } = opened;
  await opened.named('mast').click();
  await expect.poll(title).toBe('Mast');
  await goBack(page);
  await expect.poll(title).toBe('Tonight');
  await opened.named('ask').click();
  await opened.named('shut').click();
  await expect.poll(() => page.evaluate(() => history.state.dialogs)).toBe(0);
  await opened.named('ask').click();
  await page.keyboard.press('Escape');
  await expect.poll(() => page.evaluate(() => history.state.dialogs)).toBe(0);
  await opened.named('ask').click();
  await opened.named('leave').click();
  await expect.poll(title).toBe('Mast');
  expect([await dialogs(), hash()]).toEqual([0, '#Mast']);
  await goBack(page);
  await expect.poll(title).toBe('Tonight');
  expect(await dialogs()).toBe(0);
});

it('a dialog that gives way to another is closed by one Back', async () => {
  const { page } = opened;
  await beenInTheKitchen();
  await opened.named('ask').click();
  await opened.named('other').click();
  await opened.named('done').waitFor();
  expect(await dialogs()).toBe(1);
  await goBack(page);
  await expect.poll(dialogs).toBe(0);
  expect(await title()).toBe('Tonight');
});

it('a link in a dialog closes it, and Back leads past it', async () => {
  await opened.named('ask').click();
  await opened.named('cook').click();
  await expect.poll(title).toBe('Kitchen');
  expect(await dialogs()).toBe(0);
  await goBack(opened.page);
  await expect.poll(title).toBe('Tonight');
  await expect.poll(() => opened.page.evaluate(() => history.state.dialogs)).toBe(0);
});

it('an address of no screen says so, and a dialog has none', async () => {
  const { page } = opened;
  for (const name of ['Cellar', 'Ask']) {
    await page.goto('about:blank');
    await page.goto(`${start}#${name}`);
    await expect.poll(() => page.getByRole('status').innerText()).toBe(`There is no screen “${name}”.`);
    expect([await title(), await dialogs()]).toEqual(['Tonight', 0]);
  }
});

it('an address of a part opens its screen', async () => {
  const { page } = opened;
  await page.goto('about:blank');
  await page.goto(`${start}#Mast-from-input`);
  await expect.poll(title).toBe('Mast');
});

it('without its script all screens are there, the addressed one is seen, and links work', async () => {
  const context = await opened.page.context().browser()!.newContext({ javaScriptEnabled: false });
  try {
    const page = await context.newPage();
    const seen = () => page.locator('.k-screen:visible').evaluateAll((found) => found.map(({ id }) => id));
    await page.goto(start);
    expect(await seen()).toEqual(['Tonight']);
    await page.getByRole('link', { name: 'Kitchen' }).click();
    expect(await seen()).toEqual(['Kitchen']);
    await goBack(page);
    expect(await seen()).toEqual(['Tonight']);
    await page.goto(`${start}#Mast-from-input`);
    expect(await seen()).toEqual(['Mast']);
  } finally {
    await context.close();
  }
});

describe('with bars', () => {
  let inBars: ExportedPage;
  let address: string;
  beforeAll(async () => {
    inBars = await openExported(barred);
    address = inBars.page.url();
  });
  afterAll(() => inBars.close());
  const content = () => inBars.page.locator('#Tonight main');
  const name = () => inBars.page.title();

  it('what was scrolled between them is where it was, and another screen begins at its top', async () => {
    const { page } = inBars;
    await content().evaluate((main) => main.scrollTo(0, 500));
    await page.getByRole('link', { name: 'Kitchen' }).evaluate((link) => (link as HTMLElement).click());
    await expect.poll(name).toBe('Kitchen');
    await goBack(page);
    await expect.poll(name).toBe('Tonight');
    await expect.poll(() => content().evaluate((main) => main.scrollTop)).toBe(500);
    await goForward(page);
    await expect.poll(name).toBe('Kitchen');
    await page.evaluate(() => {
      window.location.hash = 'Tonight';
    });
    await expect.poll(name).toBe('Tonight');
    expect(await content().evaluate((main) => main.scrollTop)).toBe(0);
  });

  it('the first Tab leads past them', async () => {
    const { page } = inBars;
    await page.goto('about:blank');
    await page.goto(address);
    await page.keyboard.press('Tab');
    const skip = page.getByRole('link', { name: 'Skip to content' });
    await expect.poll(() => skip.evaluate((link) => link === document.activeElement)).toBe(true);
    const shown = (await skip.boundingBox())!;
    expect(shown.width).toBeGreaterThan(60);
    await page.keyboard.press('Enter');
    await expect.poll(() => content().evaluate((main) => main === document.activeElement)).toBe(true);
    expect(await name()).toBe('Tonight');
    await page.keyboard.press('Tab');
    expect(await page.evaluate(() => document.activeElement?.textContent?.trim())).toBe('First');
  });

  it('what has nothing to scroll is no stop of Tab', async () => {
    const { page } = inBars;
    const stops = () => page.locator('#Tonight [data-scrolls][tabindex="0"]').count();
    await expect.poll(stops).toBe(2);
    await inBars.named('many').evaluate((scroll) => {
      scroll.style.height = '3000px';
    });
    await expect.poll(stops).toBe(1);
  });
});
