/** What is cut off on the bench: what scrolls at its edges, but where something selected lies beyond. */
import { defaultBands, type Project, parseScreen, ScreenView } from '@hovrin/core';
import { loadShaper } from '@hovrin/files';
import { expect, it } from 'vitest';
import { clipOf, openScrolls, scrollSigns, windowsOf } from '../src/workbench/bays/cut.ts';
import { controlsAt, keepWindows } from '../src/workbench/hands/spot.ts';

async function laidOut(source: string) {
  let count = 0;
  const parsed = parseScreen(source, {
    file: 'test',
    newId: () => `c${++count}`,
    context: { bands: defaultBands, names: new Map(), screens: new Set(), namesKnown: false },
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  const project: Project = {
    format: 1,
    name: 'Velmora Hut',
    bands: defaultBands,
    state: [],
    assets: [],
    screens: [parsed.screen],
  };
  const view = new ScreenView(await loadShaper());
  return { screen: parsed.screen, layout: view.layOut(project, parsed.screen, { width: 390, height: 844 }) };
}

const layoutOf = async (source: string) => (await laidOut(source)).layout;

it('cuts the words of a control that scrolls, and not those beside it', async () => {
  const layout = await layoutOf(
    '<screen><row><code width="80" text="46.1250 N, 12.0830 E" /><text text="hut" /></row></screen>',
  );
  const windows = windowsOf(layout);
  const [code] = layout.boxes.filter(({ box }) => box.content.type === 'scroll');
  const words = layout.boxes.findIndex(({ parent }) => layout.boxes[parent] === code);
  expect(windows[words]).toMatchObject({ left: code!.x, right: code!.x + 80 });
  expect(layout.boxes[words]!.width).toBeGreaterThan(80);
  expect(clipOf(layout.boxes[words]!, windows[words])).toMatch(/^inset\(/);
  const beside = layout.boxes.findIndex(({ lines }) => lines.some(({ text }) => text === 'hut'));
  expect(layout.boxes[beside]).toBeDefined();
  expect(windows[beside]).toBeUndefined();
});

it('cuts what scrolls at the innermost of two, and not where something selected lies beyond', async () => {
  const layout = await layoutOf(
    '<screen><scroll name="outer" height="100"><scroll name="inner" height="300"><column name="long" height="400"><text name="words" text="hut" /></column></scroll></scroll></screen>',
  );
  const all = windowsOf(layout);
  const text = layout.boxes.findIndex(({ lines }) => lines.length > 0);
  expect(all[text]).toEqual({ left: 0, top: 0, right: 390, bottom: 100 });
  expect(all[0]).toBeUndefined();
  const ids = layout.boxes.flatMap(({ control }) => control ?? []);
  // What is inside the edges leaves them closed; what reaches beyond opens those that it reaches beyond.
  const words = layout.boxes[text]!.control!;
  expect(openScrolls(layout, [words])).toEqual(new Set());
  const [, , , long] = ids;
  const opened = [...openScrolls(layout, [long!])].map((index) => layout.boxes[index]!.height);
  expect(opened.toSorted((a, b) => a - b)).toEqual([100, 300]);
  expect(windowsOf(layout, openScrolls(layout, [long!]))[text]).toBeUndefined();
});

it('marks what scrolls, along the axis that it scrolls on, by how much of it is seen', async () => {
  const layout = await layoutOf(
    '<screen><scroll height="100"><column height="400" /></scroll><scroll height="60" axis="horizontal"><row width="780" /></scroll><scroll height="60"><row height="20" /></scroll></screen>',
  );
  expect(scrollSigns(layout).map(({ axis, part }) => [axis, part])).toEqual([
    ['vertical', 0.25],
    ['horizontal', 0.5],
  ]);
});

it('leaves what is cut off to what lies below the pointer there', async () => {
  const { screen, layout } = await laidOut(
    '<screen><scroll height="100"><column height="400" /></scroll><row height="50" /></screen>',
  );
  const at = (y: number) =>
    controlsAt(screen, layout, { x: 20, y }).map((id) => layout.byControl.get(id)!.height);
  expect(at(120)).toEqual([50, 400]);
  keepWindows(layout, windowsOf(layout));
  expect(at(120)).toEqual([50]);
  expect(at(40)).toEqual([400, 100]);
});
