/** Names that state variables may have. */
import { valueNameProblem } from '../document/names.ts';
import type { Project } from '../document/types.ts';
import { functionNames } from '../expression/all-functions.ts';

/** Why a state variable cannot have a name; undefined where it can. */
export function stateNameProblem(project: Project, name: string, self?: string): string | undefined {
  const problem = valueNameProblem(name);
  if (problem) return problem;
  if (functionNames.has(name)) return `\`${name}\` is a function of expressions.`;
  return project.state.some((variable) => variable.name === name && name !== self)
    ? `There is already a state variable \`${name}\`.`
    : undefined;
}
