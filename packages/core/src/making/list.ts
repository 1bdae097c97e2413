/** A screen that shows the records of a list, with a way to find some of them, and words for when there are none. */

import { spoken } from '../document/spoken.ts';
import type { Column, Project } from '../document/types.ts';
import { addingState, findingIn, shownOf } from './finding.ts';
import { capital, freeScreenName, type Made, makerOf, titledScreen } from './maker.ts';

/** Makes a screen for a list: the first column in front, the others below it, with a search field. */
export function makeList(
  project: Project,
  list: string,
  columns: readonly Column[],
  newId: () => string,
): Made {
  const make = makerOf(newId);
  const screenName = freeScreenName(project, `${capital(list)}List`);
  const [first, ...others] = columns;
  const { variable, found } = findingIn(project, list, columns);
  const screen = titledScreen(make, screenName, spoken(list), { width: '720' }, [
    make('textField', 'find', { label: 'Find', 'value.bind': variable.name }),
    make('repeat', 'rows', { each: `{${found}}`, as: 'row', empty: 'There is nothing here.', gap: '8' }, [
      make(
        'column',
        'row',
        { padding: '12 16', gap: '2', background: 'sheet', corner: '4', 'border-width': '1' },
        [
          make('text', 'first', { text: first ? shownOf('row', first, project) : '', weight: '600' }),
          ...(others.length > 0
            ? [
                make('text', 'others', {
                  text: others.map((column) => shownOf('row', column, project)).join(' · '),
                  'max-width': '520',
                  size: '14',
                  color: 'quiet',
                }),
              ]
            : []),
        ],
      ),
    ]),
  ]);
  return {
    screen,
    steps: [
      ...addingState(variable),
      { type: 'insert', parent: null, index: project.screens.length, control: screen },
    ],
  };
}
