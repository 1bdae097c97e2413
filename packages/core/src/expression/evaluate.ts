/**
 * Works out expressions over plain data. Each is made into a function once (`compile.ts`); a budget ends whatever would not
 * end by itself.
 */

import { messageOf } from '../document/error-message.ts';
import type { Expression, Template } from './ast.ts';
import { EvaluationError } from './budget.ts';
import { compiled, type Frame, type Scope } from './compile.ts';
import { plain, Work } from './work.ts';

export { EvaluationError } from './budget.ts';
export type { Scope } from './compile.ts';
export { longestList, longestText } from './limits.ts';

/** No function is around. */
const none: readonly unknown[] = [];

/**
 * Works out an expression.
 *
 * @throws EvaluationError with a sentence for the developer.
 */
export function evaluate(expression: Expression, scope: Scope): unknown {
  return guarded(() =>
    plain(compiled(expression)({ work: new Work(), scope, values: none, around: undefined })),
  );
}

/** Works out a value with expressions: one expression keeps its type, anything else becomes text. */
export function evaluateTemplate(template: Template, scope: Scope): unknown {
  return guarded(() => {
    const frame: Frame = { work: new Work(), scope, values: none, around: undefined };
    const [first] = template.parts;
    if (template.whole && first !== undefined && typeof first !== 'string')
      return plain(compiled(first)(frame));
    return frame.work.text(
      template.parts.map((part) => (typeof part === 'string' ? part : compiled(part)(frame))),
    );
  });
}

/** A value as a person reads it: nothing for null and undefined, lists with commas. */
export function asText(value: unknown): string {
  return guarded(() => new Work().text([value]));
}

function guarded<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof EvaluationError) throw error;
    throw new EvaluationError(
      error instanceof RangeError ? 'This is nested too deeply or too long to work out.' : messageOf(error),
    );
  }
}
