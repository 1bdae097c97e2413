/** Words that head a part of a screen. */
import { levelType } from '../document/property-types.ts';
import { theme } from '../document/theme.ts';
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

export const heading: Kind = {
  name: 'heading',
  label: 'Heading',
  group: 'show',
  purpose: 'Heads a part of a screen; people and screen readers find their way by headings.',
  findBy: ['title', 'headline', 'section', 'h1', 'h2'],
  container: false,
  properties: [
    words('text', 'Text', { as: 'text' }),
    {
      name: 'level',
      label: 'Level',
      group: 'content',
      type: levelType,
      default: '2',
      effect: 'behaviour',
      perBand: false,
    },
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
    ...textLook({
      weight: String(theme.headingWeight),
      size: String(theme.headingSize),
      lineHeight: String(theme.headingLineHeight),
    }),
    textAlign('start'),
    mostLines,
    noWrap,
  ],
  events: shownEvents,
  starter: { text: 'Heading' },
  inside(values, make) {
    const style = textStyleOf(values);
    return {
      content: make.content(values.text('text'), style, values.number('lines')),
      look: wordsLook(values, style),
    };
  },
  element: (values) => ({ tag: `h${values.number('level') ?? 2}`, text: values.text('text') }),
  css: `.k-heading {
  margin: 0;
  font-size: ${theme.headingSize / 16}rem;
  font-weight: ${theme.headingWeight};
  line-height: ${theme.headingLineHeight};
  white-space-collapse: preserve-breaks;
}`,
};
