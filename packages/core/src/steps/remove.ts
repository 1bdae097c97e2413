/** The step that takes a control out of the tree. */
import { placeOf, withoutControl } from '../document/whereabouts.ts';
import { gone, isId, type StepKind } from './applied.ts';

/** Takes a control and all below it away. */
export interface RemoveStep {
  readonly type: 'remove';
  readonly control: string;
}

export const removeKind: StepKind<RemoveStep> = {
  type: 'remove',
  apply(project, { control }) {
    const found = placeOf(project, control);
    if (!found) return gone(control);
    return {
      ok: true,
      project: withoutControl(project, found),
      inverse: {
        type: 'insert',
        parent: found.parent?.id ?? null,
        index: found.index,
        control: found.control,
      },
    };
  },
  fault: (_, step) => (isId(step.control) ? undefined : 'A removal names no control.'),
  touches: ({ control }) => [control],
};
