/** Arrows of the map: from the box of the control that leads away to the edge of the card it leads to. */
import type { Area, Spot } from './arrange.ts';

/** An arrow's line as SVG has it, and the middle of it. */
export interface ArrowLine {
  readonly path: string;
  readonly middle: Spot;
}

const middleOf = ({ x, y, width, height }: Area): Spot => ({ x: x + width / 2, y: y + height / 2 });

const round = (value: number): number => Math.round(value * 10) / 10;

/** Px between two areas along an axis; negative where they overlap. */
const between = (start: number, length: number, otherStart: number, otherLength: number): number =>
  Math.max(otherStart - start - length, start - otherStart - otherLength);

/** The side of an area that faces another one, along the axis on which they are farther apart. */
function facing(area: Area, other: Area): { point: Spot; out: Spot } {
  const middle = middleOf(area);
  const to = middleOf(other);
  const isBeside =
    between(area.x, area.width, other.x, other.width) >= between(area.y, area.height, other.y, other.height);
  const sign = (isBeside ? to.x - middle.x : to.y - middle.y) < 0 ? -1 : 1;
  return isBeside
    ? { point: { x: middle.x + (sign * area.width) / 2, y: middle.y }, out: { x: sign, y: 0 } }
    : { point: { x: middle.x, y: middle.y + (sign * area.height) / 2 }, out: { x: 0, y: sign } };
}

const cubic = (a: number, b: number, c: number, d: number): number => (a + 3 * b + 3 * c + d) / 8;

/**
 * The line from a control to a card. It leaves the control at the side that faces the card, and meets the card's edge squarely.
 *
 * @param lane which of several arrows between the same two cards it is, around 0: they run beside each other.
 */
export function arrowLine(control: Area, card: Area, lane = 0): ArrowLine {
  const end = facing(card, control);
  const start = facing(control, card);
  const along = lane * 14;
  const tip = {
    x: end.point.x + (end.out.y === 0 ? 0 : along),
    y: end.point.y + (end.out.x === 0 ? 0 : along),
  };
  const { point: from } = start;
  const bend = Math.max(30, Math.min(160, Math.hypot(tip.x - from.x, tip.y - from.y) / 2));
  const one = { x: from.x + start.out.x * bend, y: from.y + start.out.y * bend };
  const other = { x: tip.x + end.out.x * bend, y: tip.y + end.out.y * bend };
  const at = ({ x, y }: Spot) => `${round(x)} ${round(y)}`;
  return {
    path: `M${at(from)}C${at(one)} ${at(other)} ${at(tip)}`,
    middle: { x: cubic(from.x, one.x, other.x, tip.x), y: cubic(from.y, one.y, other.y, tip.y) },
  };
}

/** The line of a way that leads nowhere, or that is only known as the application runs: a stub to the right. */
export function stubLine(control: Area): ArrowLine {
  const from = { x: control.x + control.width, y: control.y + control.height / 2 };
  return {
    path: `M${round(from.x)} ${round(from.y)}h46`,
    middle: { x: from.x + 46, y: from.y },
  };
}
