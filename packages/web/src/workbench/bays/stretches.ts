/** How the boxes of a layout are put into elements: most beside each other, what is seen as a whole with all that is in it. */
import { itemAt, physicalSides, roundedBy, type ScreenBox, type ScreenLayout } from '@hovrin/core';
import type { CSSProperties } from 'react';

/** From the index of a box to the one behind the last. */
export type Range = readonly [from: number, to: number];

/** Boxes one after another: some that are painted beside each other, or one with all that is in it. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly isWhole: boolean;
}

const known = new WeakMap<ScreenLayout, ReadonlySet<number>>();

/** The indexes of the boxes that are seen as a whole. */
function wholesIn(layout: ScreenLayout): ReadonlySet<number> {
  const found = known.get(layout);
  if (found) return found;
  const wholes = new Set<number>();
  for (const [index, box] of layout.boxes.entries()) {
    const { opacity = 1, turned, blur, z } = box.look;
    if (opacity !== 1 || turned || blur || z || clipsRound(box)) wholes.add(index);
    // Layers count among siblings only: what is around them keeps them together.
    if (z && box.parent >= 0) wholes.add(box.parent);
  }
  known.set(layout, wholes);
  return wholes;
}

/** How many boxes are painted as one group, up to the end of the control that the last one belongs to. */
const groupSize = 48;

/** Cuts a range of boxes into stretches: of a change only those are looked at in which something moved. */
export function stretchesOf(layout: ScreenLayout, [begin, end]: Range): Stretch[] {
  const { ends } = layout;
  const wholes = wholesIn(layout);
  const stretches: Stretch[] = [];
  let from = begin;
  const close = (to: number) => {
    if (to > from) stretches.push({ from, to, isWhole: false });
  };
  for (let index = begin; index < end; index++) {
    if (wholes.has(index)) {
      close(index);
      from = itemAt(ends, index);
      stretches.push({ from: index, to: from, isWhole: true });
      index = from - 1;
    } else if (index > from && layout.boxes[index]?.control !== undefined && index - from >= groupSize) {
      close(index);
      from = index;
    }
  }
  close(end);
  return stretches;
}

const over = ({ width, fullHeight }: ScreenLayout): CSSProperties => ({
  position: 'absolute',
  left: 0,
  top: 0,
  width,
  height: fullHeight,
});

/** How a box and all in it is seen as a whole. */
export function wholeStyle(layout: ScreenLayout, index: number): CSSProperties {
  const { x, y, width, height, look } = itemAt(layout.boxes, index);
  const { opacity, turned, blur, z } = look;
  const shift = turned?.shift.map((each, axis) =>
    typeof each === 'number' ? each : each.fraction * (axis === 0 ? width : height),
  );
  return {
    ...over(layout),
    isolation: 'isolate',
    opacity,
    filter: blur ? `blur(${blur}px)` : undefined,
    zIndex: z,
    ...(turned && shift
      ? {
          transformOrigin: `${x + width / 2}px ${y + height / 2}px`,
          transform: `translate(${shift[0]}px, ${shift[1]}px) rotate(${turned.degrees}deg) scale(${turned.scale})`,
        }
      : {}),
  };
}

/** Whether a box cuts what is in it with round corners. */
export const clipsRound = ({ look }: ScreenBox): boolean => look.clips === true && look.corner !== undefined;

/** Cuts what is in a box by its corners, inside its border. */
export function roundClip(
  layout: ScreenLayout,
  { x, y, width, height, look, box }: ScreenBox,
): CSSProperties {
  const border = physicalSides(box.style.border, layout.rightToLeft);
  const radii = roundedBy(look.corner, width, height).map(([across, down], index) => [
    Math.max(0, across - (index === 0 || index === 3 ? border.left : border.right)),
    Math.max(0, down - (index < 2 ? border.top : border.bottom)),
  ]);
  const edges = [
    y + border.top,
    layout.width - x - width + border.right,
    layout.fullHeight - y - height + border.bottom,
    x + border.left,
  ];
  const corners = [0, 1].map((axis) => radii.map((each) => `${each[axis]}px`).join(' ')).join(' / ');
  return {
    ...over(layout),
    clipPath: `inset(${edges.map((each) => `${each}px`).join(' ')} round ${corners})`,
  };
}
