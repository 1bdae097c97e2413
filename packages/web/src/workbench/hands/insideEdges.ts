/** Where the inside of a container is taken hold of, and what becomes of it: padding, margin, the gaps between children. */
import { type Control, inForce, kindOf, type ScreenBox, type ScreenLayout, type Step } from '@hovrin/core';
import { sharingIn } from './keptUnits.ts';
import type { Held } from './resizing.ts';

type Props = Control['props'];
export type PhysicalSide = 'top' | 'right' | 'bottom' | 'left';

/** A place where something of the inside is taken hold of. CSS px of the screen: the middle of the hand. */
export interface InsideEdge {
  readonly key: string;
  readonly part: 'padding' | 'margin' | 'gap' | 'share' | 'ratio' | 'limit';
  readonly x: number;
  readonly y: number;
  /** The axis along which it is moved. */
  readonly axis: 'x' | 'y';
  /** 1: it grows as it is moved right or down. */
  readonly sign: 1 | -1;
  /** What it is now, CSS px; of shares, that of the first of the two. */
  readonly value: number;
  /** Of padding and margin. */
  readonly side?: PhysicalSide;
  /** Of shares: the id of the first of the two. */
  readonly first?: string;
  /** Of limits: the property. */
  readonly limit?: Limit;
}

const limits = ['min-width', 'max-width', 'min-height', 'max-height'] as const;
export type Limit = (typeof limits)[number];

const sides: readonly PhysicalSide[] = ['top', 'right', 'bottom', 'left'];

/** The four sides as words of a text have them: top, end, bottom, start. */
export const wordOf = (side: PhysicalSide, rightToLeft: boolean): number =>
  side === 'top' ? 0 : side === 'bottom' ? 2 : (side === 'right') !== rightToLeft ? 1 : 3;

/** The lengths of a frame in the order of its words. */
const lengthsOf = ({ top, end, bottom, start }: ScreenBox['box']['style']['padding']): number[] => [
  top,
  end,
  bottom,
  start,
];

/** How far from the corner hands of the frame stand, out of the way of those in the middle, CSS px. */
const asideOf = (length: number, most: number): number => Math.min(most, length / 3);

/** How far from the middle of a gap its hand and that of two shares stand, CSS px. */
const apart = 17;

/** How far outside of the box the hands of its limits stand, CSS px. */
const outside = 12;

/** Room that a container has to have for hands in it, px of the screen. */
const leastRoom = 24;

function frameEdges(part: 'padding' | 'margin', box: ScreenBox, rightToLeft: boolean): readonly InsideEdge[] {
  const { style } = box.box;
  const lengths = lengthsOf(style[part]);
  const border = part === 'padding' ? lengthsOf(style.border) : [0, 0, 0, 0];
  return sides.map((side): InsideEdge => {
    const word = wordOf(side, rightToLeft);
    const value = lengths[word] ?? 0;
    const inward = (border[word] ?? 0) + (part === 'padding' ? value : -value);
    const isAcross = side === 'left' || side === 'right';
    const isFar = side === 'right' || side === 'bottom';
    return {
      key: `${part} ${side}`,
      part,
      side,
      axis: isAcross ? 'x' : 'y',
      sign: isFar === (part === 'padding') ? -1 : 1,
      value,
      x: isAcross ? (isFar ? box.x + box.width - inward : box.x + inward) : box.x + asideOf(box.width, 100),
      y: isAcross ? box.y + asideOf(box.height, 36) : isFar ? box.y + box.height - inward : box.y + inward,
    };
  });
}

/** A container's children, as they stand along its direction. */
function inLine(control: Control, layout: ScreenLayout, isRow: boolean): readonly Held[] {
  return control.children
    .flatMap((child) => {
      const box = layout.byControl.get(child.id);
      return box ? [{ control: child, box }] : [];
    })
    .toSorted((a, b) => (isRow ? a.box.x - b.box.x : a.box.y - b.box.y));
}

/** The room between two children, CSS px: where it begins and ends along the direction. Less than 0: they stand on two lines. */
const between = (one: ScreenBox, next: ScreenBox, isRow: boolean): readonly [number, number] =>
  isRow ? [one.x + one.width, next.x] : [one.y + one.height, next.y];

function gapEdges(control: Control, box: ScreenBox, layout: ScreenLayout): readonly InsideEdge[] {
  const { content } = box.box;
  if (content.type !== 'flex') return [];
  const isRow = content.direction === 'row';
  const children = inLine(control, layout, isRow);
  const sharing = new Set(
    sharingIn(control, layout, isRow ? 'width' : 'height').map((each) => each.control.id),
  );
  const value = isRow ? content.columnGap : content.rowGap;
  const axis = isRow ? ('x' as const) : ('y' as const);
  const isTurned = isRow && layout.rightToLeft;
  return children.slice(0, -1).flatMap((child, index): InsideEdge[] => {
    const next = children[index + 1]!;
    const [from, to] = between(child.box, next.box, isRow);
    if (to < from - 0.5) return [];
    const middle = (from + to) / 2;
    const shares = sharing.has(child.control.id) && sharing.has(next.control.id);
    const place = (aside: number) =>
      isRow
        ? { x: middle, y: box.y + box.height / 2 + aside }
        : { x: box.x + box.width / 2 + aside, y: middle };
    const gap: InsideEdge = {
      key: `gap ${index}`,
      part: 'gap',
      axis,
      sign: 1,
      value,
      ...place(shares ? -apart : 0),
    };
    if (!shares) return [gap];
    const first = isTurned ? next : child;
    const divider: InsideEdge = {
      key: `share ${index}`,
      part: 'share',
      axis,
      sign: isTurned ? -1 : 1,
      value: isRow ? first.box.width : first.box.height,
      first: first.control.id,
      ...place(apart),
    };
    return [gap, divider];
  });
}

