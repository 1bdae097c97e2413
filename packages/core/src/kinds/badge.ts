/** A short word about something: a state, a count. */
import { theme } from '../document/theme.ts';
import type { TextAlign } from '../text/paragraph.ts';
import { carried } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind } from './kind.ts';
import { boxLook, padding, placing, sizing, textAlign, textLook, words } from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

export const badge: Kind = {
  name: 'badge',
  label: 'Badge',
  group: 'show',
  purpose: 'A short word about something: its state, a count.',
  findBy: ['tag', 'label', 'status', 'count', 'chip', 'pill', 'warning', 'error', 'alert'],
  container: false,
  properties: [
    words('text', 'Text', { as: 'text' }),
    ...sizing,
    ...placing({ alignSelf: 'start' }),
    padding({ default: '2 10' }),
    ...boxLook({ background: 'tint', corner: '999' }),
    ...textLook({ weight: String(theme.labelWeight), size: String(theme.hintSize), colour: 'accent' }),
    textAlign('center'),
    ...carried,
  ],
  events: shownEvents,
  starter: { text: 'New' },
  inside(values, make) {
    const align = values.get<TextAlign>('text-align') ?? 'center';
    const style = { ...textStyleOf(values, align), noWrap: true };
    return { content: make.content(values.text('text'), style), look: wordsLook(values, style) };
  },
  element: (values) => ({ tag: 'span', text: values.text('text') }),
  css: `.k-badge {
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
