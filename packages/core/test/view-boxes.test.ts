/** Boxes are shared between views that differ in nothing that a control asks about. */
import { beforeAll, describe, expect, it } from 'vitest';
import { colourValue, hueProperties, type Project, ScreenView, type Token, themeOf } from '../src/index.ts';
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

it('a screen that asks about a band is not laid out with what was made for one that does not', () => {
  const both = projectOf(
    '<screen name="Plain"><text text="Rooms" /></screen>',
    '<screen name="Banded"><text text="Rooms" lap.hidden="true" /></screen>',
  );
  const [plain, banded] = both.screens;
  const view = new ScreenView(shaper);
  view.layOut(both, plain!, sizes[2]!);
  expect(view.layOut(both, banded!, sizes[0]!).boxes).toHaveLength(2);
  view.layOut(both, plain!, sizes[0]!);
  expect(view.layOut(both, banded!, sizes[2]!).boxes).toHaveLength(1);
});

describe('colours that are left to custom properties', () => {
  const token = (hex: string): Token => ({ path: 'color.deep', type: 'color', value: colourValue(hex)! });
  const room: Token = { path: 'dimension.room', type: 'dimension', value: { value: 8, unit: 'px' } };
  const base = projectOf(
    '<screen name="A"><column padding="8" background="linear-gradient(accent, sheet)" border-width="1"><button name="go" text="Go" /></column></screen>',
  );
  const withTokens = (...tokens: Token[]): Project => ({ ...base, tokens });
  const lookAt = (view: ScreenView, project: Project, hues = true) =>
    view.layOut(project, project.screens[0]!, { ...sizes[0]!, hues }).boxes;

  it('lay nothing out anew when one changes, and all of it when something else does', () => {
    const view = new ScreenView(shaper);
    const before = lookAt(view, withTokens(token('#112233'), room));
    const after = lookAt(view, withTokens(token('#445566'), room));
    expect(after.map(({ box }) => box)).toEqual(before.map(({ box }) => box));
    expect(after.every(({ box }, index) => box === before[index]!.box)).toBe(true);
    const wider = { ...room, value: { value: 9, unit: 'px' } };
    const other = lookAt(view, withTokens(token('#445566'), wider));
    expect(other[1]!.box).not.toBe(before[1]!.box);
    expect(
      lookAt(view, withTokens(token('#445566'), wider, { ...room, path: 'dimension.more' }))[1]!.box,
    ).not.toBe(other[1]!.box);
  });

  it('are there by their names, of which the theme says what they are', () => {
    const project = withTokens(token('#112233'));
    const [, column, button] = lookAt(new ScreenView(shaper), project);
    expect(column!.look).toMatchObject({
      fill: 'linear-gradient(var(--hue-accent), var(--hue-sheet))',
      borderColour: 'var(--hue-line)',
    });
    expect(button!.look.background).toBe('var(--hue-accent)');
    expect(hueProperties(themeOf(project))).toMatchObject({
      '--hue-deep': '#112233',
      '--hue-accent': '#2f5d50',
    });
  });

  it('do not reach a layout that is drawn with its colours', () => {
    const view = new ScreenView(shaper);
    lookAt(view, withTokens(token('#112233')));
    const drawn = lookAt(view, withTokens(token('#112233')), false);
    expect(JSON.stringify(drawn.map(({ look }) => look))).not.toContain('var(');
    // One that was drawn so before is drawn anew.
    const painted = () =>
      lookAt(view, { ...withTokens(token('#112233')), screens: base.screens }, false)[2]!.look.background;
    expect(painted()).toBe('#2f5d50');
  });
});
