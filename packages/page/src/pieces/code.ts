/** The project's own code, which a script in front of the page's brings: its functions can be called by expressions. */
import { EvaluationError, isPlain } from '@hovrin/core/runtime';
import { tellProblem } from '../trial.ts';
import type { Piece } from './piece.ts';

declare global {
  interface Window {
    /** What the script of the project's own code has made. */
    readonly hovrinCode?: {
      readonly functions: Readonly<Record<string, unknown>>;
      /** What went wrong as its files were read, as sentences. */
      readonly problems: readonly string[];
    };
  }
}

export const piece: Piece = ({ defaultView }, { addFunctions }) => {
  const { functions = {}, problems = [] } = defaultView?.hovrinCode ?? {};
  for (const problem of problems) tellProblem(problem);
  addFunctions(
    Object.fromEntries(
      Object.entries(functions).flatMap(([name, own]) =>
        typeof own === 'function' ? [[`code.${name}`, (...given: unknown[]) => plainly(own(...given))]] : [],
      ),
    ),
  );
};

/** What a function gives, where that is plain data. */
function plainly(value: unknown): unknown {
  if (value instanceof Promise)
    throw new EvaluationError('it gives a promise; what an expression calls cannot be waited for.');
  if (!isPlain(value)) throw new EvaluationError('it gives something else than plain data.');
  return value;
}
