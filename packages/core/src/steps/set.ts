/** The step that gives a control's attribute another text. */
import { readAttribute } from '../cascade/attributes.ts';
import type { Project, PropertyValue } from '../document/types.ts';
import { placeOf, withControl } from '../document/whereabouts.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { attributeValueProblem } from '../meaning/validate.ts';
import { gone, isId, refuse, type StepKind } from './applied.ts';
import { expectationOf, isExpectation, isExpected } from './expectation.ts';
import { mappedAttribute } from './mapped.ts';

/** Sets an attribute's text; `null` takes it away. */
export interface SetStep {
  readonly type: 'set';
  readonly control: string;
  readonly property: string;
  readonly value: PropertyValue | null;
  /** The value that is expected there, see `expectationOf`; absent: any. */
  readonly was?: string;
}

export const setKind: StepKind<SetStep> = {
  type: 'set',
  apply(project, step) {
    const found = placeOf(project, step.control);
    if (!found) return gone(step.control);
    const { control } = found;
    const meaning = readAttribute(kindOf(control), step.property, project.bands);
    if (typeof meaning === 'string') return refuse(meaning, control.name ?? control.id);
    const { [step.property]: held, ...rest } = control.props;
    const before = held ?? null;
    if (!isExpected(step.was, before))
      return refuse(`\`${step.property}\` has another value meanwhile.`, control.name ?? control.id);
    const props = step.value === null ? rest : { ...control.props, [step.property]: step.value };
    return {
      ok: true,
      project: withControl(project, control.id, (old) => ({ ...old, props })),
      inverse: {
        type: 'set',
        control: step.control,
        property: step.property,
        value: before,
        was: expectationOf(step.value),
      },
    };
  },
  fault(project, { control, property, value, was }) {
    if (!isId(control) || typeof property !== 'string' || value === undefined || !isExpectation(was))
      return 'A change of a property lacks something.';
    if (value === null) return undefined;
    const found = placeOf(project, control);
    // Without its control a step is refused by its own reason.
    return found && attributeValueProblem(kindOf(found.control), property, value, project);
  },
  merge: (first, { was: _, ...second }) =>
    first.control === second.control && first.property === second.property
      ? { ...second, ...(first.was === undefined ? {} : { was: first.was }) }
      : undefined,
  mapped(project: Project, step, renamed) {
    const control = placeOf(project, step.control)?.control;
    if (!control) return step;
    const [property, value] = mappedAttribute(project, control, [step.property, step.value], renamed);
    return { ...step, property, value };
  },
  touches: ({ control }) => [control],
};
