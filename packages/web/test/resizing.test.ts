/** Dragging the edges of controls: which edge moves, which one stays. */
import { applySteps, ScreenView } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { named, projectOf, testShaper } from '../../core/test/documents.ts';
import { resizedTo, resizePinned, spanTo } from '../src/workbench/hands/resizing.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const across = [
  '',
  'left="20"',
  'right="10%"',
  'center-x="-15"',
  'left="20" right="30"',
  'left="5%" center-x="0"',
];
const down = ['', 'top="10"', 'bottom="15"', 'center-y="5"', 'top="20" bottom="30"'];

describe('on a pinboard', () => {
  it('the dragged edge goes where it is dragged and the other one stays, whatever holds the control', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...across),
        fc.constantFrom(...down),
        fc.constantFrom('', 'width="80" height="40"', 'width="share" height="share"'),
        fc.constantFrom(-1, 1),
        fc.integer({ min: -30, max: 60 }),
        fc.boolean(),
        (pinsAcross, pinsDown, size, edge, by, rightToLeft) => {
          const project = projectOf(
            `<screen name="Tonight"><pinboard name="board" width="300" height="200" border-width="3" padding="7"><column name="a" ${pinsAcross} ${pinsDown} ${size}><spacer width="90" height="50" /></column></pinboard></screen>`,
          );
          const view = new ScreenView(shaper);
          const size390 = { width: 390, height: 844, rightToLeft };
          const before = view.layOut(project, project.screens[0]!, size390);
          const control = named(project, 'a');
          const board = before.byControl.get(named(project, 'board').id)!;
          const from = before.byControl.get(control.id)!;
          for (const side of ['width', 'height'] as const) {
            const steps = resizePinned(
              { control, box: from },
              { side, edge: edge as -1 | 1, size: from[side] + by },
              board,
              rightToLeft,
            );
            const applied = applySteps(project, steps);
            if (!applied.ok) throw new Error(applied.reason);
            const after = applied.project;
            const to = new ScreenView(shaper)
              .layOut(after, after.screens[0]!, size390)
              .byControl.get(control.id)!;
            const axis = side === 'width' ? 'x' : 'y';
            const grown = edge < 0 ? -by : 0;
            expect(Math.abs(to[axis] - from[axis] - grown)).toBeLessThan(0.05);
            expect(Math.abs(to[side] - from[side] - by)).toBeLessThan(0.05);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('a size', () => {
  const limits = { min: 40, max: 200 };
  it.each([
    [98, true, { value: 100, like: 'line' }],
    [91, true, { value: 92, like: undefined }],
    [91, false, { value: 91, like: undefined }],
    [10, true, { value: 40, like: undefined }],
    [500, true, { value: 200, like: undefined }],
  ])('asked for as %i, snapping %s', (asked, on, expected) => {
    expect(resizedTo(asked, [{ name: 'line', size: 100 }], limits, { step: 4, on })).toEqual(expected);
  });
});

it.each([false, true])('in a grid the edge at the end counts columns, right to left: %s', (rightToLeft) => {
  const project = projectOf(
    '<screen name="Tonight"><grid name="board" columns="100 100 100" width="300"><text name="a" text="a" /></grid></screen>',
  );
  const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, {
    width: 390,
    height: 844,
    rightToLeft,
  });
  const item = named(project, 'a');
  const span = (to: number) =>
    spanTo(
      { control: item, box: layout.byControl.get(item.id)! },
      layout.byControl.get(named(project, 'board').id)!,
      'width',
      to,
      rightToLeft,
    );
  expect(span(120)).toEqual({ property: 'col-span', count: 1 });
  expect(span(180)).toEqual({ property: 'col-span', count: 2 });
  expect(span(900)).toEqual({ property: 'col-span', count: 3 });
});
