/** Which of the states that controls declare themselves hold. */
import type { Control } from '../document/types.ts';
import { inForce } from '../document/types.ts';
import { EvaluationError, evaluateTemplate } from '../expression/evaluate.ts';
import { ownStatesIn } from '../expression/own-states.ts';
import type { Kind } from '../kinds/kind.ts';
import { type HeldStates, heldFor, statesNow } from './states-now.ts';
import { type Circumstances, valuesOf } from './values.ts';

/** The names of the states that a control declares. */
export const declaredStates = ({ props }: Pick<Control, 'props'>): readonly string[] =>
  ownStatesIn(inForce(props.states)).map(({ name }) => name);

/**
 * The own states that hold at a control: those around it, and those that it declares, which win over others of the same name.
 *
 * @param around what holds around it, in order.
 */
export function ownStatesNow(
  control: Control,
  kind: Kind,
  circumstances: Circumstances,
  around: readonly string[],
  held: HeldStates | undefined,
): readonly string[] {
  const declared = ownStatesIn(inForce(control.props.states));
  if (declared.length === 0) return around;
  const forced = heldFor(held, control.id);
  const builtIn = declared.some(({ when }) => typeof when === 'string')
    ? statesNow(control.id, kind, valuesOf(control, kind, { ...circumstances, states: { own: [] } }), {
        own: [],
        held,
      })
    : [];
  const holds = declared.filter(({ name, when }) => {
    if (forced.includes(name)) return true;
    if (typeof when === 'string') return builtIn.includes(when);
    try {
      return Boolean(evaluateTemplate(when, circumstances.scope));
    } catch (error) {
      if (!(error instanceof EvaluationError)) throw error;
      return false;
    }
  });
  return [
    ...around.filter((name) => !declared.some((each) => each.name === name)),
    ...holds.map(({ name }) => name),
  ];
}
