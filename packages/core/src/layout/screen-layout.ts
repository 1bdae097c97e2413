/**
 * The layout of one screen at one size: every box at its place on the screen.
 *
 * A `ScreenView` is kept for as long as a screen is shown at a size; laying out again after a change costs only
 * what the change touched.
 */

import { repetitionOf } from '../cascade/repetition.ts';
import type { HeldStates } from '../cascade/states-now.ts';
import { effectiveNames } from '../document/names.ts';
import type { Mode } from '../document/token.ts';
import type { Control, Project } from '../document/types.ts';
import type { Look } from '../kinds/kind.ts';
import type { Instant } from '../motion/instant.ts';
import { expansionOf } from '../reuse/expand.ts';
import { numberAt } from '../sure.ts';
import type { Line } from '../text/paragraph.ts';
import type { Shaper } from '../text/shaper.ts';
import { layOut } from './ask.ts';
import { type Box, nothingKnown } from './box.ts';
import { passOf } from './engine.ts';
import { type Extent, fixed, free, type GridTracks, type Laid } from './laid.ts';
import { plainMax, roomLeft } from './plain-limits.ts';
import type { Pass } from './record.ts';
import { ViewBoxes } from './view-boxes.ts';

/** How a screen is looked at. Lengths in CSS px. */
export interface View {
  readonly width: number;
  readonly height: number;
  /** The reader's text scale; 1 is plain. */
  readonly textScale?: number;
  /** Right to left: start and end change sides. */
  readonly rightToLeft?: boolean;
  /** What is kept free at the edges, for notches and rounded corners (CSS Environment Variables 1 §2.1). */
  readonly safe?: Insets | undefined;
  /** Where a folding screen folds, from top to bottom. */
  readonly hinge?: Hinge | undefined;
  /** What the reader asks their device for; absent: nothing, light colours. */
  readonly mode?: Mode | undefined;
  /** States that are shown though nobody is there to bring them about. */
  readonly states?: HeldStates | undefined;
  /** Motions that are shown at an instant; absent: nothing moves. */
  readonly motions?: readonly Instant[] | undefined;
  /** Colours of the theme are left to custom properties (`hueProperties`): a change of one lays nothing out. */
  readonly hues?: boolean | undefined;
}

/** Room at the four edges of a screen, CSS px. */
export interface Insets {
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly left: number;
}

/** A fold from top to bottom: where it begins, from the left edge, and how wide it is, CSS px. */
export interface Hinge {
  readonly left: number;
  readonly width: number;
}

const noInsets: Insets = { top: 0, right: 0, bottom: 0, left: 0 };

/** What is left of a view for a screen. */
const roomIn = ({ width, height, safe = noInsets }: View): { width: number; height: number } => ({
  width: roomLeft(width - safe.left - safe.right),
  height: roomLeft(height - safe.top - safe.bottom),
});

/** A box at its place on the screen. CSS px from the screen's top left corner. */
export interface ScreenBox {
  /** Id of the control; undefined for a part inside one. */
  readonly control: string | undefined;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Index of the box around it in the list; -1 for the screen. */
  readonly parent: number;
  /** Which items of repeats it belongs to, outermost first. */
  readonly items: readonly number[];
  readonly look: Look;
  readonly box: Box;
  readonly lines: readonly Line[];
  /** Of a scroll: the size of what can be scrolled to. */
  readonly extent: Extent | undefined;
  /** Of a grid: its tracks, from its own start side and top. */
  readonly tracks: GridTracks | undefined;
}

/** A screen laid out. */
export interface ScreenLayout {
  readonly width: number;
  /** Height of the whole screen, which may be more than the view's. */
  readonly fullHeight: number;
  /** What was put at its place. */
  readonly root: Laid;
  readonly rightToLeft: boolean;
  /** Parents before children, in document order. */
  readonly boxes: readonly ScreenBox[];
  /** By index of a box: the index behind all that is in it. */
  readonly ends: readonly number[];
  /** The boxes of controls by id; hidden controls have none, repeated ones that of their first item. */
  readonly byControl: ReadonlyMap<string, ScreenBox>;
}

/** Lays out one screen again and again as the project changes. */
export class ScreenView {
  private readonly boxes: ViewBoxes;

  /** @param boxes those that others know, too. */
  constructor(shaper: Shaper, boxes = new ViewBoxes(shaper)) {
    this.boxes = boxes;
  }

  layOut(project: Project, screen: Control, view: View): ScreenLayout {
    const root = this.boxes.of(project, screen, view);
    if (!root) throw new Error('A screen cannot be hidden');
    return placeOnScreen(layOutRoot(passOf('nothing'), root, view), view);
  }
}

/** How many answers are worked out for one layout of a screen, at most. Ordinary screens ask each box a few times. */
const leastWork = 20_000;
const workForEachBox = 20;

/**
 * Lays out a screen's box in a view: a column as wide as the view and at least as high, growing with its content;
 * with bars it is exactly as high.
 */
export function layOutRoot(pass: Pass, root: Box, view: View): Laid {
  pass.budget.left = leastWork + workForEachBox * root.size;
  const { width, height } = roomIn(view);
  if (root.style.firm) return layOut(pass, root, fixed(width, height, true, false));
  if (root.style.minHeight === height) return layOut(pass, root, free(width, false));
  const known = roots.get(root);
  const screen =
    known?.style.minHeight === height
      ? known
      : {
          ...root,
          style: { ...root.style, minHeight: height },
          known: nothingKnown(),
        };
  roots.set(root, screen);
  return layOut(pass, screen, free(width, false));
}

