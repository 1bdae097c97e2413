import { beforeAll, describe, expect, it } from 'vitest';
import { randomScreen, trialProject } from '../../../tests/parity/documents.ts';
import { namedBoxes, ScreenView, type View } from '../src/index.ts';
import { trackListType } from '../src/property-types/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { trackListCss } from '../src/values/track-list.ts';
import { projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const hand: View = { width: 390, height: 844 };

function boxes(inside: string, view: View = hand): Record<string, number[]> {
  const project = projectOf(`<screen name="s">${inside}</screen>`);
  const screen = project.screens[0]!;
  const layout = new ScreenView(shaper).layOut(project, screen, view);
  return Object.fromEntries(
    namedBoxes({ screens: [] }, screen, layout).map(({ name, x, y, width, height }) => [
      name,
      [x, y, width, height],
    ]),
  );
}
const item = (name: string, rest = '') => `<spacer name="${name}" height="10" ${rest} />`;

describe('a grid', () => {
  it('gives fixed tracks their size and shares the rest by fr', () => {
    const { a, b, c } = boxes(`<grid columns="90 1fr 2fr">${item('a')}${item('b')}${item('c')}</grid>`);
    expect([a, b, c]).toEqual([
      [0, 0, 90, 10],
      [90, 0, 100, 10],
      [190, 0, 200, 10],
    ]);
  });

  it('repeats as often as there is room, and lets empty columns vanish with auto-fit', () => {
    const fill = boxes(`<grid columns="repeat(auto-fill, minmax(100, 1fr))" gap="10">${item('a')}</grid>`);
    expect(fill.a![2]).toBeCloseTo((390 - 20) / 3, 1);
    const fit = boxes(`<grid columns="repeat(auto-fit, minmax(100, 1fr))" gap="10">${item('a')}</grid>`);
    expect(fit.a![2]).toBe(390);
  });

  it('places by line and span, counts negative lines from the end, makes implicit tracks', () => {
    const { a, b, c } = boxes(
      `<grid columns="100 100 100" auto-rows="30" auto-columns="40">${item('a', 'col="-2" row="2"')}${item('b', 'col-span="2"')}${item('c', 'col="5"')}</grid>`,
    );
    expect(a!.slice(0, 2)).toEqual([200, 30]);
    expect(b![2]).toBe(200);
    expect(c!.slice(0, 3)).toEqual([340, 0, 40]);
  });

  it('spans all columns of the explicit grid, and one where none is said', () => {
    const all = boxes(
      `<grid columns="100 50 100" auto-columns="40" gap="10">${item('a', 'col-span="all" col="2"')}${item('b', 'col="4"')}</grid>`,
    );
    expect(all.a!.slice(0, 3)).toEqual([0, 0, 270]);
    expect(all.b!.slice(0, 3)).toEqual([280, 0, 40]);
    expect(boxes(`<grid>${item('a', 'col-span="all"')}</grid>`).a!.slice(0, 3)).toEqual([0, 0, 390]);
  });

  it('fills holes when it flows densely', () => {
    const cells = `${item('wide', 'col-span="2"')}${item('other', 'col-span="2"')}${item('small')}`;
    expect(boxes(`<grid columns="50 50 50">${cells}</grid>`).small!.slice(0, 2)).toEqual([100, 10]);
    expect(boxes(`<grid columns="50 50 50" flow="row dense">${cells}</grid>`).small!.slice(0, 2)).toEqual([
      100, 0,
    ]);
  });

  it('shares what a spanning item needs among its tracks', () => {
    const { a, b } = boxes(
      `<grid columns="auto auto" width="fit"><spacer name="w" width="200" height="5" col-span="2" />${item('a')}${item('b')}</grid>`,
    );
    expect([a![2], b![2]]).toEqual([100, 100]);
  });
});

describe('a track list', () => {
  it.each([
    ['120px 1FR  auto'.toLowerCase(), '120 1fr auto', '120px 1fr auto'],
    [
      'minmax(10%,1fr) fit-content( 20 )',
      'minmax(10%, 1fr) fit-content(20)',
      'minmax(10%, 1fr) fit-content(20px)',
    ],
    ['repeat(3, 1fr 20)', 'repeat(3, 1fr 20)', '1fr 20px 1fr 20px 1fr 20px'],
    ['repeat(4, 1fr)', 'repeat(4, 1fr)', 'repeat(4, 1fr)'],
    [
      'repeat(auto-fill, minmax(90, 1fr))',
      'repeat(auto-fill, minmax(90, 1fr))',
      'repeat(auto-fill, minmax(90px, 1fr))',
    ],
  ])('%s', (text, canonical, css) => {
    const reading = trackListType.read(text);
    expect(reading).toMatchObject({ ok: true, text: canonical });
    if (reading.ok) expect(trackListCss(reading.value)).toBe(css);
  });

  it.each([
    '',
    '-5',
    'minmax(1fr, 20)',
    'repeat(0, 1fr)',
    'repeat(2000, 1fr)',
    'repeat(auto-fill, 1fr)',
    'repeat(auto-fill, 20) repeat(auto-fit, 20)',
    'repeat(auto-fill, 20) auto',
    'repeat(2, repeat(2, 1fr))',
    'fit-content(1fr)',
    '[line] 1fr',
    '1fr,',
    'minmax(1, 2',
    'wide',
  ])('refuses %s', (text) => {
    expect(trackListType.read(text)).toMatchObject({ ok: false });
  });
});

describe('layers and pinboards', () => {
  it('layers put all children into one cell', () => {
    const { a, b } = boxes(
      '<layers width="100" align="end"><spacer name="a" height="50" /><spacer name="b" height="20" /></layers>',
    );
    expect([a, b]).toEqual([
      [0, 0, 100, 50],
      [0, 30, 100, 20],
    ]);
  });

  it('pins hold at edges, stretch between two, and centre with an offset', () => {
    const { a, b, c } = boxes(
      `<pinboard width="200" height="100">${item('a', 'right="10%" bottom="5" width="30"')}${item('b', 'left="10" right="20" top="50%"')}${item('c', 'center-x="-15" center-y="0" width="40"')}</pinboard>`,
    );
    expect([a, b, c]).toEqual([
      [150, 85, 30, 10],
      [10, 50, 170, 10],
      [65, 45, 40, 10],
    ]);
  });

  it('pins stay at their physical sides in right-to-left, all else mirrors', () => {
    const { a, row1 } = boxes(
      `<pinboard width="200" height="100">${item('a', 'left="10" width="30"')}</pinboard><row width="50" />`,
      {
        ...hand,
        rightToLeft: true,
      },
    );
    expect(a![0]).toBe(200);
    expect(row1![0]).toBe(340);
  });
});

describe('scroll, split, fieldset and bars', () => {
  it('a scroll keeps its size, its children theirs, and knows how far it goes', () => {
    const project = projectOf(
      `<screen name="s"><scroll name="list" height="100" padding="5" gap="10">${item('a', 'min-height="80"')}${item('b', 'min-height="80"')}</scroll></screen>`,
    );
    const screen = project.screens[0]!;
    const layout = new ScreenView(shaper).layOut(project, screen, hand);
    const list = layout.boxes.find(({ extent }) => extent)!;
    expect(list.height).toBe(100);
    expect(list.extent).toEqual({ width: 390, height: 180 });
  });

  it('a split shows both panes from the width on at which both have their least', () => {
    const panes = `<split ratio="1/2" gap="10" show="second">${item('a', 'min-width="100"')}${item('b', 'min-width="150"')}</split>`;
    const wide = boxes(panes, { width: 310, height: 600 });
    expect([wide.a![2], wide.b![2]]).toEqual([100, 200]);
    const thin = boxes(panes, { width: 309, height: 600 });
    expect(thin.a).toBeUndefined();
    expect(thin.b![2]).toBe(309);
  });

  it('a fieldset has its caption above its children', () => {
    const { a, fieldset1 } = boxes(`<fieldset caption="Guests" padding="10" gap="6">${item('a')}</fieldset>`);
    expect(a![1]).toBe(10 + 22 + 6);
    expect(fieldset1![3]).toBe(10 + 22 + 6 + 10 + 10);
  });

  it('bars stay at their edges, from the edge inwards, and the rest has what they leave', () => {
    const bar = (name: string, edge: string, size: string) => `<bar name="${name}" edge="${edge}" ${size} />`;
    const { top, bottom, second, side, a, s } = boxes(
      `${bar('bottom', 'bottom', 'height="50"')}${bar('top', 'top', 'height="40"')}${bar('second', 'bottom', 'height="20"')}${bar('side', 'start', 'width="60"')}${item('a', 'min-height="2000"')}`,
    );
    expect(s).toEqual([0, 0, 390, 844]);
    expect(top).toEqual([0, 0, 390, 40]);
    expect(bottom).toEqual([0, 794, 390, 50]);
    expect(second).toEqual([0, 774, 390, 20]);
    expect(side).toEqual([0, 40, 60, 734]);
    expect(a).toEqual([60, 40, 330, 2000]);
  });
});

describe('a repeat', () => {
  it('has its children once an item, with names that say which', () => {
    const found = boxes(
      '<repeat name="list" each="{[\'a\', \'bb\']}" as="word"><text name="one" text="{word}" height="20" /><repeat each="{[1, 2]}" as="n"><spacer name="inner" height="{n * 10}" /></repeat></repeat>',
    );
    expect(Object.keys(found)).toEqual([
      's',
      'list',
      'one[0]',
      'repeat1[0]',
      'inner[0][0]',
      'inner[0][1]',
      'one[1]',
      'repeat1[1]',
      'inner[1][0]',
      'inner[1][1]',
    ]);
    expect(found['inner[1][1]']![1]).toBe(20 + 30 + 20 + 10);
  });

  it('arranges like a row or a grid', () => {
    const row = boxes(
      '<repeat each="{[1, 2, 3]}" like="row" gap="5"><spacer name="x" width="20" height="9" /></repeat>',
    );
    expect(row['x[2]']![0]).toBe(50);
    const grid = boxes(
      '<repeat each="{[1, 2, 3]}" like="grid" columns="1fr 1fr"><spacer name="x" height="9" /></repeat>',
    );
    expect(grid['x[2]']).toEqual([0, 9, 195, 9]);
  });
});

describe('ratios and order', () => {
  it('one side follows from the other', () => {
    const { a, b, c } = boxes(
      '<spacer name="a" aspect="3/2" /><row><spacer name="b" width="90" aspect="16/9" /><spacer name="c" height="50" aspect="2" /></row>',
    );
    expect(a!.slice(2)).toEqual([390, 260]);
    expect(b![3]).toBeCloseTo(50.625, 2);
    expect(c![2]).toBe(100);
  });

  it('children stand by their order, and are reported in tree order', () => {
    const found = boxes(`<row>${item('a', 'width="10" order="1"')}${item('b', 'width="20"')}</row>`);
    expect(Object.keys(found)).toEqual(['s', 'row1', 'a', 'b']);
    expect([found.a![0], found.b![0]]).toEqual([20, 0]);
  });
});

describe('words', () => {
  const width = (rest: string) => boxes(`<text name="t" align-self="start" text="fine office" ${rest} />`).t!;

  it('letter spacing adds up and takes ligatures apart; lines are cut; italics have their own widths', () => {
    expect(width('letter-spacing="2"')[2]! - width('')[2]!).toBeGreaterThan(21);
    const long = '<text name="t" width="60" text="one two three four five six" lines="2" />';
    expect(boxes(long).t![3]).toBe(2 * 22);
    expect(width('italic="true" font="Source Serif 4"')[2]).not.toBe(width('font="Source Serif 4"')[2]);
  });

  it('mixed directions are as wide as the sum of their runs, in either direction of the page', () => {
    const text = '<text name="t" align-self="start" text="Bunk שלום 12 مرحبا" />';
    const left = boxes(text).t![2]!;
    expect(left).toBeGreaterThan(80);
    expect(boxes(text, { ...hand, rightToLeft: true }).t![2]).toBeCloseTo(left, 0);
  });
});

describe('whatever a document says', () => {
  it('every number is one, at odd sizes and scales too', () => {
    const views: View[] = [
      { width: 1, height: 1 },
      { width: 121.37, height: 4000, textScale: 2 },
      { width: 19_999, height: 3, rightToLeft: true, textScale: 0.1 },
    ];
    let count = 0;
    for (let seed = 9000; seed < 9120; seed++) {
      const screen = randomScreen(seed);
      for (const view of views) {
        const layout = new ScreenView(shaper).layOut(trialProject(screen), screen, view);
        for (const { x, y, width, height } of layout.boxes) {
          expect([x, y, width, height].every(Number.isFinite), `seed ${seed}`).toBe(true);
          expect(Math.min(width, height), `seed ${seed}`).toBeGreaterThanOrEqual(0);
          count++;
        }
      }
    }
    expect(count).toBeGreaterThan(3000);
  }, 60_000);

  it('a span beyond reason, a percentage of nothing, sizes of zero have a result', () => {
    const { a } = boxes(`<grid columns="0 0%" rows="0">${item('a', 'col-span="1000" row="-1000"')}</grid>`);
    expect(a!.every(Number.isFinite)).toBe(true);
    expect(
      boxes('<pinboard><text name="t" text="x" width="50%" height="50%" left="-1000000" /></pinboard>').t![0],
    ).toBe(-1_000_000);
  });
});
