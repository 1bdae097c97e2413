/** Shared words that something reads and nobody wrote. */
import { didYouMean } from '../../document/nearest.ts';
import { sharedKey, sharedWords } from '../../words/shared.ts';
import { sharedReads } from '../../words/shared-reads.ts';
import type { ProblemKind } from '../problem.ts';

export const missingWords: ProblemKind = {
  name: 'shared-words',
  title: 'Reads words that are not there',
  severity: 'warning',
  find(project) {
    const names = sharedWords(project).map(([name]) => name);
    return sharedReads(project).flatMap(({ name, tree, control, attribute, from }) =>
      names.includes(name)
        ? []
        : [
            {
              place: { in: 'control', tree, control, attribute, at: from },
              sentence: `There are no shared words \`${sharedKey(name)}\`.${didYouMean(name, names)}`,
            },
          ],
    );
  },
};
