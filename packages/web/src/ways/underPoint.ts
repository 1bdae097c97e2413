/** Which control of a laid-out screen a way is drawn from, under a point of its picture. */
import {
  addWay,
  type Control,
  kindOf,
  locate,
  type Project,
  type ScreenLayout,
  sourceId,
} from '@hovrin/core';

/** A control that a way can be drawn from, and where it is on the screen, CSS px. */
export interface Under {
  /** Of the source: of a part of an instance, the control of its component. */
  readonly control: Control;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** Whether pressing a control of a kind leads somewhere by itself: others take a way only where nothing inside does. */
const isPressed = (control: Control): boolean =>
  kindOf(control).group === 'act' || kindOf(control).properties.some(({ name }) => name === 'to');

/**
 * The innermost control under a point that something can lead on from: what is there to be pressed before what only shows
 * something.
 *
 * @param target some screen: whether a way to it could be drawn is asked.
 */
export function underPoint(
  project: Project,
  layout: ScreenLayout,
  target: Control,
  at: { readonly x: number; readonly y: number },
): Under | undefined {
  const found = layout.boxes.flatMap((box): Under[] => {
    const isIn = at.x >= box.x && at.y >= box.y && at.x < box.x + box.width && at.y < box.y + box.height;
    const control =
      isIn && box.control !== undefined ? locate(project, sourceId(box.control))?.control : undefined;
    return control && 'steps' in addWay(control, target) ? [{ control, box }] : [];
  });
  return found.findLast(({ control }) => isPressed(control)) ?? found.at(-1);
}
