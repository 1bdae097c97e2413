/** The tracks of a grid by hand: in their unit, added, taken away, moved; the children stay at their lines. */
import { applySteps, joinedTracks, ScreenView, type Step, trackTexts } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { named, projectOf, testShaper } from '../../core/test/documents.ts';
import {
  addedTrack,
  draggedTracks,
  lineSteps,
  movedTrack,
  saidTracks,
  takenTrack,
  tracksStep,
  withTrack,
} from '../src/workbench/hands/tracks.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

describe('the tracks that a grid says', () => {
  it('are written out one by one', () => {
    expect(trackTexts('repeat(2, 1fr 20) minmax(40, 2fr) auto')).toEqual([
      '1fr',
      '20',
      '1fr',
      '20',
      'minmax(40, 2fr)',
      'auto',
    ]);
  });

  it('are none where nothing is said, and no list where they follow the width or an expression', () => {
    expect(saidTracks('columns', undefined)?.texts).toEqual([]);
    expect(saidTracks('columns', 'repeat(auto-fill, minmax(120, 1fr))')).toBeUndefined();
    expect(saidTracks('columns', '{late ? "1fr" : "2fr"}')).toBeUndefined();
    expect(saidTracks('rows', 'nonsense(')).toBeUndefined();
  });

  it('are a repeat where three or more are alike', () => {
    expect(joinedTracks(['1fr', '1fr'])).toBe('1fr 1fr');
    expect(joinedTracks(['auto', 'auto', 'auto'])).toBe('repeat(3, auto)');
    expect(joinedTracks(['auto', '1fr', 'auto'])).toBe('auto 1fr auto');
  });
});

describe('a track that is dragged', () => {
  const drag = (texts: readonly string[], more: Partial<Parameters<typeof draggedTracks>[1]>) =>
    draggedTracks(texts, {
      index: 0,
      sizes: texts.map(() => 100),
      size: 100,
      room: 400,
      snaps: true,
      step: 4,
      toPx: false,
      ...more,
    });

  it('of px goes by steps, and by px where it is freed', () => {
    expect(drag(['80', '1fr'], { size: 101.7 })).toEqual({ texts: ['100', '1fr'], words: '100' });
    expect(drag(['80', '1fr'], { size: 101.7, snaps: false }).texts).toEqual(['102', '1fr']);
    expect(drag(['80', '1fr'], { size: -30 }).texts).toEqual(['0', '1fr']);
  });

  it('of fr shares with the next that has fr, by small ratios, and nothing else changes', () => {
    expect(drag(['1fr', '20', '1fr'], { size: 133 }).texts).toEqual(['2fr', '20', '1fr']);
    expect(drag(['20', '1fr', '1fr'], { index: 2, size: 66 }).texts).toEqual(['20', '2fr', '1fr']);
    expect(drag(['1fr', '1fr'], { size: 133, toPx: true }).texts).toEqual(['132', '1fr']);
    // The only one with fr has nothing to share with: it becomes px.
    expect(drag(['1fr', '20'], { size: 133 }).texts).toEqual(['132', '20']);
  });

  it('of per cent stays per cent', () => {
    expect(drag(['25%', '1fr'], { size: 121 }).texts).toEqual(['30%', '1fr']);
    expect(drag(['25%', '1fr'], { size: 121, snaps: false }).texts).toEqual(['30.25%', '1fr']);
  });

  it('without a size of its own becomes px', () => {
    expect(drag(['auto', '1fr'], { size: 61 }).texts).toEqual(['60', '1fr']);
    expect(drag(['minmax(20, 1fr)', '1fr'], { size: 61 }).texts).toEqual(['60', '1fr']);
  });

  it('of fr keeps what both come to together, whatever it is dragged to', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 199, noNaN: true }),
        fc.boolean(),
        fc.integer({ min: 1, max: 9 }),
        (size, snaps, other) => {
          const { texts } = drag(['1fr', `${other}fr`, '3fr'], { size, snaps });
          const parts = texts.map((text) => Number.parseFloat(text));
          expect(parts.every((part) => part > 0)).toBe(true);
          expect(parts[0]! + parts[1]!).toBeCloseTo(1 + other, 5);
          expect(parts[2]).toBe(3);
        },
      ),
    );
  });
});

describe('tracks that come and go', () => {
  const grid = (children: string) =>
    projectOf(
      `<screen name="Tonight"><grid name="g" columns="10 20 30 40" rows="10" auto-rows="10">${children}</grid></screen>`,
    );
  const item = (name: string, more: string) => `<spacer name="${name}" ${more} />`;
  const boxes = (project: ReturnType<typeof projectOf>) => {
    const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, { width: 390, height: 844 });
    return (name: string) => {
      const { x, width } = layout.byControl.get(named(project, name).id)!;
      return [x, width];
    };
  };
  const after = (project: ReturnType<typeof projectOf>, steps: readonly Step[]) => {
    const applied = applySteps(project, steps);
    if (!applied.ok) throw new Error(applied.reason);
    return applied.project;
  };

  it('are added, changed, moved, taken away', () => {
    expect(addedTrack(['1', '2'], 1, 'auto')).toEqual(['1', 'auto', '2']);
    expect(withTrack(['1', '2'], 1, 'auto')).toEqual(['1', 'auto']);
    expect(movedTrack(['1', '2', '3'], 0, 1)).toEqual(['2', '1', '3']);
    expect(movedTrack(['1', '2', '3'], 2, -1)).toEqual(['1', '3', '2']);
    expect(takenTrack(['1', '2'], 0)).toEqual(['2']);
  });

  it('leave what stands at a line in its track, and what spans over it over the others', () => {
    const project = grid(
      `${item('before', 'col="1"')}${item('over', 'col="1" col-span="3"')}${item('behind', 'col="4"')}${item('back', 'col="-2"')}`,
    );
    const g = named(project, 'g');
    const texts = saidTracks('columns', '10 20 30 40')!.texts;
    const wider = after(project, [
      tracksStep(g, 'columns', addedTrack(texts, 2, '5')),
      ...lineSteps(g, 'columns', 2, 1),
    ]);
    const [was, is] = [boxes(project), boxes(wider)];
    expect(is('before')).toEqual(was('before'));
    expect(is('over')).toEqual([0, 65]);
    expect(is('behind')).toEqual([65, 40]);
    expect(is('back')).toEqual([65, 40]);
    // And back again: all stands where it stood.
    const back = after(wider, [
      tracksStep(named(wider, 'g'), 'columns', texts),
      ...lineSteps(named(wider, 'g'), 'columns', 2, -1),
    ]);
    for (const name of ['before', 'over', 'behind', 'back']) expect(boxes(back)(name)).toEqual(was(name));
  });

  it('say nothing where none is left', () => {
    expect(tracksStep(named(grid(''), 'g'), 'columns', [])).toMatchObject({
      property: 'columns',
      value: null,
    });
  });
});
