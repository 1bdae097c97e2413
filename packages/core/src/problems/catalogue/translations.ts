/** Translations that are not used, and texts that changed after they were translated. */
import type { Project } from '../../document/types.ts';
import { translationFault } from '../../words/faults.ts';
import { sharedName } from '../../words/shared.ts';
import { type StringRow, stringRows } from '../../words/table.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

/** Something about each translation that stands like that. */
const ofRows = (
  project: Project,
  state: StringRow['state'],
  sentence: (row: StringRow, tag: string) => string,
): readonly FoundProblem[] =>
  (project.locales ?? []).slice(1).flatMap((locale) =>
    stringRows(project, locale).flatMap((row): FoundProblem[] => {
      if (row.state !== state || !row.place) return [];
      const { place } = row;
      const said = sentence(row, locale.tag);
      if (!place.control) return [{ place: { in: 'state', variable: sharedName }, sentence: said }];
      const { tree, control, attribute } = place;
      return [{ place: { in: 'control', tree, control, attribute }, sentence: said }];
    }),
  );

export const wrongTranslation: ProblemKind = {
  name: 'translation',
  title: 'Is not used',
  severity: 'error',
  find: (project) =>
    ofRows(
      project,
      'wrong',
      ({ key, place, translation }, tag) =>
        `\`${key}\` in ${tag}: ${place && translation ? translationFault(place, translation.text) : ''} The source text stands there.`,
    ),
};

export const staleTranslation: ProblemKind = {
  name: 'stale',
  title: 'Translated before it changed',
  severity: 'advice',
  find: (project) =>
    ofRows(
      project,
      'stale',
      ({ key, translation }, tag) => `\`${key}\` in ${tag} was made from “${translation?.source}”.`,
    ),
};
