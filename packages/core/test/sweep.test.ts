import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { randomScreen, trialProject } from '../../../tests/parity/documents.ts';
import {
  boxAt,
  type Control,
  type Project,
  ScreenView,
  type SweepPart,
  sweep,
  sweepChangeWords,
  toldChanges,
} from '../src/index.ts';
import { changesByPx } from '../src/sweep/change-words.ts';
import { reachOf } from '../src/sweep/rounding-zone.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { named, projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const range = { from: 280, to: 1920, height: 800 };

function swept(inside: string): { parts: SweepPart[]; project: Project; screen: Control } {
  const project = projectOf(`<screen name="s">${inside}</screen>`);
  const screen = project.screens[0]!;
  return { parts: [...sweep(shaper, project, screen, range)], project, screen };
}

/** What happens at each width. */
const happenings = ({ parts, screen }: ReturnType<typeof swept>): Record<number, string[]> =>
  Object.fromEntries(
    parts.flatMap(({ change }) => (change ? [[change.width, sweepChangeWords(change, screen)]] : [])),
  );

describe('a sweep', () => {
  it('is one stretch where nothing changes, cut where bands begin', () => {
    const { parts } = swept('<row><column name="a" width="share" height="9" /></row>');
    expect(parts.map(({ stretch }) => [stretch.from, stretch.to])).toEqual([
      [280, 560 - 1 / 64],
      [560, 800],
      [800 + 1 / 64, 960 - 1 / 64],
      [960, 1440 - 1 / 64],
      [1440, 1920],
    ]);
    expect(parts.map(({ change }) => change?.causes[0]?.prefixes?.join())).toEqual([
      undefined,
      'lap',
      'landscape',
      'desk',
      'wall',
    ]);
  });

  it('finds where a least size lets go', () => {
    const found = happenings(
      swept(
        '<row><column name="a" width="share" min-width="150" /><column width="share 3" name="b" /></row>',
      ),
    );
    const [width] = Object.entries(found).find(([, words]) =>
      words.includes('the least size of `a` lets go'),
    )!;
    expect(Number(width)).toBeCloseTo(600, 0);
  });

  it('finds to a 64th of a px where a line wraps, where a column is added, where a split shows both panes', () => {
    const lines = swept(
      '<row wrap="true" gap="10"><column name="a" width="200" height="9" /><column name="b" width="150" height="9" /></row>',
    );
    expect(happenings(lines)[360]).toContain('`b` fits on the line before it');
    const tiles = swept(
      '<grid name="tiles" columns="repeat(auto-fill, 100)" gap="10"><column height="9" /></grid>',
    );
    expect(happenings(tiles)[320]).toEqual(['`tiles` gets one track more']);
    const panes = swept(
      '<split name="panes" ratio="1/2" gap="20"><column name="a" min-width="200" height="9" /><column name="b" min-width="100" height="9" /></split>',
    );
    expect(happenings(panes)[620]).toEqual(['both panes of `panes` have room']);
  });

  it('says where a row begins to have room, also where it was filled to the px before', () => {
    const said = (inside: string) =>
      Object.entries(happenings(swept(`<row>${inside}</row>`))).flatMap(([width, words]) =>
        words.filter((each) => each.includes('room')).map((each) => `${Math.floor(Number(width))}: ${each}`),
      );
    expect(
      said('<column name="a" width="300" height="9" /><column name="b" width="300" height="9" />'),
    ).toEqual(['600: `a` and its siblings have room to spare']);
    // As wide as the row up to 500.
    expect(said('<column name="a" width="100%" max-width="500" height="9" />')).toEqual([
      '500: `a` and its siblings have room to spare',
    ]);
    // A part of the row that grows faster than the room left for it.
    expect(
      said('<column name="a" width="80%" height="9" /><column name="b" width="100" height="9" />'),
    ).toEqual(['500: `a` and its siblings have room to spare']);
    // Grows faster than the row.
    expect(
      said('<column name="a" width="110%" height="9" /><column width="10" margin="0 0 0 -100" height="9" />'),
    ).toEqual(['900: `a` and its siblings lack room']);
  });

  it('says of each text where it breaks into other lines', () => {
    const { parts, project, screen } = swept(
      '<text name="t" text="Guests who come after nine use the side door, and the bell is off until seven in the morning" />',
    );
    const id = named(project, 't').id;
    const breaks = parts.filter(({ change }) =>
      change?.causes.some(({ question, control }) => question === 'lines' && control === id),
    );
    expect(breaks.length).toBeGreaterThan(1);
    const view = new ScreenView(shaper);
    for (const { change } of breaks) {
      const lines = (width: number) =>
        view
          .layOut(project, screen, { width, height: 800 })
          .byControl.get(id)!
          .lines.map(({ text }) => text);
      expect(lines(change!.width)).not.toEqual(lines(change!.width - 1 / 64));
    }
  });

  it('tells of what turns between two px as of one thing: texts of equal shares', () => {
    const cell = '<text width="share" text="Guests who come after nine" />';
    const { parts } = swept(`<row gap="12" padding="5">${cell.repeat(4)}</row>`);
    const changes = parts.flatMap(({ change }) => (change ? [change] : []));
    const told = changesByPx(changes);
    expect(told.length).toBeLessThan(changes.length);
    expect(new Set(told.map(({ width }) => Math.ceil(width))).size).toBe(told.length);
    const causes = (list: typeof changes) => list.flatMap((change) => change.causes);
    expect(causes(told)).toEqual(causes(changes));
    const breaks = told.filter((change) => causes([change]).some(({ question }) => question === 'lines'));
    for (const { causes: those } of breaks)
      expect(
        new Set(those.filter(({ question }) => question === 'lines').map(({ control }) => control)).size,
      ).toBe(4);
  });

  it('can be stopped before its end', () => {
    const { project, screen } = swept('<text text="a few words that break" />');
    const first = sweep(shaper, project, screen, range).next();
    expect(first.done).toBe(false);
  });
});

