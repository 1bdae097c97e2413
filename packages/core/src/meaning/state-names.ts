/** Names that state variables may have. */
import { nameProblem, valueNameProblem } from '../document/names.ts';
import type { Project } from '../document/types.ts';
import { functionNames } from '../expression/all-functions.ts';

/** Why a source cannot have a name; undefined where it can. */
export function sourceNameProblem(project: Project, name: string): string | undefined {
  return (
    nameProblem(name) ??
    (project.sources?.some((source) => source.name === name)
      ? `There is already a service \`${name}\`.`
      : undefined)
  );
}

/** Why a state variable cannot have a name; undefined where it can. */
export function stateNameProblem(project: Project, name: string, self?: string): string | undefined {
  const problem = valueNameProblem(name);
  if (problem) return problem;
  if (functionNames.has(name)) return `\`${name}\` is a function of expressions.`;
  return project.state.some((variable) => variable.name === name && name !== self)
    ? `There is already a state variable \`${name}\`.`
    : undefined;
}
