/** The step that names a control. */
import { controlNameProblem, treeNameProblem } from '../document/names.ts';
import { placeOf, withControl } from '../document/whereabouts.ts';
import { gone, isId, refuse, type StepKind } from './applied.ts';

/** Gives a control another name; `null` takes it away. */
export interface NameStep {
  readonly type: 'name';
  readonly control: string;
  readonly name: string | null;
  /** The name that is expected; absent: any. */
  readonly was?: string | null;
}

export const nameKind: StepKind<NameStep> = {
  type: 'name',
  apply(project, step) {
    const found = placeOf(project, step.control);
    if (!found) return gone(step.control);
    const { control, screen } = found;
    const isScreen = control.id === screen.id;
    const before = control.name ?? null;
    if (step.was !== undefined && step.was !== before)
      return refuse('It has another name meanwhile.', control.name ?? control.id);
    if (step.name === null && isScreen) return refuse(`A ${control.kind} needs a name.`, control.name);
    const problem =
      step.name === null
        ? undefined
        : isScreen
          ? treeNameProblem(project, control.id, step.name)
          : controlNameProblem(screen, control, step.name);
    if (problem) return refuse(problem, control.name ?? control.id);
    const named = withControl(project, control.id, ({ name: _, ...old }) =>
      step.name === null ? old : { ...old, name: step.name },
    );
    return {
      ok: true,
      project: named,
      inverse: { type: 'name', control: step.control, name: before, was: step.name },
    };
  },
  fault: (_, { control, name, was }) =>
    isId(control) &&
    (name === null || typeof name === 'string') &&
    (was === undefined || was === null || typeof was === 'string')
      ? undefined
      : 'A renaming lacks something.',
  merge: (first, { was: _, ...second }) =>
    first.control === second.control
      ? { ...second, ...(first.was === undefined ? {} : { was: first.was }) }
      : undefined,
  touches: ({ control }) => [control],
};
