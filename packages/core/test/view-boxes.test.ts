/** Boxes are shared between views that differ in nothing that a control asks about. */
import { beforeAll, expect, it } from 'vitest';
import { ScreenView } from '../src/index.ts';
import { ViewBoxes } from '../src/layout/view-boxes.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const project = projectOf(
  `<screen name="Rooms">
    <row name="head"><text name="title" text="Rooms" /><text name="count" text="12" lap.size="20" /></row>
    <column name="list"><text name="first" text="Ridge room" /><text name="second" text="Larch room" /></column>
    <text name="foot" text="Twelve bunks" size="clamp(14, 2vw, 24)" />
  </screen>`,
);
const screen = project.screens[0]!;
const sizes = [390, 820, 1280].map((width) => ({ width, height: 800 }));

it('what no band changes is one and the same box in all of them, at one text scale', () => {
  const boxes = new ViewBoxes(shaper, 8);
  const [hand, lap, desk] = sizes.map((view) => boxes.of(project, screen, view)!.children);
  const larger = boxes.of(project, screen, { ...sizes[1]!, textScale: 2 })!.children;
  expect(lap![1]).toBe(hand![1]);
  expect(desk![1]).toBe(hand![1]);
  expect(larger[1]).not.toBe(hand![1]);
  // Parts that change from a band, or with the width, are others; what stands beside them is not.
  expect(lap![0]).not.toBe(hand![0]);
  expect(lap![0]!.children[0]).toBe(hand![0]!.children[0]);
  expect(lap![2]).not.toBe(hand![2]);
});

it('a view that has seen other bands lays out as one that has not', () => {
  const seen = new ScreenView(shaper);
  for (const view of [...sizes, ...sizes.toReversed()]) {
    const places = (layout: ReturnType<ScreenView['layOut']>) =>
      layout.boxes.map(({ control, x, y, width, height }) => [control, x, y, width, height]);
    expect(places(seen.layOut(project, screen, view))).toEqual(
      places(new ScreenView(shaper).layOut(project, screen, view)),
    );
  }
});
