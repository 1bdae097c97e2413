/** Structures that recur: the same kinds in the same nesting, with the same attributes, that differ in values only. */
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, treesOf } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { isOfEveryInstance } from '../reuse/instance-attributes.ts';

/** A control with the path that leads to it, by indexes, from the top of what recurs. */
export interface Part {
  readonly control: Control;
  readonly path: readonly number[];
}

/** A control and all below it, each with its path. */
export function partsOf(top: Control): Part[] {
  const visit = (control: Control, path: readonly number[]): Part[] => [
    { control, path },
    ...control.children.flatMap((child, index) => visit(child, [...path, index])),
  ];
  return visit(top, []);
}

/** The control at a path; undefined where there is none. */
export const partAt = (top: Control, path: readonly number[]): Control | undefined =>
  path.reduce<Control | undefined>((at, index) => at?.children[index], top);

/** The attributes that say what a structure is: at its top without those of its place, which an instance has itself. */
const ownAttributes = ({ props }: Control, isTop: boolean): string[] =>
  Object.keys(props)
    .filter(
      (attribute) => inForce(props[attribute]) !== undefined && !(isTop && isOfEveryInstance(attribute)),
    )
    .toSorted();

/** Whether two controls have the same structure. */
export function areAlike(one: Control, other: Control, isTop = true): boolean {
  if (one.kind !== other.kind || one.children.length !== other.children.length) return false;
  const [attributes, others] = [ownAttributes(one, isTop), ownAttributes(other, isTop)];
  return (
    attributes.length === others.length &&
    attributes.every((attribute, index) => attribute === others[index]) &&
    one.children.every((child, index) => areAlike(child, other.children[index]!, false))
  );
}

/** Where a structure stands. */
export interface Standing {
  readonly screen: Control;
  readonly control: Control;
}

/** All places of a project with the same structure as a control, that control first; none of them is inside another. */
export function alikeTo(project: Project, control: Control): Standing[] {
  const found: Standing[] = [];
  for (const screen of treesOf(project)) {
    const taken = new Set<string>();
    for (const each of walk(screen)) {
      if (taken.has(each.id) || kindOf(each).root || !areAlike(control, each)) continue;
      for (const { id } of walk(each)) taken.add(id);
      found.push({ screen, control: each });
    }
  }
  return found.toSorted(
    (one, other) => Number(other.control.id === control.id) - Number(one.control.id === control.id),
  );
}
