/** Stretches of widths within which every box moves linearly, and the layouts at their ends. */

import type { Laid } from '../layout/laid.ts';
import { numberAt } from '../sure.ts';

/** One box in a stretch: which it is, and which item of which repeats. */
export interface SweptBox {
  /** Id of the control; undefined for a part inside one. */
  readonly control: string | undefined;
  readonly items: readonly number[];
}

/** Widths from `from` to `to`, both included, between which every box moves linearly. CSS px. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  /** Parents before children. */
  readonly boxes: readonly SweptBox[];
  /** Four numbers a box at `from`: x, y, width, height. */
  readonly start: Float64Array;
  /** The same at `to`. */
  readonly end: Float64Array;
}

/** A layout that was made, at a width. */
export interface Point {
  readonly width: number;
  readonly laid: Laid;
}

/** A range between whose ends nothing changes its behaviour. */
export interface Range {
  readonly from: Point;
  readonly to: Point;
  /** A px, or a part of one, among widths at which rounding decides: known at both ends and at each whole px (`rounding-zone.ts`). */
  readonly isPx?: true;
}

/** All boxes of a layout in a row. */
export function boxesOf(laid: Laid): SweptBox[] {
  const boxes: SweptBox[] = [];
  const visit = ({ box: { control, items }, children }: Laid) => {
    boxes.push({ control, items });
    for (const child of children) visit(child);
  };
  visit(laid);
  return boxes;
}

/** Places and sizes of all boxes of a layout in a row: x, y, width, height. */
export function numbersOf(
  { width: screen, laid: root }: Point,
  count: number,
  rightToLeft: boolean,
): Float64Array {
  const numbers = new Float64Array(4 * count);
  let at = 0;
  const visit = ({ width, height, children, places }: Laid, x: number, y: number) => {
    numbers[at++] = rightToLeft ? screen - x - width : x;
    numbers[at++] = y;
    numbers[at++] = width;
    numbers[at++] = height;
    for (let index = 0; index < children.length; index++)
      visit(children[index]!, x + numberAt(places, 2 * index), y + numberAt(places, 2 * index + 1));
  };
  visit(root, 0, 0);
  return numbers;
}

export function stretchOf({ from, to }: Range, rightToLeft: boolean): Stretch {
  const boxes = boxesOf(from.laid);
  const start = numbersOf(from, boxes.length, rightToLeft);
  return {
    from: from.width,
    to: to.width,
    boxes,
    start,
    end: to === from ? start : numbersOf(to, boxes.length, rightToLeft),
  };
}

/** A box's place and size at a width within a stretch: x, y, width, height, CSS px. */
export function boxAt(
  { from, to, start, end }: Stretch,
  index: number,
  width: number,
): [x: number, y: number, width: number, height: number] {
  const part = to > from ? (width - from) / (to - from) : 0;
  const value = (offset: number) =>
    numberAt(start, 4 * index + offset) * (1 - part) + numberAt(end, 4 * index + offset) * part;
  return [value(0), value(1), value(2), value(3)];
}
