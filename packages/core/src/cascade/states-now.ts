/** Which states controls are in: those that their values say, those that are held to be looked at, and their own ones. */
import type { StyleSet } from '../document/style-set.ts';
import type { Control } from '../document/types.ts';
import type { Kind } from '../kinds/kind.ts';
import { statesOf } from '../kinds/states.ts';
import { conditionsOf } from './attributes.ts';
import { layersOf } from './cascade.ts';
import type { Values } from './values.ts';

/** States that are shown though nobody is there to bring them about: by control id; under the empty one, of all controls. */
export type HeldStates = ReadonlyMap<string, readonly string[]>;

/** What decides about states at one place. */
export interface StatesAround {
  /** Own states that hold there, declared by the control or around it, in their order. */
  readonly own: readonly string[];
  readonly held?: HeldStates | undefined;
}

const byProps = new WeakMap<Control['props'], boolean>();

/** Whether some values of a record have conditions in front that may be states. */
function hasConditions(props: Control['props']): boolean {
  let known = byProps.get(props);
  if (known === undefined) {
    known = Object.keys(props).some(
      (name) =>
        name.includes('.') &&
        !name.startsWith('on.') &&
        !name.endsWith('.bind') &&
        conditionsOf(name).length > 0,
    );
    byProps.set(props, known);
  }
  return known;
}

/** Whether a control may look otherwise in some state. */
export const mayChange = (
  control: Pick<Control, 'kind' | 'props'>,
  styles: StyleSet,
  named?: string,
): boolean => layersOf(control, styles, named).some(({ props }) => hasConditions(props));

/** The states that are held for a control. */
export const heldFor = (held: HeldStates | undefined, id: string): readonly string[] =>
  held ? [...(held.get('') ?? []), ...(held.get(id) ?? [])] : [];

/** The states that a control is in, the weakest first. @param values of the control outside of all states. */
export function statesNow(
  id: string,
  kind: Kind,
  values: Values,
  { own, held }: StatesAround,
): readonly string[] {
  const forced = heldFor(held, id);
  const said: readonly string[] = kind.statesNow?.(values) ?? [];
  return [...statesOf(kind).filter((state) => said.includes(state) || forced.includes(state)), ...own];
}
