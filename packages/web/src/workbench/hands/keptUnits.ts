/** Sizes that are dragged keep their meaning: per cent stay per cent, a share is shared anew with the one beside it. */
import {
  type Control,
  inForce,
  percentBasis,
  type ScreenBox,
  type ScreenLayout,
  type Step,
} from '@hovrin/core';
import type { Held } from './resizing.ts';

type Side = 'width' | 'height';

/** Words that are drawn to, px: ratios and parts within this are meant. */
const reach = 8;
const mostOfRatio = 6;

/** Two controls side by side that share the room of their row or column. */
export interface SharePair {
  readonly first: Held;
  readonly second: Held;
  /** Whether nobody else shares with them. */
  readonly isAlone: boolean;
}

/** The share that a box has along a side; undefined: it does not share. */
export function shareOf(box: ScreenBox, side: Side): number | undefined {
  const size = box.box.style[side];
  return typeof size === 'object' && 'share' in size ? size.share : undefined;
}

/** The children of a row or column that share its room along its direction, in the order in which they stand. */
export function sharingIn(parent: Control, layout: ScreenLayout, side: Side): readonly Held[] {
  const content = layout.byControl.get(parent.id)?.box.content;
  const along = content?.type === 'flex' && (content.direction === 'row') === (side === 'width');
  if (!along) return [];
  const all = parent.children.flatMap((control) => {
    const box = layout.byControl.get(control.id);
    return box ? [{ control, box }] : [];
  });
  if (content.wrap && !isOneLine(all, side)) return [];
  return all.filter(({ box }) => shareOf(box, side) !== undefined);
}

/** Whether what may wrap stands on one line: each behind the one before, on either side. */
const isOneLine = (all: readonly Held[], side: Side): boolean => {
  const [axis, size] = side === 'width' ? (['x', 'width'] as const) : (['y', 'height'] as const);
  const inOrder = all.map(({ box }) => box).toSorted((a, b) => a[axis] - b[axis]);
  return inOrder.every((box, index) => {
    const next = inOrder[index + 1];
    return !next || next[axis] >= box[axis] + box[size] - 0.5;
  });
};

/** A control with the one that it is shared anew with: the next that shares, or the one in front. */
export function pairOf(
  parent: Control,
  control: Control,
  layout: ScreenLayout,
  side: Side,
): SharePair | undefined {
  const sharing = sharingIn(parent, layout, side);
  const at = sharing.findIndex((each) => each.control.id === control.id);
  const first = sharing[at];
  const second = sharing[at + 1] ?? sharing[at - 1];
  return first && second ? { first, second, isAlone: sharing.length === 2 } : undefined;
}

const rounded = (value: number): number => Math.round(value * 100) / 100;
const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b));

/** Small ratios: 1/1, 2/1, 3/2 … */
const ratios = Array.from({ length: mostOfRatio ** 2 }, (_, index) => [
  Math.floor(index / mostOfRatio) + 1,
  (index % mostOfRatio) + 1,
]).filter(([a, b]) => commonDivisor(a!, b!) === 1) as [number, number][];

/** Two things that share some room. */
interface SharedRoom {
  /** What both have together, CSS px. */
  readonly room: number;
  /** What their parts come to together. */
  readonly total: number;
  /** Whether nobody else shares with them. */
  readonly isAlone: boolean;
}

/**
 * The parts of two when the first is to be of a size; others keep what they have.
 *
 * @param size of the first, CSS px.
 * @param snaps to small ratios of the two; where others share, too, to tenths.
 */
export function ratioFor(
  { room, total, isAlone }: SharedRoom,
  size: number,
  snaps: boolean,
): { readonly first: number; readonly second: number } {
  const asked = Math.max(1, Math.min(room - 1, size));
  const off = ([a, b]: [number, number]) => Math.abs((room * a) / (a + b) - asked);
  const [near] = snaps && isAlone ? ratios.toSorted((one, other) => off(one) - off(other)) : [];
  if (near && off(near) <= reach) {
    const [a, b] = near;
    return { first: a, second: b };
  }
  // Beside others that share, small ratios would be long fractions: tenths are short.
  const exact = (total * asked) / room;
  const part = snaps ? Math.round(exact * 10) / 10 : rounded(exact);
  const own = Math.min(Math.max(0.01, part), rounded(total - 0.01));
  return { first: own, second: rounded(total - own) };
}

/** The shares of two controls when the first is to be of a size. */
export const sharedAnew = (
  { first, second, isAlone }: SharePair,
  side: Side,
  size: number,
  snaps: boolean,
): { readonly first: number; readonly second: number } =>
  ratioFor(
    {
      room: first.box[side] + second.box[side],
      total: (shareOf(first.box, side) ?? 1) + (shareOf(second.box, side) ?? 1),
      isAlone,
    },
    size,
    snaps,
  );

/** A share as a property says it. */
export const shareText = (share: number): string => (share === 1 ? 'share' : `share ${share}`);

/** The steps of a pair that is shared anew. */
export const shareSteps = (
  { first, second }: SharePair,
  side: Side,
  shares: { readonly first: number; readonly second: number },
): Step[] => [
  { type: 'set', control: first.control.id, property: side, value: shareText(shares.first) },
  { type: 'set', control: second.control.id, property: side, value: shareText(shares.second) },
];

export const ratioWords = ({ first, second }: { readonly first: number; readonly second: number }): string =>
  `share ${first} : ${second}`;

/** Per cent that are drawn to: quarters and thirds. */
const niceParts = [25, 100 / 3, 50, 200 / 3, 75, 100];

/** A part of some room as per cent. @param snaps to quarters and thirds, and to whole per cent. */
export function percentFor(size: number, basis: number, snaps: boolean): number {
  const asked = Math.max(0, (100 * size) / basis);
  if (!snaps) return rounded(asked);
  const near = niceParts.find((part) => (Math.abs(part - asked) * basis) / 100 <= reach / 2);
  return rounded(near ?? Math.round(asked));
}

/** What a drag comes to, in the unit that the size has. */
export interface Kept {
  readonly steps: Step[];
  readonly words: string;
}

/**
 * A size that is dragged, in the unit that it has.
 *
 * @param parent of the control.
 * @param size that is asked for, CSS px.
 * @returns undefined where it has none but px: what it is then is px.
 */
export function keptUnit(
  { control, box }: Held,
  parent: Control,
  layout: ScreenLayout,
  side: Side,
  size: number,
  snaps: boolean,
): Kept | undefined {
  const own = inForce(control.props[side]);
  if (own?.includes('{')) return { steps: [], words: 'follows an expression, set in Facts' };
  const said = box.box.style[side];
  if (typeof said === 'object' && 'share' in said) {
    const pair = pairOf(parent, control, layout, side);
    if (!pair) return undefined;
    const shares = sharedAnew(pair, side, size, snaps);
    return { steps: shareSteps(pair, side, shares), words: ratioWords(shares) };
  }
  if (typeof said === 'object' && 'fraction' in said) {
    const basis = percentBasis(parent, layout, side === 'height');
    if (basis === undefined || basis <= 0) return undefined;
    const text = `${percentFor(size, basis, snaps)}%`;
    return {
      steps: [{ type: 'set', control: control.id, property: side, value: text }],
      words: `${text}, ${Math.round(size)}`,
    };
  }
  return undefined;
}
