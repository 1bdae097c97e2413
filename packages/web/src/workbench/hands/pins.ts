/** The pins of a control on a pinboard: how far each would be, pinned and let go, in px or per cent of the board. */
import {
  type Control,
  inForce,
  percentBasis,
  type ScreenBox,
  type ScreenLayout,
  type Step,
} from '@hovrin/core';

export const edgePins = ['left', 'right', 'top', 'bottom'] as const;
export const centrePins = ['center-x', 'center-y'] as const;
export type Pin = (typeof edgePins)[number] | (typeof centrePins)[number];

export const isAcross = (pin: Pin): boolean => pin === 'left' || pin === 'right' || pin === 'center-x';

const isCentre = (pin: Pin): boolean => pin === 'center-x' || pin === 'center-y';

/** The inside of a pinboard's border, CSS px of the screen: pins count from there (Position 3 §2.1). */
export function boardInside(board: ScreenBox, rightToLeft: boolean) {
  const { border } = board.box.style;
  const left = rightToLeft ? border.end : border.start;
  return {
    x: board.x + left,
    y: board.y + border.top,
    width: board.width - border.start - border.end,
    height: board.height - border.top - border.bottom,
  };
}

/** How far a pin of a control would be where the control stands now, CSS px. */
export function pinDistance(pin: Pin, box: ScreenBox, board: ScreenBox, rightToLeft: boolean): number {
  const inside = boardInside(board, rightToLeft);
  const { margin } = box.box.style;
  const [start, end] = rightToLeft ? [margin.end, margin.start] : [margin.start, margin.end];
  const distances: Readonly<Record<Pin, number>> = {
    left: box.x - start - inside.x,
    right: inside.x + inside.width - box.x - box.width - end,
    top: box.y - margin.top - inside.y,
    bottom: inside.y + inside.height - box.y - box.height - margin.bottom,
    'center-x': box.x - start + (box.width + start + end) / 2 - inside.x - inside.width / 2,
    'center-y':
      box.y - margin.top + (box.height + margin.top + margin.bottom) / 2 - inside.y - inside.height / 2,
  };
  return Math.round(distances[pin] * 100) / 100;
}

/** The text of a pin in force; undefined: it is not held. */
export const heldPin = (control: Control, pin: Pin): string | undefined => inForce(control.props[pin]);

const set = (control: Control, property: string, value: string | null): Step => ({
  type: 'set',
  control: control.id,
  property,
  value,
});

/**
 * Pins a control where it stands, or lets it go. A middle and an edge of one axis cannot both hold it: the newer one does.
 *
 * @param distance where it stands, CSS px.
 */
export function pressPin(control: Control, pin: Pin, distance: number): Step[] {
  if (heldPin(control, pin) !== undefined) return [set(control, pin, null)];
  const others: readonly Pin[] = isAcross(pin)
    ? ['left', 'right', 'center-x']
    : ['top', 'bottom', 'center-y'];
  const released = others.filter(
    (other) => other !== pin && isCentre(other) !== isCentre(pin) && heldPin(control, other) !== undefined,
  );
  return [set(control, pin, String(distance)), ...released.map((other) => set(control, other, null))];
}

/** A length on a board as per cent of it, two places behind the point; undefined where the board has no room. */
export function percentText(pin: Pin, px: number, parent: Control, layout: ScreenLayout): string | undefined {
  const basis = percentBasis(parent, layout, !isAcross(pin));
  if (basis === undefined || basis <= 0) return undefined;
  return `${Math.round((10000 * px) / basis) / 100}%`;
}

/** The step that gives a held pin another distance, in the unit that it has. @param px CSS px. */
export function movedPin(
  control: Control,
  pin: Pin,
  px: number,
  parent: Control,
  layout: ScreenLayout,
): Step {
  const isPercent = heldPin(control, pin)?.endsWith('%') === true;
  const percent = isPercent ? percentText(pin, px, parent, layout) : undefined;
  return set(control, pin, percent ?? String(px));
}

/** The step that turns a held pin from px into per cent, or back; undefined for middles, which have px only. */
export function otherUnit(
  control: Control,
  pin: Pin,
  distance: number,
  parent: Control,
  layout: ScreenLayout,
): Step | undefined {
  const held = heldPin(control, pin);
  if (held === undefined || held.includes('{') || isCentre(pin)) return undefined;
  if (held.endsWith('%')) return set(control, pin, String(distance));
  const percent = percentText(pin, distance, parent, layout);
  return percent === undefined ? undefined : set(control, pin, percent);
}
