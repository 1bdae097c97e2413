/** Structures that recur: the same kinds in the same nesting, with the same attributes, that differ in values only. */
import { conditionsOf, readAttribute } from '../cascade/attributes.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, treesOf } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { ownStates } from '../kinds/properties.ts';
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

/** Whether an attribute may follow an expression, so that a parameter can stand in it. */
export function takesParameter(control: Pick<Control, 'kind'>, attribute: string): boolean {
  const meaning = readAttribute(kindOf(control), attribute, []);
  if (typeof meaning === 'string') return false;
  if (meaning.role !== 'value') return true;
  return attribute !== ownStates.name && !meaning.property.plain && conditionsOf(attribute).length === 0;
}

/** The text of an attribute; where it is not said, what holds then, if that can be said. */
export function textAt(control: Control, attribute: string): string | undefined {
  const said = inForce(control.props[attribute]);
  if (said !== undefined) return said;
  const meaning = readAttribute(kindOf(control), attribute, []);
  if (typeof meaning === 'string' || meaning.role !== 'value' || meaning.prefix !== '') return undefined;
  const { default: preset, type } = meaning.property;
  return typeof preset === 'string' ? preset : type.field === 'flag' ? 'false' : undefined;
}

/** The attributes that say what a structure is: at its top without those of its place, which an instance has itself. */
const ownAttributes = ({ props }: Control, isTop: boolean): string[] =>
  Object.keys(props).filter(
    (attribute) => inForce(props[attribute]) !== undefined && !(isTop && isOfEveryInstance(attribute)),
  );

/** Whether an attribute that only one of two controls says can be a parameter, which begins with what holds else. */
const canDiffer = (one: Control, other: Control, attribute: string): boolean =>
  takesParameter(one, attribute) &&
  textAt(one, attribute) !== undefined &&
  textAt(other, attribute) !== undefined;

/** Whether two controls have the same structure: they differ in values only, said or by default. */
export function areAlike(one: Control, other: Control, isTop = true): boolean {
  if (one.kind !== other.kind || one.children.length !== other.children.length) return false;
  const [attributes, others] = [new Set(ownAttributes(one, isTop)), new Set(ownAttributes(other, isTop))];
  const isBoth = (attribute: string) => attributes.has(attribute) && others.has(attribute);
  return (
    [...attributes, ...others].every((attribute) => isBoth(attribute) || canDiffer(one, other, attribute)) &&
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
