/** The step that puts a control into the tree. */
import { walk } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { namedOn, placeOf, withInserted } from '../document/whereabouts.ts';
import { controlProblem } from '../meaning/validate.ts';
import { refuse, type StepKind } from './applied.ts';
import { mappedControl } from './mapped.ts';
import { isPlace, placeProblem, type TreePlace } from './tree-place.ts';

/** Puts a control (with all below it) into a parent; `null` as parent: a screen into the project. */
export interface InsertStep extends TreePlace {
  readonly type: 'insert';
  readonly control: Control;
}

/** The first name that a control would bring and that is taken where it goes. */
function takenName(project: Project, { parent, control }: InsertStep): string | undefined {
  const screen = parent === null ? undefined : placeOf(project, parent)?.screen;
  const names = new Set<string>();
  for (const { name } of walk(control)) {
    if (name === undefined) continue;
    if (names.has(name) || (screen && namedOn(screen, name))) return name;
    names.add(name);
  }
  return undefined;
}

export const insertKind: StepKind<InsertStep> = {
  type: 'insert',
  apply(project, step) {
    const { control, parent, index } = step;
    const problem = placeProblem(project, step, control);
    if (problem) return refuse(problem, control.name ?? control.id);
    const ids = new Set<string>();
    for (const each of walk(control)) {
      if (ids.has(each.id) || placeOf(project, each.id))
        return refuse('The control is already there.', each.name ?? each.id);
      ids.add(each.id);
    }
    const taken = takenName(project, step);
    if (taken !== undefined) return refuse(`\`${taken}\` is taken by another control on this screen.`, taken);
    if (parent === null && control.name === undefined) return refuse('A screen needs a name.', control.id);
    if (parent === null && project.screens.some((other) => other.name === control.name))
      return refuse(`There is already a screen \`${control.name}\`.`, control.name);
    return {
      ok: true,
      project: withInserted(project, parent, index, control),
      inverse: { type: 'remove', control: control.id },
    };
  },
  fault: (project, step) =>
    isPlace(step)
      ? controlProblem(project, step.control, step.parent === null)
      : 'An insertion has no place.',
  mapped: (project, step, renamed) => ({ ...step, control: mappedControl(project, step.control, renamed) }),
  touches: ({ control }) => [control.id],
};
