/** Pages in another of their languages, asked for by their address, are laid out as the core does it in that language. */
import { join } from 'node:path';
import {
  effectiveNames,
  isRightToLeft,
  type Project,
  type Translation,
  textsOf,
  type View,
} from '@hovrin/core';
import { readProjectFolder, workspace } from '@hovrin/files';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ParityBench } from './compare.ts';
import { Chance, randomScreen, readTrial, trialsTogether } from './documents.ts';
import { texts } from './texts.ts';

let bench: ParityBench;
beforeAll(async () => {
  bench = await ParityBench.open();
});
afterAll(() => bench.close());

/** Makers of translations: longer, shorter, with other letters; expressions stay. */
const others: readonly ((text: string) => string)[] = [
  (text) => `${text} und dazu Größeres`,
  (text) => (text.includes('{') ? text : 'Ja'),
  (text) => `${text} Überübernachtungsmöglichkeit`,
  (text) => `«${text}»`,
];

/** A project in which every text has a translation. */
function translatedAtRandom(project: Project, seed: number, tag: string): Project {
  const chance = new Chance(seed);
  const strings: Record<string, Translation> = Object.fromEntries(
    textsOf(project).map(({ key, text }) => [
      key,
      { text: others[chance.whole(0, others.length - 1)]!(text) },
    ]),
  );
  return { ...project, language: 'en', locales: [{ tag: 'en' }, { tag: 'fi' }, { tag, strings }] };
}

const views: View[] = [
  { width: 390, height: 844 },
  { width: 1280, height: 800 },
];

describe('random documents', () => {
  it.each([
    [1, 'de'],
    [2, 'ar'],
    [3, 'de'],
  ])('%i, in %s', async (seed, tag) => {
    const screens = [
      ...Array.from({ length: 16 }, (_, index) => randomScreen(7300 + 16 * seed + index)),
      readTrial(texts(seed)).screens[0]!,
    ];
    const project = translatedAtRandom(trialsTogether(screens), seed, tag);
    expect(textsOf(project).length).toBeGreaterThan(20);
    const inViews = views.map((view) => ({ ...view, rightToLeft: tag === 'ar' }));
    const results = await bench.compareScreens(project, project.screens, inViews, undefined, tag);
    for (const [index, { differences, boxes }] of results.entries()) {
      expect(differences, effectiveNames(project.screens[index]!).get(project.screens[index]!.id)).toEqual(
        [],
      );
      expect(boxes).toBeGreaterThan(0);
    }
  });
});

describe('the demo', () => {
  it.each(['de', 'fr', 'ar', 'ja'])('in %s', async (tag) => {
    const reading = await readProjectFolder(join(workspace, 'demo/velmora-hut'));
    if (!reading.ok) throw new Error('The demo cannot be read.');
    const { project } = reading;
    const screens = project.screens.filter(({ props }) => !props.dialog);
    const inViews = views.map((view) => ({ ...view, rightToLeft: isRightToLeft(tag) }));
    const results = await bench.compareScreens(project, screens, inViews, undefined, tag);
    for (const { differences } of results) expect(differences).toEqual([]);
  });
});
