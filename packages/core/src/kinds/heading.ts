/** Words that head a part of a screen. */
import { levelType } from '../property-types/index.ts';
import { shownEvents } from './events.ts';
import type { Kind } from './kind.ts';
import {
  boxLook,
  lines,
  nowrap,
  padding,
  placing,
  property,
  sizing,
  textAlign,
  textLook,
  words,
} from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

const own = {
  text: { ...words('text', 'Text', { as: 'text' }), manyLines: true },
  level: property({
    name: 'level',
    label: 'Level',
    group: 'content',
    type: levelType,
    default: '2',
    effect: 'behaviour',
    perBand: false,
  }),
};

export const heading: Kind = {
  name: 'heading',
  label: 'Heading',
  group: 'show',
  purpose: 'Heads a part of a screen; people and screen readers find their way by headings.',
  glyph: 'heading',
  findBy: ['title', 'headline', 'section', 'h1', 'h2'],
  container: false,
  heads: own.level,
  properties: [
    own.text,
    own.level,
    ...sizing,
    ...placing(),
    padding,
    ...boxLook(),
    ...textLook({
      weight: { theme: 'headingWeight' },
      size: { theme: 'headingSize' },
      lineHeight: { theme: 'headingLineHeight' },
    }),
    textAlign,
    lines,
    nowrap,
  ],
  events: shownEvents,
  starter: { text: 'Heading' },
  inside(values, make) {
    const style = textStyleOf(values, make);
    return {
      content: make.content(values.text(own.text), style, values.get(lines)),
      look: wordsLook(values, make, style),
    };
  },
  element: (values) => ({ tag: `h${values.get(own.level) ?? 2}`, text: values.text(own.text) }),
  css: (theme) => `.k-heading {
  margin: 0;
  font-size: ${theme.headingSize / 16}rem;
  font-weight: ${theme.headingWeight};
  --line-height: ${theme.headingLineHeight};
  white-space-collapse: preserve-breaks;
}`,
};
