/** How an event asks a request: it goes on when that is answered. */
import type { AskingName } from '../expression/actions/action.ts';
import type { Carry } from '../runtime/carrying-out.ts';

/**
 * Asks for a request, for more of its list, or gives it up.
 *
 * @param given a record of what it is asked with.
 * @returns what went wrong, empty where nothing did; undefined: it was given up, and the event ends.
 */
export type Asks = (how: AskingName, name: string, given: unknown) => Promise<string | undefined>;

/** Carries out `ask`, `more` and `cancel`. */
export const askedBy = (asks: Asks): Carry<'ask'> =>
  function* ({ how, name, given, gives }, scope, doing) {
    const values = given && doing.evaluate(given, scope);
    doing.state.did({ action: `${how} ${name}`, given: given ? [values] : [] });
    const wrong = (yield asks(how, name, values)) as string | undefined;
    return wrong === undefined ? 'return' : doing.goesOn(wrong, gives, scope);
  };
