/** Values of properties as CSS has them: sizes, sides, alignment, tracks. Lengths in CSS px. */

/** A share of the room that is left over (`share N`). */
export interface Share {
  readonly share: number;
}
/** A part of the parent's content box (`P%`), as a fraction. */
export interface Fraction {
  readonly fraction: number;
}
/** A size as the contract has it: px, content, share, fraction; undefined is "absent". */
export type Size = number | 'fit' | Share | Fraction | undefined;
/** A least or greatest size. */
export type Limit = number | Fraction | undefined;

/** Four px values at the flow-relative sides (CSS Logical Properties 1). */
export interface Sides {
  readonly top: number;
  readonly end: number;
  readonly bottom: number;
  readonly start: number;
}

/** Gaps between rows and between columns, px (CSS Box Alignment 3 §8). */
export interface Gaps {
  readonly row: number;
  readonly column: number;
}

export const noSides: Sides = { top: 0, end: 0, bottom: 0, start: 0 };

/** Alignment across a container's main axis; in grids and layers of an item in its area. */
export type Align = 'start' | 'center' | 'end' | 'stretch' | 'baseline';
/** Alignment along a container's main axis. */
export type Justify = 'start' | 'center' | 'end' | 'between' | 'around' | 'evenly';

/** A place in a pinboard: px, or a part of the pinboard (CSS Positioned Layout 3 §3.1). */
export type Pin = number | Fraction | undefined;

/** An edge of the screen, flow-relative. */
export type Edge = 'top' | 'bottom' | 'start' | 'end';

/** One end of a track's range: px, a part of the grid, `auto` and the like, or parts of the room left over (Grid 1 §7.2). */
export type TrackBreadth =
  | number
  | Fraction
  | 'auto'
  | 'min-content'
  | 'max-content'
  | { readonly fr: number };
/** A track: from least to greatest; `fitContent` holds the greatest of `fit-content(n)`. */
export interface Track {
  readonly min: TrackBreadth;
  readonly max: TrackBreadth;
  readonly fitContent?: number | Fraction;
}
/** Tracks written out, or repeated as often as there is room (Grid 1 §7.2.3.2). */
export type TrackListPart = Track | { readonly auto: 'fill' | 'fit'; readonly tracks: readonly Track[] };
export type TrackList = readonly TrackListPart[];

/** Most tracks along an axis. */
export const mostTracks = 1000;
