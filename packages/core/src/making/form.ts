/** A screen with a form that asks questions and keeps the answers as a record of a list. */
import { freshName } from '../document/names.ts';
import { emptyValues } from '../document/state.ts';
import type { Control, Project, StateType, StateVariable } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import type { Step } from '../steps/step.ts';
import type { FormQuestion } from './questions.ts';
import { spoken } from './questions.ts';

/** A made screen, and all that it needs, as steps that are taken and taken back together. */
export interface Made {
  readonly screen: Control;
  readonly steps: readonly Step[];
}

/** Makes controls. */
export type Maker = (
  kind: string,
  name: string | undefined,
  props: Readonly<Record<string, string>>,
  children?: readonly Control[],
) => Control;

export const makerOf =
  (newId: () => string): Maker =>
  (kind, name, props, children = []) => ({
    id: newId(),
    kind,
    ...(name === undefined ? {} : { name }),
    props,
    children,
  });

const capital = (name: string) => name.charAt(0).toUpperCase() + name.slice(1);

/** A name that JavaScript takes: what does not belong into one is left out. */
const identifier = (name: string): string => {
  const joined = name
    .split(/[^\p{ID_Continue}]+/u)
    .filter(Boolean)
    .map((word, index) => (index === 0 ? word : capital(word)))
    .join('');
  return /^\p{ID_Start}/u.test(joined) ? joined : `field${capital(joined)}`;
};

/** A record's entry or member by its name, quoted where it must be. */
const isIdentifier = (name: string) => /^[\p{ID_Start}$_][\p{ID_Continue}$]*$/u.test(name);
export const keyText = (name: string): string => (isIdentifier(name) ? name : JSON.stringify(name));
export const memberText = (of: string, name: string): string =>
  isIdentifier(name) ? `${of}.${name}` : `${of}[${JSON.stringify(name)}]`;

/** The names of screens that are not taken. */
export const freeScreenName = (project: Project, wanted: string): string => {
  const taken = (name: string) => project.screens.some((screen) => screen.name === name);
  return taken(wanted) ? freshName(wanted, taken) : wanted;
};

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

function fieldOf(make: Maker, question: Asked): Control {
  const { label, type, values, required, min, max, pattern, long, hint, variable } = question;
  const shared = {
    label: escapeBraces(label),
    [`${type === 'boolean' ? 'checked' : 'value'}.bind`]: variable.name,
    ...(required && type !== 'boolean' ? { required: 'true' } : {}),
    ...(hint && type !== 'boolean' ? { hint: escapeBraces(hint) } : {}),
  };
  const name = `${identifier(question.name)}Field`;
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
    case 'text':
      return long
        ? make('textArea', name, { ...shared, rows: '3' })
        : make('textField', name, { ...shared, ...(pattern ? { pattern: escapeBraces(pattern) } : {}) });
  }
}

/** What keeps the answers from being saved, as an expression; undefined: nothing. */
function refusal(list: string, asked: readonly Asked[]): string | undefined {
  const reasons = asked.flatMap(({ name, type, required, unique, min, max, variable }) => [
    ...(required && (type === 'text' || type === 'date') ? [`${variable.name}.trim() == ''`] : []),
    ...(type === 'number' && min !== undefined ? [`${variable.name} < ${min}`] : []),
    ...(type === 'number' && max !== undefined ? [`${variable.name} > ${max}`] : []),
    ...(unique ? [`${list}.some(row => ${memberText('row', name)} == ${variable.name})`] : []),
  ]);
  return reasons.length > 0 ? reasons.join(' || ') : undefined;
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
    const wanted = `new${capital(identifier(question.name))}`;
    const name = names.has(wanted) ? freshName(wanted, (each) => names.has(each)) : wanted;
    names.add(name);
    const type = stateTypes[question.type];
    const [first] = question.values;
    const initial = type === 'text' && first !== undefined ? first : (question.min ?? emptyValues[type]);
    return {
      ...question,
      variable: { name, type, initial: type === 'number' || type === 'text' ? initial : emptyValues[type] },
    };
  });
  const make = makerOf(newId);
  const record = asked.map(({ name, variable }) => `${keyText(name)}: ${variable.name}`).join(', ');
  const emptied = asked.map(({ variable: { name, initial } }) => `${name} = ${JSON.stringify(initial)}`);
  const refused = refusal(list, asked);
  const screenName = freeScreenName(project, `${capital(identifier(list))}Form`);
  const screen = make('screen', screenName, { title: escapeBraces(title) }, [
    make(
      'column',
      'page',
      { width: '100%', 'max-width': '560', 'align-self': 'center', padding: '20 16', gap: '20' },
      [
        make('heading', 'heading', { text: escapeBraces(title), level: '1' }),
        make(
          'column',
          'form',
          { gap: '16' },
          asked.map((question) => fieldOf(make, question)),
        ),
        make('row', 'actions', { gap: '12', justify: 'end' }, [
          make('button', 'save', {
            text: 'Save',
            'min-height': '44',
            ...(refused ? { disabled: `{${refused}}` } : {}),
            'on.press': [`${list} = [...${list}, { ${record} }]`, ...emptied, 'message("Saved.")'].join('; '),
          }),
        ]),
      ],
    ),
  ]);
  const there = project.state.some(({ name }) => name === list);
  const state = [
    ...project.state,
    ...(there ? [] : [{ name: list, type: 'list', initial: [] } as const]),
    ...asked.map(({ variable }) => variable),
  ];
  return {
    screen,
    steps: [
      { type: 'project', key: 'state', value: state },
      { type: 'insert', parent: null, index: project.screens.length, control: screen },
    ],
  };
}

/** The name of a list variable for what a form is called: `Gear for hire` is kept in `gearForHire`. */
export function listName(title: string): string {
  const name = identifier(title);
  return name.charAt(0).toLowerCase() + name.slice(1);
}

/** What a list is called where nothing else is said: its name as one says it. */
export const titleOfList = (list: string): string => spoken(list);
