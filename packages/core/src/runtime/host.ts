/** What a runtime needs of what runs it. */
import type { brokenRule } from '../document/row-rules.ts';
import type { StateValue } from '../document/types.ts';
import type { Acting } from '../expression/actions/action.ts';
import type { ViewName, ViewValue } from '../expression/view-names.ts';
import type { Trace } from './trace.ts';

/** What the runtime needs from the page or test that runs it. */
export interface Host {
  /** Does what an event asks for. */
  readonly acting: Acting;
  /** The application's own code of a name; undefined where there is none (yet). */
  handler?(name: string): ((...values: readonly unknown[]) => unknown) | undefined;
  /** Something went wrong; the rest goes on running. */
  problem(message: string): void;
  /** What a variable held when the application was last closed; undefined: nothing is known. */
  kept?(name: string): unknown;
  /** Keeps what a variable holds for the next time. */
  keep?(name: string, value: StateValue): void;
  /** Tells what a name of `View` holds, now and after each change; asked once for each that something reads. */
  see?(name: ViewName, hold: (value: ViewValue) => void): void;
  /** Checks a cell against its column's rules. A page whose columns have no rules leaves it out. */
  brokenRule?: typeof brokenRule;
  /** Hears of each event that was carried out; where it is absent nothing is written down. */
  traced?(trace: Trace): void;
}
