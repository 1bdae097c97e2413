/** A row or a column of controls that were placed roughly: its gap, how its parts lie across it, what each of them says of its size. */

import type { Rectangle } from '../layout/rectangle.ts';
import { type Board, gapOf, gapsBetween, type Props, tidy } from './board.ts';
import type { Structure } from './structure.ts';

/** A part of a line and what it says there. */
export interface LinePart {
  readonly part: Structure;
  readonly props: Props;
}

export interface Line {
  readonly props: Props;
  readonly parts: readonly LinePart[];
}

/** How a part lies across its line: by a word, or so many px from its start. */
type Lies = 'start' | 'center' | 'end' | 'stretch' | number;

/** What is found out of a line before its parts are gone through. */
interface Found {
  readonly board: Board;
  readonly structure: Structure & { type: 'row' | 'column' };
  readonly area: Rectangle;
  /** Whether its parts stand below each other. */
  readonly down: boolean;
  readonly gap: number;
  readonly lying: readonly Lies[];
  /** How most parts lie across, where all others fill the line. */
  readonly align: string | undefined;
  /** Whether parts of a row share its room evenly. */
  readonly shares: boolean;
  /** Whether two parts of a row keep to its two ends. */
  readonly spread: boolean;
}

const across = (down: boolean) => (down ? (['x', 'width'] as const) : (['y', 'height'] as const));
const along = (down: boolean) => (down ? (['y', 'height'] as const) : (['x', 'width'] as const));

/** @param area what it has room in. */
export function lineOf(
  board: Board,
  structure: Structure & { type: 'row' | 'column' },
  area: Rectangle,
): Line {
  const down = structure.type === 'column';
  const gap = gapOf(
    gapsBetween(
      structure.parts.map((part) => part.area),
      along(down)[0],
    ),
    board.noise,
  );
  const lying = structure.parts.map((part) => lies(board, part.area, area, down));
  const align = alignOf(lying);
  const rough = { board, structure, area, down, gap, lying, align };
  const shares = sharesRoom(rough);
  const found = { ...rough, shares, spread: !shares && keepsToEnds(rough) };
  tell(found);
  const { parts, tallest } = partsOf(found);
  return {
    props: {
      ...(gap > 0 && !found.spread ? { gap: String(gap) } : {}),
      ...(align ? { align } : {}),
      ...(found.spread ? { justify: 'between' } : {}),
      // Parts that lie at different heights make a row higher than any of them.
      ...(!down && area.height - tallest > 1 ? { 'min-height': tidy(area.height) } : {}),
    },
    parts,
  };
}

function lies(board: Board, part: Rectangle, area: Rectangle, down: boolean): Lies {
  const [axis, size] = across(down);
  const before = part[axis] - area[axis];
  const after = area[axis] + area[size] - part[axis] - part[size];
  if (board.equal(before, 0) && board.equal(after, 0) && board.equal(before + after, 0)) return 'stretch';
  if (board.equal(before, 0)) return 'start';
  if (board.equal(after, 0)) return 'end';
  return board.equal(before, after) ? 'center' : before;
}

function alignOf(lying: readonly Lies[]): string | undefined {
  const count = (word: string) => lying.filter((each) => each === word).length;
  const [usual] = ['start', 'center', 'end'].toSorted((a, b) => count(b) - count(a));
  if (usual === undefined || count(usual) === 0) return undefined;
  return lying.every((each) => each === usual || each === 'stretch') ? usual : undefined;
}

/** Parts of a row that are as wide as each other and fill it. */
function sharesRoom({ board, structure: { parts }, area, down, gap }: Omit<Found, 'shares' | 'spread'>) {
  const gaps = gap * (parts.length - 1);
  const sum = parts.reduce((all, part) => all + part.area.width, 0);
  const each = (area.width - gaps) / parts.length;
  return (
    !down &&
    parts.length > 1 &&
    board.equal(sum + gaps, area.width) &&
    parts.every((part) => board.equal(part.area.width, each))
  );
}

/** Two parts with much room between them, the last one at the far edge: it stays at that edge. */
function keepsToEnds({ board, structure: { parts }, area, down, gap }: Omit<Found, 'shares' | 'spread'>) {
  const [first, last] = parts;
  return (
    !down &&
    parts.length === 2 &&
    first !== undefined &&
    last !== undefined &&
    gap > 2 * board.noise &&
    board.equal(last.area.x + last.area.width, area.x + area.width) &&
    board.equal(first.area.x, area.x)
  );
}

function tell({ board, structure: { type, parts }, align, shares, spread }: Found): void {
  if (align === 'center') board.guesses.push(`Parts of a ${type} are centred.`);
  if (shares) board.guesses.push(`${parts.length} parts of a row share it evenly.`);
  if (spread) board.guesses.push('Two parts keep to the two ends of their row.');
}

/** @returns how far the parts reach across, too, CSS px. */
function partsOf(found: Found): { parts: LinePart[]; tallest: number } {
  const { board, structure, area, down, gap, lying, align, shares, spread } = found;
  const [axis, size] = along(down);
  let at = area[axis];
  let tallest = 0;
  const parts = structure.parts.map((part, index) => {
    const props: Props = {};
    const place = lying[index] ?? 'start';
    const wanted = part.area[axis];
    if (index > 0) at += spread ? wanted - at : gap;
    // Small differences are evened out; what adds up to more is kept as a margin.
    const drift = wanted - at;
    const before = Math.abs(drift) > board.noise / 2 && !spread && !shares ? Math.round(drift) : 0;
    const aside = typeof place === 'number' ? Math.round(place) : 0;
    if (typeof place === 'number') props['align-self'] = 'start';
    else if (place !== (align ?? 'stretch')) props['align-self'] = place;
    if (before !== 0 || aside !== 0)
      props.margin = down ? `${before} 0 0 ${aside}` : `${aside} 0 0 ${before}`;
    Object.assign(props, sizesOf(found, part, place === 'stretch'));
    if (part.type === 'heap') board.keepPins(part);
    at += before + part.area[size];
    tallest = Math.max(tallest, part.area[across(down)[1]] + aside);
    return { part, props };
  });
  return { parts, tallest };
}

/** What a part says of its own size. */
function sizesOf({ board, down, shares }: Found, part: Structure, stretches: boolean): Props {
  const props: Props = {};
  const { width, height } = part.area;
  const leaf = board.leaf(part);
  const sized = leaf === undefined || board.sized(part, 'width');
  if (shares) props.width = 'share';
  else if (down && stretches) {
    if (board.owns(part, 'width')) props.width = 'share';
  } else if (sized) props.width = tidy(width);
  // Heights follow from the content, except of boxes without content or with a height of their own.
  if (part.type === 'heap' || board.sized(part, 'height')) props.height = tidy(height);
  if (!down && stretches && board.owns(part, 'height')) {
    props.height = tidy(height);
    props['align-self'] = 'start';
  }
  return props;
}
