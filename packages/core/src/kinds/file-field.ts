/** Files of the person's own, from the device. */

import { anyType, flagType, textType } from '../property-types/index.ts';
import { fileEvents } from './events.ts';
import {
  content,
  entered,
  fieldCss,
  fieldProperties,
  fieldStates,
  inputAttribute,
  inputCss,
} from './field.ts';
import { fileCss, fileElement, fileInside } from './file-input.ts';
import type { Kind } from './kind.ts';

const own = {
  value: entered(anyType, ['record', 'list'], { part: 'part-input', as: 'upload' }),
  accept: inputAttribute('accept', 'Takes', textType),
  several: content('several', 'Several files', flagType, {
    effect: 'behaviour',
    page: { part: 'part-input', as: 'property', name: 'multiple' },
    leads: false,
  }),
};

export const fileField: Kind = {
  name: 'fileField',
  label: 'File',
  group: 'ask',
  purpose: 'Asks for a file of the person’s own: its name, size, type, and what is in it.',
  nativeWords: true,
  glyph: 'file-up',
  findBy: ['upload', 'attach', 'document', 'import', 'csv', 'pdf'],
  container: false,
  properties: fieldProperties([own.value, own.accept, own.several]),
  ...fieldStates,
  events: fileEvents,
  starter: { label: 'List of guests' },
  inside: (values, make) =>
    fileInside(values, make, values.flag(own.several) ? 'Choose files' : 'Choose a file'),
  element: (values, _, name) =>
    fileElement(values, name, {
      accept: values.text(own.accept) || false,
      multiple: values.flag(own.several),
    }),
  sharedCss: [fieldCss, inputCss],
  css: (theme) => fileCss('fileField', theme),
};
