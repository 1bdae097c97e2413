/** Where controls that are dragged would land, on a bay or on a row of the tree, and how that is said. */
import { contains, locate, type Project, takesInside } from '@hovrin/core';
import { placeWords } from '../../editor/places.ts';
import type { PendingDrop } from '../bench/bays.ts';
import { type Carried, dropAt, type Point, type Surface } from './drop.ts';

/** Whether a container is one of some controls or inside of one. */
const isInside = (project: Project, ids: readonly string[], container: string): boolean =>
  ids.some((id) => {
    const control = locate(project, id)?.control;
    return control !== undefined && contains(control, container);
  });

/** @param ids the controls that are dragged; none: a new one. */
export function dropOnBay(
  surface: Surface,
  at: Point,
  ids: readonly string[],
  carried: Omit<Carried, 'moving'>,
): PendingDrop | undefined {
  const { project } = surface;
  const [moving] = ids;
  const drop = dropAt(surface, at, { ...carried, moving });
  if (!drop || isInside(project, ids, drop.place.parent)) return undefined;
  const { place, words } = drop;
  const order = placeWords(project, place, moving);
  const [into = ''] = placeWords(project, { parent: place.parent, index: 0 }, moving).split(',');
  return { place, words: words ? `${into}, ${words}` : order, drop };
}

/**
 * @param id of the control of the row.
 * @param part how far down the row the pointer is, 0 to 1: in its middle half into it, else before or after it.
 * @param ids the controls that are dragged; none: a new one.
 */
export function dropOnRow(
  project: Project,
  id: string,
  part: number,
  ids: readonly string[],
): PendingDrop | undefined {
  const target = locate(project, id);
  if (!target || isInside(project, ids, id)) return undefined;
  const holds = takesInside(target.control);
  const without = (list: readonly { readonly id: string }[]) => list.filter((each) => !ids.includes(each.id));
  const at = (parent: string, index: number): PendingDrop => {
    const place = { parent, index };
    return { place, words: placeWords(project, place, ids[0]) };
  };
  if (!target.parent || (holds && part > 0.25 && part < 0.75))
    return holds ? at(id, without(target.control.children).length) : undefined;
  const others = without(target.parent.children);
  return at(target.parent.id, others.findIndex((each) => each.id === id) + (part < 0.5 ? 0 : 1));
}
