/** Where a control may stand. */
import { walk } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { countOn, placeOf } from '../document/whereabouts.ts';
import { confinesProblem, kindNamed, kindOf } from '../kinds/catalogue.ts';
import { deepestNesting, mostControls } from '../meaning/validate.ts';
import { isId } from './applied.ts';

/** A place among the children of a control; `null` as parent: among the screens. */
export interface TreePlace {
  readonly parent: string | null;
  /** Past the last one: at the end, since others may have gone meanwhile. */
  readonly index: number;
}

/** Whether data from outside is a place. */
export const isPlace = (step: Readonly<Record<string, unknown>>): boolean =>
  (step.parent === null || isId(step.parent)) && Number.isInteger(step.index);

const depthOf = (control: Control): number =>
  1 + control.children.reduce((most, child) => Math.max(most, depthOf(child)), 0);

/** Why a control cannot stand at a place; undefined where it can. */
export function placeProblem(
  project: Project,
  { parent, index }: TreePlace,
  control: Control,
): string | undefined {
  const isScreen = kindNamed(control.kind)?.root === true;
  if ((parent === null) !== isScreen)
    return isScreen
      ? 'A screen cannot stand inside another control.'
      : `A ${control.kind} cannot be a screen.`;
  if (parent === null) return index >= 0 ? undefined : 'There is no such place among the screens.';
  const into = placeOf(project, parent);
  if (!into) return 'The container is not there any more.';
  const confined = confinesProblem(kindOf(control), kindOf(into.control), into.control.children.length + 1);
  if (confined) return confined;
  if (index < 0) return 'There is no such place in the container.';
  if (into.depth + 1 + depthOf(control) > deepestNesting)
    return `Controls are nested at most ${deepestNesting} deep.`;
  if (countOn(into.screen) + [...walk(control)].length > mostControls)
    return `A screen has at most ${mostControls} controls.`;
  return undefined;
}