/** Widths from one to another at which a box is not where the sweep says: looked at each 64th of a px, or at each `step`. */
function astray(
  { parts, project, screen }: ReturnType<typeof swept>,
  from: number,
  to: number,
  step = 1 / 64,
): number[] {
  const view = new ScreenView(shaper);
  const found: number[] = [];
  for (let width = from; width <= to; width += step) {
    const { stretch } = parts.find(({ stretch: each }) => each.from <= width && width <= each.to)!;
    const isOff = view
      .layOut(project, screen, { width, height: range.height })
      .boxes.some(({ x, y, width: w, height: h }, index) =>
        boxAt(stretch, index, width).some((value, side) => Math.abs(value - [x, y, w, h][side]!) > 0.1),
      );
    if (isOff) found.push(width);
  }
  return found;
}

it('where rounding lets a track come and go, each 64th of a px is looked at', () => {
  // Three tracks of 33 % and two gaps leave next to nothing at 600, and a 64th more or less of each decides.
  const found = swept(
    '<grid columns="repeat(auto-fill, minmax(33%, 1fr))" gap="3"><column height="9" /><column height="9" /><column height="9" /></grid>',
  );
  expect(astray(found, 596, 604)).toEqual([]);
  const counts = found.parts.filter(({ change }) =>
    change?.causes.some(({ question }) => question === 'tracks'),
  );
  expect(counts.length).toBeGreaterThan(2);
});

it('nothing is left out where rounding reaches farther than is looked', () => {
  // Of 33.3 % three times next to nothing is left for many px.
  const { parts } = swept(
    '<grid columns="repeat(auto-fill, minmax(33.3%, 1fr))" gap="0.3"><column height="9" /><column height="9" /><column height="9" /></grid>',
  );
  for (const [index, { stretch }] of parts.entries())
    expect(stretch.from).toBeCloseTo(index === 0 ? range.from : parts[index - 1]!.stretch.to + 1 / 64, 9);
  expect(parts.at(-1)!.stretch.to).toBe(range.to);
});

