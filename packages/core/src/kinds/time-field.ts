/** A time of day to choose. */
import { timeType } from '../document/property-types.ts';
import { clock, pickerCss } from './drawings.ts';
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

export const timeField: Kind = {
  name: 'timeField',
  label: 'Time',
  group: 'ask',
  purpose: 'Asks for a time of day.',
  findBy: ['when', 'hour', 'clock', 'o’clock'],
  container: false,
  properties: fieldProperties([
    entered(timeType, ['text']),
    inputAttribute('min', 'Earliest', timeType),
    inputAttribute('max', 'Latest', timeType),
  ]),
  events: chosenEvents,
  starter: { label: 'Time' },
  inside: (values, make) =>
    fieldInside(
      values,
      make,
      fieldBox(values, make, values.text('value') || '--:--', {
        line: middleLine,
        written: 'time',
        look: { drawing: clock },
      }),
    ),
  element: (values, _, name) =>
    fieldElement(values, name, {
      tag: 'input',
      classes: ['part-input'],
      attributes: {
        type: 'time',
        ...inputAttributes(values, name),
        value: values.text('value'),
        min: values.text('min'),
        max: values.text('max'),
      },
    }),
  sharedCss: [fieldCss, inputCss],
  css: `${bareLineCss('timeField', middleLine)}
${pickerCss('timeField', clock)}`,
};
