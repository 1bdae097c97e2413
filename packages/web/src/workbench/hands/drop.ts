/** Where something dragged over a laid-out screen would land, and the line that shows it. */
import {
  type Control,
  contains,
  kindOf,
  locate,
  type Project,
  plainArrangement,
  type Rectangle,
  type ScreenBox,
  type ScreenLayout,
  type TrackSpan,
  takesInside,
} from '@hovrin/core';
import type { InsertPlace } from '../../editor/editor.ts';
import { type Guide, snapped } from './guides.ts';

export interface Drop {
  readonly place: InsertPlace;
  /** What a control gets there besides its place in the order: a cell, pins. */
  readonly props?: Readonly<Record<string, string>>;
  /** In words, where it is more than an order: "in column 2, row 1". */
  readonly words?: string;
  /** Guides of the controls that it lines up with. */
  readonly guides?: readonly Guide[];
  /** The insertion line; its thickness is left to the painter. */
  readonly line: Rectangle;
  /** The container that takes it. */
  readonly into: Rectangle;
}

/** A rectangle in CSS px as it lies on a bay that is shown at a scale. */
export const scaled = ({ x, y, width, height }: Rectangle, scale: number) => ({
  left: x * scale,
  top: y * scale,
  width: width * scale,
  height: height * scale,
});

/** What is dragged: its size, and where in it the pointer is. CSS px. */
export interface Grabbed {
  readonly width: number;
  readonly height: number;
  readonly x: number;
  readonly y: number;
}

/** How places are found on a pinboard. */
export interface Snapping {
  readonly step: number;
  /** Off: exactly where the pointer says, in whole px. */
  readonly on: boolean;
}

/** A point of a screen, CSS px. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The rectangle between two of its corners. */
export const between = (from: Point, to: Point): Rectangle => ({
  x: Math.min(from.x, to.x),
  y: Math.min(from.y, to.y),
  width: Math.abs(to.x - from.x),
  height: Math.abs(to.y - from.y),
});

/** A laid-out screen on which something can be dropped. */
export interface Surface {
  readonly project: Project;
  readonly screen: Control;
  readonly layout: ScreenLayout;
}

/** What is dragged over it. */
export interface Carried {
  /** The control that is dragged, if it is already there; its own inside is no place for it. */
  readonly moving?: string | undefined;
  readonly grabbed?: Grabbed;
  readonly snapping?: Snapping;
}

/** How near to a container's edge a place beside it is meant rather than one inside, CSS px. */
const edge = 6;

/** How far an empty container reaches at least, CSS px: one that is not high by itself could not be hit. */
const leastReach = 24;

/** Where a container takes what is dropped. */
function reachOf({ children }: Control, { x, y, width, height }: Rectangle): Rectangle {
  if (children.length > 0) return { x, y, width, height };
  const [across, down] = [Math.max(width, leastReach), Math.max(height, leastReach)];
  return { x: x - (across - width) / 2, y: y - (down - height) / 2, width: across, height: down };
}

const holds = ({ x, y, width, height }: Rectangle, px: number, py: number) =>
  px >= x && px <= x + width && py >= y && py <= y + height;

/** The innermost container that takes something at a point. */
function targetAt(
  { project, screen, layout }: Surface,
  { x, y }: Point,
  moving: string | undefined,
): Control {
  const moved = moving === undefined ? undefined : locate(project, moving)?.control;
  let target = screen;
  for (let inner: Control | undefined = screen; inner; ) {
    target = inner;
    const axis: 'row' | 'column' = plainArrangement(target) === 'row' ? 'row' : 'column';
    inner = target.children.find((child) => {
      const laid = layout.byControl.get(child.id);
      if (!laid || !takesInside(child) || (moved && contains(moved, child.id))) return false;
      const box = reachOf(child, laid);
      if (!holds(box, x, y)) return false;
      // Near the edges that lie along the outer container's axis, a place beside the inner one is meant.
      const [near, far] =
        axis === 'row' ? [x - box.x, box.x + box.width - x] : [y - box.y, box.y + box.height - y];
      return Math.min(near, far) > Math.min(edge, (axis === 'row' ? box.width : box.height) / 4);
    });
  }
  return target;
}

