/** Where the hands of a look are: the line of a gradient, the knobs of what is turned. All in CSS px of the screen. */
import type { Gradient, Place, Rectangle } from '@hovrin/core';
import type { Point } from './drop.ts';

export const middleOf = ({ x, y, width, height }: Rectangle): Point => ({
  x: x + width / 2,
  y: y + height / 2,
});

/** How something is seen besides where it stands: turned and scaled about its middle, then shifted. */
export interface Turned {
  readonly degrees: number;
  readonly scale: number;
  /** CSS px. */
  readonly shift: Point;
}

/** Where a point of a box is seen (CSS Transforms 2 §4). */
export function seenAt(box: Rectangle, { degrees, scale, shift }: Turned, { x, y }: Point): Point {
  const middle = middleOf(box);
  const angle = (degrees * Math.PI) / 180;
  const [across, down] = [(x - middle.x) * scale, (y - middle.y) * scale];
  return {
    x: middle.x + shift.x + across * Math.cos(angle) - down * Math.sin(angle),
    y: middle.y + shift.y + across * Math.sin(angle) + down * Math.cos(angle),
  };
}

/** The point of a box that is seen at one: what `seenAt` turns the other way. */
export function pointSeenAt(box: Rectangle, { degrees, scale, shift }: Turned, { x, y }: Point): Point {
  const middle = middleOf(box);
  const angle = (-degrees * Math.PI) / 180;
  const [across, down] = [x - middle.x - shift.x, y - middle.y - shift.y];
  return {
    x: middle.x + (across * Math.cos(angle) - down * Math.sin(angle)) / scale,
    y: middle.y + (across * Math.sin(angle) + down * Math.cos(angle)) / scale,
  };
}

/** The line that a linear gradient runs along in a box (CSS Images 4 §3.1.2): from its start to its end. */
export function gradientLine(box: Rectangle, degrees: number): readonly [Point, Point] {
  const angle = (degrees * Math.PI) / 180;
  const [across, down] = [Math.sin(angle), -Math.cos(angle)];
  const half = (Math.abs(box.width * across) + Math.abs(box.height * down)) / 2;
  const { x, y } = middleOf(box);
  return [
    { x: x - across * half, y: y - down * half },
    { x: x + across * half, y: y + down * half },
  ];
}

/** The angle of a line from the middle of a box to a point: degrees from the top, clockwise, whole ones; in steps of 15 where it snaps. */
export function angleTo(box: Rectangle, point: Point, snaps: boolean): number {
  const middle = middleOf(box);
  const degrees = (Math.atan2(point.x - middle.x, middle.y - point.y) * 180) / Math.PI;
  const step = snaps ? 15 : 1;
  return (Math.round(degrees / step) * step + 360) % 360;
}

/** How far along a line a point is, from 0 to 1, or beyond. */
export function partAlong([from, to]: readonly [Point, Point], point: Point): number {
  const [across, down] = [to.x - from.x, to.y - from.y];
  const long = across ** 2 + down ** 2;
  return long === 0 ? 0 : ((point.x - from.x) * across + (point.y - from.y) * down) / long;
}

export const pointAlong = ([from, to]: readonly [Point, Point], part: number): Point => ({
  x: from.x + (to.x - from.x) * part,
  y: from.y + (to.y - from.y) * part,
});

/** The centre of a radial or conic gradient in a box. */
export function centreOf(box: Rectangle, { at }: Exclude<Gradient, { form: 'linear' }>): Point {
  const along = (start: number, length: number, { fraction, px }: Place) => start + length * fraction + px;
  return { x: along(box.x, box.width, at[0]), y: along(box.y, box.height, at[1]) };
}

/** A point in a box as parts of its sides, in whole per cent. */
export const placesIn = (box: Rectangle, { x, y }: Point): readonly [Place, Place] => {
  const part = (start: number, length: number, value: number): Place => ({
    fraction: length > 0 ? Math.round(((value - start) / length) * 100) / 100 : 0.5,
    px: 0,
  });
  return [part(box.x, box.width, x), part(box.y, box.height, y)];
};

/** A factor by which something is scaled when its corner is dragged: as far from the middle as the point is, in hundredths. */
export function scaleTo(box: Rectangle, point: Point): number {
  const middle = middleOf(box);
  const corner = Math.hypot(box.width / 2, box.height / 2);
  const reached = Math.hypot(point.x - middle.x, point.y - middle.y);
  return corner === 0 ? 1 : Math.max(0.05, Math.round((reached / corner) * 20) / 20);
}
