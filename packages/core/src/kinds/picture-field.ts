/** A picture of the person's own, from the device. */

import { textType } from '../property-types/index.ts';
import { chosenEvents } from './events.ts';
import { entered, fieldCss, fieldProperties, fieldStates, inputCss } from './field.ts';
import { fileCss, fileElement, fileInside } from './file-input.ts';
import type { Kind } from './kind.ts';

export const pictureField: Kind = {
  name: 'pictureField',
  label: 'File picture',
  group: 'ask',
  purpose: 'Asks for a picture of the person’s own; an image bound to the same variable shows it.',
  nativeWords: true,
  glyph: 'image-up',
  findBy: ['file', 'upload', 'photo', 'camera', 'attach', 'avatar'],
  container: false,
  properties: fieldProperties([entered(textType, ['text'], { part: 'part-input', as: 'file' })]),
  ...fieldStates,
  events: chosenEvents,
  starter: { label: 'Photo of the pass' },
  inside: (values, make) => fileInside(values, make, 'Choose a picture'),
  element: (values, _, name) => fileElement(values, name, { accept: 'image/*' }),
  sharedCss: [fieldCss, inputCss],
  css: (theme) => fileCss('pictureField', theme),
};
