/** One line of words to type, under its label. */
import { textType } from '../property-types/index.ts';
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
import type { Kind } from './kind.ts';

const own = {
  value: entered(textType, ['text', 'number']),
  pattern: inputAttribute('pattern', 'Pattern', textType),
};

export const textField: Kind = {
  name: 'textField',
  label: 'Text field',
  group: 'ask',
  purpose: 'Asks for a line of text.',
  glyph: 'rectangle-ellipsis',
  findBy: ['input', 'type', 'name', 'entry', 'form', 'email', 'search', 'telephone', 'money'],
  container: false,
  properties: fieldProperties([own.value, placeholder, ...lengths, own.pattern]),
  ...fieldStates,
  events: typedEvents,
  starter: { label: 'Label' },
  inside: (values, make) => fieldInside(values, make, fieldBox(values, make, values.text(own.value))),
  element: (values, _, name) =>
    fieldElement(values, name, {
      tag: 'input',
      classes: ['part-input'],
      attributes: {
        type: 'text',
        ...inputAttributes(values, name),
        value: values.text(own.value),
        placeholder: values.text(placeholder),
        ...lengthAttributes(values),
        pattern: values.text(own.pattern),
      },
    }),
  sharedCss: [fieldCss, inputCss],
  css: () => '',
};
