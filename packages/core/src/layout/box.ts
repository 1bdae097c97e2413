/**
 * What the layout engine reads: a tree of boxes with sizes already in CSS px, and contents ready to be measured.
 *
 * `build.ts` makes it from a document. A box is never changed after it is made, so what the engine works out
 * about it is kept with it, and a box that two versions of a document share is laid out once.
 */

import type { Paragraphs } from '../text/paragraph.ts';
import {
  type Align,
  type Edge,
  type Justify,
  type Limit,
  noSides,
  type Pin,
  type Sides,
  type Size,
  type Track,
  type TrackList,
} from '../values/css.ts';
import type { Answers } from './between.ts';
import type { Laid, Widths, WidthsAt } from './laid.ts';
import type { Outcome } from './record.ts';

/** Where a child of a pinboard is held. Physical sides: they do not swap in right-to-left. */
export interface Pins {
  readonly left: Pin;
  readonly right: Pin;
  readonly top: Pin;
  readonly bottom: Pin;
  /** From the pinboard's middle to the child's, px to the right. */
  readonly centerX: number | undefined;
  /** From the pinboard's middle to the child's, px down. */
  readonly centerY: number | undefined;
}

/** Held nowhere. */
export const noPins: Pins = {
  left: undefined,
  right: undefined,
  top: undefined,
  bottom: undefined,
  centerX: undefined,
  centerY: undefined,
};

/** Where an item of a grid asks to stand; lines are counted from 1, negative ones from the end of the explicit grid. */
export interface GridArea {
  readonly column: number | undefined;
  readonly row: number | undefined;
  /** `all`: every column of the explicit grid, whatever `column` says. */
  readonly columnSpan: number | 'all';
  readonly rowSpan: number | 'all';
}

/** The size and place of a box, as its parent and the engine read them. */
export interface BoxStyle {
  readonly width: Size;
  readonly height: Size;
  readonly minWidth: Limit;
  readonly maxWidth: Limit;
  readonly minHeight: Limit;
  readonly maxHeight: Limit;
  /** Width by height of the border box (CSS Sizing 4 §6.1, with `box-sizing: border-box`). */
  readonly aspect: number | undefined;
  readonly margin: Sides;
  readonly padding: Sides;
  readonly border: Sides;
  readonly alignSelf: Align | undefined;
  readonly justifySelf: Align | undefined;
  /** Undefined: held nowhere. */
  readonly pins: Pins | undefined;
  /** Undefined: placed automatically, one cell. */
  readonly area: GridArea | undefined;
  /** Place among its siblings before the order of the document counts (CSS Display 3 §3). */
  readonly order: number;
  /** Never gives way along its parent's main axis, whatever its size (a bar). */
  readonly firm: boolean;
  /** The edge of the screen that a bar stays at. */
  readonly edge: Edge | undefined;
  /** As high as the room between two pins, whatever its ratio and its content say (what is a button on a page). */
  readonly fillsPins: boolean;
  /** In which cells it is as wide as a hundred per cent of its cell (`cascade/across-cell.ts`); undefined: in none. */
  readonly fillsCell: 'always' | 'where it stretches' | undefined;
}

/** Where a screen folds: from its start side to the fold, how wide that is, and the screen's own width. CSS px. */
export interface HingeInside {
  readonly start: number;
  readonly width: number;
  readonly room: number;
}

/** A pane beside the fold: its index in the document, and its width as far as the fold. CSS px. */
export interface PaneAtHinge {
  readonly pane: 0 | 1;
  readonly width: number;
  readonly gap: number;
}

/** What a box has that nothing was said about. */
export const noStyle: BoxStyle = {
  width: undefined,
  height: undefined,
  minWidth: undefined,
  maxWidth: undefined,
  minHeight: undefined,
  maxHeight: undefined,
  aspect: undefined,
  margin: noSides,
  padding: noSides,
  border: noSides,
  alignSelf: undefined,
  justifySelf: undefined,
  pins: undefined,
  area: undefined,
  order: 0,
  firm: false,
  fillsPins: false,
  fillsCell: undefined,
  edge: undefined,
};

/** Children in a row or a column (CSS Flexbox 1). */
export interface FlexContent {
  readonly type: 'flex';
  readonly direction: 'row' | 'column';
  readonly align: Align;
  readonly justify: Justify;
  readonly wrap: boolean;
  readonly rowGap: number;
  readonly columnGap: number;
  /** Centred children that do not fit begin at the start instead (Align 3 §4.4, `safe`). */
  readonly safe?: boolean;
}

