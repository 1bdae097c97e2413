/** How a page's stylesheet says that a control is in a state: pseudo-classes of its element, and a mark that the script sets for own states. */
import { declaredStates } from '../cascade/own-states.ts';
import { type BuiltInState, builtInStates } from '../document/control-states.ts';
import { type Control, inForce } from '../document/types.ts';
import { ownStatesIn } from '../expression/own-states.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { pointedAt } from '../kinds/states.ts';
import { isOneOf } from '../sure.ts';

/** Where the states of a control are declared: the control itself, then what it stands in, the innermost first. */
export interface InStates {
  readonly path: readonly Control[];
  readonly selectorOf: (control: Control) => string;
}

/** What stands behind a control's selector while it is in a built-in state; undefined where its kind has none such. */
const builtIn = (control: Control, state: BuiltInState): string | undefined =>
  (kindOf(control).states ?? pointedAt)[state];

/**
 * The selector of a control in a state.
 *
 * @param selector the control's own. @param state undefined: in any.
 * @returns undefined where it is never in that state.
 */
export function selectorInState(
  selector: string,
  state: string | undefined,
  { path, selectorOf }: InStates,
): string | undefined {
  if (state === undefined) return selector;
  const [control] = path;
  if (!control) return undefined;
  if (isOneOf(builtInStates, state)) {
    const suffix = builtIn(control, state);
    return suffix === undefined ? undefined : `${selector}${suffix}`;
  }
  const declarer = path.find((each) => declaredStates(each).includes(state));
  const declared = declarer && ownStatesIn(inForce(declarer.props.states)).find(({ name }) => name === state);
  if (!declared) return undefined;
  const suffix =
    typeof declared.when === 'string' ? builtIn(declarer, declared.when) : `[data-states~="${state}"]`;
  if (suffix === undefined) return undefined;
  return declarer === control
    ? `${selector}${suffix}`
    : `${selectorOf(declarer)}${suffix} ${innermost(selector)}`;
}

/** A selector without the screen in front: what it stands in is said by another. */
const innermost = (selector: string): string => selector.slice(selector.indexOf(' ') + 1);
