/** Motions at any instant: the boxes, and what is seen, are on the page what the core says (Web Animations 1). */
import { mkdtemp, readFile, rm, symlink, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { carriedFonts, easingOf, fontFilesOf, pictureOf, ScreenView } from '@hovrin/core';
import { fontFolder, loadFontManifest, loadShaper } from '@hovrin/files';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sharedBrowser } from '../browser/browser.ts';
import { makePage } from '../browser/exported-page.ts';
import { pictureOfPage } from '../browser/picture-of-page.ts';
import { differing } from '../browser/pixels.ts';
import { ParityBench } from './compare.ts';
import { readTrial } from './documents.ts';
import { easings, instants, movingProject } from './moving.ts';

describe('a motion', () => {
  let bench: ParityBench;
  beforeAll(async () => {
    bench = await ParityBench.open();
  });
  afterAll(() => bench.close());

  it('has the same boxes at every instant', async () => {
    let boxes = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const views = instants.map((at, index) => ({
        ...(index % 3 === 2 ? { width: 900, height: 700 } : { width: 390, height: 844 }),
        motions: [{ name: 'drift', at }],
      }));
      const result = await bench.compare(movingProject(seed), views);
      boxes += result.boxes;
      expect(result.differences.slice(0, 2), `seed ${seed}`).toEqual([]);
    }
    expect(boxes).toBeGreaterThan(3500);
  });
});

it('an easing is what browsers make of it (Easing Functions 2)', async () => {
  const page = await (await sharedBrowser()).newPage();
  const parts = Array.from({ length: 41 }, (_, step) => step / 40);
  const texts = [
    ...easings,
    'cubic-bezier(1, 0, 0, 1)',
    'steps(5, jump-none)',
    'linear(0, 0.2 10% 30%, 1.3 60%, 1)',
  ];
  const known = texts.filter((text) => text !== 'bounce');
  const shown = await page.evaluate(
    ([all, at]) =>
      all.map((easing) =>
        at.map((part) => {
          const effect = new KeyframeEffect(null, [], { duration: 1000, easing, fill: 'both' });
          const animation = new Animation(effect);
          animation.currentTime = part * 1000;
          return effect.getComputedTiming().progress;
        }),
      ),
    [known, parts] as const,
  );
  known.forEach((text, index) => {
    parts.forEach((part, at) => {
      expect(easingOf(text)!(part), `${text} at ${part}`).toBeCloseTo(shown[index]![at]!, 4);
    });
  });
  await page.close();
});

/** Looks that move: each a key's attributes at the beginning and at the end. */
const looks: readonly (readonly [from: string, to: string])[] = [
  ['opacity="0.2"', 'opacity="1"'],
  ['rotate="0" scale="0.6"', 'rotate="120" scale="1.3"'],
  ['shift="-20 0"', 'shift="30% 25"'],
  ['background="#c04010"', 'background="tint"'],
  ['background="none" color="alert"', 'background="rgb(10 60 120 / 0.7)" color="page"'],
  ['corner="0" border-width="0"', 'corner="30" border-width="9"'],
  ['border-width="4" border-color="warm"', 'border-width="12" border-color="accent"'],
  ['shadow="none"', 'shadow="6 14 20 2 #00000099"'],
  ['blur="0"', 'blur="6"'],
  ['text-shadow="0 0 4 #000000"', 'text-shadow="3 5 4 #b0203080"'],
  ['size="13" letter-spacing="0"', 'size="30" letter-spacing="3"'],
  ['padding="4" background="oklch(0.7 0.2 30)"', 'padding="30 10" background="oklch(0.5 0.2 200)"'],
];

/** What moves by a transform is drawn once and then moved: its letters are smoothed at other places of a px. */
const isTurned = (index: number): boolean => /rotate|shift/.test(looks[index]![0]);

describe('what is seen of a motion', () => {
  const [width, height] = [240, 180];
  const source = looks.map(
    ([from, to], index) =>
      `<screen name="M${index}" padding="20" align="start" background="#ffffff"><motion name="m" seconds="1" plays="{true}"><key control="t" at="0" ${from} /><key control="t" at="100%" ease="ease-in" ${to} /></motion><text name="t" text="Velmora Hut" padding="20" background="#dfe8e2" margin="20" /></screen>`,
  );

  it('is the core’s picture of the same instant', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'hovrin-motion-'));
    await symlink(fontFolder, join(folder, 'fonts'));
    const browser = await sharedBrowser();
    const page = await browser.newPage({ viewport: { width, height } });
    const drawn = await browser.newPage({ viewport: { width, height } });
    const manifest = await loadFontManifest();
    const view = new ScreenView(await loadShaper());
    const far: [string, number][] = [];
    for (const [index, text] of source.entries()) {
      const project = readTrial(text);
      for (const [path, content] of (await makePage(project)).files)
        await writeFile(join(folder, path), content);
      await page.goto(`file://${folder}/index.html`);
      await page.evaluate(() => document.fonts.ready);
      for (const at of [0, 0.35, 0.8]) {
        await page.evaluate((time) => {
          for (const animation of document.getAnimations()) {
            animation.pause();
            animation.currentTime = time * 1000;
          }
        }, at);
        const shot = await pictureOfPage(page);
        const layout = view.layOut(project, project.screens[0]!, {
          width,
          height,
          motions: [{ name: 'm', at }],
        });
        const files = fontFilesOf(manifest, layout);
        const fonts = new Map<string, string>();
        for (const { file } of files)
          fonts.set(file, (await readFile(join(fontFolder, `${file}.woff2`))).toString('base64'));
        const svg = pictureOf(layout, {
          height,
          pictureAddress: () => undefined,
          fontRules: carriedFonts(files, (file) => fonts.get(file) ?? ''),
        });
        await writeFile(join(folder, 'instant.svg'), svg);
        await drawn.goto(`file://${folder}/instant.svg`);
        await drawn.evaluate(() => document.fonts.ready);
        const picture = await pictureOfPage(drawn);
        await drawn.goto('about:blank');
        far.push([
          `${looks[index]} at ${at}`,
          await differing(drawn, shot, picture, isTurned(index) ? 64 : 8),
        ]);
      }
    }
    expect(far.filter(([, part]) => part >= 0.005)).toEqual([]);
    expect(far).toHaveLength(3 * looks.length);
    await page.close();
    await drawn.close();
    await rm(folder, { recursive: true });
  });
});
