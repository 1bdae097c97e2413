/**
 * The application's own code, which the project calls as `handlers.NAME(…)`: functions in an object `handlers` of the
 * page, put there by a script of the application's.
 */
import { tellProblem, trial } from './trial.ts';

declare global {
  interface Window {
    readonly handlers?: Readonly<Record<string, unknown>>;
  }
}

export function handlerNamed(name: string): ((...values: readonly unknown[]) => unknown) | undefined {
  const { handlers } = window;
  const found = handlers && Object.hasOwn(handlers, name) ? handlers[name] : undefined;
  // Where the page is tried out there is no code of the application's; the trace says so.
  if (typeof found !== 'function' && !trial) tellProblem(`There is no \`handlers.${name}\`.`);
  return typeof found === 'function' ? (found as (...values: readonly unknown[]) => unknown) : undefined;
}
