/** States that the values of controls say. */
import type { Values } from '../cascade/values.ts';
import type { BuiltInState } from '../document/control-states.ts';
import { disabled } from './properties.ts';

const off: readonly BuiltInState[] = ['disabled'];
const none: readonly BuiltInState[] = [];

/** Whether it is off, by its own value or since that is looked at. */
export const isOff = (values: Values): boolean => values.flag(disabled) || values.isIn('disabled');

/** What may be turned off. */
export const offStates = (values: Values): readonly BuiltInState[] => (values.flag(disabled) ? off : none);
