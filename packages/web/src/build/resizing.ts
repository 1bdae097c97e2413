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

/** The steps that give a control a size along an axis; held at both sides, its far pin moves. */
export function resizeSteps(
  control: Control,
  side: 'width' | 'height',
  from: ScreenBox,
  value: number,
): Step[] {
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

/** Sizes of a control's siblings. */
export const siblingSizes = (
  parent: Control,
  control: Control,
  layout: ScreenLayout,
  side: 'width' | 'height',
  nameOf: (id: string) => string,
) =>
  parent.children.flatMap((child) => {
    const box = child.id === control.id ? undefined : layout.byControl.get(child.id);
    return box ? [{ name: nameOf(child.id), size: box[side] }] : [];
  });
