import { carried } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind } from './kind.ts';
import { boxLook, padding, placing, preset, sizing, textAlign, textLook, words } from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

const own = {
  text: words('text', 'Text', { as: 'text' }),
};

export const badge: Kind = {
  name: 'badge',
  label: 'Badge',
  group: 'show',
  purpose: 'A short word about something: its state, a count.',
  glyph: 'bookmark',
  findBy: ['tag', 'label', 'status', 'count', 'chip', 'pill', 'warning', 'error', 'alert'],
  container: false,
  properties: [
    own.text,
    ...sizing,
    ...placing({ alignSelf: 'start' }),
    preset(padding, '2 10'),
    ...boxLook({ background: 'tint', corner: '999' }),
    ...textLook({ weight: { theme: 'labelWeight' }, size: { theme: 'hintSize' }, colour: 'accent' }),
    preset(textAlign, 'center'),
    ...carried,
  ],
  events: shownEvents,
  starter: { text: 'New' },
  inside(values, make) {
    const align = values.get(textAlign) ?? 'center';
    const style = { ...textStyleOf(values, make, align), noWrap: true };
    return { content: make.content(values.text(own.text), style), look: wordsLook(values, make, style) };
  },
  element: (values) => ({ tag: 'span', text: values.text(own.text) }),
  css: (theme) => `.k-badge {
  display: block;
  align-self: start;
  padding: 2px 10px;
  border-radius: 999px;
  background: var(--tint);
  color: var(--accent);
  font-size: ${theme.hintSize / 16}rem;
  font-weight: ${theme.labelWeight};
  text-align: center;
  text-wrap-mode: nowrap;
  white-space-collapse: preserve-breaks;
}
.k-pinboard > .k-badge {
  align-self: auto;
}`,
};
