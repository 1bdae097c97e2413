/** Tokens, styles and components that nothing uses. */
import { type UnusedFinding, unusedIn, unusedTitles } from '../../checks/unused.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

const of = (check: UnusedFinding['check']): ProblemKind => ({
  name: check,
  title: unusedTitles[check],
  severity: 'advice',
  find: (project) =>
    unusedIn(project)
      .filter((found) => found.check === check)
      .map(({ sentence, fixes }): FoundProblem => ({ place: { in: 'theme' }, sentence, fixes })),
});

export const unusedParts: readonly ProblemKind[] = (
  ['unused-component', 'unused-style', 'unused-token'] as const
).map(of);
