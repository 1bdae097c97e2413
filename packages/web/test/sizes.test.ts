/** Sizes that a project is looked at in. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ownSizeOf } from '../src/parts/ownSize.ts';
import {
  greatestSize,
  leastSize,
  referenceSizes,
  resized,
  safeOf,
  shared,
  turned,
  usualSizes,
} from '../src/sizes.ts';
import { scaleFor } from '../src/try/scale.ts';

describe('a size', () => {
  it('turned four times is what it was, and one that folds does so again after two', () => {
    for (const size of referenceSizes) {
      const twice = turned(turned(size));
      expect({ ...twice, folded: undefined, hinge: twice.hinge }).toMatchObject({
        width: size.width,
        height: size.height,
      });
      expect(twice.hinge).toEqual(size.hinge);
      expect(safeOf(turned(turned(twice)))).toEqual(safeOf(size));
    }
  });

  it('turned keeps free at its left what it kept free on top', () => {
    const size = { label: 'a', width: 390, height: 844, safe: { top: 44, right: 1, bottom: 28, left: 2 } };
    expect(turned(size).safe).toEqual({ top: 1, right: 28, bottom: 2, left: 44 });
    expect(turned({ ...size, width: 900 }).safe).toEqual({ top: 2, right: 44, bottom: 1, left: 28 });
  });

  it('stays within what is possible, in whole px', () => {
    fc.assert(
      fc.property(fc.double({ noNaN: true }), fc.double({ noNaN: true }), (width, height) => {
        const size = resized({ label: 'a', width, height });
        for (const side of [size.width, size.height]) {
          expect(Number.isInteger(side)).toBe(true);
          expect(side).toBeGreaterThanOrEqual(leastSize);
          expect(side).toBeLessThanOrEqual(greatestSize);
        }
      }),
    );
  });

  it('shared has no fold, and its part of the width', () => {
    const unfolded = referenceSizes.find(({ label }) => label === 'Unfolded')!;
    expect(shared(unfolded, 0.5)).toMatchObject({ width: 376, height: 812 });
    expect(shared(unfolded, 0.5).hinge).toBeUndefined();
  });
});

describe('side by side', () => {
  it('sizes fit into their room, and are never larger than they are', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 400, max: 6000 }),
        fc.integer({ min: 300, max: 3000 }),
        (width, height) => {
          const scale = scaleFor(usualSizes, { width, height });
          expect(scale).toBeLessThanOrEqual(1);
          const sum = usualSizes.reduce((all, size) => all + size.width * scale, 0);
          expect(sum + 28 * 4).toBeLessThanOrEqual(width + 1e-6);
          for (const size of usualSizes) expect(size.height * scale + 80).toBeLessThanOrEqual(height + 1e-6);
        },
      ),
    );
  });
});

describe('the form of an own size', () => {
  const form = (more: Readonly<Record<string, string>> = {}) => {
    const data = new FormData();
    const said = {
      label: 'Counter',
      width: '412',
      height: '892',
      ratio: '2',
      top: '0',
      right: '0',
      bottom: '0',
      left: '0',
      hinge: '',
      hingeWidth: '',
      ...more,
    };
    for (const [name, value] of Object.entries(said)) data.set(name, value);
    return ownSizeOf(data, usualSizes);
  };

  it('says a size', () => {
    expect(form()).toEqual({ label: 'Counter', width: 412, height: 892, ratio: 2, touch: false });
    expect(form({ touch: 'on', top: '20', hinge: '200', hingeWidth: '12' })).toMatchObject({
      touch: true,
      safe: { top: 20, right: 0, bottom: 0, left: 0 },
      hinge: { left: 200, width: 12 },
    });
  });

  it.each([
    [{ label: '  ' }, 'It needs a name.'],
    [{ label: 'Hand' }, 'There is a size called Hand.'],
    [{ width: '119' }, 'Width and height go from 120 to 4000 px.'],
    [{ height: '4001' }, 'Width and height go from 120 to 4000 px.'],
    [{ width: 'wide' }, 'Width and height go from 120 to 4000 px.'],
    [{ ratio: '0.4' }, 'Device px for each px go from 0.5 to 8.'],
    [{ ratio: '9' }, 'Device px for each px go from 0.5 to 8.'],
    [{ left: '401' }, 'What is kept free goes from 0 to 400 px.'],
    [{ bottom: '-1' }, 'What is kept free goes from 0 to 400 px.'],
    [{ hinge: '400', hingeWidth: '12' }, 'It folds inside its width.'],
    [{ hinge: '0' }, 'It folds inside its width.'],
  ])('says what is wrong: %o', (said, problem) => expect(form(said)).toBe(problem));
});
