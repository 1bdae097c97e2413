/**
 * What of a screen can be seen: what scrolls is cut at its edges, as it is on the page; but where something that is
 * selected lies beyond, that scroll is open, so that one can work on all that is in it.
 */

import type { ScreenBox, ScreenLayout } from '@hovrin/core';
import { itemAt } from '@hovrin/core';

/** CSS px of the screen. */
export interface Window {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

const nothing: ReadonlySet<number> = new Set();

/** Slack of half a px: boxes that end where they are cut are wholly inside. */
const slack = 0.5;

const isWithin = ({ x, y, width, height }: ScreenBox, around: ScreenBox): boolean =>
  x >= around.x - slack &&
  y >= around.y - slack &&
  x + width <= around.x + around.width + slack &&
  y + height <= around.y + around.height + slack;

/** Indices of the boxes that scroll and are open, since something selected lies beyond their edges. */
export function openScrolls({ boxes, byControl }: ScreenLayout, selection: readonly string[]): Set<number> {
  const open = new Set<number>();
  for (const id of selection) {
    const selected = byControl.get(id);
    if (!selected) continue;
    for (let at = selected.parent; at >= 0; at = itemAt(boxes, at).parent) {
      const around = itemAt(boxes, at);
      if (around.look.clips === true && !isWithin(selected, around)) open.add(at);
    }
  }
  return open;
}

/**
 * Where each box can be seen: inside what is around it and cuts off; undefined: everywhere.
 *
 * @param open indices of boxes that cut nothing off.
 */
export function windowsOf({ boxes }: ScreenLayout, open = nothing): (Window | undefined)[] {
  const windows: (Window | undefined)[] = [];
  for (const { parent } of boxes) {
    const around = boxes[parent];
    const outer = windows[parent];
    if (around?.look.clips !== true || open.has(parent)) {
      windows.push(outer);
      continue;
    }
    const { x, y, width, height } = around;
    windows.push({
      left: Math.max(x, outer?.left ?? -Infinity),
      top: Math.max(y, outer?.top ?? -Infinity),
      right: Math.min(x + width, outer?.right ?? Infinity),
      bottom: Math.min(y + height, outer?.bottom ?? Infinity),
    });
  }
  return windows;
}

/** Whether a point can be seen through a window. */
export const isInWindow = (window: Window | undefined, x: number, y: number): boolean =>
  !window || (x >= window.left && x <= window.right && y >= window.top && y <= window.bottom);

/** What is left of a box in its window, as CSS; undefined: all of it. */
export function clipOf(
  { x, y, width, height }: Pick<ScreenBox, 'x' | 'y' | 'width' | 'height'>,
  window: Window | undefined,
): string | undefined {
  if (!window) return undefined;
  const [top, right, bottom, left] = [
    window.top - y,
    x + width - window.right,
    y + height - window.bottom,
    window.left - x,
  ];
  // What stands out of the box itself, words that do not fit, is cut there as well.
  return `inset(${top}px ${right}px ${bottom}px ${left}px)`;
}

/** A sign on a box that scrolls: which part of its content is seen, from 0 to 1, and along which axis. */
export interface ScrollSign {
  readonly box: ScreenBox;
  readonly axis: 'horizontal' | 'vertical';
  readonly part: number;
}

/** Signs for all boxes in which there is something to scroll to. */
export function scrollSigns({ boxes }: ScreenLayout): ScrollSign[] {
  return boxes.flatMap((box): ScrollSign[] => {
    const { extent, width, height } = box;
    if (!extent || box.look.clips !== true) return [];
    return [
      ...(extent.height > height + slack
        ? [{ box, axis: 'vertical', part: height / extent.height } as const]
        : []),
      ...(extent.width > width + slack
        ? [{ box, axis: 'horizontal', part: width / extent.width } as const]
        : []),
    ];
  });
}