/** Children in a grid (CSS Grid 1). */
export interface GridContent {
  readonly type: 'grid';
  readonly columns: TrackList;
  readonly rows: TrackList;
  /** Sizes of tracks that no template has, used in turn. */
  readonly autoColumns: readonly Track[];
  readonly autoRows: readonly Track[];
  readonly flow: 'row' | 'column';
  readonly dense: boolean;
  /** In the block axis. */
  readonly align: Align;
  /** In the inline axis. */
  readonly justify: Align;
  readonly rowGap: number;
  readonly columnGap: number;
  /** All children in the first cell, over each other. */
  readonly layers: boolean;
}

/** Children held at edges or centre lines (CSS Positioned Layout 3). */
export interface PinboardContent {
  readonly type: 'pinboard';
  readonly rightToLeft: boolean;
}

/** One child, which may be larger than the window onto it. */
export interface ScrollContent {
  readonly type: 'scroll';
  readonly axis: 'vertical' | 'horizontal' | 'both';
}

/** Two panes side by side where both have room, else one of them. */
export interface SplitContent {
  readonly type: 'split';
  /** Parts that the first and the second take. */
  readonly ratio: readonly [number, number];
  readonly columnGap: number;
  /** Which is there where there is room for one. */
  readonly show: 'first' | 'second';
  /** On a screen that folds: the panes and the gap where both are there, so that the gap is where it folds. */
  readonly folded?: { readonly panes: readonly Box[]; readonly columnGap: number } | undefined;
}

/** Words. */
export interface TextContent {
  readonly type: 'text';
  readonly paragraphs: Paragraphs;
  /** At most so many lines. */
  readonly most: number | undefined;
}
/** A picture with a size of its own, in CSS px. */
export interface PictureContent {
  readonly type: 'picture';
  readonly width: number;
  readonly height: number;
}
/** Nothing but a content size, in CSS px. */
export interface BlankContent {
  readonly type: 'blank';
  readonly width: number;
  readonly height: number;
  /** From its top to a baseline, where it has one. */
  readonly baseline?: number;
}

export type Content =
  | FlexContent
  | GridContent
  | PinboardContent
  | ScrollContent
  | SplitContent
  | TextContent
  | PictureContent
  | BlankContent;

/** One box of the tree. */
export interface Box {
  /** The id of the control it stands for; undefined for a part inside a control. */
  readonly control: string | undefined;
  readonly style: BoxStyle;
  readonly content: Content;
  /** In layout order (`order` applied). */
  readonly children: readonly Box[];
  /** How many boxes it is, all in it included. */
  readonly size: number;
  /** What a painter needs besides geometry; the engine does not read it. */
  readonly look: unknown;
  /** Which items of repeats it belongs to, outermost first; empty outside of repeats. */
  readonly items: readonly number[];
  /**
   * Whether a height given from outside may change what is inside even where it equals the height by content:
   * something inside asks for a part of it.
   */
  readonly heightMatters: boolean;
  /**
   * Whether its width by content may follow from a height: it or something inside has a ratio, is a column that wraps,
   * or a grid that repeats as many rows as there is room for.
   */
  readonly widthAsksHeight: boolean;
  /**
   * Whether the columns that it stands in are sized once more when its rows are known, as browsers do it: not for grids
   * that repeat rows, which they ask only at heights that are known beforehand.
   */
  readonly asksAgain: boolean;
  /**
   * Whether it is a grid that repeats rows or has limits that are parts of a height, or has one inside: browsers keep how wide
   * such a grid is by its content when it is asked first, so it matters who asks, and what is known of the height by then.
   */
  readonly keepsAnswer: boolean;
  /**
   * Whether limits of its height that are parts of its container's decide about what is inside before its height is
   * known: where a column wraps, how many rows a grid has and what they fill, what a ratio comes to.
   */
  readonly limitsMatter: boolean;
  /** What the engine has worked out about this box; belongs to the engine. */
  readonly known: Known;
}

/** The engine's notes on one box; undefined: none yet. */
export interface Known {
  widths: Widths | undefined;
  /** The same at given heights, the last few: of plain passes, and of those that write down their comparisons. */
  widthsAt: WidthsAt[] | undefined;
  recordedWidths: WidthsAt[] | undefined;
  /** The last answer of all. */
  last: Laid | undefined;
  /** Answers of plain passes, the last few. */
  laid: Laid[] | undefined;
  /** Answers of passes that write down their comparisons: at given heights, and at free ones. */
  recorded: Laid[] | undefined;
  swept: Answers | undefined;
  /** How signs came out; see `signOf`. */
  signs: Outcome[] | undefined;
  /** Answers of passes that write down their reasons. */
  explained: Laid[] | undefined;
}

/** What is known about a box that is new. Lists are made when there is something in them: screens have many boxes. */
export const nothingKnown = (): Known => ({
  widths: undefined,
  widthsAt: undefined,
  recordedWidths: undefined,
  last: undefined,
  laid: undefined,
  recorded: undefined,
  swept: undefined,
  signs: undefined,
  explained: undefined,
});
