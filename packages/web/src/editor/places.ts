/** Places where something can be put, and how they are called. */
import { type Control, effectiveNames, itemAt, locate, type Project, takesInside } from '@hovrin/core';
import type { EditorState, InsertPlace } from './editor.ts';

/** Where a new control goes if nothing else is said: into a selected container, else after the selection. */
export function placeAtSelection({ project, selection, screenId }: EditorState): InsertPlace | undefined {
  const asked = locate(project, selection[0] ?? screenId);
  // In a component what comes new goes into its root.
  const root =
    asked && !asked.parent && !takesInside(asked.control) ? asked.control.children.at(-1) : undefined;
  const found = root ? locate(project, root.id) : asked;
  if (!found) return undefined;
  if (takesInside(found.control)) return { parent: found.control.id, index: found.control.children.length };
  return found.parent && { parent: found.parent.id, index: found.index + 1 };
}

/** The place behind a control, in its parent; undefined for a screen. */
export function placeAfter(project: Project, id: string): InsertPlace | undefined {
  const found = locate(project, id);
  return found?.parent && { parent: found.parent.id, index: found.index + 1 };
}

/** A place in words: "into `page`, after `heading`". */
export function placeWords(project: Project, place: InsertPlace, without?: string): string {
  const found = locate(project, place.parent);
  if (!found) return '';
  const names = effectiveNames(found.screen);
  const siblings: readonly Control[] = found.control.children.filter((child) => child.id !== without);
  const into = `into ${names.get(place.parent)}`;
  if (siblings.length === 0) return into;
  if (place.index === 0) return `${into}, before ${names.get(itemAt(siblings, 0).id)}`;
  return `${into}, after ${names.get(itemAt(siblings, Math.min(place.index, siblings.length) - 1).id)}`;
}
