/** A component as it is looked at in one of its cases: sample values in place of those that parameters begin with. */
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindNamed } from '../kinds/catalogue.ts';
import { declaredName, initial } from '../kinds/component.ts';
import { definitionOf } from './definition.ts';

/**
 * A project in which a component's parameters begin with what a case gives. For looking at it only.
 *
 * @param component id of the component.
 * @param name of the case; the same project where the component has none of that name.
 */
export function inCase(project: Project, component: string, name: string): Project {
  const found = project.components?.find(({ id }) => id === component);
  const given = found && definitionOf(found).cases.get(name)?.given;
  if (!found || !given) return project;
  return {
    ...project,
    components: project.components?.map((each) => (each === found ? beginningWith(found, given) : each)),
  } as Project;
}

/** A component whose parameters begin with other texts. */
function beginningWith(component: Control, texts: ReadonlyMap<string, string>): Control {
  const children = component.children.map((line) => {
    const isParameter = kindNamed(line.kind)?.declares === 'parameter';
    const text = isParameter ? texts.get(inForce(line.props[declaredName.name]) ?? '') : undefined;
    return text === undefined ? line : { ...line, props: { ...line.props, [initial.name]: text } };
  });
  return { ...component, children };
}
