import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { randomScreen, trialAssets } from '../../../tests/parity/documents.ts';
import {
  applyStep,
  defaultBands,
  namedBoxes,
  type Project,
  ScreenView,
  type View,
  walk,
} from '../src/index.ts';
import { breakOpportunities } from '../src/text/breaks.ts';
import { setText } from '../src/text/paragraph.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { named, projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const hand: View = { width: 390, height: 844 };

/** Boxes by name as [x, y, width, height]. */
function boxes(source: string, view: View = hand): Record<string, number[]> {
  const project = projectOf(source);
  const screen = project.screens[0]!;
  const layout = new ScreenView(shaper).layOut(project, screen, view);
  return Object.fromEntries(
    namedBoxes({ screens: [] }, screen, layout).map(({ name, x, y, width, height }) => [
      name,
      [x, y, width, height],
    ]),
  );
}

describe('sizes along a row', () => {
  it('shares are exact, whatever the content', () => {
    const { a, b, c } = boxes(
      '<screen name="s"><row gap="15"><text name="a" width="share" text="A much longer text than the others have" /><text name="b" width="share 2" text="b" /><text name="c" width="share 2" text="c" /></row></screen>',
    );
    expect([a![2], b![2], c![2]]).toEqual([72, 144, 144]);
  });

  it.each([
    [101, [1, 1, 1], [2154, 2155, 2155]],
    [100, [1, 1, 1, 1, 1, 1, 1], [914, 915, 914, 915, 914, 914, 914]],
    [103, [1, 1, 1, 1, 1, 1, 1], [941, 942, 941, 942, 942, 942, 942]],
    [289, [1.5, 2, 1], [6165, 8221, 4110]],
    [101, [1.5, 2, 1], [2155, 2873, 1436]],
  ])('%d px in shares of %j are whole 64ths that add up, as in a browser', (width, shares, wanted) => {
    const children = shares.map(
      (share, index) => `<row name="c${index}" width="share ${share}" height="1" />`,
    );
    const all = boxes(`<screen name="s"><row width="${width}">${children.join('')}</row></screen>`);
    // Boxes are told to four decimals.
    expect(shares.map((_, index) => Math.round(all[`c${index}`]![2]! * 64))).toEqual(wanted);
  });

  it('a minimum is kept, and its share taken from the others', () => {
    const { a, b } = boxes(
      '<screen name="s"><row><column name="a" width="share" min-width="300" /><column name="b" width="share" /></row></screen>',
    );
    expect([a![2], b![2]]).toEqual([300, 90]);
  });

  it('a number and a percentage do not give way, `fit` does', () => {
    const { a, b, c } = boxes(
      '<screen name="s"><row><column name="a" width="200" /><column name="b" width="50%" /><text name="c" text="some words here" /></row></screen>',
    );
    expect([a![2], b![2]]).toEqual([200, 195]);
    expect(c![2]).toBeLessThan(60);
  });

  it('a share in a column that is only as high as its content gets nothing', () => {
    const { inner } = boxes(
      '<screen name="s"><column><column name="inner" height="share"><text text="words" /></column></column></screen>',
    );
    expect(inner![3]).toBe(0);
  });
});

describe('bands', () => {
  it('later bands win over earlier ones, an orientation over both', () => {
    const source =
      '<screen name="s"><row name="r" padding="1" lap.padding="2" desk.padding="3" landscape.padding="4"><column name="c" width="share" /></row></screen>';
    const left = (width: number, height: number) => boxes(source, { width, height }).c![0];
    expect([left(390, 844), left(560, 844), left(960, 1400), left(960, 800)]).toEqual([1, 2, 3, 4]);
    // A band begins at its width; a square stands upright (Media Queries 4 §4.6).
    expect([left(559, 844), left(960, 960)]).toEqual([1, 3]);
  });
});

describe('a view that keeps its edges free', () => {
  const safe = { top: 44, right: 10, bottom: 28, left: 30 };
  const source = '<screen name="s"><column name="a" width="100%" height="40" /></screen>';
  it('lays the screen out inside them, and is as large as before', () => {
    const project = projectOf(source);
    const view = { ...hand, safe };
    const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, view);
    expect([layout.width, layout.fullHeight]).toEqual([390, 844]);
    expect(boxes(source, view).a).toEqual([30, 44, 350, 40]);
    expect(boxes(source, { ...view, rightToLeft: true }).a).toEqual([30, 44, 350, 40]);
  });
});

