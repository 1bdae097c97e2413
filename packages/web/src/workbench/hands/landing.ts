/** What dragged controls get where they are dropped: the cell of a grid, pins on a pinboard. */
import {
  type Control,
  locate,
  type Project,
  plainArrangement,
  type ScreenLayout,
  type Step,
  shiftPins,
} from '@hovrin/core';
import type { PendingDrop } from '../bench/bays.ts';

export type Props = Readonly<Record<string, string | null>>;

/** Pins at the top left replace all other pins of a control. */
const freed = (props: Props): Props => ({
  right: null,
  bottom: null,
  'center-x': null,
  'center-y': null,
  ...props,
});

const propsOf = (steps: readonly Step[]): Props =>
  Object.fromEntries(
    steps.flatMap((step) => (step.type === 'set' ? [[step.property, step.value]] : [])),
  ) as Props;

const isBoard = (control: Control | undefined) =>
  control !== undefined && plainArrangement(control) === 'pins';

/** Whether controls are dropped on the pinboard that they stand on: they only move on it, in the order that they have. */
export const staysOnBoard = (project: Project, ids: readonly string[], { place }: PendingDrop): boolean =>
  isBoard(locate(project, place.parent)?.control) &&
  ids.every((id) => locate(project, id)?.parent?.id === place.parent);

/**
 * What each of some controls gets where they are dropped. On a pinboard several keep the distances between them, and
 * what stood on it keeps the pins that hold it; in a grid each but the first is placed by itself.
 *
 * @param layout of the bay that they are dropped on.
 */
export function landing(
  project: Project,
  ids: readonly string[],
  { place, drop }: PendingDrop,
  layout: ScreenLayout | undefined,
): (id: string) => Props {
  const [first] = ids;
  const target = locate(project, place.parent)?.control;
  if (!drop || !target) return () => ({});
  const props = drop.props ?? {};
  if (!isBoard(target)) return (id) => (id === first ? props : {});
  const board = layout?.byControl.get(target.id);
  const lead = first === undefined ? undefined : layout?.byControl.get(first);
  return (id) => {
    const found = locate(project, id);
    const box = layout?.byControl.get(id);
    if (!board || !lead || !box || !found) return id === first ? freed(props) : {};
    const by = { x: drop.line.x - lead.x, y: drop.line.y - lead.y };
    if (found.parent?.id === target.id)
      return propsOf([
        ...shiftPins(found.control, 'x', by.x, board, layout!.rightToLeft),
        ...shiftPins(found.control, 'y', by.y, board, false),
      ]);
    return freed({
      left: String(Math.round(Number(props.left) + box.x - lead.x)),
      top: String(Math.round(Number(props.top) + box.y - lead.y)),
    });
  };
}
