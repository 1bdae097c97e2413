/** A number to type or to step up and down. */
import { amountType, textType } from '../document/property-types.ts';
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
} from './field.ts';
import type { Kind } from './kind.ts';

const number = (value: number | string | undefined): string => (value === undefined ? '' : String(value));

export const numberField: Kind = {
  name: 'numberField',
  label: 'Stepper',
  group: 'ask',
  purpose: 'Asks for a count or another number, with steps up and down.',
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
  properties: fieldProperties([
    entered(amountType, ['number', 'text']),
    inputAttribute('min', 'Least', amountType),
    inputAttribute('max', 'Greatest', amountType),
    inputAttribute('step', 'Step', amountType),
    inputAttribute('placeholder', 'Placeholder', textType),
  ]),
  events: typedEvents,
  starter: { label: 'Count' },
  inside: (values, make) =>
    fieldInside(values, make, fieldBox(values, make, number(values.number('value')), { written: 'number' })),
  element: (values, _, name) =>
    fieldElement(values, name, {
      tag: 'input',
      classes: ['part-input'],
      attributes: {
        type: 'number',
        ...inputAttributes(values, name),
        value: number(values.number('value')),
        min: number(values.number('min')),
        max: number(values.number('max')),
        step: number(values.number('step') ?? 'any'),
        placeholder: values.text('placeholder'),
      },
    }),
  sharedCss: [fieldCss, inputCss],
  css: '',
};