/** @param at the pointer. */
export function dropAt(surface: Surface, at: Point, carried: Carried = {}): Drop | undefined {
  const { layout } = surface;
  const { moving } = carried;
  const target = targetAt(surface, at, moving);
  if (kindOf(target).hasHeads) {
    const found = tabIn(target, layout, at);
    if (found) return found;
  }
  const arrangement = plainArrangement(target);
  if (arrangement === 'pins') return pinnedIn(target, layout, at, carried);
  if (arrangement === 'cells')
    return cellIn(target, layout, at, moving) ?? placeIn(target, layout, at, moving);
  return placeIn(target, layout, at, moving);
}

/** A tab under the pointer stands for its panel, open or closed. */
function tabIn(target: Control, layout: ScreenLayout, { x, y }: Point): Drop | undefined {
  const tabs = layout.byControl.get(target.id);
  if (!tabs) return undefined;
  const childrenOf = (index: number) => layout.boxes.filter(({ parent }) => parent === index);
  const [heads] = childrenOf(layout.boxes.indexOf(tabs));
  if (!heads) return undefined;
  const all = childrenOf(layout.boxes.indexOf(heads));
  const which = all.findIndex((head) => holds(head, x, y));
  const panel = target.children[which];
  const head = all[which];
  if (!panel || !head || !takesInside(panel)) return undefined;
  return {
    place: { parent: panel.id, index: panel.children.length },
    words: `in tab ${which + 1}`,
    line: head,
    into: head,
  };
}

/** Index of the track that a place lies in, or is nearest to. */
function trackAt(tracks: readonly TrackSpan[], at: number): number {
  const distances = tracks.map(({ start, size }) => Math.max(start - at, at - start - size, 0));
  return distances.indexOf(Math.min(...distances));
}

/** What a rectangle that is drawn from one point to another gives a new control: its place, and its size there. */
export function drawnAt(surface: Surface, area: Rectangle): Pick<Drop, 'place' | 'props'> | undefined {
  const { project, layout } = surface;
  const found = dropAt(surface, area);
  const into = found && layout.byControl.get(found.place.parent);
  const parent = found && locate(project, found.place.parent)?.control;
  if (!found || !into || !parent) return undefined;
  const size = { width: String(Math.round(area.width)), height: String(Math.round(area.height)) };
  const arrangement = plainArrangement(parent);
  if (arrangement === 'pins') {
    const { border } = into.box.style;
    const left = String(Math.round(area.x - into.x - border.start));
    const top = String(Math.round(area.y - into.y - border.top));
    return { place: found.place, props: { left, top, ...size } };
  }
  if (arrangement === 'cells' && into.tracks && found.props?.col !== undefined) {
    const { columns, rows } = into.tracks;
    const span = (tracks: readonly TrackSpan[], from: number, to: number) =>
      Math.max(1, trackAt(tracks, to) - trackAt(tracks, from) + 1);
    const across = span(columns, area.x - into.x, area.x + area.width - into.x);
    const down = span(rows, area.y - into.y, area.y + area.height - into.y);
    return {
      place: found.place,
      props: {
        ...found.props,
        ...(across > 1 ? { 'col-span': String(across) } : {}),
        ...(down > 1 ? { 'row-span': String(down) } : {}),
      },
    };
  }
  return { place: found.place, props: size };
}

