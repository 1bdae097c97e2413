/** A screen with a list's records in a table that can be sorted, and a way to find some of them. */

import { spoken } from '../document/spoken.ts';
import type { Column, Project } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import { addingState, findingIn, shownOf } from './finding.ts';
import { capital, freeScreenName, freeStateName, type Made, makerOf, titledScreen } from './maker.ts';
import { nameReferred } from './referring.ts';

/** Makes a screen with a table of a list; it scrolls sideways where it is too wide. */
export function makeTable(
  project: Project,
  list: string,
  columns: readonly Column[],
  newId: () => string,
): Made {
  const make = makerOf(newId);
  const names = new Set(project.state.map(({ name }) => name));
  const order = freeStateName(names, `order${capital(list)}`);
  const { variable, found } = findingIn(project, list, columns, [order]);
  const title = spoken(list);
  // What people read of a row that is referred to is worked out in a cell.
  const refersSomewhere = columns.some(({ refers }) => nameReferred(refers, project.state) !== undefined);
  const cellOf = (column: Column, index: number) =>
    make(
      'cell',
      `cell${index + 1}`,
      {
        head: spoken(column.name),
        field: column.name,
        ...(column.type === 'number' && !column.refers ? { align: 'end' } : {}),
      },
      [make('text', undefined, { text: shownOf('row', column, project) })],
    );
  const screen = titledScreen(
    make,
    freeScreenName(project, `${capital(list)}Table`),
    title,
    { width: '1120' },
    [
      make('textField', 'find', { label: 'Find', 'value.bind': variable.name, 'max-width': '320' }),
      make(
        'table',
        'rows',
        {
          rows: `{${found}}`,
          ...(refersSomewhere
            ? {}
            : { columns: columns.map(({ name }) => `${name}: ${spoken(name)}`).join(' | ') }),
          label: escapeBraces(title),
          'sort.bind': order,
          background: 'sheet',
          corner: '4',
          'border-width': '1',
        },
        refersSomewhere ? columns.map(cellOf) : [],
      ),
      make('text', 'none', {
        text: 'There is nothing here.',
        color: 'quiet',
        hidden: `{${found}.length > 0}`,
      }),
    ],
  );
  return {
    screen,
    steps: [
      ...addingState(variable, { name: order, type: 'text', initial: '' }),
      { type: 'insert', parent: null, index: project.screens.length, control: screen },
    ],
  };
}
