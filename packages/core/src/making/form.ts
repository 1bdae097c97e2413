/** A screen with a form that asks questions and keeps the answers as a record of a list. */
import { emptyValues } from '../document/state.ts';
import { referredValues } from '../document/table.ts';
import type { Control, Project, StateType, StateVariable } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import { addingState } from './finding.ts';
import {
  capital,
  freeScreenName,
  freeStateName,
  identifier,
  keyText,
  type Made,
  type Maker,
  makerOf,
  memberText,
  titledScreen,
} from './maker.ts';
import type { FormQuestion } from './questions.ts';

const stateTypes: Readonly<Record<FormQuestion['type'], StateType>> = {
  text: 'text',
  number: 'number',
  boolean: 'boolean',
  date: 'date',
};

/** A question with the variable that holds its answer while it is being given. */
interface Asked extends FormQuestion {
  readonly variable: StateVariable;
}

function fieldOf(make: Maker, list: string, question: Asked): Control {
  const { label, type, values, refers, required, unique, min, max, pattern, long, hint, variable } = question;
  const shared = {
    label: escapeBraces(label),
    [`${type === 'boolean' ? 'checked' : 'value'}.bind`]: variable.name,
    ...(required && type !== 'boolean' ? { required: 'true' } : {}),
    ...(hint && type !== 'boolean' ? { hint: escapeBraces(hint) } : {}),
    ...(unique && type !== 'boolean'
      ? {
          valid: `{!${list}.some(row => ${memberText('row', question.name)} == ${variable.name})}`,
          message: 'This is there already',
        }
      : {}),
  };
  const name = `${identifier(question.name)}Field`;
  if (refers)
    return make('select', name, {
      ...shared,
      options: `{${refers.list}.map(row => ${memberText('row', refers.column)})}`,
    });
  if (values.length > 0)
    return make('select', name, { ...shared, options: escapeBraces(values.join(' | ')) });
  switch (type) {
    case 'boolean':
      return make('checkbox', name, shared);
    case 'number':
      return make('numberField', name, {
        ...shared,
        ...(min === undefined ? {} : { min: String(min) }),
        ...(max === undefined ? {} : { max: String(max) }),
      });
    case 'date':
      return make('dateField', name, shared);
    case 'text': {
      const lengths = {
        ...(question.minLength === undefined ? {} : { 'min-length': String(question.minLength) }),
        ...(question.maxLength === undefined ? {} : { 'max-length': String(question.maxLength) }),
      };
      return long
        ? make('textArea', name, { ...shared, ...lengths, rows: '3' })
        : make('textField', name, {
            ...shared,
            ...lengths,
            ...(pattern ? { pattern: escapeBraces(pattern) } : {}),
          });
    }
  }
}

/**
 * Makes a screen that asks for one record of a list and adds it.
 *
 * @param list the list that it is added to; it is made where there is none of that name.
 * @param title what the screen is called, to people.
 */
export function makeForm(
  project: Project,
  list: string,
  title: string,
  questions: readonly FormQuestion[],
  newId: () => string,
): Made {
  const names = new Set(project.state.map(({ name }) => name));
  const asked = questions.map((question): Asked => {
    const name = freeStateName(names, `new${capital(identifier(question.name))}`);
    names.add(name);
    const type = stateTypes[question.type];
    const [first] = [...(referredValues(question.refers, project.state) ?? question.values)];
    const initial = type === 'text' && first !== undefined ? first : (question.min ?? emptyValues[type]);
    return {
      ...question,
      variable: { name, type, initial: type === 'number' || type === 'text' ? initial : emptyValues[type] },
    };
  });
  const make = makerOf(newId);
  const record = asked.map(({ name, variable }) => `${keyText(name)}: ${variable.name}`).join(', ');
  const emptied = asked.map(({ variable: { name } }) => name).join(', ');
  const screenName = freeScreenName(project, `${capital(identifier(list))}Form`);
  const screen = titledScreen(make, screenName, title, { width: '560', gap: '20' }, [
    make(
      'form',
      'form',
      {
        gap: '16',
        'on.submit': [`add(${list}, { ${record} })`, `reset(${emptied})`, 'message("Saved.")'].join('; '),
      },
      [
        ...asked.map((question) => fieldOf(make, list, question)),
        make('row', 'actions', { gap: '12', justify: 'end' }, [
          make('button', 'save', { text: 'Save', submits: 'true', 'min-height': '44' }),
        ]),
      ],
    ),
  ]);
  const there = project.state.some(({ name }) => name === list);
  const variables = [
    ...(there ? [] : [{ name: list, type: 'list', initial: [] } as const]),
    ...asked.map(({ variable }) => variable),
  ];
  return {
    screen,
    steps: [
      ...addingState(...variables),
      { type: 'insert', parent: null, index: project.screens.length, control: screen },
    ],
  };
}
