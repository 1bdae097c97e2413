/** Attributes and controls in which an entity has another key: what was written before a renaming is put on top of it. */
import { collectionNamed } from '../collections/catalogue.ts';
import type { Control, Project, PropertyValue } from '../document/types.ts';
import type { Renamed } from './applied.ts';

/** An attribute with its value; a draft changes in both of its texts. */
export function mappedAttribute(
  project: Project,
  control: Control,
  [attribute, value]: readonly [string, PropertyValue | null],
  { of, from, to }: Renamed,
): readonly [string, PropertyValue | null] {
  const collection = collectionNamed(of);
  if (!collection?.inAttribute) return [attribute, value];
  const change = (text: string) => collection.inAttribute!(control, [attribute, text], from, to, project);
  if (value === null) return [change('')[0], null];
  if (typeof value === 'string') return change(value);
  const [name, draft] = change(value.draft);
  return [name, value.good === undefined ? { draft } : { draft, good: change(value.good)[1] }];
}

/** A control and all below it. @returns the same object where nothing in it names the entity. */
export function mappedControl(project: Project, was: Control, renamed: Renamed): Control {
  const { of, from, to } = renamed;
  const control = collectionNamed(of)?.inControl?.(was, from, to) ?? was;
  let isChanged = false;
  const props: Record<string, PropertyValue> = {};
  for (const [attribute, value] of Object.entries(control.props)) {
    const [name, now] = mappedAttribute(project, control, [attribute, value], renamed);
    isChanged ||= name !== attribute || JSON.stringify(now) !== JSON.stringify(value);
    props[name] = now!;
  }
  const children = control.children.map((child) => mappedControl(project, child, renamed));
  const isSame = children.every((child, index) => child === control.children[index]);
  if (!isChanged && isSame) return control;
  return { ...control, ...(isChanged ? { props } : {}), ...(isSame ? {} : { children }) };
}