it.each([
  // Together 0.02 % too wide, less than six times the part that is cut off: they are on one line at every third px or so.
  ['items of a line', `<row wrap="true">${'<column width="16.67%" height="9" />'.repeat(6)}</row>`, 100],
  [
    'columns of a grid',
    '<grid columns="repeat(auto-fill, minmax(33.334%, 1fr))"><column height="9" /><column height="9" /><column height="9" /></grid>',
    700,
  ],
])('where parts add up to all there is but for rounding, each px is laid out: %s', (_, inside, least) => {
  const found = swept(inside);
  expect(astray(found, range.from, range.to, 1)).toEqual([]);
  expect(found.parts.filter(({ change }) => change?.jump).length).toBeGreaterThan(least);
  // What is the same as a px before is no change.
  expect(found.parts.some(({ change }, index) => index > 0 && change === undefined)).toBe(true);
});

it('whatever parts of a width stand beside each other, each whole px is as it is laid out', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 12 }),
      // In hundredths of a per cent: how much more or less than all there is they are together.
      fc.integer({ min: -60, max: 60 }),
      fc.integer({ min: 0, max: 3 }),
      fc.boolean(),
      (count, more, gap, isGrid) => {
        const part = `${Math.round((10_000 + more) / count) / 100}%`;
        const items = '<column height="9" />'.repeat(count);
        const found = swept(
          isGrid
            ? `<grid columns="repeat(auto-fill, minmax(${part}, 1fr))" gap="${gap}">${items}</grid>`
            : `<row wrap="true" gap="${gap}">${items.replaceAll('<column', `<column width="${part}"`)}</row>`,
        );
        expect(astray(found, 280, 900, 1), `${count} of ${part} with ${gap}`).toEqual([]);
      },
    ),
    { numRuns: 30, seed: 7 },
  );
}, 120_000);

it('where rounding decides, what moves evenly is known between two whole px, too', () => {
  const items = '<column width="16.67%" height="9" />'.repeat(6);
  const { parts } = swept(`<column><column name="all" height="9" /><row wrap="true">${items}</row></column>`);
  const inZone = parts.filter(({ stretch }) => stretch.to < 450);
  expect(inZone.length).toBeGreaterThan(100);
  for (const { stretch } of inZone)
    for (let width = stretch.from; width <= stretch.to; width += 1 / 64)
      expect(boxAt(stretch, 2, width)[2]).toBeCloseTo(width, 9);
});

it('what rounding lets come and go is told as one thing', () => {
  const { parts, screen } = swept(
    `<row wrap="true">${Array.from({ length: 6 }, (_, index) => `<column name="c${index}" width="16.67%" height="9" />`).join('')}</row>`,
  );
  const changes = parts.flatMap(({ change }) => (change ? [change] : []));
  const told = toldChanges(changes);
  const [first, ...others] = told.filter(({ until }) => until !== undefined);
  expect(others).toEqual([]);
  expect(first!.width).toBeLessThan(300);
  expect(first!.until).toBeGreaterThan(400);
  expect(sweepChangeWords(first!, screen)).toEqual([
    `\`c5\` goes to a new line and back from px to px up to ${Math.ceil(first!.until!)}: only rounding decides`,
  ]);
  // Bands, and all that is no part of it, are told as they were.
  const bands = (list: typeof changes) =>
    list.filter(({ causes }) => causes.some(({ question }) => question === 'band')).map(({ width }) => width);
  expect(bands(told)).toEqual(bands(changes));
  expect(told.length).toBeLessThan(12);
  // A band that begins on the px of the first turn is told, too.
  const turn = (width: number, question: 'wrap' | 'band', back: boolean): (typeof changes)[number] => ({
    width,
    jump: true,
    causes: [{ question, control: 'c', before: back ? -1 : 1, after: back ? 1 : -1 }],
  });
  const turns = Array.from({ length: 9 }, (_, at) => turn(560 + at, 'wrap', at % 2 === 1));
  const both = toldChanges([turn(560, 'band', true), ...turns]);
  expect(bands(both)).toEqual([560]);
  expect(both.map(({ until }) => until)).toEqual([undefined, 568]);
});