describe('direction and text scale', () => {
  it('right-to-left mirrors places and keeps sizes', () => {
    const source =
      '<screen name="s" padding="0 10 0 30"><row><column name="a" width="100" height="10" /><column name="b" width="50" height="10" /></row></screen>';
    expect(boxes(source, { ...hand, rightToLeft: true })).toMatchObject({
      a: [260, 0, 100, 10],
      b: [210, 0, 50, 10],
    });
  });

  it('text grows with the reader, padding and gap do not', () => {
    const source =
      '<screen name="s"><column name="c" padding="10"><text name="t" text="one line" /></column></screen>';
    const [plain, twice] = [boxes(source), boxes(source, { ...hand, textScale: 2 })];
    // 16 px × 1.4 and 32 px × 1.4, in whole px.
    expect(plain.t![3]).toBe(22);
    expect(twice.t![3]).toBe(45);
    expect(twice.t![1]).toBe(10);
  });
});

describe('text', () => {
  const plain = {
    family: 'Hanken Grotesk',
    weight: 400,
    size: 16,
    lineHeight: 1.4,
    italic: false,
    letterSpacing: 0,
    noWrap: false,
    align: 'start',
  } as const;
  const linesOf = (text: string, width: number) =>
    setText(shaper, text, plain)
      .set(width)
      .lines.map((line) => line.text);

  it('is as wide as its longest line and as narrow as its longest word', () => {
    const text = 'a longish line\nshort';
    const { minContent, maxContent } = setText(shaper, text, plain);
    expect(linesOf(text, maxContent)).toEqual(['a longish line', 'short']);
    expect(linesOf(text, minContent)).toEqual(['a', 'longish', 'line', 'short']);
  });

  it('loses no word, at any width', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('hut', 'weather-proof', 'Łąka', '3/4', '(wet)', '—', 'yes?no', '12 €')),
        fc.integer({ min: 0, max: 300 }),
        (words, width) => {
          const text = words.join(' ');
          const style = { ...plain, family: 'Zilla Slab', weight: 600, size: 17.3 };
          const set = setText(shaper, text, style);
          const lines = set.set(width).lines.map((line) => line.text);
          expect(lines.join('').replaceAll(' ', '')).toBe(text.replaceAll(' ', ''));
        },
      ),
    );
  });

  it('shows a hyphen where a line ends at a soft one, and nowhere else', () => {
    const set = (text: string, noWrap = false) =>
      setText(shaper, text, { ...plain, family: 'Zilla Slab', noWrap });
    const parted = set('after\u00adnoon');
    expect(parted.set(parted.maxContent).lines.map(({ text }) => text)).toEqual(['after\u00adnoon']);
    expect(parted.set(parted.minContent).lines.map(({ text }) => text)).toEqual(['after\u00ad-', 'noon']);
    expect(parted.maxContent).toBe(set('afternoon').maxContent);
    expect(parted.minContent).toBeCloseTo(set('after').maxContent + set('-').maxContent, 1);
    expect(set('after\u00adnoon', true).minContent).toBe(parted.maxContent);
  });

  it('keeps a hyphen that begins a line with the letters behind it', () => {
    expect(linesOf('half--éclair', 1)).toEqual(['half-', '-éclair']);
    expect(linesOf('half-éclair', 1)).toEqual(['half-', 'éclair']);
    expect(linesOf('half--day', 1)).toEqual(['half-', '-', 'day']);
  });

  it('takes no part of a text for another text that reads like what is known of it', () => {
    const options = { rightToLeft: false, spaced: false };
    shaper.forget();
    const whole = 'α4 β';
    const script = shaper.shape(whole, plain, options).scripts![1]!;
    expect(shaper.shapePart(whole, 1, 2, plain, options).text).toBe('4');
    expect(shaper.shape(`${script}/4`, plain, options).text).toBe(`${script}/4`);
  });

  it('spaces neither what is not seen nor letters that are joined', () => {
    const added = (text: string) => {
      const [close, spaced] = [0, 10].map(
        (letterSpacing) => setText(shaper, text, { ...plain, letterSpacing, noWrap: true }).maxContent,
      );
      return Math.round((spaced! - close!) / 10);
    };
    expect(added('zero\u200bwidth')).toBe(9);
    expect(added('مرحبا')).toBe(0);
    expect(added('abc, مرحبا, def')).toBe(9);
    expect(added('abc (مرحبا) def')).toBe(10);
    expect(added('abc שלום, 12')).toBe(12);
  });

  it.each([
    ['weather-proof', [8, 13]],
    ['ABC-123 -5', [4, 8, 10]],
    ['yes?no', [4, 6]],
    ['a/b c', [4, 5]],
    ['snow (wet)', [5, 10]],
    // A dash that begins a word stays with it.
    ['a –b', [2, 4]],
    ['a– b', [3, 4]],
    ['£(5', [1, 3]],
    ['−(5', [3]],
    ['£(5 −', [1, 4, 5]],
    ['שש-שש', [3, 5]],
    ['שש-éé', [5]],
  ])('%s may break at %j', (text, expected) => {
    expect(breakOpportunities(text)).toEqual(expected);
  });
});

