/** A time of day to choose. */
import { timeType } from '../property-types/index.ts';
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
  fieldStates,
  inputAttribute,
  inputAttributes,
  inputCss,
  middleLine,
} from './field.ts';
import type { Kind } from './kind.ts';

const own = {
  value: entered(timeType, ['text']),
  min: inputAttribute('min', 'Earliest', timeType),
  max: inputAttribute('max', 'Latest', timeType),
};

export const timeField: Kind = {
  name: 'timeField',
  label: 'Time',
  group: 'ask',
  purpose: 'Asks for a time of day.',
  glyph: 'clock',
  findBy: ['when', 'hour', 'clock', 'o’clock'],
  container: false,
  properties: fieldProperties([own.value, own.min, own.max]),
  ...fieldStates,
  events: chosenEvents,
  starter: { label: 'Time' },
  inside: (values, make) =>
    fieldInside(
      values,
      make,
      fieldBox(values, make, values.text(own.value) || '--:--', {
        line: middleLine(make.theme),
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
        value: values.text(own.value),
        min: values.text(own.min),
        max: values.text(own.max),
      },
    }),
  sharedCss: [fieldCss, inputCss],
  css: (theme) => `${bareLineCss('timeField', theme, middleLine(theme))}
${pickerCss('timeField', clock)}`,
};
