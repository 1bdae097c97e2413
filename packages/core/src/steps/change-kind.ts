/** Making a control another kind of control; whatever still applies is kept. */
import { readAttribute } from '../cascade/attributes.ts';
import { locate } from '../document/tree.ts';
import { inForce, type Project, type PropertyValue } from '../document/types.ts';
import { confinesProblem, kindNamed, kindOf } from '../kinds/catalogue.ts';
import type { Kind } from '../kinds/kind.ts';
import { contextOf, readAttributeText } from '../meaning/property-text.ts';
import type { Step } from './step.ts';

/** Properties that hold what a person reads of a control; one takes the place of the other. */
const said = ['text', 'label', 'caption', 'alt'];

/** The attribute that takes what another one held, on another kind; undefined where there is none. */
function successor(from: Kind, to: Kind, attribute: string): string | undefined {
  const meaning = readAttribute(from, attribute, []);
  const has = (name: string) => to.properties.some((property) => property.name === name);
  if (typeof meaning !== 'string' && meaning.role === 'event')
    return to.events.some(({ name }) => attribute === `on.${name}`) ? attribute : undefined;
  const base = said.find((name) => name === attribute);
  if (base && !has(base)) return said.find(has);
  const last = attribute.endsWith('.bind')
    ? attribute.slice(0, -5)
    : attribute.slice(attribute.indexOf('.') + 1);
  return has(last) ? attribute : undefined;
}

/**
 * Changes a control's kind; id, name, children and comments stay.
 *
 * @returns the steps, and the attributes that no longer apply; a message where it cannot be done.
 */
export function changeKind(
  project: Project,
  id: string,
  kindName: string,
): { steps: Step[]; lost: string[] } | string {
  const found = locate(project, id);
  const kind = kindNamed(kindName);
  if (!found?.parent || !kind) return 'A screen stays a screen.';
  const { control, parent, index } = found;
  if (control.kind === kind.name) return `It is a ${kind.label.toLowerCase()} already.`;
  const problem =
    confinesProblem(kind, kindOf(parent), parent.children.length) ??
    control.children
      .map((child) => confinesProblem(kindOf(child), kind, control.children.length))
      .find((each) => each !== undefined);
  if (problem) return problem;
  const context = contextOf(project, control);
  const props: Record<string, PropertyValue> = {};
  const lost: string[] = [];
  for (const [attribute, value] of Object.entries(control.props)) {
    const to = successor(kindOf(control), kind, attribute);
    const text = inForce(value);
    const fits = to !== undefined && text !== undefined && readAttributeText(kind, to, text, context).ok;
    if (fits && props[to] === undefined) props[to] = value;
    else lost.push(attribute);
  }
  // What the new kind needs to be seen at all.
  for (const [name, text] of Object.entries(kind.starter))
    if (props[name] === undefined && !(`${name}.bind` in props) && needed.has(name)) props[name] = text;
  return {
    steps: [
      { type: 'remove', control: id },
      { type: 'insert', parent: parent.id, index, control: { ...control, kind: kind.name, props } },
    ],
    lost,
  };
}

const needed = new Set(['options', 'icon', 'data', 'rows', 'height', 'columns', 'each']);