it('finds tracks that one single width has, where a part of the room that is cut counts several times', () => {
  const cells = Array.from({ length: 5 }, () => '<spacer height="20" />').join('');
  const project = projectOf(
    `<screen name="A"><grid columns="repeat(auto-fill, minmax(20%, 1fr))" gap="34">${cells}</grid></screen>`,
  );
  const screen = project.screens[0]!;
  const view = new ScreenView(shaper);
  const wrong: number[] = [];
  for (const { stretch } of sweep(shaper, project, screen, { from: 480, to: 540, height: 700 }))
    for (let width = stretch.from; width <= stretch.to; width += 1 / 64) {
      const { boxes } = view.layOut(project, screen, { width, height: 700 });
      const isOff = boxes.some(({ x }, index) => Math.abs(x - boxAt(stretch, index, width)[0]!) > 0.1);
      if (isOff) wrong.push(width);
    }
  expect(wrong).toEqual([]);
  // At 20 % and three gaps, four tracks need 510 px; cut to whole 64ths, a little less.
  const at = (width: number) => view.layOut(project, screen, { width, height: 700 }).boxes[2]!.width;
  expect(at(509.90625)).toBeLessThan(at(509.921875) - 20);
  expect(at(509.9375)).toBeLessThan(at(509.921875) - 20);
});

it('takes what swings for something that may turn more than once, however fast it rises', () => {
  const compared = (value: number, swings: boolean) => ({
    value,
    low: 4,
    high: 5,
    jump: true,
    perPx: 1,
    terms: 7,
    swings,
  });
  const reach = (swings: boolean) => reachOf(compared(2, swings), compared(4, swings), 4, 10);
  expect(reach(false)).toBe(0);
  expect(reach(true)).toBeCloseTo(7 / 64 / 0.2, 6);
});

describe('every stretch', () => {
  it.each([
    { from: 500, heights: false, of: 'all kinds' },
    // What 9053, 9112 and 9211 hold turns at single widths.
    { from: 9050, heights: true, of: 'containers that know how high they are' },
  ])(
    'is the layout at each of its widths, on random documents of $of',
    ({ from, heights }) => {
      let compared = 0;
      // One list to look at in the end: an expectation for each of some 400,000 numbers takes as long as all layouts.
      const wrong: unknown[] = [];
      const seeds = Array.from({ length: heights ? 10 : 40 }, (_, index) => from + index);
      for (const seed of heights ? [...seeds, 9112, 9211] : seeds) {
        const screen = randomScreen(seed, { heights });
        const project = trialProject(screen);
        const rightToLeft = seed % 3 === 0;
        const view = new ScreenView(shaper);
        let at = 300;
        for (const { stretch } of sweep(shaper, project, screen, {
          from: 300,
          to: 1100,
          height: 700,
          rightToLeft,
        })) {
          // Nothing is left out between two stretches, and nothing stands in two.
          expect(stretch.from).toBeCloseTo(at, 9);
          at = stretch.to + 1 / 64;
          const inside = (part: number) =>
            Math.floor((stretch.from + (stretch.to - stretch.from) * part) * 64) / 64;
          const widths = [stretch.from, inside(0.15), inside(0.5), inside(0.9), stretch.to];
          for (const width of widths.filter((value) => value >= stretch.from)) {
            const layout = view.layOut(project, screen, { width, height: 700, rightToLeft });
            expect(layout.boxes.length, `seed ${seed} at ${width}`).toBe(stretch.boxes.length);
            for (const [index, box] of layout.boxes.entries()) {
              const swept = boxAt(stretch, index, width);
              const real = [box.x, box.y, box.width, box.height];
              if (!real.every((value, side) => Math.abs(value - swept[side]!) < 0.1))
                wrong.push({ seed, width, index, real, swept });
              compared++;
            }
          }
        }
        expect(at).toBe(1100 + 1 / 64);
      }
      expect(wrong).toEqual([]);
      expect(compared).toBeGreaterThan(10_000);
    },
    120_000,
  );
});
