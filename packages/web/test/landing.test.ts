/** What is dropped on a pinboard: where it lands, what holds it there, what it lines up with. */
import { applySteps, type Control, ScreenView } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { beforeAll, describe, expect, it } from 'vitest';
import { named, projectOf, testShaper } from '../../core/test/documents.ts';
import { dropAt } from '../src/workbench/hands/drop.ts';
import { snapped } from '../src/workbench/hands/guides.ts';
import { landing, staysOnBoard } from '../src/workbench/hands/landing.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const project =
  projectOf(`<screen name="Tonight"><pinboard name="board" height="300" border-width="2" padding="12">
  <spacer name="a" right="20" top="10%" width="60" height="30" /><spacer name="b" center-x="0" bottom="40" width="60" height="30" /><spacer name="c" left="8" top="200" width="40" height="20" />
</pinboard><spacer name="outside" width="50" height="20" /></screen>`);
const screen = project.screens[0]!;
const layOut = (of = project) =>
  new ScreenView(shaper).layOut(of, of.screens[0]!, { width: 390, height: 844 });
const id = (name: string) => named(project, name).id;

/** The project with controls dropped where the first of them is moved by so much. */
function dropped(names: readonly string[], by: { x: number; y: number }) {
  const layout = layOut();
  const ids = names.map(id);
  const lead = layout.byControl.get(ids[0]!)!;
  const grabbed = { width: lead.width, height: lead.height, x: 5, y: 5 };
  const drop = dropAt(
    { project, screen, layout },
    { x: lead.x + 5 + by.x, y: lead.y + 5 + by.y },
    { moving: ids[0]!, grabbed, snapping: { step: 4, on: false } },
  )!;
  const pending = { place: drop.place, words: '', drop, bay: 'working' };
  const props = landing(project, ids, pending, layout);
  const steps = ids.flatMap((each) =>
    Object.entries(props(each)).map(([property, value]) => ({
      type: 'set' as const,
      control: each,
      property,
      value,
    })),
  );
  const applied = applySteps(project, steps);
  if (!applied.ok) throw new Error(applied.reason);
  return { after: applied.project, stays: staysOnBoard(project, ids, pending) };
}

const pins = ({ props }: Control) =>
  Object.keys(props).filter((key) => /^(?:left|right|top|bottom|center)/.test(key));

describe('what stands on a pinboard', () => {
  it('moves on it by the pins that hold it, several together', () => {
    const before = layOut();
    const { after, stays } = dropped(['a', 'b', 'c'], { x: -33, y: 21 });
    expect(stays).toBe(true);
    const layout = layOut(after);
    for (const name of ['a', 'b', 'c']) {
      const from = before.byControl.get(id(name))!;
      const to = layout.byControl.get(id(name))!;
      expect(to.x - from.x).toBeCloseTo(-33, 0);
      expect(to.y - from.y).toBeCloseTo(21, 0);
      expect(pins(named(after, name))).toEqual(pins(named(project, name)));
    }
  });
});

it('distances to what it lines up with stand in figures', () => {
  const layout = layOut();
  const board = layout.byControl.get(id('board'))!;
  const other = layout.byControl.get(id('c'))!;
  const moved = { x: other.x + 2, y: other.y - 90, width: 100, height: 30 };
  const { rectangle, guides } = snapped(moved, board, [other], { step: 4, on: true });
  expect(rectangle.x).toBe(other.x);
  expect(guides).toContainEqual({
    axis: 'x',
    at: other.x,
    from: rectangle.y + 30,
    to: other.y,
    distance: Math.round(other.y - rectangle.y - 30),
  });
  // At the padding, what that is.
  const inside = { x: board.x + 2 + 13, y: board.y + 50, width: 100, height: 30 };
  expect(snapped(inside, board, [], { step: 4, on: true }).guides.map(({ distance }) => distance)).toContain(
    12,
  );
  // Whole steps count from where pins do.
  const free = { x: board.x + 2 + 57, y: board.y + 2 + 63, width: 100, height: 30 };
  const stepped = snapped(free, board, [], { step: 4, on: true }).rectangle;
  expect([stepped.x - board.x - 2, stepped.y - board.y - 2]).toEqual([56, 64]);
});
