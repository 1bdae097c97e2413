/** A screen with a list's records on one side and all of one record on the other; one at a time where there is no room. */

import { spoken } from '../document/spoken.ts';
import type { Column, Project, StateVariable } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import { addingState, findingIn, shownOf } from './finding.ts';
import { capital, freeScreenName, freeStateName, type Made, makerOf, titledScreen } from './maker.ts';

/** Makes a list whose pressed record is shown in full beside it. */
export function makeListWithDetail(
  project: Project,
  list: string,
  columns: readonly Column[],
  newId: () => string,
): Made {
  const make = makerOf(newId);
  const names = new Set(project.state.map(({ name }) => name));
  const free = (wanted: string): string => {
    const name = freeStateName(names, wanted);
    names.add(name);
    return name;
  };
  const chosen = free(`chosen${capital(list)}`);
  const open = free(`${list}Open`);
  const shown = free(`shown${capital(list)}`);
  const { variable, found } = findingIn(project, list, columns, [chosen, open, shown]);
  const title = spoken(list);
  const [first, second] = columns;
  const panel = { background: 'sheet', corner: '4', 'border-width': '1' };
  const screen = titledScreen(
    make,
    freeScreenName(project, `${capital(list)}Browser`),
    title,
    { width: '1120' },
    [
      make('split', 'both', { ratio: '2/3', show: `{${open} ? 'second' : 'first'}`, gap: '16' }, [
        make('column', 'list', { 'min-width': '240', gap: '12' }, [
          make('textField', 'find', { label: 'Find', 'value.bind': variable.name, width: '100%' }),
          make(
            'repeat',
            'rows',
            { each: `{${found}}`, as: 'row', empty: 'There is nothing here.', gap: '8' },
            [
              make(
                'column',
                'row',
                {
                  padding: '12 16',
                  gap: '2',
                  ...panel,
                  background: `{${list}.indexOf(row) == ${chosen} ? 'tint' : 'sheet'}`,
                  'on.press': `${chosen} = ${list}.indexOf(row); ${open} = true`,
                },
                [
                  make('text', 'first', { text: first ? shownOf('row', first) : '', weight: '600' }),
                  ...(second
                    ? [make('text', 'second', { text: shownOf('row', second), size: '14', color: 'quiet' })]
                    : []),
                ],
              ),
            ],
          ),
        ]),
        make(
          'column',
          'detail',
          { 'min-width': '280', padding: '20 16', gap: '16', align: 'start', ...panel },
          [
            make('button', 'back', {
              text: escapeBraces(`All ${title.toLowerCase()}`),
              icon: 'arrow-left',
              tone: 'plain',
              'min-height': '44',
              'desk.hidden': 'true',
              'on.press': `${open} = false`,
            }),
            ...columns.map((column, index) =>
              make('column', `detail${index + 1}`, { gap: '2', width: '100%' }, [
                make('text', undefined, {
                  text: escapeBraces(spoken(column.name)),
                  size: '13',
                  color: 'quiet',
                }),
                make('text', undefined, {
                  text: shownOf(shown, column),
                  ...(index === 0 ? { size: '20', weight: '600' } : {}),
                }),
              ]),
            ),
          ],
        ),
      ]),
    ],
  );
  const variables: readonly StateVariable[] = [
    variable,
    { name: chosen, type: 'number', initial: 0 },
    { name: open, type: 'boolean', initial: false },
    {
      name: shown,
      type: 'record',
      initial: {},
      computed: `${list}[${chosen}] ?? ${list}[0] ?? {}`,
    },
  ];
  return {
    screen,
    steps: [
      ...addingState(...variables),
      { type: 'insert', parent: null, index: project.screens.length, control: screen },
    ],
  };
}
