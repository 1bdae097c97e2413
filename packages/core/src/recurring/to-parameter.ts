/** A value inside a component becomes a parameter, which begins with it. */

import { locate } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Property } from '../kinds/kind.ts';
import { definitionOf } from '../reuse/definition.ts';
import { isOfEveryInstance } from '../reuse/instance-attributes.ts';
import type { Step } from '../steps/step.ts';
import { parameterName, typeFor } from './plan.ts';

/**
 * The steps that make a parameter of a property of a control in a component.
 *
 * @returns the steps and the parameter's name; undefined where the property follows no expression, or it is no component.
 */
export function toParameter(
  project: Project,
  control: Control,
  property: Property,
  newId: () => string,
): { readonly steps: Step[]; readonly name: string } | undefined {
  const component = locate(project, control.id)?.screen;
  if (!component || kindOf(component).root !== 'components' || property.plain) return undefined;
  const { parameters, variables, root } = definitionOf(component);
  if (control === root && isOfEveryInstance(property.name)) return undefined;
  const taken = (name: string) => parameters.has(name) || variables.has(name) || isOfEveryInstance(name);
  const name = parameterName(control.name, control.kind, property.name, taken);
  const said = inForce(control.props[property.name]);
  const { type, choices } = typeFor(property);
  const line: Control = {
    id: newId(),
    kind: 'parameter',
    props: {
      name,
      ...(type === 'text' ? {} : { type }),
      ...(choices ? { values: choices.join(' | ') } : {}),
      ...(said === undefined ? {} : { initial: said }),
    },
    children: [],
  };
  return {
    name,
    steps: [
      { type: 'insert', parent: component.id, index: parameters.size, control: line },
      { type: 'set', control: control.id, property: property.name, value: `{${name}}` },
    ],
  };
}
