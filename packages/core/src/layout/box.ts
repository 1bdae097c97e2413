/**
 * What the layout engine reads: a tree of boxes with sizes already in CSS px, and contents ready to be measured.
 *
 * `build.ts` makes it from a document. A box is never changed after it is made, so what the engine works out
 * about it is kept with it, and a box that two versions of a document share is laid out once.
 */
import type { Paragraphs } from '../text/paragraph.ts';
import type { Laid, Widths } from './laid.ts';

/** A share of what is left over (`share N`). */
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

export const noSides: Sides = { top: 0, end: 0, bottom: 0, start: 0 };

/** Alignment across a container's main axis. */
export type Align = 'start' | 'center' | 'end' | 'stretch' | 'baseline';
/** Alignment along a container's main axis. */
export type Justify = 'start' | 'center' | 'end' | 'between' | 'around' | 'evenly';

/** The size and place of a box, as its parent and the engine read them. */
export interface BoxStyle {
  readonly width: Size;
  readonly height: Size;
  readonly minWidth: Limit;
  readonly maxWidth: Limit;
  readonly minHeight: Limit;
  readonly maxHeight: Limit;
  readonly margin: Sides;
  readonly padding: Sides;
  readonly border: Sides;
  readonly alignSelf: Align | undefined;
}

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
  /** In a right-to-left page; places count from the start all the same, only inline baselines lie at the end. */
  readonly rightToLeft?: boolean;
}
/** Words. */
export interface TextContent {
  readonly type: 'text';
  readonly paragraphs: Paragraphs;
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

export type Content = FlexContent | TextContent | PictureContent | BlankContent;

/** One box of the tree. */
export interface Box {
  /** The id of the control it stands for; undefined for a part inside a control. */
  readonly control: string | undefined;
  readonly style: BoxStyle;
  readonly content: Content;
  readonly children: readonly Box[];
  /** What a painter needs besides geometry; the engine does not read it. */
  readonly look: unknown;
  /** What the engine has worked out about this box; belongs to the engine. */
  readonly known: Known;
}

/** The engine's notes on one box. */
export interface Known {
  widths?: Widths;
  readonly laid: Map<string, Laid>;
}

/** Makes a box with nothing known about it yet. */
export function makeBox(box: Omit<Box, 'known'>): Box {
  return { ...box, known: { laid: new Map() } };
}
