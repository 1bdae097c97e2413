/** What a moved rectangle lines up with: edges and middles of others, equal gaps, the padding of its container. */
import type { ScreenBox } from '@hovrin/core';
import type { Rectangle, Snapping } from './drop.ts';

/** A line to draw, with what it measures. CSS px. */
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
  const lineUp = (target: number, along: Rectangle) => {
    for (const own of places(moved))
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
          ],
        });
  };
  for (const other of others) for (const target of places(other)) lineUp(target, other);
  const { padding, border } = board.box.style;
  const near = axis === 'x' ? padding.start + border.start : padding.top + border.top;
  const far = axis === 'x' ? padding.end + border.end : padding.bottom + border.bottom;
  lineUp(board[axis] + near, board);
  lineUp(board[axis] + board[size] - far, board);
  lineUp(board[axis] + board[size] / 2, board);
  // The same gap as between two neighbours that stand beside it.
  const beside = others
    .filter(
      (other) =>
        other[cross] < moved[cross] + moved[crossSize] && other[cross] + other[crossSize] > moved[cross],
    )
    .toSorted((a, b) => a[axis] - b[axis]);
  const middle = moved[cross] + moved[crossSize] / 2;
  const span = (from: number, to: number): Guide => ({
    axis: cross,
    at: middle,
    from,
    to,
    distance: Math.round(to - from),
  });
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
 * Draws a rectangle to what it nearly lines up with, else to whole steps from the board's corner.
 *
 * @returns where it lies then, and the lines that say why.
 */
export function snapped(
  moved: Rectangle,
  board: ScreenBox,
  others: readonly Rectangle[],
  { step, on }: Snapping,
): { rectangle: Rectangle; guides: readonly Guide[] } {
  const plain = (axis: Axis) => Math.round(moved[axis] - board[axis]) + board[axis];
  if (!on) return { rectangle: { ...moved, x: plain('x'), y: plain('y') }, guides: [] };
  const at = (axis: Axis): { place: number; guides: readonly Guide[] } => {
    const [pull] = pulls(moved, board, others, axis);
    if (pull) return { place: moved[axis] + pull.by, guides: pull.guides };
    return { place: Math.round((moved[axis] - board[axis]) / step) * step + board[axis], guides: [] };
  };
  const [x, y] = [at('x'), at('y')];
  return { rectangle: { ...moved, x: x.place, y: y.place }, guides: [...x.guides, ...y.guides] };
}
