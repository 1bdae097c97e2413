/** What the engine says about a box. All lengths in CSS px, of border boxes. */
import type { Line } from '../text/paragraph.ts';
import type { Box } from './box.ts';
import type { Carried } from './grid/carried.ts';
import type { Answer, Record } from './record.ts';

/** The narrowest and widest useful border-box width by content (CSS Sizing 3 §5.1). */
export interface Widths {
  readonly min: number;
  readonly max: number;
}

/** What is known when a box is asked for its width by content. CSS px; undefined: not known. */
export interface Given {
  /** Its border-box height: pictures inside may follow from it. */
  readonly height?: number | undefined;
  /** What percentages of its own width limits refer to. */
  readonly widthOf?: number | undefined;
  /** What percentages of its own height, and limits of it, refer to. */
  readonly heightOf?: number | undefined;
  /** Which of a grid's height limits say how many columns it repeats. */
  readonly carried?: Carried | undefined;
  /** Whether that came to be known when it had been asked before: what keeps answers (`Box.keepsAnswer`) keeps that one. */
  readonly isLate?: boolean | undefined;
}

/**
 * Whether percentages inside of a box may refer to its height (CSS Sizing 3 §2.2, "definite"). `late`: they may, but the box
 * was laid out at a free height before, and grids in it that repeat rows keep the width that they had then, as in browsers.
 */
export type Definite = boolean | 'late';

/** Whether a height that follows from that of the container is known as early as that one. */
export const asEarlyAs = (definite: Definite): true | 'late' => (definite === 'late' ? 'late' : true);

/**
 * Whether a box was asked for its width by content before it is laid out, and if so, whether its height was known then. Said
 * only of boxes that keep answers (`Box.keepsAnswer`), and the latter of those whose height is a ratio's.
 */
export type Measured = false | 'free' | 'known';

/** What a box is asked for: how it is at some size. CSS px, of its border box. */
export interface Question {
  readonly width: number;
  /** NaN: as high as the content, within the box's own limits. */
  readonly height: number;
  readonly definite: Definite;
  readonly measured: Measured;
  /** Where its limits matter and its height is free: what parts in them refer to, where that is known. */
  readonly limitsOf: number | undefined;
  /** What parts of a height refer to, and rows are counted by: the height, or what it was before content held it up. */
  readonly percentOf: number;
}

/** How a box is at a width, as high as its content. @param limitsOf what parts in its height limits refer to, where they matter. */
export const free = (width: number, measured: Measured, limitsOf?: number): Question => ({
  width,
  height: Number.NaN,
  definite: false,
  measured,
  limitsOf,
  percentOf: Number.NaN,
});

/** How a box is at a width and a height; NaN stands for a height that is free after all. */
export const fixed = (width: number, height: number, definite: Definite, measured: Measured): Question => ({
  width,
  height,
  definite,
  measured,
  limitsOf: undefined,
  percentOf: height,
});

/** A box with its size, and its children with their places. */
export interface Laid {
  readonly box: Box;
  readonly width: number;
  readonly height: number;
  /** From the top of the border box to the first baseline; undefined where there is none. */
  readonly baseline: number | undefined;
  readonly lines: readonly Line[];
  /** The children that take part, in layout order. */
  readonly children: readonly Laid[];
  /**
   * Two numbers a child, x then y, from this box's border box to the child's; x from the start side. Flat, since a
   * screen has many.
   */
  readonly places: readonly number[];
  /** Size of what can be scrolled to, of a scroll's padding box; undefined for other boxes. */
  readonly extent: Extent | undefined;
  /** Of a grid: where its tracks lie; of plain passes only. */
  readonly tracks?: GridTracks;
  /**
   * Of a box with a ratio that was laid out at a height: how high it would be by its content there, of which a part
   * may follow from that height.
   */
  readonly needed?: number;
  /** The height it was asked for; NaN where that was free. */
  readonly asked: number;
  /** Of a box whose limits matter, laid out at a free height: what parts in them refer to, where that is known. */
  readonly limitsOf?: number;
  /** Whether percentages inside could refer to that height. */
  readonly definite: Definite;
  /** Whether it had been asked for its width by content. */
  readonly measured: Measured;
  /** How it came about, in passes that write that down; a layout is an `Answer`. */
  readonly record: Record | undefined;
}

/** Content widths, with the answers that they follow from. */
export interface WidthsAt extends Answer {
  readonly given: Given;
  readonly widths: Widths;
}

/** Width and height of what a scroll holds, CSS px. */
export interface Extent {
  readonly width: number;
  readonly height: number;
}

/** One track, from the start of the grid's border box. CSS px. */
export interface TrackSpan {
  readonly start: number;
  readonly size: number;
}

/** The tracks of a grid, in order. */
export interface GridTracks {
  readonly columns: readonly TrackSpan[];
  readonly rows: readonly TrackSpan[];
  /** How many implicit tracks stand in front of the explicit grid: its first line is behind them. */
  readonly columnsBefore: number;
  readonly rowsBefore: number;
}

/** For boxes that are not laid out over anything. */
export const noChildren: readonly never[] = [];
