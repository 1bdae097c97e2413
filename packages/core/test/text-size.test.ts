/** Sizes that follow the width, and texts that are made longer. */
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { longTexts, type Project, ScreenView, sweep, sweepChangeWords } from '../src/index.ts';
import { lengthened } from '../src/meaning/long-text.ts';
import { boxAt } from '../src/sweep/stretch.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { lineHeightOf } from '../src/text/units.ts';
import { named, projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const heightAt = (project: Project, width: number, textScale = 1) =>
  new ScreenView(shaper)
    .layOut(project, project.screens[0]!, { width, height: 800, textScale })
    .byControl.get(named(project, 'title').id)!.height;

describe('a size between two', () => {
  const source =
    '<screen name="s"><text name="title" text="Tonight" size="clamp(20,4vw, 40)" line-height="1" /></screen>';
  it('is kept in canonical form, and refused where it makes no sense', () => {
    expect(named(projectOf(source), 'title').props.size).toBe('clamp(20, 4vw, 40)');
    for (const wrong of ['clamp(40, 4vw, 20)', 'clamp(20, 4px, 40)', 'clamp(20, 4vw)', 'clamp(0, 4vw, 40)'])
      expect(() => projectOf(source.replace('clamp(20,4vw, 40)', wrong)), wrong).toThrow(/clamp/);
  });
  it('follows the width in whole px, its ends the reader’s text scale', () => {
    const project = projectOf(source);
    expect([300, 500, 624, 649, 650, 2000].map((width) => heightAt(project, width))).toEqual([
      20, 20, 24, 25, 26, 40,
    ]);
    expect(heightAt(project, 300, 2)).toBe(40);
    expect(heightAt(project, 1500, 2)).toBe(60);
  });
  it('is told of by a sweep, where nothing else begins', () => {
    const project = projectOf(source);
    const screen = project.screens[0]!;
    const told = [...sweep(shaper, project, screen, { from: 600, to: 690, height: 2000 })].flatMap(
      ({ change }) => (change ? [`${change.width}: ${sweepChangeWords(change, screen).join()}`] : []),
    );
    expect(told).toEqual([
      '625: the text of `title` grows to 25 px',
      '650: the text of `title` grows to 26 px',
      '675: the text of `title` grows to 27 px',
    ]);
  });
  it('is swept as exactly as it is laid out', () => {
    const project = projectOf(
      source.replace(
        '/></screen>',
        '/><text text="some more words below it" size="clamp(14, 2.5vw, 19)" /></screen>',
      ),
    );
    const screen = project.screens[0]!;
    const view = new ScreenView(shaper);
    for (const { stretch } of sweep(shaper, project, screen, { from: 480, to: 760, height: 800 }))
      for (const width of [stretch.from, Math.floor(stretch.to), (stretch.from + stretch.to) / 2]) {
        if (width < stretch.from || width > stretch.to) continue;
        const { boxes } = view.layOut(project, screen, { width, height: 800 });
        for (const [index, { x, y, width: wide, height }] of boxes.entries())
          for (const [at, value] of [x, y, wide, height].entries())
            expect(Math.abs(boxAt(stretch, index, width)[at]! - value)).toBeLessThan(0.1);
      }
  });
});

describe('a longer text', () => {
  it('has at least a third more letters, and its digits, signs and line feeds as they are', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...'abc ÄeiouxyzT4-\n') }), (text) => {
        const letters = (words: string) => [...words].filter((sign) => /\p{L}/u.test(sign)).length;
        const long = lengthened(text);
        expect(letters(long)).toBe(letters(text) + Math.ceil(letters(text) * 0.35));
        expect(long.replace(/\p{L}/gu, '')).toBe(text.replace(/\p{L}/gu, ''));
      }),
    );
  });
  it('leaves expressions and values alone', () => {
    const long = longTexts(
      projectOf(
        '<screen name="s"><text name="a" text="Bunk {guests + 1} of {name}" /><select name="b" label="Kind" options="dorm: Dormitory | twin" /><row name="c"><spacer /></row></screen>',
      ),
    );
    expect(named(long, 'a').props.text).toMatch(/^B\S+ \{guests \+ 1\} \S+ \{name\}/);
    expect(named(long, 'b').props.options).toMatch(/^dorm: \S{12,} \| twin: \S+$/);
    expect(named(long, 'c').props).toEqual({});
  });
});

describe('a line', () => {
  it('is whole px high at every size and factor, the nearest, and halves go up', () => {
    expect([15, 25, 45, 30].map((size) => lineHeightOf(size, 0.7))).toEqual([11, 18, 32, 21]);
    expect(lineHeightOf(10, 1.35)).toBe(14);
    expect(lineHeightOf(30, 1.15)).toBe(35);
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 400 }), fc.integer({ min: 50, max: 400 }), (size, percent) => {
        const height = lineHeightOf(size, percent / 100);
        expect(Number.isInteger(height)).toBe(true);
        expect(Math.abs(height - (size * percent) / 100)).toBeLessThanOrEqual(0.5 + 1e-9);
      }),
    );
  });
});
