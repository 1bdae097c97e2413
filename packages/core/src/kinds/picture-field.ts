/** A picture of the person's own, from the device. */

import { textType } from '../property-types/index.ts';
import { lineHeightCss } from '../text/units.ts';
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
  inputAttributes,
  inputCss,
  middleLine,
} from './field.ts';
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
  inside: (values, make) =>
    fieldInside(values, make, fieldBox(values, make, 'Choose a picture', { line: middleLine(make.theme) })),
  element: (values, _, name) =>
    fieldElement(values, name, {
      tag: 'input',
      classes: ['part-input'],
      attributes: { type: 'file', accept: 'image/*', ...inputAttributes(values, name) },
    }),
  sharedCss: [fieldCss, inputCss],
  css: (theme) => `${bareLineCss('pictureField', theme, middleLine(theme))}
.k-pictureField > .part-input {
  line-height: ${(theme.fieldHeight - 2) / 16}rem;
}
.k-pictureField > .part-input::file-selector-button {
  margin-inline-end: ${theme.fieldPadding}px;
  padding: 2px 8px;
  border: 1px solid var(--line);
  border-radius: ${theme.corner}px;
  background: var(--tint);
  font: inherit;
  line-height: ${lineHeightCss};
  cursor: pointer;
}`,
};
