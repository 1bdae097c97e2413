/** A picture of a screen shows what its page shows, but for antialiasing. */
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { run } from '../../packages/cli/src/main.ts';
import { sharedBrowser } from '../browser/browser.ts';
import { pictureOfPage } from '../browser/picture-of-page.ts';
import { differing } from '../browser/pixels.ts';

const demo = join(dirname(dirname(import.meta.dirname)), 'demo/velmora-hut');
let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'hovrin-picture-'));
  expect(await run(['export', 'html', demo, '--out', join(folder, 'page')], () => {}, console.error)).toBe(0);
});
afterAll(async () => {
  await rm(folder, { recursive: true });
});

it('reads from the right as the page does, in each weight', async () => {
  const [width, height] = [260, 420];
  const source = join(folder, 'turned.screen.xml');
  const weights = ['400', '500', '600', '700']
    .map(
      (weight) => `<text text="Hut (wet) A–Z and soup" width="120" font="Zilla Slab" weight="${weight}" />`,
    )
    .join('');
  await writeFile(
    source,
    `<screen name="turned" padding="10" gap="4">${weights}<text text="שלום (hut) 14:30, Velmora (soup) &amp; more" width="110" /><textField label="Name" value="Ilka" /></screen>`,
  );
  const quiet = () => {};
  const page = join(folder, 'turned');
  expect(await run(['export', 'html', source, '--rtl', '--out', page], quiet, console.error)).toBe(0);
  const tab = await (await sharedBrowser()).newPage({ viewport: { width, height } });
  await tab.goto(`file://${join(page, 'index.html')}`);
  await tab.evaluate(() => document.fonts.ready);
  const shown = await pictureOfPage(tab);
  for (const [file, most] of [
    ['turned.svg', 0.004],
    // One wrong weight alone makes it 0.008.
    ['turned.png', 0.0073],
  ] as const) {
    const out = join(folder, file);
    const words = ['picture', source, '--rtl', '--size', `${width}x${height}`, '--out', out];
    expect(await run(words, quiet, console.error)).toBe(0);
    await tab.goto(`file://${out}`);
    await tab.evaluate(() => document.fonts.ready);
    const drawn = file.endsWith('.png') ? await readFile(out) : await pictureOfPage(tab);
    await tab.goto('about:blank');
    expect(await differing(tab, shown, drawn), file).toBeLessThan(most);
  }
  await tab.close();
});

it.each([
  ['Tonight', 390, 844],
  ['Tonight', 1280, 800],
  ['Arrivals', 820, 1180],
  ['CheckIn', 390, 844],
])('%s at %i × %i', async (screen, width, height) => {
  const file = join(folder, `${screen}.svg`);
  const words = ['picture', demo, '--screen', screen, '--size', `${width}x${height}`, '--out', file];
  expect(await run(words, () => {}, console.error)).toBe(0);
  const page = await (await sharedBrowser()).newPage({ viewport: { width, height } });
  await page.goto(`file://${join(folder, 'page/index.html')}#${screen}`);
  await page.evaluate(() => document.fonts.ready);
  const shown = await pictureOfPage(page);
  await page.goto(`file://${file}`);
  await page.evaluate(() => document.fonts.ready);
  const drawn = await pictureOfPage(page);
  await page.goto('about:blank');
  expect(await differing(page, shown, drawn)).toBeLessThan(0.004);
  // As PNG it is drawn without a browser, by another rasteriser.
  const png = file.replace('.svg', '.png');
  expect(await run([...words.slice(0, -1), png], () => {}, console.error)).toBe(0);
  expect(await differing(page, shown, await readFile(png))).toBeLessThan(0.012);
  // Words are words.
  expect(await readFile(file, 'utf8')).toMatch(/<text [^>]*>Tonight<\/text>/);
  await page.close();
});
