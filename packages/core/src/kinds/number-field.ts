/** A number to type or to step up and down. */
import { amountType, textType } from '../property-types/index.ts';
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
} from './field.ts';
import type { Kind } from './kind.ts';

const own = {
  value: entered(amountType, ['number', 'text']),
  min: inputAttribute('min', 'Min', amountType),
  max: inputAttribute('max', 'Max', amountType),
  step: inputAttribute('step', 'Step', amountType),
  placeholder: inputAttribute('placeholder', 'Placeholder', textType),
};

const number = (value: number | string | undefined): string => (value === undefined ? '' : String(value));

export const numberField: Kind = {
  name: 'numberField',
  label: 'Stepper',
  group: 'ask',
  purpose: 'Asks for a count or another number, with steps up and down.',
  glyph: 'hash',
  findBy: [
    'number',
    'count',
    'amount',
    'how many',
    'quantity',
    'stepper',
    'spin',
    'money',
    'price',
    'size',
    'age',
  ],
  container: false,
  properties: fieldProperties([own.value, own.min, own.max, own.step, own.placeholder]),
  ...fieldStates,
  events: typedEvents,
  starter: { label: 'Count' },
  inside: (values, make) =>
    fieldInside(values, make, fieldBox(values, make, number(values.get(own.value)), { written: 'number' })),
  element: (values, _, name) =>
    fieldElement(values, name, {
      tag: 'input',
      classes: ['part-input'],
      attributes: {
        type: 'number',
        ...inputAttributes(values, name),
        value: number(values.get(own.value)),
        min: number(values.get(own.min)),
        max: number(values.get(own.max)),
        step: number(values.get(own.step) ?? 'any'),
        placeholder: values.text(own.placeholder),
      },
    }),
  sharedCss: [fieldCss, inputCss],
  css: () => '',
};
