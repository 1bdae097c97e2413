/** What a control's size becomes when its edge is dragged. */
import {
  type Control,
  inForce,
  type ScreenBox,
  type ScreenLayout,
  type Step,
  shiftPin,
  shiftPins,
} from '@hovrin/core';
import type { Snapping } from './drop.ts';

/** Which edges are dragged: -1 the left or top one, 1 the right or bottom one, 0 neither. */
export interface Grip {
  readonly x: -1 | 0 | 1;
  readonly y: -1 | 0 | 1;
}

/** How near to a sibling's size one is drawn to it, CSS px. */
const reach = 4;

/** A size and what it was drawn to, in words. */
export interface Resized {
  readonly value: number;
  readonly like: string | undefined;
}

/**
 * @param siblings sizes of the others beside it, with their names.
 * @param limits least and greatest, CSS px.
 */
export function resizedTo(
  asked: number,
  siblings: readonly { readonly name: string; readonly size: number }[],
  limits: { readonly min: number; readonly max: number },
  { step, on }: Snapping,
): Resized {
  const held = (value: number) => Math.max(limits.min, Math.min(limits.max, Math.max(0, value)));
  if (!on) return { value: held(Math.round(asked)), like: undefined };
  const near = siblings
    .filter(({ size }) => Math.abs(size - asked) <= reach)
    .toSorted((a, b) => Math.abs(a.size - asked) - Math.abs(b.size - asked))[0];
  if (near && held(near.size) === near.size) return { value: near.size, like: near.name };
  return { value: held(Math.round(asked / step) * step), like: undefined };
}

/** Least and greatest border-box size of a control that its own limits say in px. */
export function limitsOf(control: Control, side: 'width' | 'height'): { min: number; max: number } {
  const number = (name: string) => {
    const text = inForce(control.props[name]);
    return text !== undefined && /^[\d.]+$/.test(text) ? Number(text) : undefined;
  };
  const min = number(`min-${side}`) ?? 0;
  return { min, max: Math.max(min, number(`max-${side}`) ?? Number.POSITIVE_INFINITY) };
}

/** What a size that is the same for all of a row or column is called. */
export const equalShare = 'an equal share';

/** A size as a property says it. */
export const sizeText = ({ value, like }: Resized): string =>
  like === equalShare ? 'share' : String(Math.round(value * 100) / 100);

/** The steps that give a control in a row, column, grid or layers a size along an axis. */
export const resizeSteps = (control: Control, side: 'width' | 'height', resized: Resized): Step[] => [
  { type: 'set', control: control.id, property: side, value: sizeText(resized) },
];

/** A control as it was before its edge was dragged, and its box then. */
export interface Held {
  readonly control: Control;
  readonly box: ScreenBox;
}

/** An edge that is dragged. */
export interface DraggedEdge {
  readonly side: 'width' | 'height';
  /** -1: left or top, 1: right or bottom. */
  readonly edge: -1 | 1;
  /** What the control gets, CSS px. */
  readonly size: number;
}

/**
 * The steps that move an edge of a control on a pinboard and leave the other one where it is, whatever pins hold it.
 *
 * @param rightToLeft what is held at both sides and has a width stays at the right then (Position 3 §4).
 */
export function resizePinned(
  { control, box: from }: Held,
  { side, edge, size }: DraggedEdge,
  board: ScreenBox,
  rightToLeft: boolean,
): Step[] {
  const axis = side === 'width' ? 'x' : 'y';
  const pins =
    axis === 'x' ? (['left', 'right', 'center-x'] as const) : (['top', 'bottom', 'center-y'] as const);
  const said = pins.filter((pin) => inForce(control.props[pin]) !== undefined);
  // A centre line holds it whatever is said of its edges; a share that no pin holds reaches both edges.
  const held = said.includes(pins[2]) ? [pins[2]] : said;
  const growth = edge * (size - from[side]);
  const own = inForce(control.props[side]);
  const shares = own?.startsWith('share') ?? false;
  if (held.length === 2 && (shares || own === undefined))
    return [shiftPin(control, edge < 0 ? pins[0] : pins[1], growth, board)];
  const sized = resizeSteps(control, side, { value: size, like: undefined });
  // The edge that stays by itself when the size grows; 0: both go, the centre line stays.
  const farStays =
    held.length === 1 ? held[0] === pins[1] : rightToLeft && axis === 'x' && (held.length === 2 || !shares);
  const stays = held[0] === pins[2] ? 0 : farStays ? 1 : -1;
  const by = (growth * (1 + stays * edge)) / 2;
  if (held.length > 0) return [...sized, ...held.map((pin) => shiftPin(control, pin, by, board))];
  if (shares) return [...sized, shiftPin(control, pins[0], by, board)];
  // Where it stands in flow, as it was before.
  const natural = pins[rightToLeft && axis === 'x' ? 1 : 0];
  if (by === 0) return [...sized, { type: 'set', control: control.id, property: natural, value: null }];
  return [...sized, ...shiftPins(control, axis, by, board, rightToLeft)];
}

/** Sizes of a control's siblings, and that of an equal share of the row or column that they stand in. */
export function siblingSizes(
  parent: Control,
  control: Control,
  layout: ScreenLayout,
  side: 'width' | 'height',
  nameOf: (id: string) => string,
): { readonly name: string; readonly size: number }[] {
  const sizes = parent.children.flatMap((child) => {
    const box = child.id === control.id ? undefined : layout.byControl.get(child.id);
    return box ? [{ name: nameOf(child.id), size: box[side] }] : [];
  });
  const around = layout.byControl.get(parent.id);
  const content = around?.box.content;
  const along = content?.type === 'flex' && (content.direction === 'row') === (side === 'width');
  if (!around || !along || content.wrap) return sizes;
  const { padding, border } = around.box.style;
  const frame =
    side === 'width'
      ? padding.start + padding.end + border.start + border.end
      : padding.top + padding.bottom + border.top + border.bottom;
  const gap = side === 'width' ? content.columnGap : content.rowGap;
  const count = sizes.length + 1;
  return [...sizes, { name: equalShare, size: (around[side] - frame - gap * (count - 1)) / count }];
}

/** How many tracks of a grid an item spans when its edge is dragged to a place. */
export interface Span {
  readonly property: 'col-span' | 'row-span';
  readonly count: number;
}

/**
 * @param grid the grid that the item stands in.
 * @param to where its edge at the end is dragged to, from the grid's start side or top, CSS px.
 * @param rightToLeft the start side is the right one then.
 * @returns undefined where the item has a size of its own: its edge does not follow the tracks then.
 */
export function spanTo(
  { control: item, box: itemBox }: Held,
  grid: ScreenBox,
  side: 'width' | 'height',
  to: number,
  rightToLeft: boolean,
): Span | undefined {
  const own = inForce(item.props[side]);
  const tracks = side === 'width' ? grid.tracks?.columns : grid.tracks?.rows;
  if (!tracks || tracks.length < 2 || (own !== undefined && !own.startsWith('share'))) return undefined;
  const from =
    side === 'height'
      ? itemBox.y - grid.y
      : rightToLeft
        ? grid.x + grid.width - itemBox.x - itemBox.width
        : itemBox.x - grid.x;
  // The tracks from the one that it begins in on: it reaches to the end that is nearest.
  const far = tracks
    .map(({ start, size }) => start + size)
    .filter((end) => end > from + 0.5)
    .map((end) => Math.abs(end - to));
  if (far.length === 0) return undefined;
  return {
    property: side === 'width' ? 'col-span' : 'row-span',
    count: far.indexOf(Math.min(...far)) + 1,
  };
}
