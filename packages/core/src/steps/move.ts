/** The step that moves a control in the tree. */
import { controlNameProblem } from '../document/names.ts';
import { contains, walk } from '../document/tree.ts';
import { placeOf, withInserted, withoutControl } from '../document/whereabouts.ts';
import { gone, isId, refuse, type StepKind } from './applied.ts';
import { isPlace, placeInto, placeProblem, type TreePlace } from './tree-place.ts';

/** Moves a control into a parent; `index` counts without the control itself. */
export interface MoveStep extends TreePlace {
  readonly type: 'move';
  readonly control: string;
  /** The parent that it is expected in; absent: any. */
  readonly was?: string | null;
}

export const moveKind: StepKind<MoveStep> = {
  type: 'move',
  apply(project, step) {
    const found = placeOf(project, step.control);
    if (!found) return gone(step.control);
    const { control } = found;
    const name = control.name ?? control.id;
    const from = found.parent?.id ?? null;
    if (step.was !== undefined && step.was !== from) return refuse('It stands elsewhere meanwhile.', name);
    if (step.parent !== null && contains(control, step.parent))
      return refuse('A control cannot be moved into itself.', name);
    const without = withoutControl(project, found);
    const problem = placeProblem(without, step, control);
    if (problem) return refuse(problem, name);
    const screen = step.parent === null ? undefined : placeOf(without, step.parent)?.screen;
    if (screen && screen.id !== found.screen.id)
      for (const each of walk(control)) {
        const taken = each.name === undefined ? undefined : controlNameProblem(screen, each, each.name);
        if (taken) return refuse(taken, each.name);
      }
    return {
      ok: true,
      project: withInserted(without, placeInto(step, control), step.index, control),
      inverse: { type: 'move', control: control.id, parent: from, index: found.index, was: step.parent },
    };
  },
  fault: (_, step) =>
    isId(step.control) && isPlace(step) && (step.was === undefined || step.was === null || isId(step.was))
      ? undefined
      : 'A move has no place.',
  merge: (first, { was: _, ...second }) =>
    first.control === second.control
      ? { ...second, ...(first.was === undefined ? {} : { was: first.was }) }
      : undefined,
  touches: ({ control }) => [control],
};
