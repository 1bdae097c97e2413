/** Several lines of words to type. */
import { linesType, textType } from '../document/property-types.ts';
import { theme } from '../document/theme.ts';
import { lineHeightOf } from '../text/units.ts';
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
  inputAttributes,
  inputCss,
  lengthAttributes,
  lengths,
  placeholder,
} from './field.ts';
import type { Kind } from './kind.ts';

/** Room above the lines, and below them, its border aside. */
const room = 9;
const frame = 2 * room + 2;
const firstLine: BareLine = { above: room + 1, lineHeight: theme.lineHeight };

export const textArea: Kind = {
  name: 'textArea',
  label: 'Text area',
  group: 'ask',
  purpose: 'Asks for several lines of text.',
  findBy: ['note', 'comment', 'message', 'paragraph', 'long text', 'multiline', 'notes'],
  container: false,
  properties: fieldProperties([
    entered(textType, ['text']),
    placeholder,
    ...lengths,
    content('rows', 'Lines shown', linesType, {
      effect: 'layout',
      default: '3',
      page: { part: 'part-input', as: 'attribute', name: 'rows' },
    }),
  ]),
  events: typedEvents,
  starter: { label: 'Note' },
  inside(values, make) {
    const rows = values.number('rows') ?? 3;
    // The lines grow with the reader's text scale, the room around them does not.
    const height = rows * lineHeightOf(theme.textSize * make.scale, theme.lineHeight) + frame;
    const [first = ''] = (values.text('value') || values.text('placeholder')).split('\n');
    const box = fieldBox(values, make, values.text('value'), {
      height: height / make.scale,
      look: { inner: { text: first, padding: theme.fieldPadding, top: room } },
      line: firstLine,
    });
    return fieldInside(values, make, box);
  },
  element: (values, _, name) =>
    fieldElement(values, name, {
      tag: 'textarea',
      classes: ['part-input'],
      attributes: {
        ...inputAttributes(values, name),
        rows: String(values.number('rows') ?? 3),
        placeholder: values.text('placeholder'),
        ...lengthAttributes(values),
      },
      text: values.text('value'),
    }),
  sharedCss: [fieldCss, inputCss],
  css: `${bareLineCss('textArea', firstLine)}
.k-textArea > .part-input {
  height: auto;
  padding: ${room}px ${theme.fieldPadding}px;
  line-height: ${theme.lineHeight};
  resize: none;
}`,
};
