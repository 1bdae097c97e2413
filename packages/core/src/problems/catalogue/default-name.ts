/** Screens that are still called what they were made as: the name stands in their address, and in events. */
import type { FoundProblem, ProblemKind } from '../problem.ts';

export const defaultName: ProblemKind = {
  name: 'default-name',
  title: 'Not named yet',
  severity: 'advice',
  find: (project) =>
    project.screens.flatMap((screen): FoundProblem[] =>
      /^Screen\d*$/.test(screen.name ?? '') && project.screens.length > 1
        ? [
            {
              place: { in: 'control', tree: screen, control: screen },
              sentence: `\`${screen.name}\` is called as it was made: the name stands in the page's address.`,
            },
          ]
        : [],
    ),
};
