/** What is painted in a box, and where: pictures by their fit, bars from their start, words by their alignment. */
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  effectiveNames,
  type PaintedShape,
  type PaintedWords,
  type Project,
  ScreenView,
  shapesOf,
  wordsOf,
} from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

/** What is painted in the control with a name. */
function painted(
  source: string,
  { name = 'it', rightToLeft = false, assets = [] as Project['assets'] } = {},
): { shapes: readonly PaintedShape[]; words: PaintedWords[]; width: number; height: number } {
  const project = { ...projectOf(source), assets };
  const screen = project.screens[0]!;
  const names = effectiveNames(screen);
  const layout = new ScreenView(shaper).layOut(project, screen, { width: 400, height: 800, rightToLeft });
  const box = layout.boxes.find(({ control }) => control !== undefined && names.get(control) === name)!;
  const { width, height } = box;
  return { shapes: shapesOf(box, rightToLeft), words: wordsOf(box, rightToLeft), width, height };
}

describe('a line of text', () => {
  it('is painted as dots where it is a password', () => {
    const wordsIn = (more: string) => {
      const project = projectOf(`<screen name="A"><textField name="it" value="46 21" ${more} /></screen>`);
      const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, { width: 400, height: 800 });
      return layout.boxes.flatMap((box) => wordsOf(box, false)).map(({ text }) => text);
    };
    expect(wordsIn('type="password"')).toEqual(['•••••']);
    expect(wordsIn('type="tel"')).toEqual(['46 21']);
  });
});

