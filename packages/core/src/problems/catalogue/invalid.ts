/** Values that are not valid, name what is gone, or give something else than is wanted. */
import { walk } from '../../document/tree.ts';
import { inForce, type Project, treesOf } from '../../document/types.ts';
import { attributeProblems } from '../../meaning/problems.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

export const invalid: ProblemKind = {
  name: 'invalid',
  title: 'Not valid',
  severity: 'error',
  find: (project: Project) =>
    treesOf(project).flatMap((tree) =>
      [...walk(tree)].flatMap((control) =>
        attributeProblems(project, control).map(({ attribute, message, at, holds }): FoundProblem => {
          const value = control.props[attribute];
          // Of a draft the last good value runs; what holds runs as it is.
          const isDraft = typeof value === 'object' && inForce(value) !== undefined;
          return {
            place: { in: 'control', tree, control, ...(attribute ? { attribute, at } : {}) },
            severity: holds || isDraft ? 'warning' : 'error',
            sentence: attribute ? `\`${attribute}\`: ${message}` : message,
          };
        }),
      ),
    ),
};
