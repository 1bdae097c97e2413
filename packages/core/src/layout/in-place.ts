/**
 * A component where one of its instances stands: the layout of the screen around it, in which the boxes of that instance
 * belong to the component's own controls.
 */

import type { Look } from '../kinds/kind.ts';
import type { Line } from '../text/paragraph.ts';
import type { Box } from './box.ts';
import type { Extent, GridTracks } from './laid.ts';
import { firstByControl, type ScreenBox, type ScreenLayout } from './screen-layout.ts';

/** Where the component and what is around it meet. */
export interface Border {
  /** Of a box in the list. */
  readonly index: number;
  /** Whether the box is the component's, and the one around it is not; otherwise it is in a slot, or in front of it. */
  readonly isOwn: boolean;
}

export interface LayoutInPlace extends ScreenLayout {
  /** In document order. */
  readonly borders: readonly Border[];
}

/** A box that belongs to another control than where it was laid out. */
class OwnBox implements ScreenBox {
  constructor(
    private readonly placed: ScreenBox,
    readonly control: string,
  ) {}

  get x(): number {
    return this.placed.x;
  }
  get y(): number {
    return this.placed.y;
  }
  get width(): number {
    return this.placed.width;
  }
  get height(): number {
    return this.placed.height;
  }
  get parent(): number {
    return this.placed.parent;
  }
  get items(): readonly number[] {
    return this.placed.items;
  }
  get look(): Look {
    return this.placed.look;
  }
  get box(): Box {
    return this.placed.box;
  }
  get lines(): readonly Line[] {
    return this.placed.lines;
  }
  get extent(): Extent | undefined {
    return this.placed.extent;
  }
  get tracks(): GridTracks | undefined {
    return this.placed.tracks;
  }
}

/**
 * @param layout of the tree in which the instance stands.
 * @param component id of its component: the whole screen's box is found by it.
 * @param at id of the instance in that tree (`c4`; `c4/c9` where it is in another one); of a surround, the screen's.
 */
export function layoutInPlace(layout: ScreenLayout, component: string, at: string): LayoutInPlace {
  const inside = `${at}/`;
  const found: ScreenBox[] = [];
  const borders: Border[] = [];
  const own: boolean[] = [];
  /** Whether a box is in front of the component, as one behind it in the document is, or in one that is. */
  const inFront: boolean[] = [];
  const boxes = layout.boxes.map((placed, index) => {
    const { control, parent } = placed;
    const isOwn = control === undefined ? own[parent] === true : control.startsWith(inside);
    own[index] = isOwn;
    inFront[index] = !isOwn && (inFront[parent] === true || borders.length > 0);
    const isBorder = isOwn ? own[parent] !== true : inFront[index] && inFront[parent] !== true;
    if (isBorder) borders.push({ index, isOwn });
    if (index > 0 && (!isOwn || control === undefined)) return placed;
    const box = new OwnBox(placed, index === 0 ? component : control!.slice(inside.length));
    found.push(box);
    return box;
  });
  const { width, fullHeight, root, rightToLeft, ends } = layout;
  return { width, fullHeight, root, rightToLeft, ends, boxes, byControl: firstByControl(found), borders };
}
