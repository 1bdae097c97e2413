/** Words to read. */
import { carried } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind } from './kind.ts';
import {
  boxLook,
  lines,
  nowrap,
  padding,
  placing,
  sizing,
  textAlign,
  textLook,
  words,
} from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

const own = {
  text: { ...words('text', 'Text', { as: 'text' }), manyLines: true },
};

export const text: Kind = {
  name: 'text',
  label: 'Text',
  group: 'show',
  purpose: 'Words to read.',
  glyph: 'type',
  findBy: ['label', 'title', 'heading', 'paragraph', 'words', 'hint', 'help', 'error'],
  container: false,
  properties: [
    own.text,
    ...sizing,
    ...placing(),
    padding,
    ...boxLook(),
    ...textLook(),
    textAlign,
    lines,
    nowrap,
    ...carried,
  ],
  events: shownEvents,
  starter: { text: 'Text' },
  inside(values, make) {
    const style = textStyleOf(values, make);
    return {
      content: make.content(values.text(own.text), style, values.get(lines)),
      look: wordsLook(values, make, style),
    };
  },
  element: (values) => ({ tag: 'p', text: values.text(own.text) }),
  css: () => `.k-text {
  margin: 0;
  white-space-collapse: preserve-breaks;
}`,
};
