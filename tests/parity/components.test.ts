/** Components change nothing: a screen of which parts became components is laid out as before, in the core and in Chromium. */
import { namedBoxes, type Project, readFolder, ScreenView, type View } from '@hovrin/core';
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

/** A project with everything that components have: slots in slots, repeats in repeats, bands and states inside, a surround. */
const files = {
  'project.json': JSON.stringify({
    format: 2,
    name: 'Parts',
    state: [
      { name: 'opened', type: 'boolean', initial: true },
      {
        name: 'rows',
        type: 'list',
        initial: [
          { n: 1, k: [1, 2] },
          { n: 2, k: [3] },
        ],
      },
    ],
  }),
  'components/Card.component.xml': `<component name="Card">
  <parameter name="title" />
  <parameter name="tone" type="colour" initial="tint" />
  <parameter name="wide" type="boolean" initial="false" />
  <parameter name="space" type="number" initial="4" />
  <column name="card" states="wide: {wide}" padding="8" lap.padding="12 20" background="{tone}" gap="{space}"
    hidden="{title == 'no'}" wide.padding="20" min-width="{wide ? 200 : 50}" portrait.border-width="2">
    <heading name="title" level="2" text="{title}" />
    <slot />
    <row name="foot" gap="4" wrap="true"><slot name="acts"><text text="none" /></slot></row>
  </column>
</component>`,
  'components/Deep.component.xml': `<component name="Deep">
  <parameter name="list" type="list" initial="{[1, 2]}" />
  <column name="whole">
    <repeat name="all" each="{list}" as="x" like="row" gap="6" lap.like="grid" columns="1fr 2fr">
      <Card name="card" title="n {x}" width="share"><slot /><text slot="acts" name="twice" text="{x * 2}" /></Card>
    </repeat>
  </column>
</component>`,
  'components/Frame.component.xml': `<component name="Frame" surround="true">
  <parameter name="title" />
  <parameter name="open" type="boolean" two-way="true" />
  <column padding="50">
    <bar name="head" edge="top" gap="8"><heading level="1" text="{title}" /><button text="Turn" on.press="open = !open" /></bar>
    <column name="main" padding="5" gap="6"><slot /></column>
    <bar edge="bottom" hidden="{!open}"><slot name="foot"><text text="nothing" /></slot></bar>
  </column>
</component>`,
  'components/Pair.component.xml': `<component name="Pair"><parameter name="number" type="number" /><row name="pair" gap="{number}" width="share"><text text="{number} {'x'.repeat(number)}" width="share" /><slot /></row></component>`,
  'screens/All.screen.xml': `<screen name="All" surround="Frame" surround.title="Everything" surround.open.bind="opened">
  <grid columns="1fr 1fr" gap="4">
    <Card name="a" title="One" col-span="2" lap.col-span="1" height="100" lap.height="140" />
    <Card name="b" title="no" />
    <Card name="c" title="Two" wide="true" space="10"><text text="in it" /><button slot="acts" text="go" /></Card>
  </grid>
  <Deep name="deep" list="{rows.map((r) => r.n)}"><text name="mine" text="mine" /></Deep>
  <repeat each="{rows}" as="r"><Deep list="{r.k}" margin="4" /><Pair number="{r.n * 3}"><text text="{r.n}" /></Pair></repeat>
  <split gap="8"><Card title="left" min-width="160" /><Card title="right" min-width="160" /></split>
  <pinboard height="120"><Card title="pinned" left="10%" top="5" width="50%" /></pinboard>
  <Pair number="7" align-self="end" width="60%"><Pair number="2" width="share" /></Pair>
  <text slot="foot" text="the foot of it" />
</screen>`,
};

it('with slots in slots, repeats in repeats, bands and states inside, in a surround, as on the page', async () => {
  let ids = 0;
  const read = readFolder(new Map(Object.entries(files)), () => `c${++ids}`);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const sizes = [...views, { width: 560, height: 500 }, { width: 1600, height: 900, textScale: 1.3 }];
  const { boxes: count, differences } = await bench.compare(read.project, sizes);
  expect(count).toBeGreaterThan(200);
  expect(differences).toEqual([]);
});
