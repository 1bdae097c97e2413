/** What a request's parameters follow, as everything begins. */
import type { Request } from '../document/source.ts';
import type { Project } from '../document/types.ts';
import { EvaluationError, evaluate } from '../expression/evaluate.ts';
import { initialScope } from '../expression/initial-scope.ts';
import { parseExpression } from '../expression/parse.ts';

/** @returns values by the names of parameters; one that cannot be worked out is left out. */
export function followedAtStart(
  project: Project,
  { parameters = [] }: Request,
): Readonly<Record<string, unknown>> {
  const scope = initialScope(project);
  return Object.fromEntries(
    parameters.flatMap(({ name, value }) => {
      const read = value === undefined ? undefined : parseExpression(value);
      if (!read?.ok) return [];
      try {
        return [[name, evaluate(read.value, scope)] as const];
      } catch (error) {
        if (error instanceof EvaluationError) return [];
        throw error;
      }
    }),
  );
}