/** The cell of a grid under the pointer. */
function cellIn(
  target: Control,
  layout: ScreenLayout,
  { x, y }: Point,
  moving: string | undefined,
): Drop | undefined {
  const into = layout.byControl.get(target.id);
  const { tracks } = into ?? {};
  const last = tracks?.rows.at(-1);
  if (!into || !tracks || !last) return undefined;
  const column = trackAt(tracks.columns, x - into.x);
  const across = tracks.columns[column];
  // Below the last row a new one begins.
  const below = y - into.y > last.start + last.size && into.y + into.height - y > 0;
  const row = below ? tracks.rows.length : trackAt(tracks.rows, y - into.y);
  const down = tracks.rows[row] ?? { start: last.start + last.size, size: 4 };
  if (!across) return undefined;
  const col = column - tracks.columnsBefore + 1;
  const line = row - tracks.rowsBefore + 1;
  const others = target.children.filter(({ id }) => id !== moving);
  // Among the others it stands where one reads it: behind all that lie in front of the cell.
  const index = others.filter(({ id }) => {
    const box = layout.byControl.get(id);
    return (
      box &&
      (box.y + box.height / 2 < into.y + down.start ||
        (box.y < into.y + down.start + down.size && box.x < into.x + across.start))
    );
  }).length;
  const cell = { x: into.x + across.start, y: into.y + down.start, width: across.size, height: down.size };
  return {
    place: { parent: target.id, index },
    props: col > 0 && line > 0 ? { col: String(col), row: String(line) } : {},
    words: `in column ${col}, row ${line}`,
    line: cell,
    into,
  };
}

/** Where something lies on a pinboard; its pins are those of a new control there. */
function pinnedIn(
  target: Control,
  layout: ScreenLayout,
  { x, y }: Point,
  { moving, grabbed = { width: 0, height: 0, x: 0, y: 0 }, snapping = { step: 1, on: false } }: Carried,
): Drop | undefined {
  const into = layout.byControl.get(target.id);
  if (!into) return undefined;
  const others = target.children.flatMap(({ id }) => {
    const box = id === moving ? undefined : layout.byControl.get(id);
    return box ? [box] : [];
  });
  const free = { x: x - grabbed.x, y: y - grabbed.y, width: grabbed.width, height: grabbed.height };
  const { rectangle, guides } = snapped(free, into, others, snapping);
  const { border } = into.box.style;
  const left = Math.round(rectangle.x - into.x - border.start);
  const top = Math.round(rectangle.y - into.y - border.top);
  return {
    place: { parent: target.id, index: target.children.filter(({ id }) => id !== moving).length },
    props: { left: String(left), top: String(top) },
    words: `at ${left}, ${top}`,
    line: rectangle,
    into,
    guides,
  };
}

function placeIn(
  target: Control,
  layout: ScreenLayout,
  { x, y }: Point,
  moving: string | undefined,
): Drop | undefined {
  const into = layout.byControl.get(target.id);
  if (!into) return undefined;
  const row = plainArrangement(target) === 'row';
  const others = target.children.filter((child) => child.id !== moving);
  const seen = others.flatMap((child, index) => {
    const box = layout.byControl.get(child.id);
    return box ? [{ box, index }] : [];
  });
  const next = seen.findIndex(({ box }) => (row ? x < box.x + box.width / 2 : y < box.y + box.height / 2));
  const before = next < 0 ? seen.at(-1) : seen[next - 1];
  const after = next < 0 ? undefined : seen[next];
  const index = after ? after.index : others.length;
  return {
    place: { parent: target.id, index },
    line: lineBetween(into, before?.box, after?.box, row),
    into: reachOf(target, into),
  };
}

/** The line between two neighbours, or at the end of a container where there is only one. */
function lineBetween(
  into: ScreenBox,
  before: ScreenBox | undefined,
  after: ScreenBox | undefined,
  row: boolean,
): Rectangle {
  const { padding, border } = into.box.style;
  const inner = {
    x: into.x + padding.start + border.start,
    y: into.y + padding.top + border.top,
    right: into.x + into.width - padding.end - border.end,
    bottom: into.y + into.height - padding.bottom - border.bottom,
  };
  if (row) {
    const from = before ? before.x + before.width : undefined;
    const at = from !== undefined && after ? (from + after.x) / 2 : (from ?? after?.x ?? inner.x);
    return { x: at, y: inner.y, width: 0, height: Math.max(8, inner.bottom - inner.y) };
  }
  const from = before ? before.y + before.height : undefined;
  const at = from !== undefined && after ? (from + after.y) / 2 : (from ?? after?.y ?? inner.y);
  return { x: inner.x, y: at, width: Math.max(8, inner.right - inner.x), height: 0 };
}
