/** Words that keep their shape: code, long numbers. They scroll sideways where they are too long. */
import { familyType, textSizeType } from '../property-types/index.ts';
import { familyList } from '../text/fonts.ts';
import type { Kind } from './kind.ts';
import { boxLook, padding, placing, preset, sizing, textLook, words } from './properties.ts';
import { tabindex } from './tabindex.ts';
import { textStyleOf, wordsLook } from './words.ts';

const own = {
  text: { ...words('text', 'Text', { as: 'text', part: 'part-text' }), manyLines: true },
};

const size = 14;

export const code: Kind = {
  name: 'code',
  label: 'Code or number',
  group: 'show',
  purpose: 'Words that keep their shape: code, a long number. It scrolls sideways where it is too long.',
  glyph: 'terminal',
  findBy: ['monospace', 'figures', 'display', 'pre', 'output', 'money', 'iban', 'id'],
  container: false,
  properties: [
    own.text,
    ...sizing,
    ...placing(),
    tabindex,
    preset(padding, '8 12'),
    ...boxLook({ background: 'tint', corner: { theme: 'corner' } }),
    ...textLook().map((property) =>
      property.type === familyType
        ? { ...property, default: 'JetBrains Mono' }
        : property.type === textSizeType
          ? { ...property, default: String(size) }
          : property,
    ),
  ],
  events: [],
  starter: { text: '46.1250 N, 12.0830 E' },
  inside(values, make) {
    const style = { ...textStyleOf(values, make), noWrap: true };
    const line = make.words(values.text(own.text), style, wordsLook(values, make, style));
    return {
      content: { type: 'scroll', axis: 'horizontal' },
      parts: [
        make.group(
          {
            type: 'flex',
            direction: 'row',
            align: 'start',
            justify: 'start',
            wrap: false,
            rowGap: 0,
            columnGap: 0,
          },
          [line],
        ),
      ],
      look: { clips: true },
    };
  },
  element: (values) => ({
    tag: 'div',
    attributes: { 'data-scrolls': '' },
    children: [
      {
        tag: 'div',
        classes: ['part-line'],
        children: [{ tag: 'code', classes: ['part-text'], text: values.text(own.text) }],
      },
    ],
  }),
  css: (theme) => `.k-code {
  padding: 8px 12px;
  border-radius: ${theme.corner}px;
  overflow: auto hidden;
  background: var(--tint);
  font-family: ${familyList('JetBrains Mono')};
  font-size: ${size / 16}rem;
}
.k-code > .part-line {
  display: flex;
  align-items: start;
  width: max-content;
  min-width: 100%;
  height: 100%;
}
.k-code .part-text {
  font: inherit;
  text-wrap-mode: nowrap;
  white-space-collapse: preserve-breaks;
}`,
};
