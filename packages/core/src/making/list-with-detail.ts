/** A screen with a list's records on one side and all of one record on the other; one at a time where there is no room. */

import { memberText } from '../document/member-text.ts';
import { keyOf } from '../document/row-identity.ts';
import { spoken } from '../document/spoken.ts';
import type { Column, Control, Project, StateVariable } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import { addingState, findingIn, shownOf } from './finding.ts';
import { capital, freeScreenName, freeStateName, type Made, makerOf, titledScreen } from './maker.ts';

/** The screen being made: what its controls say of the list and of each other. */
interface Browsing {
  readonly make: ReturnType<typeof makerOf>;
  readonly project: Project;
  readonly list: string;
  readonly columns: readonly Column[];
  /** What the list is called, in words. */
  readonly title: string;
  /** State variables: the record as it was chosen, whether it is open, the record as it is now. */
  readonly chosen: string;
  readonly open: string;
  readonly shown: string;
  /** The variable that holds what is searched for, and the expression of the records found. */
  readonly find: string;
  readonly found: string;
}

const panel = { background: 'sheet', corner: '4', 'border-width': '1' };

/** A record in the list: its first two columns, pressed to open it. */
function rowOf({ make, project, columns: [first, second], chosen, open, shown }: Browsing): Control {
  return make(
    'column',
    'row',
    {
      padding: '12 16',
      gap: '2',
      ...panel,
      background: `{Rows.same(row, ${shown}) ? 'tint' : 'sheet'}`,
      'on.press': `${chosen} = row; ${open} = true`,
    },
    [
      make('text', 'first', { text: first ? shownOf('row', first, project) : '', weight: '600' }),
      ...(second
        ? [make('text', 'second', { text: shownOf('row', second, project), size: '14', color: 'quiet' })]
        : []),
    ],
  );
}

function listOf(browsing: Browsing): Control {
  const { make, find, found } = browsing;
  const rows = { each: `{${found}}`, as: 'row', empty: 'There is nothing here.', gap: '8' };
  return make('column', 'list', { 'min-width': '240', gap: '12' }, [
    make('textField', 'find', { label: 'Find', 'value.bind': find, width: '100%' }),
    make('repeat', 'rows', rows, [rowOf(browsing)]),
  ]);
}

/** All columns of the record that is shown. */
function detailOf({ make, project, columns, title, open, shown }: Browsing): Control {
  const place = { 'min-width': '280', padding: '20 16', gap: '16', align: 'start', ...panel };
  return make('column', 'detail', place, [
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
        make('text', undefined, { text: escapeBraces(spoken(column.name)), size: '13', color: 'quiet' }),
        make('text', undefined, {
          text: shownOf(shown, column, project),
          ...(index === 0 ? { size: '20', weight: '600' } : {}),
        }),
      ]),
    ),
  ]);
}

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
  const browsing = { make, project, list, columns, title, chosen, open, shown, find: variable.name, found };
  const screenName = freeScreenName(project, `${capital(list)}Browser`);
  const screen = titledScreen(make, screenName, title, { width: '1120' }, [
    make('split', 'both', { ratio: '2/3', show: `{${open} ? 'second' : 'first'}`, gap: '16' }, [
      listOf(browsing),
      detailOf(browsing),
    ]),
  ]);
  const key = keyOf(columns);
  const isChosen =
    key === undefined
      ? `Rows.same(row, ${chosen})`
      : `${memberText('row', key)} == ${memberText(chosen, key)}`;
  const computed = `${list}.find(row => ${isChosen}) ?? ${list}[0] ?? {}`;
  const variables: readonly StateVariable[] = [
    variable,
    { name: chosen, type: 'record', initial: {} },
    { name: open, type: 'boolean', initial: false },
    { name: shown, type: 'record', initial: {}, computed },
  ];
  return {
    screen,
    steps: [
      ...addingState(...variables),
      { type: 'insert', parent: null, index: project.screens.length, control: screen },
    ],
  };
}