/** Between the two panes of a split, where both are shown. */
function ratioEdges(control: Control, box: ScreenBox, layout: ScreenLayout): readonly InsideEdge[] {
  if (box.box.content.type !== 'split' || box.box.content.folded) return [];
  const [one, next] = inLine(control, layout, true);
  if (!one || !next || next.box.x < one.box.x + one.box.width - 0.5) return [];
  const first = layout.rightToLeft ? next : one;
  return [
    {
      key: 'ratio',
      part: 'ratio',
      axis: 'x',
      sign: layout.rightToLeft ? -1 : 1,
      value: first.box.width,
      x: (one.box.x + one.box.width + next.box.x) / 2,
      y: box.y + box.height / 2,
      first: first.control.id,
    },
  ];
}

/** Least and greatest sizes that are said in px: where the edge would be then. */
function limitEdges(control: Control, box: ScreenBox, rightToLeft: boolean): readonly InsideEdge[] {
  return limits.flatMap((limit): InsideEdge[] => {
    const value = Number(inForce(control.props[limit]) ?? Number.NaN);
    if (!Number.isFinite(value)) return [];
    const isWidth = limit.endsWith('width');
    const isTurned = isWidth && rightToLeft;
    return [
      {
        key: limit,
        part: 'limit',
        limit,
        axis: isWidth ? 'x' : 'y',
        sign: isTurned ? -1 : 1,
        value,
        x: isWidth ? (isTurned ? box.x + box.width - value : box.x + value) : box.x + box.width + outside,
        y: isWidth ? box.y + box.height + outside : box.y + value,
      },
    ];
  });
}

/** All places where the inside of a control, and the room around it, is taken hold of. */
export function insideEdges(control: Control, box: ScreenBox, layout: ScreenLayout): readonly InsideEdge[] {
  const isRoomy = box.width >= leastRoom && box.height >= leastRoom;
  const { container, properties } = kindOf(control);
  const hasPadding = container && properties.some(({ name }) => name === 'padding');
  return [
    ...frameEdges('margin', box, layout.rightToLeft).filter(({ value }) => value !== 0),
    ...(isRoomy && hasPadding ? frameEdges('padding', box, layout.rightToLeft) : []),
    ...gapEdges(control, box, layout),
    ...ratioEdges(control, box, layout),
    ...limitEdges(control, box, layout.rightToLeft),
  ];
}

/** Four words as few as they can be. */
function collapsed([top = '0', end = '0', bottom = '0', start = '0']: readonly string[]): string {
  if (end !== start) return [top, end, bottom, start].join(' ');
  if (top !== bottom) return [top, end, bottom].join(' ');
  return top === end ? top : `${top} ${end}`;
}

/** One to four words as four: top, end, bottom, start; undefined where it is no such text. */
export function sideWords(text: string): readonly string[] | undefined {
  const words = text.includes('{') ? [] : text.trim().split(/\s+/).filter(Boolean);
  const [top, end = top, bottom = top, start = end] = words;
  return words.length <= 4 && top !== undefined ? [top, end!, bottom!, start!] : undefined;
}

/**
 * The text of a padding or margin with other lengths at some of its sides; what the others say stays, names of lengths too.
 *
 * @param said the text in force; undefined: nothing is said.
 * @param lengths of the sides as they are, in the order of the words.
 */
export function withSides(
  said: string | undefined,
  lengths: readonly number[],
  changes: ReadonlyMap<number, number | string>,
): string {
  const all = sideWords(said ?? '') ?? lengths.map(String);
  return collapsed(all.map((word, index) => String(changes.get(index) ?? word)));
}

/** The text of a control's property where values are set for a scope. */
const saidFor = (props: Props, name: string, scope: string): string | undefined =>
  inForce(scope === '' ? undefined : props[`${scope}.${name}`]) ?? inForce(props[name]);

interface SideChange {
  readonly side: PhysicalSide;
  readonly value: number;
  /** Which sides: this one, the two opposite ones, all. */
  readonly reach: 'one' | 'both' | 'all';
}

/** The step that gives sides of a padding or margin another length. */
export function sideSteps(
  control: Control,
  box: ScreenBox,
  part: 'padding' | 'margin',
  { side, value, reach }: SideChange,
  { scope, rightToLeft }: { readonly scope: string; readonly rightToLeft: boolean },
): Step[] {
  const word = wordOf(side, rightToLeft);
  const words = reach === 'all' ? [0, 1, 2, 3] : reach === 'both' ? [word, (word + 2) % 4] : [word];
  const text = withSides(
    saidFor(control.props, part, scope),
    lengthsOf(box.box.style[part]),
    new Map(words.map((each) => [each, value])),
  );
  return [{ type: 'set', control: control.id, property: part, value: text === '0' ? null : text }];
}

/** The step that gives a row or column another gap along its direction. */
export function gapSteps(control: Control, axis: 'x' | 'y', value: number, scope: string): Step[] {
  const single = axis === 'x' ? 'column-gap' : 'row-gap';
  const set = (property: string, text: string): Step[] => [
    { type: 'set', control: control.id, property, value: text },
  ];
  if (saidFor(control.props, single, scope) !== undefined) return set(single, String(value));
  const words = saidFor(control.props, 'gap', scope)?.trim().split(/\s+/) ?? [];
  if (words.length !== 2) return set('gap', String(value));
  return set('gap', axis === 'x' ? `${words[0]} ${value}` : `${value} ${words[1]}`);
}
