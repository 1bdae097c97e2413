/** What can be named inside a component: its parameters, its own variables, the events that it tells. */

import { stateTypes } from '../document/state.ts';
import type { Surroundings } from '../expression/check.ts';
import type { Definition } from '../reuse/definition.ts';
import { isOneOf } from '../sure.ts';

/** Surroundings inside a component. */
export function insideComponent<T extends Surroundings>(around: T, definition: Definition): T {
  const { parameters, variables, events } = definition;
  const own = [...parameters.values(), ...variables.values()].map(
    ({ name, type }) => [name, isOneOf(stateTypes, type) ? type : 'text'] as const,
  );
  // Where every name is known, every name stays known: of the same class.
  const Names = around.names.constructor as MapConstructor;
  const assigned = new Set(own.map(([name]) => name));
  return {
    ...around,
    names: new Names([...around.names, ...own]),
    computed: new Set([
      ...[...(around.computed ?? [])].filter((name) => !assigned.has(name)),
      ...[...parameters.values()].flatMap(({ name, twoWay }) => (twoWay ? [] : name)),
    ]),
    emits: new Set(events.keys()),
  };
}
