import { largestOf, smallestOf } from './plain-limits.ts';
/** A rectangle on a screen, CSS px. */
export interface Rectangle {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The smallest rectangle around some others, of which there is at least one. */
export function outlineOf(items: readonly Rectangle[]): Rectangle {
  const x = smallestOf(items.map((item) => item.x));
  const y = smallestOf(items.map((item) => item.y));
  return {
    x,
    y,
    width: largestOf(items.map((item) => item.x + item.width)) - x,
    height: largestOf(items.map((item) => item.y + item.height)) - y,
  };
}
