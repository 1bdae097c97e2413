/**
 * Steps that were worked out for expanded screens, as steps of the source: what is about a control of a component goes to the
 * component, size and place of an instance to the instance.
 */
import { locate } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { type Definition, definitionsOf } from '../reuse/definition.ts';
import { isOfEveryInstance } from '../reuse/instance-attributes.ts';
import type { Step } from './step.ts';

/** A part of an instance: the ids of instances from outside in, and of the control of the last one's component. */
const pathOf = (id: string): readonly string[] => id.split('/');

/** The control of the document that an id of an expanded screen stands for; of a part of an instance that of its component. */
export const sourceId = (id: string): string => pathOf(id).at(-1) ?? id;

/** The control of its own screen that an id of an expanded screen belongs to: itself, or the instance it is in. */
export const ownId = (id: string): string => pathOf(id)[0] ?? id;

const isRootOf = (definition: Definition | undefined, id: string): boolean => definition?.root?.id === id;

/** The control that an attribute of a control of an expanded screen is said at. */
export function saidAt(project: Project, id: string, attribute: string): string {
  const path = pathOf(id);
  const definitions = definitionsOf(project);
  for (let at = path.length - 1; at > 0; at--) {
    const instance: Control | undefined = locate(project, path[at - 1]!)?.control;
    if (!instance || !isOfEveryInstance(attribute) || !isRootOf(definitions.get(instance.kind), path[at]!))
      return path[at]!;
  }
  return path[0] ?? id;
}

/** Steps as the source takes them. */
export const stepsInSource = (project: Project, steps: readonly Step[]): readonly Step[] =>
  steps.map((step) =>
    step.type === 'set' && step.control.includes('/')
      ? { ...step, control: saidAt(project, step.control, step.property) }
      : step,
  );
