/** Looks that are changed by hand: gradients, transitions, what is turned. */
import { fillLayers, type Gradient } from '@hovrin/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  angleOf,
  firstGradient,
  inForm,
  stopPlaces,
  withFirstGradient,
  withNewStop,
  withStopAt,
} from '../src/workbench/fields/gradients.ts';
import { goingsIn, goingsText } from '../src/workbench/fields/transitions.ts';
import {
  angleTo,
  centreOf,
  gradientLine,
  partAlong,
  placesIn,
  pointAlong,
  pointSeenAt,
  scaleTo,
  seenAt,
} from '../src/workbench/hands/lookLines.ts';

const gradientIn = (text: string): Gradient => firstGradient(fillLayers(text)!)!;
const box = { x: 40, y: 20, width: 200, height: 100 };
const points = fc.record({ x: fc.integer({ min: -300, max: 500 }), y: fc.integer({ min: -300, max: 500 }) });

describe('the stops of a gradient', () => {
  it('stand evenly where nothing is said, and px count along the line', () => {
    const stops = gradientIn('linear-gradient(#111111, #222222, #333333, #444444 80%)');
    expect(stopPlaces(stops, 200).map((at) => Number(at.toFixed(4)))).toEqual([0, 0.2667, 0.5333, 0.8]);
    expect(stopPlaces(gradientIn('linear-gradient(#111111 20, #222222 50%)'), 200)).toEqual([0.1, 0.5]);
  });
  it('are moved, within the line, in whole per cent', () => {
    const gradient = gradientIn('linear-gradient(#111111, #222222 40% 60%, #333333)');
    const moved = withStopAt(gradient, 1, 0.333);
    expect(moved.stops[1]!.places).toEqual([{ fraction: 0.33, px: 0 }, gradient.stops[1]!.places[1]]);
    expect(withStopAt(gradient, 0, -3).stops[0]!.places[0]).toEqual({ fraction: 0, px: 0 });
  });
  it('are added between two, in the colour of the one in front', () => {
    const gradient = gradientIn('linear-gradient(#111111, 30%, #222222)');
    const [more, index] = withNewStop(gradient, 0.5, 100);
    expect(index).toBe(2);
    expect(more.stops[2]).toEqual({ colour: '#111111', places: [{ fraction: 0.5, px: 0 }] });
    expect(withNewStop(gradient, 1, 100)[1]).toBe(3);
  });
  it('stay when the gradient takes another form', () => {
    const conic = gradientIn('conic-gradient(from 20deg at 10% 20%, #111111, #222222 90deg)');
    const linear = inForm(conic, 'linear');
    expect(linear.stops[1]!.places).toEqual([{ fraction: 0.25, px: 0 }]);
    expect(inForm(conic, 'radial')).toMatchObject({
      form: 'radial',
      at: [{ fraction: 0.1 }, { fraction: 0.2 }],
    });
  });
  it('of the topmost of several layers are changed, and the others stay', () => {
    const layers = fillLayers('picture(a.svg), linear-gradient(#111111, #222222), accent')!;
    const next = withFirstGradient(layers, gradientIn('conic-gradient(#333333, #444444)'));
    expect(next.map((layer) => Object.keys(layer)[0])).toEqual(['picture', 'gradient', 'colour']);
    expect(
      withFirstGradient([{ colour: 'accent' }], gradientIn('linear-gradient(#111111, #222222)')),
    ).toHaveLength(1);
  });
});

describe('the line of a gradient', () => {
  it('runs from edge to edge by its angle', () => {
    expect(gradientLine(box, 180)).toEqual(
      [
        { x: 140, y: 20 },
        { x: 140, y: 120 },
      ].map(({ x, y }) => ({ x: expect.closeTo(x, 6), y: expect.closeTo(y, 6) })),
    );
    expect(gradientLine(box, 90)[1].x).toBeCloseTo(240, 6);
    for (const [side, degrees] of [
      ['right', 90],
      ['top', 0],
      ['bottom left', 225],
    ] as const)
      expect(angleOf(gradientIn(`linear-gradient(to ${side}, #111111, #222222)`) as never)).toBe(degrees);
  });
  it('a point along it is as far along it as it was put', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (degrees, part) => {
          const line = gradientLine(box, degrees);
          expect(partAlong(line, pointAlong(line, part))).toBeCloseTo(part, 6);
          expect(angleTo(box, line[1], false)).toBe(degrees);
        },
      ),
    );
  });
  it('an angle snaps to steps of 15 degrees unless it is freed', () => {
    const point = pointAlong(gradientLine(box, 52), 1);
    expect(angleTo(box, point, true)).toBe(45);
    expect(angleTo(box, point, false)).toBe(52);
  });
  it('a centre is where its places say, and back', () => {
    const gradient = gradientIn('radial-gradient(at 25% 30, #111111, #222222)') as Exclude<
      Gradient,
      { form: 'linear' }
    >;
    expect(centreOf(box, gradient)).toEqual({ x: 90, y: 50 });
    expect(placesIn(box, { x: 90, y: 50 })).toEqual([
      { fraction: 0.25, px: 0 },
      { fraction: 0.3, px: 0 },
    ]);
  });
});

describe('what is turned', () => {
  it('a point that is seen somewhere is the one that is seen there', () => {
    fc.assert(
      fc.property(
        points,
        fc.record({
          degrees: fc.integer({ min: -180, max: 180 }),
          scale: fc.double({ min: 0.1, max: 4, noNaN: true }),
          shift: points,
        }),
        (point, turned) => {
          const back = pointSeenAt(box, turned, seenAt(box, turned, point));
          expect(back.x).toBeCloseTo(point.x, 5);
          expect(back.y).toBeCloseTo(point.y, 5);
        },
      ),
    );
  });
  it('is as large as its corner is far', () => {
    expect(scaleTo(box, { x: box.x, y: box.y })).toBe(1);
    expect(scaleTo(box, { x: 140, y: 70 })).toBe(0.05);
    expect(scaleTo(box, { x: -60, y: -30 })).toBe(2);
  });
});

describe('a transition', () => {
  it('is taken apart, its curves and times told apart', () => {
    expect(goingsIn('background 150ms ease-out, scale 0.2s cubic-bezier(0.1, 0, 0.3, 1) 40ms')).toEqual([
      { property: 'background', duration: '150ms', curve: 'ease-out', delay: '0ms' },
      { property: 'scale', duration: '0.2s', curve: 'cubic-bezier(0.1, 0, 0.3, 1)', delay: '40ms' },
    ]);
    expect(goingsIn('none')).toEqual([]);
  });
  it('may name tokens for its time and its curve', () => {
    expect(goingsIn('shadow quick soft', (word) => word === 'soft')).toEqual([
      { property: 'shadow', duration: 'quick', curve: 'soft', delay: '0ms' },
    ]);
  });
  it('is put together again as it was', () => {
    const going = fc.record({
      property: fc.constantFrom('all', 'background', 'scale'),
      duration: fc.constantFrom('150ms', '0.2s'),
      curve: fc.constantFrom(
        'ease',
        'linear',
        'ease-in-out',
        'cubic-bezier(0.1, 0, 0.3, 1)',
        'steps(3, end)',
      ),
      delay: fc.constantFrom('0ms', '40ms'),
    });
    fc.assert(
      fc.property(fc.array(going, { minLength: 1, maxLength: 4 }), (goings) => {
        expect(goingsIn(goingsText(goings))).toEqual(goings);
      }),
    );
    expect(goingsText([])).toBe('none');
  });
});
