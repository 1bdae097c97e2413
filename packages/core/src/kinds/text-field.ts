/** One line of words to type, under its label. */

import type { Values } from '../cascade/values.ts';
import { autofillType, type Entry, lineType, textType } from '../property-types/index.ts';
import { typedEvents } from './events.ts';
import {
  entered,
  fieldBox,
  fieldCss,
  fieldElement,
  fieldInside,
  fieldProperties,
  fieldStates,
  inputAttribute,
  inputAttributes,
  inputCss,
  lengthAttributes,
  lengths,
  placeholder,
} from './field.ts';
import type { Kind, Manner, PageElement, Property } from './kind.ts';
import { entriesOf, optionElement, options } from './options.ts';

const own = {
  value: entered(textType, ['text', 'number']),
  pattern: inputAttribute('pattern', 'Pattern', textType),
  type: {
    ...inputAttribute('type', 'Type', lineType),
    effect: 'look',
    says: 'What the line is: a password is shown as dots; an email, telephone number or address brings its own keys.',
  },
  autocomplete: {
    ...inputAttribute('autocomplete', 'Autofill', autofillType),
    plain: true,
    says: 'What a browser may fill in by itself (WCAG 1.3.5).',
  },
} as const;

/** What stands in the box: of a password its dots. */
const shownIn = (values: Values): string => {
  const value = values.text(own.value);
  return values.get(own.type) === 'password' ? '•'.repeat([...value].length) : value;
};

/** What is suggested while one types (HTML §4.10.8); a page writes it anew when it changes. */
const suggestions: Property<readonly Entry[]> = {
  ...options({ part: 'part-list', as: 'inside' }),
  effect: 'behaviour',
  says: 'What is suggested while one types; anything else may be typed, too.',
};

const suggested = (values: Values): PageElement[] => entriesOf(values).map((entry) => optionElement(entry));

export const manner: Manner = { anew: (values) => ({ children: suggested(values) }) };

export const textField: Kind = {
  name: 'textField',
  label: 'Text field',
  group: 'ask',
  purpose: 'Asks for a line of text.',
  glyph: 'rectangle-ellipsis',
  findBy: [
    'input',
    'type',
    'name',
    'entry',
    'form',
    'email',
    'search',
    'telephone',
    'money',
    'password',
    'suggest',
    'autocomplete',
  ],
  container: false,
  manner,
  properties: fieldProperties([
    own.value,
    placeholder,
    own.type,
    suggestions,
    ...lengths,
    own.pattern,
    own.autocomplete,
  ]),
  ...fieldStates,
  events: typedEvents,
  starter: { label: 'Label' },
  inside: (values, make) => fieldInside(values, make, fieldBox(values, make, shownIn(values))),
  element(values, _, name) {
    const suggests = values.has(suggestions);
    const list = `${name}-list`;
    const input: PageElement = {
      tag: 'input',
      classes: ['part-input'],
      attributes: {
        type: values.get(own.type) ?? 'text',
        ...inputAttributes(values, name),
        value: values.text(own.value),
        placeholder: values.text(placeholder),
        ...lengthAttributes(values),
        pattern: values.text(own.pattern),
        autocomplete: values.get(own.autocomplete) ?? false,
        ...(suggests ? { list } : {}),
      },
    };
    const behind = {
      tag: 'datalist',
      classes: ['part-list'],
      attributes: { id: list },
      children: suggested(values),
    };
    return fieldElement(values, name, input, suggests ? { behind } : {});
  },
  sharedCss: [fieldCss, inputCss],
  css: () => '',
};
