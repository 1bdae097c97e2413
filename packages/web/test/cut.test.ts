/** What is cut off on the bench: the inside of controls always, what scrolls only where it is asked for. */
import { defaultBands, type Project, parseScreen, ScreenView } from '@hovrin/core';
import { loadShaper } from '@hovrin/files';
import { expect, it } from 'vitest';
import { clipOf, windowsOf } from '../src/build/cut.ts';

async function layoutOf(source: string) {
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
  return new ScreenView(await loadShaper()).layOut(project, parsed.screen, { width: 390, height: 844 });
}

it('cuts the words of a control that scrolls, and not those beside it', async () => {
  const layout = await layoutOf(
    '<screen><row><code width="80" text="46.1250 N, 12.0830 E" /><text text="hut" /></row></screen>',
  );
  const windows = windowsOf(layout, 'parts');
  const [code] = layout.boxes.filter(({ box }) => box.content.type === 'scroll');
  const words = layout.boxes.findIndex(({ parent }) => layout.boxes[parent] === code);
  expect(windows[words]).toMatchObject({ left: code!.x, right: code!.x + 80 });
  expect(layout.boxes[words]!.width).toBeGreaterThan(80);
  expect(clipOf(layout.boxes[words]!, windows[words])).toMatch(/^inset\(/);
  const beside = layout.boxes.findIndex(({ lines }) => lines.some(({ text }) => text === 'hut'));
  expect(layout.boxes[beside]).toBeDefined();
  expect(windows[beside]).toBeUndefined();
});

it('cuts what scrolls only where that is asked for, and at the innermost of two', async () => {
  const layout = await layoutOf(
    '<screen><scroll height="100"><scroll height="300"><column height="400"><text text="hut" /></column></scroll></scroll></screen>',
  );
  expect(windowsOf(layout, 'parts').every((window) => window === undefined)).toBe(true);
  const all = windowsOf(layout, 'all');
  const text = layout.boxes.findIndex(({ lines }) => lines.length > 0);
  expect(all[text]).toEqual({ left: 0, top: 0, right: 390, bottom: 100 });
  expect(all[0]).toBeUndefined();
});
