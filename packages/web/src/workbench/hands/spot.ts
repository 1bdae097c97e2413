/** Which control is meant at a point of a laid-out screen. */
import { type Control, kindOf, locationsIn, ownId, type Rectangle, type ScreenLayout } from '@hovrin/core';
import { isInWindow, type Window } from '../bays/cut.ts';
import type { Point } from './drop.ts';

const seen = new WeakMap<ScreenLayout, readonly (Window | undefined)[]>();

/** Says where the boxes of a layout can be seen: what is cut off is not there for the pointer either. */
export const keepWindows = (layout: ScreenLayout, windows: readonly (Window | undefined)[]): void => {
  seen.set(layout, windows);
};

/** Whether something of a screen's surround is at a point, and nothing of the screen's own. */
export const isOnSurround = (screen: Control, { boxes }: ScreenLayout, { x, y }: Point): boolean =>
  boxes
    .findLast(
      (box) =>
        box.control !== undefined &&
        x >= box.x &&
        y >= box.y &&
        x <= box.x + box.width &&
        y <= box.y + box.height,
    )
    ?.control?.startsWith(`${screen.id}/`) === true;

/** All controls at a point, the innermost and uppermost first; the screen is not one of them. */
export function controlsAt(screen: Control, layout: ScreenLayout, { x, y }: Point): string[] {
  const { boxes } = layout;
  const own = locationsIn(screen);
  const windows = seen.get(layout);
  const found = new Set<string>();
  // Looked for with each move of the pointer: most boxes are left by one number.
  for (let index = boxes.length - 1; index >= 0; index--) {
    const box = boxes[index];
    if (!box || y < box.y || x < box.x || y > box.y + box.height || x > box.x + box.width) continue;
    if (!isInWindow(windows?.[index], x, y)) continue;
    // A part of an instance stands for the instance, one of a surround for the screen.
    const control = box.control === undefined ? undefined : ownId(box.control);
    // What is around a component that is edited in its place is not its own.
    if (control !== undefined && control !== screen.id && own.has(control)) found.add(control);
  }
  return [...found];
}

/** From the screen's child down to a control, both included. */
function pathDown(screen: Control, id: string): string[] {
  const locations = locationsIn(screen);
  const path: string[] = [];
  for (let at = locations.get(id); at?.parent; at = locations.get(at.parent.id)) path.unshift(at.control.id);
  return path;
}

/** Whether a control is nothing but something around one other. */
const isMereWrapper = (control: Control): boolean => {
  const { container, group } = kindOf(control);
  return container && group === 'arrange' && control.children.length === 1;
};

/**
 * What a click means: the innermost control at a point, but no container that is merely around one other.
 *
 * @param selection what is selected.
 * @param climbs goes from what is selected to what is around it, where that is at the point, too.
 */
export function meantAt(
  screen: Control,
  layout: ScreenLayout,
  selection: readonly string[],
  at: Point,
  climbs: boolean,
): string | undefined {
  const [innermost] = controlsAt(screen, layout, at);
  if (innermost === undefined) return undefined;
  const path = pathDown(screen, innermost);
  const depth = path.indexOf(selection[0] ?? '');
  if (climbs && depth >= 0) return path[depth - 1] ?? path[0];
  const locations = locationsIn(screen);
  const meant = path.findLast((id) => {
    const control = locations.get(id)?.control;
    return control && !isMereWrapper(control);
  });
  return meant ?? innermost;
}

/** The controls that lie in a rectangle as a whole, those inside of others left out. */
export function controlsIn(screen: Control, layout: ScreenLayout, area: Rectangle): string[] {
  const inside = (id: string) => {
    const box = layout.byControl.get(id);
    return (
      box !== undefined &&
      box.x >= area.x &&
      box.y >= area.y &&
      box.x + box.width <= area.x + area.width &&
      box.y + box.height <= area.y + area.height
    );
  };
  const found: string[] = [];
  const visit = (control: Control) => {
    for (const child of control.children)
      if (inside(child.id)) found.push(child.id);
      else visit(child);
  };
  visit(screen);
  return found;
}
