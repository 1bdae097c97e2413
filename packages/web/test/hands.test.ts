/** Hands on the bench: sizes keep their unit, the inside is changed where it is taken hold of. */
import { applySteps, ScreenView, type Step } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { named, projectOf, testShaper } from '../../core/test/documents.ts';
import { gapSteps, insideEdges, sideSteps, withSides } from '../src/workbench/hands/insideEdges.ts';
import { keptUnit, pairOf, percentFor, sharedAnew } from '../src/workbench/hands/keptUnits.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const row = (inside: string, more = '') =>
  projectOf(`<screen name="Tonight"><row name="line" width="300" ${more}>${inside}</row></screen>`);

function laid(project: ReturnType<typeof projectOf>, rightToLeft = false) {
  const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, {
    width: 390,
    height: 844,
    rightToLeft,
  });
  const box = (name: string) => layout.byControl.get(named(project, name).id)!;
  return { layout, box };
}

function after(project: ReturnType<typeof projectOf>, steps: readonly Step[]) {
  const applied = applySteps(project, steps);
  if (!applied.ok) throw new Error(applied.reason);
  return applied.project;
}

const shares = (...texts: string[]) =>
  texts.map((text, index) => `<column name="${'abc'[index]}" width="${text}" height="20" />`).join('');

describe('a share', () => {
  const dragged = (project: ReturnType<typeof projectOf>, name: string, size: number, snaps: boolean) => {
    const { layout, box } = laid(project);
    const control = named(project, name);
    return keptUnit({ control, box: box(name) }, named(project, 'line'), layout, 'width', size, snaps)!;
  };

  it('is shared anew with the next, in small ratios where two share', () => {
    const project = row(shares('share', 'share'));
    expect(dragged(project, 'a', 203, true).words).toBe('share 2 : 1');
    expect(dragged(project, 'a', 178, true).words).toBe('share 3 : 2');
    // The last is shared anew with the one in front of it.
    expect(dragged(project, 'b', 203, true).words).toBe('share 2 : 1');
  });

  it('freed, comes to what is asked for; the others keep theirs', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 170 }), (size) => {
        const project = row(shares('share', 'share', 'share 1.5'), 'gap="10"');
        const before = laid(project).box('c').width;
        const { box } = laid(after(project, dragged(project, 'a', size, false).steps));
        // Hundredths of a share are up to 1 px here.
        expect(Math.abs(box('a').width - Math.min(size, 159))).toBeLessThan(1.5);
        expect(box('c').width).toBeCloseTo(before, 1);
      }),
      { numRuns: 60 },
    );
  });

  it('that nobody shares with is px when it is dragged; an expression is left alone', () => {
    const { layout, box } = laid(row(shares('share', '40')));
    const project = row(shares('share', '40'));
    expect(pairOf(named(project, 'line'), named(project, 'a'), layout, 'width')).toBeUndefined();
    expect(box('a').width).toBe(260);
    const bound = row(shares('{40 + 2}'));
    expect(dragged(bound, 'a', 80, true)).toMatchObject({ steps: [] });
  });

  it('stays what it is in words where nothing is gained', () => {
    const project = row(shares('share', 'share'));
    const { layout } = laid(project);
    const pair = pairOf(named(project, 'line'), named(project, 'a'), layout, 'width')!;
    expect(sharedAnew(pair, 'width', 150, true)).toEqual({ first: 1, second: 1 });
    expect(sharedAnew(pair, 'width', -50, false).first).toBeGreaterThan(0);
    expect(sharedAnew(pair, 'width', 5000, false).second).toBeGreaterThan(0);
  });
});

it('per cent stay per cent, drawn to quarters and thirds', () => {
  const project = row('<column name="a" width="40%" height="20" />', 'padding="0 10"');
  const { layout, box } = laid(project);
  const line = named(project, 'line');
  const drag = (size: number, snaps: boolean) =>
    keptUnit({ control: named(project, 'a'), box: box('a') }, line, layout, 'width', size, snaps)!.steps[0];
  expect(drag(141, true)).toMatchObject({ value: '50%' });
  expect(drag(94, true)).toMatchObject({ value: '33.33%' });
  expect(drag(100.5, false)).toMatchObject({ value: '35.89%' });
  expect(percentFor(-5, 280, true)).toBe(0);
});

describe('the inside', () => {
  it.each([
    [undefined, [0, 0, 0, 0], [[1, 8]], '0 8 0 0'],
    ['8', [8, 8, 8, 8], [[0, 12]], '12 8 8'],
    [
      '8 16',
      [8, 16, 8, 16],
      [
        [1, 20],
        [3, 20],
      ],
      '8 20',
    ],
    ['space.m 4', [12, 4, 12, 4], [[0, 0]], '0 4 space.m'],
    ['{gapNow}', [5, 5, 5, 5], [[2, 9]], '5 5 9'],
    [
      '1 2 3 4',
      [1, 2, 3, 4],
      [
        [0, 7],
        [1, 7],
        [2, 7],
        [3, 7],
      ],
      '7',
    ],
  ] as const)('%s with other sides', (said, lengths, changes, expected) => {
    expect(withSides(said, lengths, new Map(changes.map(([word, value]) => [word, value])))).toBe(expected);
  });

  it.each([false, true])('is where it is seen, right to left: %s', (rightToLeft) => {
    const project = row(shares('40', '60'), 'gap="12" padding="4 8 16 24" border-width="1"');
    const { layout, box } = laid(project, rightToLeft);
    const line = named(project, 'line');
    for (const edge of insideEdges(line, box('line'), layout)) {
      const { part, axis, sign } = edge;
      if (part === 'share' || part === 'ratio' || part === 'limit') continue;
      const by = 6;
      const steps =
        part === 'gap'
          ? gapSteps(line, axis, edge.value + by, '')
          : sideSteps(
              line,
              box('line'),
              part,
              { side: edge.side!, value: edge.value + by, reach: 'one' },
              { scope: '', rightToLeft },
            );
      const moved = laid(after(project, steps), rightToLeft);
      const next = insideEdges(line, moved.box('line'), moved.layout).find(({ key }) => key === edge.key)!;
      expect(next.value, edge.key).toBe(edge.value + by);
      // A hand of padding goes along with what it changes.
      if (part === 'padding' && !(axis === 'y' && edge.side === 'bottom'))
        expect(next[axis] - edge[axis], edge.key).toBeCloseTo(sign * by, 1);
    }
  });

  it('of a row whose children share has a divider between each two', () => {
    const project = row(shares('share', 'share', '40'));
    const { layout, box } = laid(project);
    const edges = insideEdges(named(project, 'line'), box('line'), layout);
    expect(edges.filter(({ part }) => part === 'share').map(({ first }) => first)).toEqual([
      named(project, 'a').id,
    ]);
    // With another gap across the columns only, that across rows stays as it is named.
    const two = row('', 'gap="16 4" wrap="true"');
    expect(gapSteps(named(two, 'line'), 'x', 9, '')).toMatchObject([{ property: 'gap', value: '16 9' }]);
  });
});
