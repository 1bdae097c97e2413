/** A day to choose. */
import { dateType } from '../property-types/index.ts';
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
  fieldStates,
  inputAttribute,
  inputAttributes,
  inputCss,
  middleLine,
} from './field.ts';
import type { Kind } from './kind.ts';

const own = {
  value: entered(dateType, ['date', 'text']),
  min: inputAttribute('min', 'Earliest', dateType),
  max: inputAttribute('max', 'Latest', dateType),
};

export const dateField: Kind = {
  name: 'dateField',
  label: 'Date',
  group: 'ask',
  purpose: 'Asks for a day.',
  glyph: 'calendar',
  findBy: ['when', 'day', 'calendar', 'arrival', 'birthday', 'week', 'month', 'birth'],
  container: false,
  properties: fieldProperties([own.value, own.min, own.max]),
  ...fieldStates,
  events: chosenEvents,
  starter: { label: 'Date' },
  inside: (values, make) =>
    fieldInside(
      values,
      make,
      fieldBox(values, make, values.text(own.value) || 'dd.mm.yyyy', {
        line: middleLine(make.theme),
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
        value: values.text(own.value),
        min: values.text(own.min),
        max: values.text(own.max),
      },
    }),
  sharedCss: [fieldCss, inputCss],
  css: (theme) => `${bareLineCss('dateField', theme, middleLine(theme))}
${pickerCss('dateField', calendar)}`,
};