describe('a picture', () => {
  const asset = (width: number, height: number) =>
    ({ name: 'a.svg', width, height }) as Project['assets'][number];
  const pictureIn = (attributes: string, [width, height]: readonly [number, number]) => {
    const { shapes } = painted(
      `<screen name="A" padding="0"><image name="it" src="a.svg" ${attributes} /></screen>`,
      { assets: [asset(width, height)] },
    );
    const [shape] = shapes;
    if (shape?.part !== 'picture') throw new Error('No picture is painted.');
    return shape;
  };
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;

  it('keeps its proportions and covers its room, or lies in it, touching it on two sides', () => {
    const size = fc.integer({ min: 10, max: 900 });
    fc.assert(
      fc.property(size, size, size, size, fc.boolean(), (wide, high, width, height, covers) => {
        const { at, room } = pictureIn(
          `width="${width}" height="${height}" fit="${covers ? 'cover' : 'contain'}"`,
          [wide, high],
        );
        expect(at.width / at.height).toBeCloseTo(wide / high, 6);
        const [larger, smaller] = covers ? [at, room] : [room, at];
        expect(larger.width).toBeGreaterThan(smaller.width - 1e-6);
        expect(larger.height).toBeGreaterThan(smaller.height - 1e-6);
        expect(near(at.width, room.width) || near(at.height, room.height)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('lies in its room by its focus point, and is as large as its room where it fills it', () => {
    const tall = [100, 400] as const;
    expect(pictureIn('width="100" height="200" fit="cover" focus="0% 0%"', tall).at.y).toBe(0);
    expect(pictureIn('width="100" height="200" fit="cover" focus="0% 100%"', tall).at.y).toBe(-200);
    expect(pictureIn('width="100" height="200" fit="fill"', tall).at).toEqual({
      x: 0,
      y: 0,
      width: 100,
      height: 200,
    });
  });
});

describe('a bar', () => {
  const barsOf = (value: number, rightToLeft: boolean) => {
    const project = projectOf(
      `<screen name="A"><slider label="Soup" min="0" max="10" value="${value}" width="300" /></screen>`,
    );
    const view = { width: 400, height: 800, rightToLeft };
    const { boxes } = new ScreenView(shaper).layOut(project, project.screens[0]!, view);
    const box = boxes.find(({ look }) => look.gauge)!;
    const thumb = boxes.find(({ look }) => look.part === 'thumb')!;
    const bars = shapesOf(box, rightToLeft).flatMap((shape) => (shape.part === 'bar' ? [shape.at] : []));
    return { bars, width: box.width, knob: { x: thumb.x - box.x, width: thumb.width } };
  };

  it.each([false, true])(
    'has its knob inside at both ends, from the start (from the right: %s)',
    (fromRight) => {
      for (const value of [0, 10]) {
        const { bars, width, knob } = barsOf(value, fromRight);
        const [ground, filled] = bars;
        expect(ground).toMatchObject({ x: 0, width });
        const atLeft = (value === 0) === !fromRight;
        expect(atLeft ? knob.x : knob.x + knob.width).toBeCloseTo(atLeft ? 0 : width, 6);
        expect(fromRight ? filled!.x + filled!.width : filled!.x).toBeCloseTo(fromRight ? width : 0, 6);
        expect(filled!.width).toBeCloseTo(value === 0 ? knob.width / 2 : width - knob.width / 2, 6);
      }
    },
  );
});

describe('words', () => {
  const lineOf = (align: string, rightToLeft = false) => {
    const { words, width } = painted(
      `<screen name="A" padding="0"><text name="it" text="Soup" width="200" padding="0 10" text-align="${align}" /></screen>`,
      { rightToLeft },
    );
    const [line] = words;
    if (line?.part !== 'line') throw new Error('No line is painted.');
    return { line, width };
  };

  it('stand at the start, in the middle or at the end of their room', () => {
    const start = lineOf('start').line.x;
    const center = lineOf('center').line.x;
    const end = lineOf('end').line.x;
    expect(start).toBe(10);
    expect(center - start).toBeCloseTo(end - center, 6);
    expect(end).toBeGreaterThan(center);
  });

  it('have their start at the right on a screen that is read from there', () => {
    expect(lineOf('start', true).line.x).toBeCloseTo(lineOf('end').line.x, 6);
    expect(lineOf('end', true).line.x).toBeCloseTo(lineOf('start').line.x, 6);
  });

  it('of a day or a time run as the language does, whatever the direction of the screen is', () => {
    const all = (kind: string, value: string) => {
      const project = projectOf(`<screen name="A"><${kind} name="it" label="L" value="${value}" /></screen>`);
      const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, {
        width: 400,
        height: 800,
        rightToLeft: true,
      });
      return layout.boxes.flatMap((box) => wordsOf(box, true)).find((words) => words.part === 'field words');
    };
    expect(all('textField', 'Ilka')).toMatchObject({ text: 'Ilka', fromRight: true });
    expect(all('dateField', '2031-02-03')).toMatchObject({
      text: expect.stringContaining('2031'),
      fromRight: false,
    });
    expect(all('timeField', '14:05')).toMatchObject({
      text: expect.stringContaining('05'),
      fromRight: false,
    });
    expect(all('timeField', '')).toMatchObject({ text: expect.stringContaining('--') });
  });
});

describe('an icon that shows a direction', () => {
  const transforms = (source: string, rightToLeft: boolean) => {
    const project = projectOf(`<screen name="A">${source}</screen>`);
    const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, {
      width: 400,
      height: 800,
      rightToLeft,
    });
    return layout.boxes
      .flatMap((box) => shapesOf(box, rightToLeft))
      .flatMap((shape) => (shape.part === 'drawing' ? shape.shapes : []))
      .map(([, { transform }]) => transform);
  };

  it.each([
    '<icon icon="chevron-right" mirror="true" />',
    '<button icon="chevron-right" text="On" mirror="true" />',
    '<iconButton icon="chevron-right" text="On" mirror="true" />',
  ])('is turned round where one reads from the right: %s', (source) => {
    expect(transforms(source, true)).toEqual(['matrix(-1 0 0 1 24 0)']);
    expect(transforms(source, false)).toEqual([undefined]);
    expect(transforms(source.replace(' mirror="true"', ''), true)).toEqual([undefined]);
  });
});
