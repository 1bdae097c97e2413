/** How screens of an exported page take each other's place: by which transition, the other way round on the way back, at once for some. */
import { defaultBands, type Project, parseScreen } from '@hovrin/core';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { inFirefox } from '../browser/browser.ts';
import { type ExportedPage, openPage } from '../browser/exported-page.ts';
import { goBack } from '../browser/hands.ts';

const sources = [
  `<screen name="List" title="List"><heading name="listHead" text="List" />
    <button name="card" text="Bunk 7" on.press="go('Detail', {}, { transition: 'grow', seconds: 0.4, ease: 'ease-out' })" />
    <text name="small" text="7" shared="bunk" />
    <link name="plain" text="Plain" to="Plain" /><button name="sure" text="At once" on.press="go('Detail', {}, { transition: 'none' })" />
    <button name="slow" text="Slow" on.press="go('Slow')" /></screen>`,
  `<screen name="Detail" title="Detail"><heading name="detailHead" text="Detail" /><text name="large" text="7" size="60" shared="bunk" /><button name="home" text="Back" on.press="back()" /></screen>`,
  `<screen name="Plain" title="Plain"><heading name="plainHead" text="Plain" /><button name="out" text="Back" on.press="back()" /></screen>`,
  `<screen name="Slow" title="Slow" comes="cover" comes-seconds="0.6"><heading name="slowHead" text="Slow" /></screen>`,
];
const base: Project = {
  format: 1,
  name: 'Trial',
  bands: defaultBands,
  state: [],
  assets: [],
  screens: [],
  transition: 'slide-start',
};

let opened: ExportedPage;
let start: string;
beforeAll(async () => {
  let ids = 0;
  const screens = sources.map((source) => {
    const names = new Map<string, string>();
    const context = {
      bands: defaultBands,
      names,
      screens: new Set(['List', 'Detail', 'Plain', 'Slow']),
      namesKnown: false,
    };
    const reading = parseScreen(source, { file: 'trial', context, newId: () => `t${++ids}` });
    if (!reading.ok) throw new Error(JSON.stringify(reading.problems));
    return reading.screen;
  });
  opened = await openPage({ ...base, screens });
  start = opened.page.url();
});
afterAll(() => opened.close());
beforeEach(async () => {
  if (!inFirefox) await opened.page.emulateMedia({ reducedMotion: 'no-preference' });
  await opened.page.goto('about:blank');
  await opened.page.goto(start);
  // What stands there while one screen takes the place of another.
  await opened.page.evaluate(() => {
    const seen: string[] = [];
    Object.assign(window, { seen, from: '' });
    const root = document.documentElement;
    new MutationObserver(() => {
      const { transition } = root.dataset;
      if (transition === undefined) return;
      const { style } = root;
      Object.assign(window, { from: style.getPropertyValue('--transition-from') });
      seen.push(
        [
          transition,
          style.getPropertyValue('--transition-seconds'),
          style.getPropertyValue('--transition-ease'),
        ]
          .join(' ')
          .trim(),
      );
    }).observe(root, { attributes: true, attributeFilter: ['data-transition'] });
  });
});

const title = () => opened.page.title();
const seen = () => opened.page.evaluate(() => (window as unknown as { seen: string[] }).seen);
const focused = () => opened.page.evaluate(() => document.activeElement?.textContent?.trim());
const isOver = () => opened.page.evaluate(() => document.documentElement.dataset.transition === undefined);

describe('a screen comes', () => {
  it('as all do, and goes the other way round', async () => {
    await opened.named('plain').click();
    await expect.poll(title).toBe('Plain');
    await expect.poll(isOver).toBe(true);
    expect(await focused()).toBe('Plain');
    await opened.named('out').click();
    await expect.poll(title).toBe('List');
    await expect.poll(isOver).toBe(true);
    await opened.named('plain').click();
    await expect.poll(title).toBe('Plain');
    await goBack(opened.page);
    await expect.poll(title).toBe('List');
    expect(await seen()).toEqual(['slide-start', 'slide-end', 'slide-start', 'slide-end']);
    expect(await focused()).toBe('List');
  });

  it('as it says itself, as the way says, or at once', async () => {
    await opened.named('slow').click();
    await expect.poll(title).toBe('Slow');
    await goBack(opened.page);
    await expect.poll(title).toBe('List');
    await opened.named('card').click();
    await expect.poll(title).toBe('Detail');
    await opened.named('home').click();
    await expect.poll(title).toBe('List');
    await opened.named('sure').click();
    await expect.poll(title).toBe('Detail');
    expect(await seen()).toEqual([
      'cover 0.6s',
      'uncover 0.6s',
      'grow 0.4s ease-out',
      'shrink 0.4s ease-out',
    ]);
  });

  it('from what was pressed, and what both share moves with a name of its own', async () => {
    const box = (await opened.named('card').boundingBox())!;
    await opened.named('card').click();
    await expect.poll(title).toBe('Detail');
    const from = await opened.page.evaluate(() => (window as unknown as { from: string }).from);
    expect(from.split(' ').map((part) => Math.round(Number.parseFloat(part)))[0]).toBe(Math.round(box.y));
    await expect.poll(title).toBe('Detail');
    const name = await opened.named('large').evaluate((image) => getComputedStyle(image).viewTransitionName);
    expect(name).toBe('bunk');
  });

  it('when another is gone to meanwhile, too', async () => {
    await opened.page.evaluate(() => {
      location.hash = 'Plain';
      setTimeout(() => {
        location.hash = 'Slow';
      });
    });
    await expect.poll(title).toBe('Slow');
    await expect.poll(isOver).toBe(true);
    expect(await opened.page.locator('body > .k-screen').count()).toBe(1);
    expect(opened.problems).toEqual([]);
  });
});

// The driver of Firefox does not say what a person wishes for.
it.skipIf(inFirefox)('at once for those who wish for less motion', async () => {
  await opened.page.emulateMedia({ reducedMotion: 'reduce' });
  await opened.named('plain').click();
  await expect.poll(title).toBe('Plain');
  expect(await seen()).toEqual([]);
  expect(await focused()).toBe('Plain');
});
