/** Tokens, styles, states and looks: the same boxes on the page as in the core, and the same picture. */
import { mkdir, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  carriedFonts,
  type FontManifest,
  fontFilesOf,
  type Project,
  pictureOf,
  ScreenView,
} from '@hovrin/core';
import { fontFolder, loadFontManifest, loadShaper, readProjectFolder } from '@hovrin/files';
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
    for (let seed = 1; seed <= 16; seed++) {
      const result = await bench.compare(dressedProject(seed), [
        { width: 390, height: 844 },
        { width: 900, height: 700, mode: 'dark' },
      ]);
      boxes += result.boxes;
      expect(result.differences, `seed ${seed}`).toEqual([]);
    }
    expect(boxes).toBeGreaterThan(250);
  });
});

describe('a picture of', () => {
  const [width, height] = [220, 160];
  let folder: string;
  let shown: Page;
  let drawn: Page;
  let project: Project;
  let view: ScreenView;
  let manifest: FontManifest;
  const fonts = new Map<string, string>();
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'hovrin-looks-'));
    await mkdir(join(folder, 'project/screens'), { recursive: true });
    for (const [index, [, source]] of looks.entries())
      await writeFile(
        join(folder, `project/screens/Look${index}.screen.xml`),
        `<screen name="Look${index}" padding="20" gap="12" background="#ffffff">${source}</screen>`,
      );
    const reading = await readProjectFolder(join(folder, 'project'));
    if (!reading.ok) throw new Error(JSON.stringify(reading.problems));
    project = reading.project;
    view = new ScreenView(await loadShaper());
    manifest = await loadFontManifest();
    for (const { file } of manifest.files)
      fonts.set(file, (await readFile(join(fontFolder, `${file}.woff2`))).toString('base64'));
    const words = ['export', 'html', join(folder, 'project'), '--out', join(folder, 'page')];
    expect(await run(words, () => {}, console.error)).toBe(0);
    const browser = await sharedBrowser();
    [shown, drawn] = [
      await browser.newPage({ viewport: { width, height } }),
      await browser.newPage({ viewport: { width, height } }),
    ];
    await shown.goto(`file://${join(folder, 'page/index.html')}`);
  });
  afterAll(async () => {
    await shown.close();
    await drawn.close();
    await rm(folder, { recursive: true });
  });

  it.each(looks.map(([name], index) => [name, index] as const))(
    '%s is what the page shows',
    async (_, index) => {
      const screen = project.screens.find(({ name }) => name === `Look${index}`)!;
      const layout = view.layOut(project, screen, { width, height });
      const svg = pictureOf(layout, {
        height,
        pictureAddress: () => undefined,
        fontRules: carriedFonts(fontFilesOf(manifest, layout), (file) => fonts.get(file) ?? ''),
      });
      await writeFile(join(folder, 'look.svg'), svg);
      await shown.goto(`file://${join(folder, 'page/index.html')}#Look${index}`);
      await shown.locator(`[data-name="Look${index}"]`).waitFor();
      await shown.evaluate(() => document.fonts.ready);
      await drawn.goto(`file://${join(folder, 'look.svg')}`);
      await drawn.evaluate(() => document.fonts.ready);
      const both = [await shown.screenshot(), await drawn.screenshot()] as const;
      await drawn.goto('about:blank');
      expect(await differing(drawn, ...both)).toBeLessThan(0.005);
    },
  );
});
