/** What the engine says about a box. All lengths in CSS px, of border boxes. */
import type { Line } from '../text/paragraph.ts';
import type { Box } from './box.ts';

/** The narrowest and widest useful border-box width by content (CSS Sizing 3 §5.1). */
export interface Widths {
  readonly min: number;
  readonly max: number;
}

/** A box with its size, and its children with their places. */
export interface Laid {
  readonly box: Box;
  readonly width: number;
  readonly height: number;
  /** From the top of the border box to the first baseline; undefined where there is none. */
  readonly baseline: number | undefined;
  readonly lines: readonly Line[];
  readonly children: readonly Placed[];
}

/** A laid box at a place relative to its parent's border box; `x` from the parent's start side. */
export interface Placed {
  readonly laid: Laid;
  readonly x: number;
  readonly y: number;
}

/** The size a box is laid out at. */
export interface Given {
  /** Border-box width. */
  readonly width: number;
  /** Border-box height; undefined: as high as the content. */
  readonly height: number | undefined;
  /** Whether percentages of children may refer to the height (CSS Sizing 3 §2.2, "definite"). */
  readonly definite: boolean;
}
