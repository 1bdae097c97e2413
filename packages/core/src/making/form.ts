/** A screen with a form that asks questions and keeps the answers as a record of a list. */
import { keyText, memberText } from '../document/member-text.ts';
import { emptyValues } from '../document/state.ts';
import type { Control, Project, Reference, StateType, StateVariable } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import { addingState } from './finding.ts';
import {
  capital,
  freeScreenName,
  freeStateName,
  identifier,
  type Made,
  type Maker,
  makerOf,
  titledScreen,
} from './maker.ts';
import type { FormQuestion } from './questions.ts';
import { nameReferred } from './referring.ts';

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

/** A field of a form as it is made: for which list, in which project. */
interface Asking {
  readonly make: Maker;
  readonly list: string;
  readonly project: Project;
}

/** What a select of referred rows offers: what the column holds, and what people read of the row. */
function referredOptions(refers: Reference, state: readonly StateVariable[]): string {
  const value = memberText('row', refers.column);
  const shown = nameReferred(refers, state);
  return shown === undefined
    ? `{${refers.list}.map(row => ${value})}`
    : `{${refers.list}.map(row => ({ value: ${value}, label: ${memberText('row', shown)} }))}`;
}

function fieldOf({ make, list, project }: Asking, question: Asked): Control {
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
      placeholder: 'Choose one',
      options: referredOptions(refers, project.state),
    });
  if (values.length > 0)
    return make('select', name, {
      ...shared,
      ...(variable.initial === values[0] ? {} : { placeholder: 'Choose one' }),
      options: escapeBraces(values.join(' | ')),
    });
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

/** The variable of an answer that is being given: what has to be chosen, or is a number, is nothing at first. */
function answerOf(name: string, { type, values, refers }: FormQuestion): StateVariable {
  const held = stateTypes[type];
  if (held === 'number') return { name, type: held, nullable: true, initial: null };
  const [first] = refers ? [] : values;
  return { name, type: held, initial: held === 'text' && first !== undefined ? first : emptyValues[held] };
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
    return { ...question, variable: answerOf(name, question) };
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
        ...asked.map((question) => fieldOf({ make, list, project }, question)),
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
