/** Components change nothing: a screen of which parts became components is laid out as before, in the core and in Chromium. */
import { namedBoxes, type Project, ScreenView, type View } from '@hovrin/core';
import { loadShaper } from '@hovrin/files';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { ParityBench } from './compare.ts';
import { componentised, detachedAll } from './componentised.ts';
import { randomScreen, trialProject } from './documents.ts';

const views: readonly View[] = [
  { width: 390, height: 844 },
  { width: 820, height: 1180 },
  { width: 1280, height: 800, rightToLeft: true },
];

let bench: ParityBench;
let view: ScreenView;
beforeAll(async () => {
  bench = await ParityBench.open();
  view = new ScreenView(await loadShaper());
});
afterAll(() => bench.close());

/** The boxes of a project's screen in all views, without their names. */
const boxes = (project: Project) =>
  views.map((each) =>
    namedBoxes(project, project.screens[0]!, view.layOut(project, project.screens[0]!, each)).map(
      ({ name: _, ...box }) => box,
    ),
  );

const seeds = Array.from({ length: 40 }, (_, index) => 500 + index);

it.each(seeds)(
  'a random screen, with components and detached from them again, is what it was, %i',
  (seed) => {
    const plain = trialProject(randomScreen(seed));
    const project = componentised(plain.screens[0]!, seed);
    expect(boxes(project)).toEqual(boxes(plain));
    expect(boxes(detachedAll(project))).toEqual(boxes(plain));
  },
);

it('components were made in most of them, and slots', () => {
  const projects = seeds.map((seed) => componentised(randomScreen(seed), seed));
  expect(projects.filter(({ components }) => components).length).toBeGreaterThan(30);
  expect(JSON.stringify(projects)).toContain('"kind":"slot"');
});

it.each([1, 2, 3, 4])('and on the page, %i', async (seed) => {
  const project = componentised(randomScreen(seed), seed);
  const { boxes: count, differences } = await bench.compare(project, [...views]);
  expect(count).toBeGreaterThan(5);
  expect(differences).toEqual([]);
});
