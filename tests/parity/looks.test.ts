/** Tokens, styles, states and looks: the same boxes on the page as in the core, and the same picture. */
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { run } from '../../packages/cli/src/main.ts';
import { sharedBrowser } from '../browser/browser.ts';
import { differing } from '../browser/pixels.ts';
import { ParityBench } from './compare.ts';
import { dressedProject } from './dressed.ts';
import { looks } from './look-rules.ts';

describe('what is said in layers', () => {
  let bench: ParityBench;
  beforeAll(async () => {
    bench = await ParityBench.open();
  });
  afterAll(() => bench.close());

  it('comes to the same boxes on the page, in the light and in the dark', async () => {
    let boxes = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const result = await bench.compare(dressedProject(seed), [
        { width: 390, height: 844 },
        { width: 900, height: 700, mode: 'dark' },
      ]);
      boxes += result.boxes;
      expect(result.differences, `seed ${seed}`).toEqual([]);
    }
    expect(boxes).toBeGreaterThan(1000);
  });
});

describe('a picture of', () => {
  let folder: string;
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'hovrin-looks-'));
    await mkdir(join(folder, 'theme'));
  });
  afterAll(() => rm(folder, { recursive: true }));

  it.each(looks)('%s is what the page shows', async (name, source) => {
    const [width, height] = [220, 160];
    const file = join(folder, `${name.replaceAll(/\W+/g, '-')}.screen.xml`);
    await writeFile(
      file,
      `<screen name="Look" padding="20" gap="12" background="#ffffff">${source}</screen>`,
    );
    const page = file.replace('.screen.xml', '');
    const quiet = () => {};
    expect(await run(['export', 'html', file, '--out', page], quiet, console.error)).toBe(0);
    const svg = `${page}.svg`;
    expect(
      await run(['picture', file, '--size', `${width}x${height}`, '--out', svg], quiet, console.error),
    ).toBe(0);
    const tab = await (await sharedBrowser()).newPage({ viewport: { width, height } });
    await tab.goto(`file://${page}/index.html`);
    await tab.evaluate(() => document.fonts.ready);
    const shown = await tab.screenshot();
    await tab.goto(`file://${svg}`);
    await tab.evaluate(() => document.fonts.ready);
    const drawn = await tab.screenshot();
    await tab.goto('about:blank');
    const part = await differing(tab, shown, drawn);
    await tab.close();
    expect(part).toBeLessThan(0.005);
  });
});
