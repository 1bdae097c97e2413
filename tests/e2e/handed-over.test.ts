/** The demo, handed over: under its own strict policy, on paper, and where colours are forced on it. */
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Project } from '@hovrin/core';
import { readProjectFolder, workspace, writeExport } from '@hovrin/files';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { inFirefox, sharedBrowser } from '../browser/browser.ts';
import { makePage } from '../browser/exported-page.ts';

let folder: string;
let page: Page;
let project: Project;
const problems: string[] = [];

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'hovrin-policy-'));
  const demo = join(workspace, 'demo/velmora-hut');
  const reading = await readProjectFolder(demo);
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems));
  // With a reading of the mast from the beginning, as if it had come.
  project = {
    ...reading.project,
    state: reading.project.state.map((variable) =>
      variable.feed ? { ...variable, feed: { ...variable.feed, start: variable.initial } } : variable,
    ),
  };
  await writeExport(await makePage(project), folder, join(demo, 'assets'));
  const browser = await sharedBrowser();
  page = await browser.newPage({ viewport: { width: 820, height: 800 } });
  page.on('console', (message) => message.type() === 'error' && problems.push(message.text()));
  page.on('pageerror', (error) => problems.push(error.message));
  await page.addInitScript(() =>
    document.addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) =>
      console.error(`Blocked: ${violatedDirective} ${blockedURI}`),
    ),
  );
});
afterAll(async () => {
  await page.close();
  await rm(folder, { recursive: true });
});

const address = (screen: string) => `file://${join(folder, 'index.html')}#${screen}`;

it('every screen is shown, and nothing of it is blocked', async () => {
  const screens = project.screens.filter(({ props }) => props.dialog === undefined);
  expect(screens.length).toBeGreaterThan(5);
  for (const { name } of screens) {
    await page.goto('about:blank');
    await page.goto(address(name!));
    await page.locator(`#${name}:visible`).waitFor();
    expect(await page.locator('main').count()).toBe(1);
  }
  // Feeds of the demo are stand-ins, which only Hovrin itself plays.
  expect(problems.filter((text) => !/stand-in|ERR_FILE_NOT_FOUND|CORS|Failed to load/.test(text))).toEqual(
    [],
  );
});

it('what values give as it is opened is there without a script, and goes on with one', async () => {
  const context = await (await sharedBrowser()).newContext({ javaScriptEnabled: false });
  const still = await context.newPage();
  await still.goto(address('Mast'));
  const filled = (shown: Page) =>
    shown
      .locator('#Mast .part-filled')
      .first()
      .evaluate(
        (part) => part.getBoundingClientRect().width / part.parentElement!.getBoundingClientRect().width,
      );
  expect(await filled(still)).toBeCloseTo(0.64, 1);
  await context.close();
  await page.goto(address('Mast'));
  await expect.poll(() => filled(page)).toBeGreaterThan(0.1);
});

it('what is put into the page from outside is neither run nor styled', async () => {
  await page.goto('about:blank');
  await page.goto(address('Kitchen'));
  problems.length = 0;
  await page.evaluate(() => {
    document.body.insertAdjacentHTML(
      'beforeend',
      '<img id="x" src="data:," onerror="window.acted = 1" style="color: red">',
    );
    const script = document.createElement('script');
    script.textContent = 'window.acted = 2';
    document.body.append(script);
  });
  await expect.poll(() => problems.some((text) => text.startsWith('Blocked: style-src'))).toBe(true);
  expect(problems.some((text) => text.startsWith('Blocked: script-src'))).toBe(true);
  expect(await page.evaluate(() => 'acted' in window)).toBe(false);
});

it.skipIf(inFirefox)('on paper is all of a screen, and no navigation', async () => {
  await page.setViewportSize({ width: 820, height: 500 });
  await page.goto('about:blank');
  await page.goto(address('Bunks'));
  const last = page.locator('#Bunks [data-name^="bunk"]').last();
  const isCut = () =>
    last.evaluate(
      (element) => element.getBoundingClientRect().bottom > document.documentElement.scrollHeight,
    );
  expect(await isCut()).toBe(true);
  await page.emulateMedia({ media: 'print' });
  expect(await isCut()).toBe(false);
  expect(await page.locator('nav:visible').count()).toBe(0);
  await page.emulateMedia({ media: 'screen' });
  expect(await page.locator('nav:visible').count()).toBe(1);
});

it.skipIf(inFirefox)(
  'forced colours leave buttons an edge, the place its mark, and a meter how far it is filled',
  async () => {
    await page.goto('about:blank');
    await page.goto(address('CheckIn'));
    const styleOf = (selector: string, property: 'outlineStyle' | 'backgroundColor') =>
      page
        .locator(`body > .k-screen ${selector} >> visible=true`)
        .first()
        .evaluate((element, name) => getComputedStyle(element)[name], property);
    expect(await styleOf('.k-button', 'outlineStyle')).toBe('none');
    await page.emulateMedia({ forcedColors: 'active' });
    expect(await styleOf('.k-button', 'outlineStyle')).toBe('solid');
    expect(await styleOf('nav [aria-current="page"]', 'outlineStyle')).toBe('solid');
    await page.goto('about:blank');
    await page.goto(address('Mast'));
    const [filled, bar] = [
      await styleOf('.part-filled', 'backgroundColor'),
      await styleOf('.part-bar', 'backgroundColor'),
    ];
    expect(filled).not.toBe(bar);
    await page.emulateMedia({ forcedColors: 'none' });
  },
);
