/** Tokens, styles, states and looks: the same boxes on the page as in the core, and the same picture. */
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
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
    for (let seed = 1; seed <= 30; seed++) {
      const result = await bench.compare(dressedProject(seed), [
        { width: 390, height: 844 },
        { width: 900, height: 700, mode: 'dark' },
      ]);
      boxes += result.boxes;
      expect(result.differences, `seed ${seed}`).toEqual([]);
    }
    expect(boxes).toBeGreaterThan(500);
  });
});

describe('a picture of', () => {
  const [width, height] = [220, 160];
  const quiet = () => {};
  let folder: string;
  let shown: Page;
  let drawn: Page;
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'hovrin-looks-'));
    await mkdir(join(folder, 'project/screens'), { recursive: true });
    for (const [index, [, source]] of looks.entries())
      await writeFile(
        join(folder, `project/screens/Look${index}.screen.xml`),
        `<screen name="Look${index}" padding="20" gap="12" background="#ffffff">${source}</screen>`,
      );
    const words = ['export', 'html', join(folder, 'project'), '--out', join(folder, 'page')];
    expect(await run(words, quiet, console.error)).toBe(0);
    const browser = await sharedBrowser();
    [shown, drawn] = [
      await browser.newPage({ viewport: { width, height } }),
      await browser.newPage({ viewport: { width, height } }),
    ];
  });
  afterAll(async () => {
    await shown.close();
    await drawn.close();
    await rm(folder, { recursive: true });
  });

  it.each(looks.map(([name], index) => [name, index] as const))(
    '%s is what the page shows',
    async (_, index) => {
      const svg = join(folder, 'look.svg');
      const words = [
        'picture',
        join(folder, 'project'),
        '--screen',
        `Look${index}`,
        '--size',
        `${width}x${height}`,
      ];
      expect(await run([...words, '--out', svg], quiet, console.error)).toBe(0);
      await shown.goto(`file://${join(folder, 'page/index.html')}#Look${index}`);
      await shown.evaluate(() => document.fonts.ready);
      await drawn.goto(`file://${svg}`);
      await drawn.evaluate(() => document.fonts.ready);
      const both = [await shown.screenshot(), await drawn.screenshot()] as const;
      await drawn.goto('about:blank');
      expect(await differing(drawn, ...both)).toBeLessThan(0.005);
    },
  );
});
