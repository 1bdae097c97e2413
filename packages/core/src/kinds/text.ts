/** Words to read. */
import { carried } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind } from './kind.ts';
import {
  boxLook,
  mostLines,
  noWrap,
  padding,
  placing,
  sizing,
  textAlign,
  textLook,
  words,
} from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

export const text: Kind = {
  name: 'text',
  label: 'Text',
  group: 'show',
  purpose: 'Words to read.',
  findBy: ['label', 'title', 'heading', 'paragraph', 'words', 'hint', 'help', 'error'],
  container: false,
  properties: [
    words('text', 'Text', { as: 'text' }),
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
    ...textLook(),
    textAlign('start'),
    mostLines,
    noWrap,
    ...carried,
  ],
  events: shownEvents,
  starter: { text: 'Text' },
  inside(values, make) {
    const style = textStyleOf(values);
    return {
      content: make.content(values.text('text'), style, values.number('lines')),
      look: wordsLook(values, style),
    };
  },
  element: (values) => ({ tag: 'p', text: values.text('text') }),
  css: `.k-text {
  margin: 0;
  white-space-collapse: preserve-breaks;
}`,
};
