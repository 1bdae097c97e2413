/** Words that lead to another screen or to an address. */
import { destinationType } from '../property-types/index.ts';
import { feelRules, feltColour, feltIn } from './feel.ts';
import type { Kind } from './kind.ts';
import {
  boxLook,
  colour,
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
import { tabindex } from './tabindex.ts';
import { textStyleOf, wordsLook } from './words.ts';

const own = {
  text: words('text', 'Text', { as: 'text' }),
  to: property({
    name: 'to',
    label: 'Leads to',
    group: 'content',
    type: destinationType,
    effect: 'behaviour',
    perBand: false,
    page: { as: 'attribute', name: 'href' },
  }),
};

/** How far the line is below the baseline, em. */
const underlineGap = 0.15;

/** The address that a destination has on a page: a screen is a fragment of it. */
export const addressTo = (destination: string): string =>
  destination === '' || /^[a-z]+:/i.test(destination) ? destination : `#${encodeURIComponent(destination)}`;

export const link: Kind = {
  name: 'link',
  label: 'Link',
  group: 'show',
  purpose: 'Words that lead to another screen, or to an address.',
  glyph: 'link',
  target: 'least',
  findBy: ['anchor', 'go to', 'url', 'address', 'telephone', 'mail', 'web', 'back', 'e-mail'],
  container: false,
  properties: [
    own.text,
    own.to,
    ...sizing,
    ...placing(),
    tabindex,
    padding,
    ...boxLook(),
    ...textLook({ colour: 'accent' }),
    textAlign,
    lines,
    nowrap,
  ],
  events: [],
  starter: { text: 'Link' },
  inside(values, make) {
    const style = textStyleOf(values, make);
    return {
      content: make.content(values.text(own.text), style, values.get(lines)),
      look: {
        ...wordsLook(values, make, style),
        ...(values.own(colour) === undefined ? { colour: feltColour(make, 'accent', feltIn(values)) } : {}),
        underline: true,
        underlineGap,
      },
    };
  },
  element: (values) => ({
    tag: 'a',
    attributes: { href: addressTo(values.text(own.to)) },
    text: values.text(own.text),
  }),
  css: () => `.k-link {
  display: block;
  color: var(--accent);
  text-underline-offset: ${underlineGap}em;
  white-space-collapse: preserve-breaks;
}
${feelRules({ over: '.k-link' }, (felt) => `color: ${felt('var(--accent)')}`)}`,
};
