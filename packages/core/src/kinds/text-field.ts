/** One line of words to type, under its label. */
import { textType } from '../document/property-types.ts';
import { typedEvents } from './events.ts';
import {
  entered,
  fieldBox,
  fieldCss,
  fieldElement,
  fieldInside,
  fieldProperties,
  inputAttribute,
  inputAttributes,
  inputCss,
  lengthAttributes,
  lengths,
  placeholder,
} from './field.ts';
import type { Kind } from './kind.ts';

export const textField: Kind = {
  name: 'textField',
  label: 'Text field',
  group: 'ask',
  purpose: 'Asks for a line of text.',
  findBy: ['input', 'type', 'name', 'entry', 'form', 'email', 'search', 'telephone', 'money'],
  container: false,
  properties: fieldProperties([
    entered(textType, ['text', 'number']),
    placeholder,
    ...lengths,
    inputAttribute('pattern', 'Pattern', textType),
  ]),
  events: typedEvents,
  starter: { label: 'Label' },
  inside: (values, make) => fieldInside(values, make, fieldBox(values, make, values.text('value'))),
  element: (values, _, name) =>
    fieldElement(values, name, {
      tag: 'input',
      classes: ['part-input'],
      attributes: {
        type: 'text',
        ...inputAttributes(values, name),
        value: values.text('value'),
        placeholder: values.text('placeholder'),
        ...lengthAttributes(values),
        pattern: values.text('pattern'),
      },
    }),
  sharedCss: [fieldCss, inputCss],
  css: '',
};