describe('any document', () => {
  it('is laid out without NaN, and again after a change exactly as from nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100_000 }), fc.nat(), (seed, pick) => {
        const screen = randomScreen(seed);
        const project = {
          ...projectOf('<screen name="s" />'),
          assets: trialAssets,
          bands: defaultBands,
          screens: [screen],
        };
        const kept = new ScreenView(shaper);
        kept.layOut(project, screen, hand);
        const all = [...walk(screen)];
        const control = all[pick % all.length]!;
        const property =
          control.kind === 'text' ? 'text' : ['screen', 'cell'].includes(control.kind) ? 'padding' : 'margin';
        const changed = applyStep(project, { type: 'set', control: control.id, property, value: '7' });
        if (!changed.ok) throw new Error(changed.reason);
        const next = changed.project.screens[0]!;
        const again = namedBoxes({ screens: [] }, next, kept.layOut(changed.project, next, hand));
        expect(again).toEqual(
          namedBoxes({ screens: [] }, next, new ScreenView(shaper).layOut(changed.project, next, hand)),
        );
        for (const box of again)
          for (const number of [box.x, box.y, box.width, box.height])
            expect(Number.isFinite(number)).toBe(true);
      }),
      { numRuns: 150 },
    );
  });

  it('knows where a split lies beside a fold after the padding around it has changed', () => {
    const project = projectOf(
      '<screen name="s"><column width="100%"><split name="both" hinge="true"><column name="one" min-width="50" /><column name="two" min-width="50" /></split></column></screen>',
    );
    const view = new ScreenView(shaper);
    const folding = { width: 772, height: 812, hinge: { left: 376, width: 20 } };
    const one = [...walk(project.screens[0]!)].find(({ name }) => name === 'one')!.id;
    const widthOfOne = (of: Project) => view.layOut(of, of.screens[0]!, folding).byControl.get(one)!.width;
    expect(widthOfOne(project)).toBe(376);
    const changed = applyStep(project, {
      type: 'set',
      control: project.screens[0]!.id,
      property: 'padding',
      value: '30',
    });
    expect(changed.ok && widthOfOne(changed.project)).toBe(346);
  });

  it('keeps the boxes of what did not change', () => {
    const project = projectOf(
      '<screen name="s"><row name="one"><text name="t" text="a" /></row><row name="two"><text text="b" /></row></screen>',
    );
    const view = new ScreenView(shaper);
    const before = view.layOut(project, project.screens[0]!, hand);
    const changed = applyStep(project, {
      type: 'set',
      control: named(project, 't').id,
      property: 'text',
      value: 'c',
    });
    if (!changed.ok) throw new Error(changed.reason);
    const after = view.layOut(changed.project, changed.project.screens[0]!, hand);
    const two = named(project, 'two').id;
    expect(after.byControl.get(two)!.box).toBe(before.byControl.get(two)!.box);
  });
});
