/** The states that kinds have, and what stands for them on a page. */
import { type BuiltInState, builtInStates } from '../document/control-states.ts';

/**
 * The states of a kind, each with what stands behind the selector of its element on a page while it holds (Selectors 4 §9,
 * §11). Where `:has()` says so, it is a part of the element that has the state.
 */
export type StateSelectors = Readonly<Partial<Record<BuiltInState, string>>>;

/** What everything seen has: a pointer may be over it, and it may be pressed. */
export const pointedAt: StateSelectors = { hover: ':hover', pressed: ':active' };

/** What is pressed as a whole and takes the focus itself. */
export const pressable: StateSelectors = { ...pointedAt, focus: ':focus-visible', disabled: ':disabled' };

/** Fields: what one enters has the focus, and is not valid. */
export const enterable: StateSelectors = {
  ...pointedAt,
  focus: ':has(:focus-visible)',
  disabled: ':has(:disabled)',
  invalid: ':has(:user-invalid, [data-typed]:invalid)',
};

/** What is on or off. */
export const tickable: StateSelectors = { ...enterable, checked: ':has(> :checked)' };

/** The states of a kind, in their order. */
export const statesOf = ({
  states = pointedAt,
}: {
  readonly states?: StateSelectors | undefined;
}): readonly BuiltInState[] => builtInStates.filter((state) => states[state] !== undefined);
