/** Several lines of words to type. */

import { linesType, textType } from '../property-types/index.ts';
import { lineHeightOf } from '../text/units.ts';
import type { Theme } from '../values/theme.ts';
import { typedEvents } from './events.ts';
import {
  type BareLine,
  bareLineCss,
  content,
  entered,
  fieldBox,
  fieldCss,
  fieldElement,
  fieldInside,
  fieldProperties,
  fieldStates,
  inputAttributes,
  inputCss,
  lengthAttributes,
  lengths,
  placeholder,
} from './field.ts';
import type { Kind } from './kind.ts';

const own = {
  value: { ...entered(textType, ['text']), manyLines: true },
  rows: content('rows', 'Lines shown', linesType, {
    effect: 'layout',
    default: '3',
    page: { part: 'part-input', as: 'attribute', name: 'rows' },
  }),
};

/** Room above the lines, and below them, its border aside. */
const room = 9;
const frame = 2 * room + 2;
const firstLine = ({ lineHeight }: Theme): BareLine => ({ above: room + 1, lineHeight });

export const textArea: Kind = {
  name: 'textArea',
  label: 'Text area',
  group: 'ask',
  purpose: 'Asks for several lines of text.',
  glyph: 'scan-text',
  findBy: ['note', 'comment', 'message', 'paragraph', 'long text', 'multiline', 'notes'],
  container: false,
  properties: fieldProperties([own.value, placeholder, ...lengths, own.rows]),
  ...fieldStates,
  events: typedEvents,
  starter: { label: 'Note' },
  inside(values, make) {
    const { theme } = make;
    const rows = values.get(own.rows) ?? 3;
    // The lines grow with the reader's text scale, the room around them does not.
    const height = rows * lineHeightOf(theme.textSize * make.scale, theme.lineHeight) + frame;
    const [first = ''] = (values.text(own.value) || values.text(placeholder)).split('\n');
    const box = fieldBox(values, make, values.text(own.value), {
      height: height / make.scale,
      look: { inner: { text: first, padding: theme.fieldPadding, top: room } },
      line: firstLine(theme),
    });
    return fieldInside(values, make, box);
  },
  element: (values, _, name) =>
    fieldElement(values, name, {
      tag: 'textarea',
      classes: ['part-input'],
      attributes: {
        ...inputAttributes(values, name),
        rows: String(values.get(own.rows) ?? 3),
        placeholder: values.text(placeholder),
        ...lengthAttributes(values),
      },
      text: values.text(own.value),
    }),
  sharedCss: [fieldCss, inputCss],
  css: (theme) => `${bareLineCss('textArea', theme, firstLine(theme))}
.k-textArea > .part-input {
  height: auto;
  padding: ${room}px ${theme.fieldPadding}px;
  --line-height: ${theme.lineHeight};
  resize: none;
}`,
};
