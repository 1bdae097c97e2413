/** Putting a container around controls, and taking one away from around them. */

import { plainArrangement } from '../cascade/plain-values.ts';
import { effectiveNames, freshName } from '../document/names.ts';
import { type Location, locate, locationsIn, type Placed, placedAt } from '../document/tree.ts';
import { type Control, type Project, type PropertyValue, treesOf } from '../document/types.ts';
import { confinesProblem, kindNamed, kindOf } from '../kinds/catalogue.ts';
import type { Kind } from '../kinds/kind.ts';
import { entryOf } from '../sure.ts';
import type { Step } from './step.ts';

/**
 * The controls of some ids that stand on their own: no screens, none inside another of them, in document order.
 */
export function topmost(project: Project, ids: readonly string[]): Placed[] {
  const wanted = new Set(ids);
  const isInside = ({ parent }: Location): boolean => {
    for (let at = parent; at; at = locate(project, at.id)?.parent) if (wanted.has(at.id)) return true;
    return false;
  };
  const found = [...wanted].flatMap((id): Placed[] => {
    const at = placedAt(project, id);
    return at && !isInside(at) ? [at] : [];
  });
  if (found.length < 2) return found;
  const order = new Map(
    treesOf(project)
      .flatMap((screen) => [...locationsIn(screen).keys()])
      .map((id, index) => [id, index]),
  );
  return found.toSorted((one, other) => entryOf(order, one.control.id) - entryOf(order, other.control.id));
}

/** Properties by which a control asks its parent for a place or a size, changes from bands included. */
const asksParent =
  /^(?:\w+\.)?(?:width|height|margin|align-self|justify-self|col|row|col-span|row-span|left|right|top|bottom|center-x|center-y|order)$/;

/** What a container starts with that is put around controls: a size it has from them. */
const wrapperProps = ({ starter, properties }: Kind): Record<string, string> =>
  Object.fromEntries(
    Object.entries(starter).filter(
      ([name]) => properties.find((property) => property.name === name)?.group !== 'size',
    ),
  );

/**
 * Puts controls into a new container at the place of the first. One control alone hands the container its place and
 * size, which it then fills.
 *
 * @param ids siblings; others than those of the first one's parent stay where they are.
 * @returns the steps and the container's id; undefined where they cannot be wrapped in it.
 */
export function wrapIn(
  project: Project,
  ids: readonly string[],
  kindName: string,
  newId: () => string,
): { steps: Step[]; container: string } | undefined {
  const all = topmost(project, ids);
  const first = all[0];
  const kind = kindNamed(kindName);
  if (!first || !kind?.container) return undefined;
  const inside = all.filter(({ parent }) => parent.id === first.parent.id);
  if (confinesProblem(kind, kindOf(first.parent), first.parent.children.length)) return undefined;
  if (inside.some(({ control }, index) => confinesProblem(kindOf(control), kind, index + 1)))
    return undefined;
  const names = new Set(effectiveNames(first.screen).values());
  const alone = inside.length === 1 ? first.control : undefined;
  const handed = Object.entries(alone?.props ?? {}).filter(
    ([name]) => asksParent.test(name) && kind.properties.some((property) => name.endsWith(property.name)),
  );
  const container: Control = {
    id: newId(),
    kind: kind.name,
    name: freshName(kind.name, (name) => names.has(name)),
    props: { ...wrapperProps(kind), ...Object.fromEntries(handed) },
    children: [],
  };
  const steps: Step[] = [{ type: 'insert', parent: first.parent.id, index: first.index, control: container }];
  inside.forEach(({ control }, index) => {
    steps.push({ type: 'move', control: control.id, parent: container.id, index });
  });
  for (const [property] of handed) steps.push({ type: 'set', control: alone!.id, property, value: null });
  const fills = (side: string): PropertyValue | undefined => alone?.props[side];
  // What had a size of its own fills the container, which has that size now.
  const isRow = plainArrangement(container) === 'row';
  if (alone && fills('height') !== undefined && !kind.scrolls)
    steps.push({
      type: 'set',
      control: alone.id,
      property: isRow ? 'align-self' : 'height',
      value: isRow ? 'stretch' : 'share',
    });
  if (alone && fills('width') !== undefined && isRow)
    steps.push({ type: 'set', control: alone.id, property: 'width', value: 'share' });
  return { steps, container: container.id };
}

/**
 * Puts what is in a container in its place.
 *
 * @returns undefined where it holds nothing, or what it holds cannot stand there.
 */
export function unwrap(project: Project, id: string): { steps: Step[]; inside: string[] } | undefined {
  const found = locate(project, id);
  if (!found?.parent || found.control.children.length === 0) return undefined;
  const { control, parent, index } = found;
  const count = parent.children.length - 1 + control.children.length;
  if (control.children.some((child) => confinesProblem(kindOf(child), kindOf(parent), count)))
    return undefined;
  const steps: Step[] = control.children.map((child, at) => ({
    type: 'move',
    control: child.id,
    parent: parent.id,
    index: index + at,
  }));
  return {
    steps: [...steps, { type: 'remove', control: id }],
    inside: control.children.map((child) => child.id),
  };
}
