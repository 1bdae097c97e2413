/** What a control's size becomes when its edge is dragged. */
import { type Control, inForce, type ScreenBox, type ScreenLayout, type Step } from '@hovrin/core';
import type { Snapping } from './drop.ts';

/** Which edges are dragged: the one at the end, the one at the bottom, or both. */
export type Grip = 'width' | 'height' | 'both';

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

/** The steps that give a control a size along an axis; held at both sides, its far pin moves. */
export function resizeSteps(
  control: Control,
  side: 'width' | 'height',
  from: ScreenBox,
  { value, like }: Resized,
): Step[] {
  if (like === equalShare) return [{ type: 'set', control: control.id, property: side, value: 'share' }];
  const [near, far] = side === 'width' ? ['left', 'right'] : ['top', 'bottom'];
  const pin = inForce(control.props[far!]);
  const both = pin !== undefined && inForce(control.props[near!]) !== undefined;
  if (both && inForce(control.props[side]) === undefined && /^-?[\d.]+$/.test(pin))
    return [
      {
        type: 'set',
        control: control.id,
        property: far!,
        value: String(Math.round((Number(pin) - (value - from[side])) * 100) / 100),
      },
    ];
  const text = String(Math.round(value * 100) / 100);
  return [{ type: 'set', control: control.id, property: side, value: text }];
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
 * @returns undefined where the item has a size of its own: its edge does not follow the tracks then.
 */
export function spanTo(
  item: Control,
  itemBox: ScreenBox,
  grid: ScreenBox,
  side: 'width' | 'height',
  to: number,
): Span | undefined {
  const own = inForce(item.props[side]);
  const tracks = side === 'width' ? grid.tracks?.columns : grid.tracks?.rows;
  if (!tracks || tracks.length < 2 || (own !== undefined && !own.startsWith('share'))) return undefined;
  const from = side === 'width' ? itemBox.x - grid.x : itemBox.y - grid.y;
  const ends = tracks.map(({ start, size }) => start + size);
  const first = ends.findIndex((end) => end > from + 0.5);
  if (first < 0) return undefined;
  // The track whose end is nearest; never fewer than the one that it begins in.
  let last = first;
  for (let index = first; index < ends.length; index++)
    if (Math.abs(ends[index]! - to) < Math.abs(ends[last]! - to)) last = index;
  return { property: side === 'width' ? 'col-span' : 'row-span', count: last - first + 1 };
}
