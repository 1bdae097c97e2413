/** Marks on the bench at what scrolls: a thin bar at its edge, as long as the part that is seen. */
import type { ScreenLayout } from '@hovrin/core';
import type { CSSProperties } from 'react';
import { type ScrollSign, scrollSigns } from './cut.ts';

/** Thickness of a bar and its distance from the edge, CSS px of the window. */
const thickness = 4;
const away = 2;

function styleOf({ box, axis, part }: ScrollSign, scale: number, rightToLeft: boolean): CSSProperties {
  const x = box.x * scale;
  const y = box.y * scale;
  const width = box.width * scale;
  const height = box.height * scale;
  return axis === 'vertical'
    ? {
        left: rightToLeft ? x + away : x + width - thickness - away,
        top: y + away,
        width: thickness,
        height: Math.max(thickness, (height - 2 * away) * part),
      }
    : {
        left: rightToLeft ? x + width - away - Math.max(thickness, (width - 2 * away) * part) : x + away,
        top: y + height - thickness - away,
        width: Math.max(thickness, (width - 2 * away) * part),
        height: thickness,
      };
}

export function ScrollSigns({ layout, scale }: { layout: ScreenLayout; scale: number }) {
  return scrollSigns(layout).map((sign, index) => (
    <div
      // biome-ignore lint/suspicious/noArrayIndexKey: a sign is nothing but its place.
      key={index}
      data-scrolls={sign.axis}
      className="absolute rounded-full bg-[#1f2a24]/35"
      style={styleOf(sign, scale, layout.rightToLeft)}
    />
  ));
}
