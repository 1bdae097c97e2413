/** Finding one's way in a project: where a control is, what is around it. */
import { type Control, type Trees, treesOf } from './types.ts';

/** Where a control stands. */
export interface Location {
  readonly control: Control;
  /** The screen or component it is in; itself where it is one. */
  readonly screen: Control;
  /** Undefined for a screen and for a component. */
  readonly parent: Control | undefined;
  /** Index among its parent's children, or among the screens or the components. */
  readonly index: number;
  readonly depth: number;
}

const indexes = new WeakMap<Control, ReadonlyMap<string, Location>>();

/** All controls of a screen by id. Worked out once for each version of the screen. */
export function locationsIn(screen: Control): ReadonlyMap<string, Location> {
  const known = indexes.get(screen);
  if (known) return known;
  const found = new Map<string, Location>();
  const visit = (control: Control, parent: Control | undefined, index: number, depth: number) => {
    found.set(control.id, { control, screen, parent, index, depth });
    control.children.forEach((child, at) => {
      visit(child, control, at, depth + 1);
    });
  };
  visit(screen, undefined, 0, 0);
  indexes.set(screen, found);
  return found;
}

/** Finds a control of a project; undefined where there is none of that id. */
export function locate(project: Trees, id: string): Location | undefined {
  for (const tree of treesOf(project)) {
    const found = locationsIn(tree).get(id);
    if (found) return found.parent ? found : { ...found, index: placeAmong(project, tree) };
  }
  return undefined;
}

/** The index of a screen among the screens, of a component among the components. */
export const placeAmong = ({ screens, components = [] }: Trees, tree: Control): number =>
  Math.max(screens.indexOf(tree), components.indexOf(tree));

/** The screen or component of an id; undefined where there is none. */
export const treeOfId = (project: Trees, id: string): Control | undefined =>
  treesOf(project).find((tree) => tree.id === id);

/** Where a control stands. @throws Error where there is none of that id. */
export function locationOf(project: Trees, id: string): Location {
  const found = locate(project, id);
  if (!found) throw new Error(`There is no control ${id} here.`);
  return found;
}

/** A control that is no screen, and where it is. */
export type Placed = Location & { readonly parent: Control };

/** Where a control stands that is no screen; undefined where there is none of that id. */
export function placedAt(project: Trees, id: string): Placed | undefined {
  const found = locate(project, id);
  return found?.parent && { ...found, parent: found.parent };
}

/** The controls from the screen down to one, both included; empty where it is not there. */
export function pathTo(project: Trees, id: string): Control[] {
  const found = locate(project, id);
  return found ? pathIn(found.screen, id) : [];
}

/** The controls from a screen down to one on it, both included. */
export function pathIn(screen: Control, id: string): Control[] {
  const locations = locationsIn(screen);
  const path: Control[] = [];
  for (let at = locations.get(id); at; at = at.parent && locations.get(at.parent.id))
    path.unshift(at.control);
  return path;
}

/** A control and all below it, parents before children, in document order. */
export function* walk(control: Control): Generator<Control> {
  yield control;
  for (const child of control.children) yield* walk(child);
}

/** Whether `id` is the control itself or anywhere below it. */
export function contains(control: Control, id: string): boolean {
  return control.id === id || control.children.some((child) => contains(child, id));
}
