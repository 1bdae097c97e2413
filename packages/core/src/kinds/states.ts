/** The states that kinds have, and what stands for them on a page. */
import { type BuiltInState, builtInStates } from '../document/control-states.ts';

/**
 * The states of a kind, each with what stands behind the selector of its element on a page while it holds (Selectors 4 §9,
 * §11). Where `:has()` says so, it is a part of the element that has the state.
 */
export type StateSelectors = Readonly<Partial<Record<BuiltInState, string>>>;

/** What everything seen has: a pointer may be over it, it may be pressed, and what is pressed takes the focus. */
export const pointedAt: StateSelectors = { hover: ':hover', focus: ':focus-visible', pressed: ':active' };

/** What is pressed as a whole, and may be turned off. */
export const pressable: StateSelectors = { ...pointedAt, disabled: ':disabled' };

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
