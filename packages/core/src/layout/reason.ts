/**
 * Why a box has its size and place, as the engine writes it down while it lays out: the rule that decided and the
 * numbers that went in, all in CSS px. `why/` puts it into words.
 */
import type { Justify } from '../values/css.ts';
import type { Box } from './box.ts';

/** A limit that was looked at; `of` is what a percentage was taken of. */
export interface LimitReason {
  readonly value: number;
  /** True: nobody asked for it, it is the smallest size by content (Flexbox 1 §4.5). */
  readonly automatic: boolean;
}

/** Limits around a size; those that could not matter are left out. */
export interface Limits {
  readonly min?: LimitReason;
  readonly max?: LimitReason;
}

/**
 * What was there to share out on a line: `inner` less gaps, less those whose size was settled, less the sizes that
 * the sharing ones have beforehand, less their margins; times `portion`, where the shares add up to less than one.
 */
export interface LineRoom {
  /** Inner size of the parent along its main axis. */
  readonly inner: number;
  readonly gaps: number;
  readonly settled: readonly { readonly box: Box; readonly size: number; readonly margin: number }[];
  readonly open: readonly { readonly box: Box; readonly base: number; readonly margin: number }[];
  /** The parent has no size of its own along the axis; it is as large as its content. */
  readonly byContent: boolean;
}

/**
 * Limits as a reason; those that cannot matter are left out.
 *
 * @param automatic the least one is nobody's wish.
 * @param always the least one counts even where it is 0.
 */
export const limitReasons = (
  { min, max }: { readonly min: number; readonly max: number },
  automatic = false,
  always = false,
): Limits => ({
  ...(min > 0 || always ? { min: { value: min, automatic } } : {}),
  ...(max < Infinity ? { max: { value: max, automatic: false } } : {}),
});

/** The tracks under an item of a grid along one axis. */
export interface AreaReason {
  readonly tracks: readonly {
    /** Counted from 1. */
    readonly number: number;
    readonly size: number;
    /** The item whose content made it so large, where one did and nothing let it grow beyond. */
    readonly raisedBy: Box | undefined;
    /** Whether it shares what is left (`fr`). */
    readonly flexible: boolean;
  }[];
  readonly gaps: number;
}

/** The rule that gave a size before its limits, with its numbers. */
export type SizeRule =
  /** A number, as asked for. */
  | { readonly rule: 'number'; readonly value: number }
  /** A part of the parent's content box, or of the grid area or pinboard. */
  | { readonly rule: 'percent'; readonly fraction: number; readonly of: number }
  /** By content; `asked`: what was asked for instead and could not be had. */
  | {
      readonly rule: 'content';
      readonly value: number;
      readonly asked?: 'unknown percent' | 'unbounded share';
    }
  /** By content as far as there is room: no wider than the room, no narrower than the smallest content. */
  | {
      readonly rule: 'fit';
      readonly min: number;
      readonly max: number;
      readonly room: number;
      readonly margin: number;
    }
  /** A share of what the others leave: `base` + `left` × `parts` / `allParts`. */
  | {
      readonly rule: 'share';
      readonly base: number;
      readonly parts: number;
      /** Parts of all that still shared when its own size was settled. */
      readonly allParts: number;
      readonly left: number;
      readonly room: LineRoom;
    }
  /** Gave way since there was too little room: `base` + `left` × `weight` / `allWeight`, where `left` is negative. */
  | {
      readonly rule: 'gave way';
      readonly base: number;
      readonly left: number;
      /** What it counts for: its base without padding and border; and all that gave way together. */
      readonly weight: number;
      readonly allWeight: number;
      readonly room: LineRoom;
    }
  /** Fills its parent, line, grid area or pane: `from` less margins. */
  | {
      readonly rule: 'stretch';
      readonly from: number;
      readonly margin: number;
      readonly to: 'parent' | 'line' | 'area' | 'pins';
      /** The tracks that an area is made of, and the gaps between them. */
      readonly area?: AreaReason;
    }
  /** From the other side by the ratio; content inside the frame where a picture's own sides count. */
  | { readonly rule: 'ratio'; readonly from: number; readonly value: number }
  /** The view's own width, or least height of the screen. */
  | { readonly rule: 'view'; readonly value: number };

export interface SizeReason {
  readonly by: SizeRule;
  readonly limits: Limits;
  /** After the limits. */
  readonly result: number;
}

/** Why it stands where it does, along one axis of its parent; `offset` is from the parent's border box. */
export interface PlaceReason {
  /**
   * `flow`: after its siblings, room before it by `justify`; `align`: by alignment in its line or area; `pin`: held
   * at an edge or centre line; `free`: nothing holds it.
   */
  readonly by: 'flow' | 'align' | 'pin' | 'free';
  readonly offset: number;
  /** Numbers that add up to the offset. */
  readonly parts: readonly { readonly what: string; readonly value: number }[];
  /** What decided about alignment: its own word or its parent's. */
  readonly word?: Justify | 'stretch' | 'baseline';
  readonly own?: boolean;
}

/** Why one child has its size and place. */
export interface Reasons {
  readonly width: SizeReason;
  readonly height: SizeReason;
  readonly x: PlaceReason;
  readonly y: PlaceReason;
}

/** Why a content is as high as it is. */
export type ContentReason =
  /** One under the other: `parts` and gaps add up. */
  | {
      readonly rule: 'stack';
      readonly parts: readonly { readonly box: Box; readonly size: number }[];
      readonly gaps: number;
      readonly frame: number;
    }
  /** As high as the largest of a line; several lines add up. */
  | {
      readonly rule: 'lines';
      readonly lines: readonly { readonly largest: Box | undefined; readonly size: number }[];
      readonly gaps: number;
      readonly frame: number;
    }
  | { readonly rule: 'words'; readonly count: number; readonly lineHeight: number; readonly frame: number }
  | {
      readonly rule: 'tracks';
      readonly tracks: readonly number[];
      readonly gaps: number;
      readonly frame: number;
    }
  /** By the ratio from the width, but within the content's and the own limits. */
  | {
      readonly rule: 'ratio';
      readonly from: number;
      readonly value: number;
      readonly least?: number;
      readonly most?: number;
    }
  | { readonly rule: 'own'; readonly value: number; readonly frame: number }
  /** Its content gives it no size. */
  | { readonly rule: 'none'; readonly frame: number };
