/** What of a screen is not to be built on: under a notch or a rounded corner, and where it folds. */
import { type ScreenSize, safeOf } from '../../sizes.ts';

const hatch = 'repeating-linear-gradient(135deg, rgb(31 42 36 / 0.16) 0 1px, transparent 1px 5px)';

export function Covered({ size, scale }: { size: ScreenSize; scale: number }) {
  const { top, right, bottom, left } = safeOf(size);
  const { width, height, hinge } = size;
  const strips = [
    { title: 'Kept free at the top', left: 0, top: 0, width, height: top },
    { title: 'Kept free at the bottom', left: 0, top: height - bottom, width, height: bottom },
    { title: 'Kept free at the left', left: 0, top, width: left, height: height - top - bottom },
    {
      title: 'Kept free at the right',
      left: width - right,
      top,
      width: right,
      height: height - top - bottom,
    },
    ...(hinge
      ? [
          {
            title: 'The hinge',
            left: hinge.left - (hinge.width === 0 ? 0.5 : 0),
            top: 0,
            width: Math.max(1, hinge.width),
            height,
          },
        ]
      : []),
  ];
  return strips
    .filter((strip) => strip.width > 0 && strip.height > 0)
    .map((strip) => (
      <div
        key={strip.title}
        title={strip.title}
        data-covered={strip.title}
        className="pointer-events-none absolute"
        style={{
          left: strip.left * scale,
          top: strip.top * scale,
          width: strip.width * scale,
          height: strip.height * scale,
          background: strip.title === 'The hinge' ? 'rgb(31 42 36 / 0.28)' : hatch,
        }}
      />
    ));
}
