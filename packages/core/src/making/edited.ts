/** A screen on which a list's records are edited where they stand, taken away, and added. */

import { keyText, memberText } from '../document/member-text.ts';
import { spoken } from '../document/spoken.ts';
import type { Column, Control, Project } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import { capital, freeScreenName, type Made, type Maker, makerOf, titledScreen } from './maker.ts';
import { nameReferred } from './referring.ts';

/** The field of a column, bound to the row's own value. */
function fieldOf(make: Maker, column: Column, index: number, state: Project['state']): Control {
  const { name, type, required, role, values, refers, min, max } = column;
  const shared = {
    label: escapeBraces(spoken(name)),
    [`${type === 'boolean' ? 'checked' : 'value'}.bind`]: memberText('row', name),
    ...((required || role === 'key') && type !== 'boolean' ? { required: 'true' } : {}),
  };
  const called = `field${index + 1}`;
  const wide = { width: 'share', 'min-width': '140' };
  if (refers) {
    const value = memberText('each', refers.column);
    const shown = memberText('each', nameReferred(refers, state) ?? refers.column);
    const options = `{${refers.list}.map(each => ({ value: ${value}, label: ${shown} }))}`;
    return make('select', called, { ...shared, ...wide, placeholder: 'Choose one', options });
  }
  if (values && values.length > 0)
    return make('select', called, { ...shared, ...wide, options: escapeBraces(values.join(' | ')) });
  switch (type) {
    case 'boolean':
      return make('checkbox', called, shared);
    case 'number':
      return make('numberField', called, {
        ...shared,
        width: '120',
        ...(min === undefined ? {} : { min: String(min) }),
        ...(max === undefined ? {} : { max: String(max) }),
      });
    case 'date':
      return make('dateField', called, { ...shared, width: '170' });
    case 'text':
      return make('textField', called, { ...shared, ...wide });
  }
}

/** What a new row has in a column that must have something, so that it can be added and then edited; undefined: nothing. */
function begins(
  list: string,
  { type, required, unique, role, values, refers, min }: Column,
): string | undefined {
  const isKey = role === 'key';
  if (!required && !isKey && values === undefined) return undefined;
  if (refers) return memberText(`${refers.list}[0]`, refers.column);
  if (values?.[0] !== undefined) return JSON.stringify(values[0]);
  switch (type) {
    case 'boolean':
      return 'false';
    case 'number':
      return unique ? `${list}.length + 1` : String(min ?? 0);
    case 'date':
      return 'View.today';
    case 'text':
      return unique || isKey ? `"New " + (${list}.length + 1)` : '"New"';
  }
}

const emptyRow = (list: string, columns: readonly Column[]): string => {
  const entries = columns.flatMap((column) => {
    const value = begins(list, column);
    return value === undefined ? [] : `${keyText(column.name)}: ${value}`;
  });
  return entries.length > 0 ? `{ ${entries.join(', ')} }` : '{}';
};

/** Makes a screen with the records of a list as rows of fields. */
export function makeEdited(
  project: Project,
  list: string,
  columns: readonly Column[],
  newId: () => string,
): Made {
  const make = makerOf(newId);
  const title = spoken(list);
  // A key that is a number is given by the table itself.
  const shown = columns.filter(({ role, type }) => role !== 'key' || type !== 'number');
  const row = make(
    'row',
    'row',
    {
      padding: '12 16',
      gap: '12',
      align: 'end',
      wrap: 'true',
      background: 'sheet',
      corner: '4',
      'border-width': '1',
    },
    [
      ...shown.map((column, index) => fieldOf(make, column, index, project.state)),
      make('iconButton', 'remove', {
        text: 'Remove',
        icon: 'trash-2',
        width: '44',
        height: '44',
        'on.press': `remove(${list}, row)`,
      }),
    ],
  );
  const screen = titledScreen(
    make,
    freeScreenName(project, `${capital(list)}Edit`),
    title,
    { width: '1120' },
    [
      make('repeat', 'rows', { each: `{${list}}`, as: 'row', empty: 'There is nothing here.', gap: '8' }, [
        row,
      ]),
      make('button', 'add', {
        text: 'Add one',
        icon: 'plus',
        'align-self': 'start',
        'min-height': '44',
        'on.press': `add(${list}, ${emptyRow(list, shown)}); focus("field1", ${list}.at(-1))`,
      }),
    ],
  );
  return {
    screen,
    steps: [{ type: 'insert', parent: null, index: project.screens.length, control: screen }],
  };
}
