/** Tokens, styles, states and looks: the same boxes on the page as in the core, and the same picture. */
import { mkdir, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  carriedFonts,
  type FontManifest,
  fontFilesOf,
  type HeldStates,
  type Project,
  pictureOf,
  ScreenView,
} from '@hovrin/core';
import { fontFolder, loadFontManifest, loadShaper, readProjectFolder } from '@hovrin/files';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { run } from '../../packages/cli/src/main.ts';
import { sharedBrowser } from '../browser/browser.ts';
import { pictureOfPage } from '../browser/picture-of-page.ts';
import { differing } from '../browser/pixels.ts';
import { ParityBench } from './compare.ts';
import { dressedProject } from './dressed.ts';
import { answers, looks } from './look-rules.ts';

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
    for (const [index, [source]] of answers.entries())
      await writeFile(
        join(folder, `project/screens/Answer${index}.screen.xml`),
        `<screen name="Answer${index}" padding="20" gap="12" align="start">${source}</screen>`,
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

  /** The page of a screen. */
  async function pageShot(name: string): Promise<Buffer> {
    await shown.goto(`file://${join(folder, 'page/index.html')}#${name}`);
    await shown.locator(`[data-name="${name}"]`).waitFor();
    await shown.evaluate(() => document.fonts.ready);
    return pictureOfPage(shown);
  }

  /** The picture of a screen, with states that are held. */
  async function pictureShot(name: string, states: HeldStates = new Map()): Promise<Buffer> {
    const screen = project.screens.find((each) => each.name === name)!;
    const layout = view.layOut(project, screen, { width, height, states });
    const svg = pictureOf(layout, {
      height,
      pictureAddress: () => undefined,
      fontRules: carriedFonts(fontFilesOf(manifest, layout), (file) => fonts.get(file) ?? ''),
    });
    await writeFile(join(folder, 'look.svg'), svg);
    await drawn.goto(`file://${join(folder, 'look.svg')}`);
    await drawn.evaluate(() => document.fonts.ready);
    const shot = await pictureOfPage(drawn);
    await drawn.goto('about:blank');
    return shot;
  }

  /** The part of the pixels that differ by more than 8 of 255. */
  const differs = (one: Buffer, other: Buffer) => differing(drawn, one, other, 8);

  // Chromium blurs what is behind a box in coarser px, with its left edge a px farther out.
  const looser: Readonly<Record<string, number>> = { 'what is behind it blurred': 0.012 };

  it.each(looks.map(([name], index) => [name, index] as const))(
    '%s is what the page shows',
    async (name, index) => {
      const [page, picture] = [await pageShot(`Look${index}`), await pictureShot(`Look${index}`)];
      expect(await differs(page, picture)).toBeLessThan(looser[name] ?? 0.005);
      if (looser[name]) expect(await differing(drawn, page, picture)).toBeLessThan(0.005);
    },
  );

  it.each(answers.map(([source, state], index) => [source, state, index] as const))(
    '%s while it has the state %s is what the page shows',
    async (_, state, index) => {
      const name = `Answer${index}`;
      const screen = project.screens.find((each) => each.name === name)!;
      const plain = await pageShot(name);
      const free = await forced(state, answers[index]![2]);
      const now = await pictureOfPage(shown);
      await free();
      const held = await pictureShot(name, new Map([[screen.children[0]!.id, [state]]]));
      expect(await differs(now, held)).toBeLessThan(0.005);
      // It is not what is seen without the state.
      expect(await differs(plain, await pictureShot(name))).toBeLessThan(0.005);
      expect(await differs(plain, held)).toBeGreaterThan(0.0005);
    },
  );

  /** Forces a state on an element of the page, as a pointer or a key would bring it about. @returns what takes it back. */
  async function forced(
    state: 'hover' | 'pressed' | 'focus',
    selector: string,
  ): Promise<() => Promise<void>> {
    await shown.evaluate(() => {
      document.documentElement.dataset.motion = 'less';
    });
    if (state !== 'focus') {
      await shown.locator(selector).hover();
      if (state === 'pressed') await shown.mouse.down();
      return async () => {
        await shown.mouse.move(0, 0);
        await shown.mouse.up();
      };
    }
    const devtools = await shown.context().newCDPSession(shown);
    await devtools.send('DOM.enable');
    await devtools.send('CSS.enable');
    const { root } = await devtools.send('DOM.getDocument');
    const { nodeId } = await devtools.send('DOM.querySelector', { nodeId: root.nodeId, selector });
    const force = (forcedPseudoClasses: string[]) =>
      devtools.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses });
    await force(['focus', 'focus-visible']);
    return () => devtools.detach();
  }
});