/** The boxes of screens with the height of the view that they were last seen in. */
const roots = new WeakMap<Box, Box>();

/** Puts every box at its place on the screen. */
export function placeOnScreen(
  from: Laid,
  { width, rightToLeft = false, safe = noInsets }: Pick<View, 'width' | 'rightToLeft' | 'safe'>,
): ScreenLayout {
  const boxes: ScreenBox[] = [];
  const ends: number[] = [];
  const visit = (part: Laid, startX: number, y: number, parent: number) => {
    const { children, places } = part;
    const index = boxes.length;
    boxes.push(new PlacedBox(part, rightToLeft ? width - startX - part.width : startX, y, parent));
    for (let child = 0; child < children.length; child++)
      visit(
        children[child]!,
        startX + numberAt(places, 2 * child),
        y + numberAt(places, 2 * child + 1),
        index,
      );
    ends[index] = boxes.length;
  };
  visit(from, rightToLeft ? safe.right : safe.left, safe.top, -1);
  return new Placed(from, safe, rightToLeft, boxes, ends);
}

/** A box that was laid out, at its place. Small, since a screen has many. */
export class PlacedBox implements ScreenBox {
  constructor(
    readonly laid: Laid,
    readonly x: number,
    readonly y: number,
    readonly parent: number,
  ) {}

  get box(): Box {
    return this.laid.box;
  }
  get width(): number {
    return this.laid.width;
  }
  get height(): number {
    return this.laid.height;
  }
  get lines(): readonly Line[] {
    return this.laid.lines;
  }
  get extent(): Extent | undefined {
    return this.laid.extent;
  }
  get tracks(): GridTracks | undefined {
    return this.laid.tracks;
  }
  get control(): string | undefined {
    return this.laid.box.control;
  }
  get items(): readonly number[] {
    return this.laid.box.items;
  }
  get look(): Look {
    return this.laid.box.look as Look;
  }
}

/** A class, since a getter made where a screen is placed would keep all that is known there. */
class Placed implements ScreenLayout {
  private found: Map<string, ScreenBox> | undefined;

  readonly width: number;
  readonly fullHeight: number;

  constructor(
    readonly root: Laid,
    safe: Insets,
    readonly rightToLeft: boolean,
    readonly boxes: readonly ScreenBox[],
    readonly ends: readonly number[],
  ) {
    this.width = root.width + safe.left + safe.right;
    this.fullHeight = root.height + safe.top + safe.bottom;
  }

  // Not everybody looks for controls.
  get byControl(): ReadonlyMap<string, ScreenBox> {
    this.found ??= firstByControl(this.boxes);
    return this.found;
  }
}

/** The first box of each control, and of each instance, by id. */
export function firstByControl(boxes: readonly ScreenBox[]): Map<string, ScreenBox> {
  const found = new Map<string, ScreenBox>();
  for (const box of boxes) {
    const { control } = box;
    if (control === undefined || found.has(control)) continue;
    found.set(control, box);
    // An instance is found where its component's root is, which comes first of its parts.
    for (let end = control.lastIndexOf('/'); end > 0; end = control.lastIndexOf('/', end - 1)) {
      const instance = control.slice(0, end);
      if (!found.has(instance)) found.set(instance, box);
    }
  }
  return found;
}

/** One control of a layout, as the command line prints it. Lengths in CSS px. */
export interface NamedBox {
  readonly name: string;
  readonly kind: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The name of a control in a repeat's item, as the page has it too: `name[2]`, nested `name[2][0]`; in an instance `first[2].cell`. */
export function itemName(name: string, items: readonly number[]): string {
  if (items.length === 0) return name;
  // A part of an instance in a repeat, `first[].cell`, says itself where the items' numbers stand.
  const left = [...items];
  const placed = name.replaceAll('[]', () => `[${left.shift() ?? 0}]`);
  return `${placed}${left.map((index) => `[${index}]`).join('')}`;
}

/** An id with the items that it stands in: what tells a box from all others. */
const itemKey = (id: string, items: readonly number[]): string => `${id} ${items.join(' ')}`;

/**
 * The controls of a layout in tree order, with their names; repeated ones once an item, an item after another.
 * Hidden controls are left out.
 */
export function namedBoxes(
  project: Pick<Project, 'components' | 'screens' | 'folders'>,
  of: Control,
  layout: ScreenLayout,
): NamedBox[] {
  const { screen } = expansionOf(project, of);
  const names = effectiveNames(screen);
  const exact = (value: number) => Number(value.toFixed(4));
  const byPlace = new Map<string, ScreenBox>();
  const counts = new Map<string, number>();
  for (const box of layout.boxes) {
    if (box.control === undefined) continue;
    byPlace.set(itemKey(box.control, box.items), box);
    const last = box.items.at(-1);
    if (last === undefined) continue;
    const around = itemKey('', box.items.slice(0, -1));
    counts.set(around, plainMax(counts.get(around) ?? 0, last + 1));
  }
  const found: NamedBox[] = [];
  const visit = (control: Control, items: readonly number[]) => {
    const box = byPlace.get(itemKey(control.id, items));
    if (box) {
      const { x, y, width, height } = box;
      found.push({
        name: itemName(names.get(control.id)!, items),
        kind: control.kind,
        x: exact(x),
        y: exact(y),
        width: exact(width),
        height: exact(height),
      });
    }
    if (!repetitionOf(control)) {
      for (const child of control.children) visit(child, items);
      return;
    }
    const count = box ? (counts.get(itemKey('', items)) ?? 0) : 0;
    for (let index = 0; index < count; index++)
      for (const child of control.children) visit(child, [...items, index]);
  };
  visit(screen, []);
  return found;
}
