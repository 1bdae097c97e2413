/** How large bays are drawn: the working one can be worked on, the others can be read. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { ScreenSize } from '../src/sizes.ts';
import { sidesShown } from '../src/workbench/bench/sides.ts';
import { scaleOfWhole, scaleOfWidth } from '../src/workbench/bench/zoom.ts';

const phone: ScreenSize = { label: 'Hand', width: 390, height: 844 };
const tablet: ScreenSize = { label: 'Lap', width: 820, height: 1180 };
const desk: ScreenSize = { label: 'Desk', width: 1280, height: 800 };

it('a phone is shown at 85 % at least, however low the window is; a wide size as wide as the bench', () => {
  expect(scaleOfWidth(phone, { width: 680, height: 600 })).toBe(0.85);
  expect(scaleOfWidth(phone, { width: 680, height: 200 })).toBe(0.85);
  expect(scaleOfWidth(phone, { width: 680, height: 800 })).toBeCloseTo(800 / 844);
  expect(scaleOfWidth(desk, { width: 640, height: 900 })).toBe(0.5);
  expect(scaleOfWhole(phone, { width: 680, height: 600 })).toBeCloseTo(600 / 844);
});

it('whatever the window, a size is no larger than it is and never beyond the width', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 120, max: 4000 }),
      fc.integer({ min: 120, max: 4000 }),
      fc.integer({ min: 400, max: 2600 }),
      fc.integer({ min: 200, max: 1400 }),
      (width, height, wide, high) => {
        const scale = scaleOfWidth({ width, height }, { width: wide, height: high });
        expect(scale).toBeLessThanOrEqual(1);
        expect(scale * width).toBeLessThanOrEqual(wide + 1e-9);
        expect(scaleOfWhole({ width, height }, { width: wide, height: high })).toBeLessThanOrEqual(scale);
      },
    ),
  );
});

it('others are read at 35 % at least, are larger where there is room, and leave out what is worked on', () => {
  expect(sidesShown([phone, tablet, desk], { room: 680, taken: 332 }).scale).toBe(0.35);
  const roomy = sidesShown([phone, tablet, desk], { room: 1900, taken: 390 });
  expect(roomy.scale).toBeGreaterThan(0.5);
  expect(roomy.hidden.size).toBe(0);
  expect([
    ...sidesShown([{ ...tablet, label: 'own' }, tablet, desk], { room: 680, taken: 600 }).hidden,
  ]).toEqual([tablet]);
  // One that keeps another screen, or has other rows, shows something else.
  const pinned = { ...tablet, screen: 'x' };
  expect(sidesShown([tablet, pinned], { room: 680, taken: 600 }).hidden.size).toBe(0);
});
