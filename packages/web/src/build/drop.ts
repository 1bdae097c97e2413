/** Where something dragged over a laid-out screen would land, and the line that shows it. */
import {
  type Control,
  contains,
  kindOf,
  locate,
  type Project,
  type ScreenBox,
  type ScreenLayout,
} from '@hovrin/core';
import type { InsertPlace } from '../editor/editor.ts';

/** A rectangle on the screen, CSS px. */
export interface Rectangle {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface Drop {
  readonly place: InsertPlace;
  /** The insertion line; its thickness is left to the painter. */
  readonly line: Rectangle;
  /** The container that takes it. */
  readonly into: Rectangle;
}

/** How near to a container's edge a place beside it is meant rather than one inside, CSS px. */
const edge = 6;

const holds = ({ x, y, width, height }: Rectangle, px: number, py: number) =>
  px >= x && px <= x + width && py >= y && py <= y + height;

/**
 * @param x,y the pointer on the screen, CSS px.
 * @param moving the control that is dragged, if it is already there; its own inside is no place for it.
 */
export function dropAt(
  project: Project,
  screen: Control,
  layout: ScreenLayout,
  x: number,
  y: number,
  moving?: string,
): Drop | undefined {
  const moved = moving === undefined ? undefined : locate(project, moving)?.control;
  let target = screen;
  for (let inner: Control | undefined = screen; inner; ) {
    target = inner;
    const axis: 'row' | 'column' = target.kind === 'row' ? 'row' : 'column';
    inner = target.children.find((child) => {
      const box = layout.byControl.get(child.id);
      if (!box || !kindOf(child).container || (moved && contains(moved, child.id)) || !holds(box, x, y))
        return false;
      // Near the edges that lie along the outer container's axis, a place beside the inner one is meant.
      const [near, far] =
        axis === 'row' ? [x - box.x, box.x + box.width - x] : [y - box.y, box.y + box.height - y];
      return Math.min(near, far) > Math.min(edge, (axis === 'row' ? box.width : box.height) / 4);
    });
  }
  return placeIn(target, layout, x, y, moving);
}

function placeIn(
  target: Control,
  layout: ScreenLayout,
  x: number,
  y: number,
  moving: string | undefined,
): Drop | undefined {
  const into = layout.byControl.get(target.id);
  if (!into) return undefined;
  const row = target.kind === 'row';
  const others = target.children.filter((child) => child.id !== moving);
  const seen = others.flatMap((child, index) => {
    const box = layout.byControl.get(child.id);
    return box ? [{ box, index }] : [];
  });
  const next = seen.findIndex(({ box }) => (row ? x < box.x + box.width / 2 : y < box.y + box.height / 2));
  const before = next < 0 ? seen.at(-1) : seen[next - 1];
  const after = next < 0 ? undefined : seen[next];
  const index = after ? after.index : others.length;
  return { place: { parent: target.id, index }, line: lineBetween(into, before?.box, after?.box, row), into };
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

/** The innermost control at a point; the screen where there is nothing else. */
export function controlAt(layout: ScreenLayout, x: number, y: number): string | undefined {
  return layout.boxes.findLast((box) => box.control !== undefined && holds(box, x, y))?.control;
}
