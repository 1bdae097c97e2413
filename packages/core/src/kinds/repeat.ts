/** Its children once for each item of a list. */
import { identifierType, listType, textType } from '../document/property-types.ts';
import { colourValue } from '../document/theme.ts';
import type { Values } from '../document/values.ts';
import { arrangedContent, likeProperty } from './arrangement.ts';
import { taking, takingEvents } from './carrying.ts';
import { shownEvents } from './events.ts';
import { fieldContent } from './field.ts';
import type { Kind, Property } from './kind.ts';
import { arranging, boxLook, gridTracks, padding, placing, sizing, wrapping } from './properties.ts';
import { type RepeatWords, wordsInstead } from './repeat-words.ts';
import { plainWords } from './words.ts';

/** Most items that one repeat shows. */
export const mostItems = 10_000;
/** A list with more items than this is long: a page makes copies only of those that are near what is seen. */
export const longList = 300;
/** How many of a long list's items a page is written with. */
export const writtenOfLong = 100;

/** Words in place of the items; the page's script puts them there itself. */
const instead = (name: keyof RepeatWords, label: string): Property => ({
  name,
  label,
  group: 'content',
  type: textType,
  effect: 'layout',
  perBand: false,
});

/** What a repeat says in place of its items; empty: nothing. */
export const saidBy = (values: Values): string =>
  wordsInstead(values.get<readonly unknown[]>('each') ?? [], {
    status: values.text('status'),
    loading: values.text('loading'),
    failed: values.text('failed'),
    empty: values.text('empty'),
  });

export const repeat: Kind = {
  name: 'repeat',
  label: 'Repeat',
  group: 'arrange',
  purpose: 'Repeats what is inside for each item of a list.',
  findBy: ['list', 'each', 'rows', 'items', 'table', 'loop', 'gallery', 'template'],
  container: true,
  items: (values) => (values.get<readonly unknown[]>('each') ?? []).slice(0, mostItems),
  properties: [
    { name: 'each', label: 'Each of', group: 'content', type: listType, effect: 'layout', perBand: false },
    {
      name: 'as',
      label: 'Item called',
      group: 'content',
      type: identifierType,
      default: 'item',
      effect: 'behaviour',
      perBand: false,
    },
    instead('empty', 'When there are none'),
    instead('status', 'Status of the list'),
    instead('loading', 'While waiting'),
    instead('failed', 'When it fails'),
    likeProperty('column'),
    ...sizing,
    ...placing(),
    padding(),
    ...arranging,
    wrapping,
    ...gridTracks,
    ...boxLook(),
    ...taking,
  ],
  events: [...shownEvents, ...takingEvents],
  starter: { each: '{[1, 2, 3]}', gap: '12' },
  inside(values, make) {
    const said = saidBy(values);
    if (said === '') return { content: arrangedContent(values) };
    const style = plainWords();
    return {
      content: fieldContent,
      parts: [make.words(said, style, { colour: colourValue('quiet'), text: style })],
    };
  },
  element: (values) => ({
    tag: 'div',
    children: [],
    copies: {},
    ...(saidBy(values) ? { classes: ['is-said'] } : {}),
  }),
  // Words stand in a column, however the items are arranged: more important than the control's own rules.
  css: `.k-repeat {
  display: flex;
  flex-direction: column;
}
.k-repeat.is-said {
  display: flex !important;
  flex-flow: column !important;
  align-items: stretch !important;
  justify-content: start !important;
}
.k-repeat > .part-said {
  color: var(--quiet);
  white-space-collapse: preserve-breaks;
}
.k-repeat > .part-free {
  flex: none;
}`,
};
