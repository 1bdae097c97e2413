/** A screen that shows the records of a list, with a way to find some of them and words for when there are none. */
import type { Column, Project } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import { capital, freeScreenName, freeStateName, type Made, makerOf, memberText } from './maker.ts';
import { spoken } from './questions.ts';

/** What a cell reads like, as an expression. */
function shown({ name, type }: Column): string {
  const value = memberText('row', name);
  if (type === 'number') return `{Format.number(${value})}`;
  if (type === 'date') return `{Format.date(${value})}`;
  return type === 'boolean' ? `{${value} ? 'yes' : 'no'}` : `{${value}}`;
}

/** Makes a screen of a list: its first column in front, the others below it, found by what one types. */
export function makeList(
  project: Project,
  list: string,
  columns: readonly Column[],
  newId: () => string,
): Made {
  const make = makerOf(newId);
  const screenName = freeScreenName(project, `${capital(list)}List`);
  const names = new Set(project.state.map(({ name }) => name));
  const wanted = freeStateName(names, `find${capital(list)}`);
  const [first, ...others] = columns;
  const text = columns.map(({ name }) => `(${memberText('row', name)} ?? '')`).join(" + ' ' + ");
  const found = `${list}.filter(row => (${text || "''"} + '').toLowerCase().includes(${wanted}.trim().toLowerCase()))`;
  const screen = make('screen', screenName, { title: escapeBraces(spoken(list)) }, [
    make(
      'column',
      'page',
      { width: '100%', 'max-width': '720', 'align-self': 'center', padding: '20 16', gap: '16' },
      [
        make('heading', 'heading', { text: escapeBraces(spoken(list)), level: '1' }),
        make('textField', 'find', { label: 'Find', 'value.bind': wanted }),
        make('text', 'none', {
          text: 'There is nothing here.',
          color: 'quiet',
          hidden: `{${found}.length > 0}`,
        }),
        make('repeat', 'rows', { each: `{${found}}`, as: 'row', gap: '8' }, [
          make(
            'column',
            'row',
            { padding: '12 16', gap: '2', background: 'sheet', corner: '4', 'border-width': '1' },
            [
              make('text', 'first', { text: first ? shown(first) : '', weight: '600' }),
              ...(others.length > 0
                ? [
                    make('text', 'others', {
                      text: others.map((column) => shown(column)).join(' · '),
                      'max-width': '520',
                      size: '14',
                      color: 'quiet',
                    }),
                  ]
                : []),
            ],
          ),
        ]),
      ],
    ),
  ]);
  return {
    screen,
    steps: [
      {
        type: 'project',
        key: 'state',
        value: [...project.state, { name: wanted, type: 'text', initial: '' }],
      },
      { type: 'insert', parent: null, index: project.screens.length, control: screen },
    ],
  };
}
