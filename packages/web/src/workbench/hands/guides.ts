/** What a moved rectangle lines up with: edges and middles of others, equal gaps, the padding of its container. */
import type { Rectangle, ScreenBox } from '@hovrin/core';
import type { Snapping } from './drop.ts';

/** A line to draw, with the distance that it shows. CSS px. */
export interface Guide {
  readonly axis: 'x' | 'y';
  /** Place of an upright (`x`) or level (`y`) line. */
  readonly at: number;
  readonly from: number;
  readonly to: number;
  /** A distance that the line stands for, along it; absent: it marks an edge or a middle. */
  readonly distance?: number;
}

/** How near something must be to be drawn to it, CSS px. */
const reach = 5;

interface Pull {
  readonly by: number;
  readonly guides: readonly Guide[];
}

type Axis = 'x' | 'y';
const sizeOf = { x: 'width', y: 'height' } as const;
const crossOf = { x: 'y', y: 'x' } as const;

/** What pulls a rectangle along an axis, the nearest first. */
function pulls(moved: Rectangle, board: ScreenBox, others: readonly Rectangle[], axis: Axis): Pull[] {
  const size = sizeOf[axis];
  const cross = crossOf[axis];
  const crossSize = sizeOf[cross];
  const places = (box: Rectangle) => [box[axis], box[axis] + box[size] / 2, box[axis] + box[size]];
  const found: Pull[] = [];
  const lineUp = (target: number, along: Rectangle, distances: (part: number) => readonly Guide[]) => {
    for (const [part, own] of places(moved).entries())
      if (Math.abs(target - own) <= reach)
        found.push({
          by: target - own,
          guides: [
            {
              axis,
              at: target,
              from: Math.min(moved[cross], along[cross]),
              to: Math.max(moved[cross] + moved[crossSize], along[cross] + along[crossSize]),
            },
            ...distances(part),
          ],
        });
  };
  /** How far it is from a sibling that it lines up with, beside their line. */
  const apart = (other: Rectangle, target: number) => (): Guide[] => {
    const [first, second] = moved[cross] < other[cross] ? [moved, other] : [other, moved];
    const [from, to] = [first[cross] + first[crossSize], second[cross]];
    return to - from < 1 ? [] : [{ axis, at: target, from, to, distance: Math.round(to - from) }];
  };
  for (const other of others) for (const target of places(other)) lineUp(target, other, apart(other, target));
  const { padding, border } = board.box.style;
  const frame =
    axis === 'x'
      ? { near: border.start, far: border.end, before: padding.start, behind: padding.end }
      : { near: border.top, far: border.bottom, before: padding.top, behind: padding.bottom };
  const edges = { from: board[axis] + frame.near, to: board[axis] + board[size] - frame.far };
  const middle = moved[cross] + moved[crossSize] / 2;
  const span = (from: number, to: number): Guide => ({
    axis: cross,
    at: middle,
    from,
    to,
    distance: Math.round(to - from),
  });
  // The padding, or as much room on both sides.
  const [begin, end] = [edges.from + frame.before, edges.to - frame.behind];
  const centre = board[axis] + board[size] / 2;
  lineUp(begin, board, (part) => (part === 0 && frame.before > 0 ? [span(edges.from, begin)] : []));
  lineUp(end, board, (part) => (part === 2 && frame.behind > 0 ? [span(end, edges.to)] : []));
  lineUp(centre, board, (part) =>
    part === 1 ? [span(edges.from, centre - moved[size] / 2), span(centre + moved[size] / 2, edges.to)] : [],
  );
  // The same gap as between two neighbours that stand beside it.
  const beside = others
    .filter(
      (other) =>
        other[cross] < moved[cross] + moved[crossSize] && other[cross] + other[crossSize] > moved[cross],
    )
    .toSorted((a, b) => a[axis] - b[axis]);
  for (const [index, first] of beside.entries()) {
    const second = beside[index + 1];
    if (!second) continue;
    const [end, begin] = [first[axis] + first[size], second[axis]];
    const gap = begin - end;
    if (gap <= 0) continue;
    const behind = second[axis] + second[size] + gap;
    const before = first[axis] - gap - moved[size];
    const between = end + (gap - moved[size]) / 2;
    for (const [to, guides] of [
      [behind, [span(end, begin), span(behind - gap, behind)]],
      [before, [span(before + moved[size], first[axis]), span(end, begin)]],
      [between, [span(end, between), span(between + moved[size], begin)]],
    ] as const)
      if (Math.abs(to - moved[axis]) <= reach) found.push({ by: to - moved[axis], guides });
  }
  return found.toSorted((a, b) => Math.abs(a.by) - Math.abs(b.by));
}

/**
 * Moves a rectangle to the nearest guide within reach, else to whole steps from the origin of the board's pins.
 *
 * @returns where it lies then, and the lines that say why.
 */
export function snapped(
  moved: Rectangle,
  board: ScreenBox,
  others: readonly Rectangle[],
  { step, on }: Snapping,
): { rectangle: Rectangle; guides: readonly Guide[] } {
  // Pins count from the padding edge.
  const { border } = board.box.style;
  const origin = { x: board.x + border.start, y: board.y + border.top };
  const plain = (axis: Axis) => Math.round(moved[axis] - origin[axis]) + origin[axis];
  if (!on) return { rectangle: { ...moved, x: plain('x'), y: plain('y') }, guides: [] };
  const pulled = (axis: Axis) => pulls(moved, board, others, axis)[0];
  const place = (axis: Axis) => {
    const pull = pulled(axis);
    return pull
      ? moved[axis] + pull.by
      : Math.round((moved[axis] - origin[axis]) / step) * step + origin[axis];
  };
  const rectangle = { ...moved, x: place('x'), y: place('y') };
  // What is drawn and said is what holds where it lies then.
  const guides = (['x', 'y'] as const).flatMap((axis) =>
    pulled(axis)
      ? (pulls(rectangle, board, others, axis).find(({ by }) => Math.abs(by) < 0.01)?.guides ?? [])
      : [],
  );
  return { rectangle, guides };
}
