/** A sheet over what is around a component that is edited in its place, with the component seen through it. */
import { itemAt, type LayoutInPlace, type ScreenBox, type ScreenLayout } from '@hovrin/core';
import { useId } from 'react';
import type { Window } from './cut.ts';

/** What of a box can be seen. */
function seenOf(box: ScreenBox, window: Window | undefined) {
  if (!window) return box;
  const [x, y] = [Math.max(box.x, window.left), Math.max(box.y, window.top)];
  const width = Math.max(0, Math.min(box.x + box.width, window.right) - x);
  return { x, y, width, height: Math.max(0, Math.min(box.y + box.height, window.bottom) - y) };
}

const isInPlace = (layout: ScreenLayout): layout is LayoutInPlace => 'borders' in layout;

interface AroundProps {
  readonly layout: ScreenLayout;
  /** Where each box can be seen. */
  readonly windows: readonly (Window | undefined)[];
  readonly scale: number;
}

export function Around({ layout, windows, scale }: AroundProps) {
  const id = useId();
  if (!isInPlace(layout)) return null;
  return (
    <svg
      aria-hidden="true"
      data-around=""
      className="pointer-events-none absolute inset-0 h-full w-full"
      style={{ zIndex: 0 }}
    >
      <mask id={id}>
        <rect width="100%" height="100%" fill="white" />
        {layout.borders.map(({ index, isOwn }) => {
          const { x, y, width, height } = seenOf(itemAt(layout.boxes, index), windows[index]);
          return (
            <rect
              key={index}
              x={x * scale}
              y={y * scale}
              width={width * scale}
              height={height * scale}
              fill={isOwn ? 'black' : 'white'}
            />
          );
        })}
      </mask>
      <rect width="100%" height="100%" className="fill-ground/75" mask={`url(#${id})`} />
    </svg>
  );
}
