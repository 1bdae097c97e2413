/** Pins on a pinboard: pinned where it stands, let go, changed in their unit. */
import { applySteps, ScreenView, type Step } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { beforeAll, describe, expect, it } from 'vitest';
import { named, projectOf, testShaper } from '../../core/test/documents.ts';
import {
  centrePins,
  edgePins,
  heldPin,
  movedPin,
  otherUnit,
  pinDistance,
  pressPin,
} from '../src/workbench/hands/pins.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const board = (pins: string) =>
  projectOf(
    `<screen name="Tonight"><pinboard name="board" width="300" height="200" border-width="2" padding="10"><spacer name="a" width="60" height="40" margin="1 2 3 4" ${pins} /></pinboard></screen>`,
  );

function laid(project: ReturnType<typeof projectOf>, rightToLeft = false) {
  const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, {
    width: 390,
    height: 844,
    rightToLeft,
  });
  return { layout, box: (name: string) => layout.byControl.get(named(project, name).id)! };
}

function after(project: ReturnType<typeof projectOf>, steps: readonly Step[]) {
  const applied = applySteps(project, steps);
  if (!applied.ok) throw new Error(applied.reason);
  return applied.project;
}

describe('a pin', () => {
  for (const rightToLeft of [false, true])
    it.each([...edgePins, ...centrePins])(
      `to %s, pressed, holds the control where it stands, right to left: ${rightToLeft}`,
      (pin) => {
        // Held by something of the other axis and by nothing of this one.
        const project = board(
          pin === 'top' || pin === 'bottom' || pin === 'center-y' ? 'left="30"' : 'top="20"',
        );
        const { box } = laid(project, rightToLeft);
        const distance = pinDistance(pin, box('a'), box('board'), rightToLeft);
        const pinned = after(project, pressPin(named(project, 'a'), pin, distance));
        expect(heldPin(named(pinned, 'a'), pin)).toBe(String(distance));
        const [was, is] = [box('a'), laid(pinned, rightToLeft).box('a')];
        expect([is.x, is.y, is.width, is.height]).toEqual([
          expect.closeTo(was.x, 1),
          expect.closeTo(was.y, 1),
          was.width,
          was.height,
        ]);
      },
    );

  it('that is pressed again lets go', () => {
    const a = named(board('left="30" top="10"'), 'a');
    expect(pressPin(a, 'left', 30)).toEqual([{ type: 'set', control: a.id, property: 'left', value: null }]);
  });

  it('to a middle takes the place of those to the edges of its axis, and they its', () => {
    const held = named(board('left="30" right="20" top="10"'), 'a');
    expect(
      pressPin(held, 'center-x', 5).map(
        (step) => 'property' in step && [step.property, 'value' in step && step.value],
      ),
    ).toEqual([
      ['center-x', '5'],
      ['left', null],
      ['right', null],
    ]);
    const middle = named(board('center-x="5"'), 'a');
    expect(pressPin(middle, 'left', 9)).toHaveLength(2);
  });

  it('keeps its unit while it is dragged, and changes it on request, at the same place', () => {
    const project = board('left="10%" top="20"');
    const { layout, box } = laid(project);
    const [a, parent] = [named(project, 'a'), named(project, 'board')];
    expect(movedPin(a, 'left', 74, parent, layout)).toMatchObject({ value: '25%' });
    expect(movedPin(a, 'top', 24, parent, layout)).toMatchObject({ value: '24' });
    for (const pin of ['left', 'top'] as const) {
      const step = otherUnit(a, pin, pinDistance(pin, box('a'), box('board'), false), parent, layout)!;
      const turned = laid(after(project, [step])).box('a');
      expect([turned.x, turned.y]).toEqual([expect.closeTo(box('a').x, 1), expect.closeTo(box('a').y, 1)]);
      expect(heldPin(named(after(project, [step]), 'a'), pin)!.endsWith('%')).toBe(pin === 'top');
    }
    // Middles count in px only; what is not held has no unit.
    expect(otherUnit(named(board('center-x="5"'), 'a'), 'center-x', 5, parent, layout)).toBeUndefined();
    expect(otherUnit(a, 'right', 5, parent, layout)).toBeUndefined();
  });
});
