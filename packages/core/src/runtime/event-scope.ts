/** What an event knows on its way, and how its statements end. */
import { newestOf } from '../document/row-identity.ts';
import type { Scope } from '../expression/evaluate.ts';

/** What becomes of the statements behind some: they follow, or are left out up to the end of the round, loop or event. */
export type Ending = 'return' | 'break' | 'continue' | undefined;

/**
 * An event on its way: gives the seconds that it waits, or what it waits for and is told then; in the end what becomes of
 * the statements behind it.
 */
export type Going = Generator<number | Promise<unknown>, Ending, unknown>;

/** Gives what a name holds now. @throws EvaluationError where there is none. */
export interface EventScope extends Scope {
  /** Assigns to a name that the event began itself. */
  put?(name: string, value: unknown): undefined;
  /** What is refused is caught. */
  readonly tries?: boolean | undefined;
}

/** A scope that knows one more name; what it holds may change. A row is what the event has made of it so far. */
export function within(around: EventScope, name: string, first: unknown): EventScope {
  let held = first;
  const scope: EventScope = (each) => (each === name ? newestOf(held) : around(each));
  return Object.assign(scope, {
    put(each: string, value: unknown): undefined {
      if (each === name) held = value;
      else around.put?.(each, value);
    },
    tries: around.tries,
  });
}
