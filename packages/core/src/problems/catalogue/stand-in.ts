/** Feeds and services that only Hovrin plays: where the page runs, nothing comes unless it is told from where. */
import { standInFolder } from '../../document/feed.ts';
import { configFile } from '../../document/feed-config.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

export const standIn: ProblemKind = {
  name: 'stand-in',
  title: 'Comes from a stand-in',
  severity: 'advice',
  find: (project) => [
    ...(project.sources ?? []).flatMap(({ name, base }): FoundProblem[] =>
      base.startsWith(standInFolder)
        ? [
            {
              place: { in: 'source', source: name },
              sentence: `\`${name}\` is at \`${base}\`, which only Hovrin plays: where the page runs, \`${configFile}\` says where it is.`,
            },
          ]
        : [],
    ),
    ...project.state.flatMap(({ name, feed }): FoundProblem[] =>
      feed?.address.startsWith(standInFolder)
        ? [
            {
              place: { in: 'state', variable: name },
              sentence: `\`${name}\` comes from \`${feed.address}\`, which only Hovrin plays: where the page runs, \`${configFile}\` says from where it comes.`,
            },
          ]
        : [],
    ),
  ],
};
