/** A day to choose. */
import { dateType } from '../document/property-types.ts';
import { calendar, pickerCss } from './drawings.ts';
import { chosenEvents } from './events.ts';
import {
  bareLineCss,
  entered,
  fieldBox,
  fieldCss,
  fieldElement,
  fieldInside,
  fieldProperties,
  inputAttribute,
  inputAttributes,
  inputCss,
  middleLine,
} from './field.ts';
import type { Kind } from './kind.ts';

export const dateField: Kind = {
  name: 'dateField',
  label: 'Date',
  group: 'ask',
  purpose: 'Asks for a day.',
  findBy: ['when', 'day', 'calendar', 'arrival', 'birthday', 'week', 'month', 'birth'],
  container: false,
  properties: fieldProperties([
    entered(dateType, ['date', 'text']),
    inputAttribute('min', 'Earliest', dateType),
    inputAttribute('max', 'Latest', dateType),
  ]),
  events: chosenEvents,
  starter: { label: 'Date' },
  inside: (values, make) =>
    fieldInside(
      values,
      make,
      fieldBox(values, make, values.text('value') || 'dd.mm.yyyy', {
        line: middleLine,
        written: 'date',
        look: { drawing: calendar },
      }),
    ),
  element: (values, _, name) =>
    fieldElement(values, name, {
      tag: 'input',
      classes: ['part-input'],
      attributes: {
        type: 'date',
        ...inputAttributes(values, name),
        value: values.text('value'),
        min: values.text('min'),
        max: values.text('max'),
      },
    }),
  sharedCss: [fieldCss, inputCss],
  css: `${bareLineCss('dateField', middleLine)}
${pickerCss('dateField', calendar)}`,
};
