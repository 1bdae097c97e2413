/** What of a screen is cut off where it does not fit: in scrolls, and inside controls that scroll themselves. */
import type { ScreenBox, ScreenLayout } from '@hovrin/core';

/**
 * All that scrolls, as a person sees it at first; or only the inside of single controls, so that what is to be scrolled
 * to can be worked on.
 */
export type Cut = 'all' | 'parts';

/** Where each box can be seen: inside what is around it and cuts off; undefined: everywhere. */
export function windowsOf({ boxes }: ScreenLayout, cut: Cut): (Window | undefined)[] {
  const windows: (Window | undefined)[] = [];
  for (const { parent, control } of boxes) {
    const around = boxes[parent];
    const outer = windows[parent];
    const cuts = around?.look.clips === true && (cut === 'all' || control === undefined);
    if (!around || !cuts || (cut === 'parts' && holdsControls(around))) {
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

/** CSS px of the screen. */
export interface Window {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Whether what scrolls there are controls, not the inside of one. */
const holdsControls = ({ box }: ScreenBox): boolean =>
  box.children.some((part) => part.children.some(({ control }) => control !== undefined));

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
