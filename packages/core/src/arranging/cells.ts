/** A grid of controls that were placed roughly: its tracks and gaps, and what each cell says of its place and size. */

import { outlineOf, type Rectangle } from '../layout/rectangle.ts';
import { type Board, gapOf, gapsBetween, middle, type Props, tidy } from './board.ts';
import type { Structure } from './structure.ts';

export interface Cells {
  /** Columns, rows and gaps. */
  readonly props: Props;
  /** Row by row. */
  readonly cells: readonly { readonly part: Structure; readonly props: Props }[];
}

/** The tracks of one axis, from where their parts begin to where the next one's do. */
class Tracks {
  readonly gap: number;

  constructor(
    readonly areas: readonly Rectangle[],
    private readonly axis: 'x' | 'y',
    noise: number,
  ) {
    this.gap = gapOf(gapsBetween(areas, axis), noise);
  }

  /** CSS px. */
  size(index: number): number {
    const [area, next] = [this.areas[index], this.areas[index + 1]];
    if (!area) return 0;
    return Math.round(
      next ? next[this.axis] - area[this.axis] - this.gap : area[this.axis === 'x' ? 'width' : 'height'],
    );
  }

  /** From the start of a track to something in it. */
  before(index: number, part: Rectangle): number {
    return part[this.axis] - (this.areas[index]?.[this.axis] ?? 0);
  }
}

/** @param asked what the container around it says of the grid itself. */
export function cellsOf(board: Board, { cells }: Structure & { type: 'grid' }, asked: Props): Cells {
  const [firstRow = []] = cells;
  const outline = (parts: readonly (Structure | undefined)[]) =>
    outlineOf(parts.flatMap((part) => (part ? [part.area] : [])));
  const columns = new Tracks(
    firstRow.map((_, column) => outline(cells.map((row) => row[column]))),
    'x',
    board.noise,
  );
  const rows = new Tracks(cells.map(outline), 'y', board.noise);
  const widths = columns.areas.map(({ width }) => width);
  const even = widths.every((width) => board.equal(width, middle(widths)));
  if (even) board.guesses.push(`A grid of ${widths.length} columns of one width.`);
  // A grid as wide as its container: its widest column takes what is left at other widths.
  const filling = asked.width === undefined && !even ? widths.indexOf(Math.max(...widths)) : undefined;
  if (filling !== undefined)
    board.guesses.push(`Column ${filling + 1} of a grid takes the room that is left.`);
  const track = (_: Rectangle, index: number) => (index === filling ? '1fr' : columns.size(index));
  return {
    props: {
      columns:
        even && asked.width === undefined
          ? `repeat(${widths.length}, 1fr)`
          : columns.areas.map(track).join(' '),
      rows: rows.areas.map((_, index) => `minmax(${rows.size(index)}, auto)`).join(' '),
      ...(rows.gap === columns.gap
        ? { gap: String(rows.gap) }
        : { 'row-gap': String(rows.gap), 'column-gap': String(columns.gap) }),
    },
    cells: cells.flatMap((parts, row) =>
      parts.map((part, column) => ({
        part,
        props: cellProps(board, part, { columns, rows, column, row, grows: even || column === filling }),
      })),
    ),
  };
}

/** Where a cell is; `grows`: whether its column is wider at other widths of the grid. */
interface Cell {
  readonly columns: Tracks;
  readonly rows: Tracks;
  readonly column: number;
  readonly row: number;
  readonly grows: boolean;
}

function cellProps(board: Board, part: Structure, { columns, rows, column, row, grows }: Cell): Props {
  const { width, height } = part.area;
  const inline = placeIn(board, columns.before(column, part.area), width, columns.size(column));
  const block = placeIn(board, rows.before(row, part.area), height, rows.size(row));
  const props: Props = {
    col: String(column + 1),
    row: String(row + 1),
    'justify-self': inline.word,
    'align-self': block.word,
  };
  if (inline.offset !== 0 || block.offset !== 0) props.margin = `${block.offset} 0 0 ${inline.offset}`;
  const fills = inline.word === 'stretch';
  if (board.sized(part, 'width')) props.width = fills && grows ? 'share' : tidy(width);
  if (!board.leaf(part) && !fills) props.width = tidy(width);
  if (board.sized(part, 'height')) props.height = tidy(height);
  if (part.type === 'heap') board.keepPins(part);
  return props;
}

/** How something lies in a cell: a word for it, and what is left to say by a margin at its start. */
function placeIn(
  board: Board,
  before: number,
  size: number,
  room: number,
): { word: 'start' | 'center' | 'end' | 'stretch'; offset: number } {
  const after = room - before - size;
  const near = (value: number) => board.equal(value, 0);
  if (near(before)) return { word: near(after) && near(before + after) ? 'stretch' : 'start', offset: 0 };
  if (near(after)) return { word: 'end', offset: 0 };
  return board.equal(before, after)
    ? { word: 'center', offset: 0 }
    : { word: 'start', offset: Math.round(before) };
}
