/** Its children once for each item of a list. */

import type { Values } from '../cascade/values.ts';
import { identifierType, listType, textType } from '../property-types/index.ts';
import { arrangedContent, likeManner, likeProperty } from './arrangement.ts';
import { taking, takingEvents } from './carrying.ts';
import { shownEvents } from './events.ts';
import { fieldContent } from './field.ts';
import type { Kind, Manner, Property } from './kind.ts';
import { mostItems } from './list-lengths.ts';
import { arranging, boxLook, gridTracks, padding, placing, property, sizing, wrap } from './properties.ts';
import { type RepeatWords, wordsInstead } from './repeat-words.ts';

/** Words in place of the items; the page's script puts them there itself. */
const instead = (name: keyof RepeatWords, label: string): Property<string> => ({
  name,
  label,
  group: 'content',
  type: textType,
  effect: 'layout',
  perBand: false,
});

const own = {
  as: property({
    name: 'as',
    label: 'Item called',
    group: 'content',
    type: identifierType,
    default: 'item',
    effect: 'behaviour',
    perBand: false,
  }),
  each: property({
    name: 'each',
    label: 'Each of',
    group: 'content',
    type: listType,
    effect: 'layout',
    perBand: false,
  }),
  empty: instead('empty', 'When there are none'),
  status: instead('status', 'Status of the list'),
  loading: instead('loading', 'While waiting'),
  failed: instead('failed', 'When it fails'),
};

/** What a repeat says in place of its items; empty: nothing. */
const saidBy = (values: Values): string =>
  wordsInstead(values.get(own.each) ?? [], {
    status: values.text(own.status),
    loading: values.text(own.loading),
    failed: values.text(own.failed),
    empty: values.text(own.empty),
  });

export const manner: Manner = likeManner;

export const repeat: Kind = {
  name: 'repeat',
  label: 'Repeat',
  group: 'arrange',
  purpose: 'Repeats what is inside for each item of a list.',
  glyph: 'repeat',
  repeats: { list: own.each, as: own.as },
  findBy: ['list', 'each', 'rows', 'items', 'table', 'loop', 'gallery', 'template'],
  container: true,
  said: saidBy,
  items: (values) => (values.get(own.each) ?? []).slice(0, mostItems),
  manner,
  properties: [
    own.each,
    own.as,
    own.empty,
    own.status,
    own.loading,
    own.failed,
    likeProperty('column'),
    ...sizing,
    ...placing(),
    padding,
    ...arranging,
    wrap,
    ...gridTracks,
    ...boxLook(),
    ...taking,
  ],
  events: [...shownEvents, ...takingEvents],
  example: '<repeat each="{[1, 2, 3]}"><text text="Bunk {item}" /></repeat>',
  starter: { each: '{[1, 2, 3]}', gap: '12' },
  inside(values, make) {
    const said = saidBy(values);
    if (said === '') return { content: arrangedContent(values) };
    const style = make.plain();
    return {
      content: fieldContent(make),
      parts: [make.words(said, style, { colour: make.colour('quiet'), text: style })],
    };
  },
  element: (values) => ({
    tag: 'div',
    children: [],
    copies: {},
    ...(saidBy(values) ? { classes: ['is-said'] } : {}),
  }),
  // Words stand in a column, however the items are arranged: more important than the control's own rules.
  css: () => `.k-repeat {
  display: flex;
  flex-direction: column;
  margin: 0;
  padding: 0;
  list-style: none;
}
.k-repeat.is-said {
  display: flex !important;
  flex-flow: column !important;
  align-items: stretch !important;
  justify-content: start !important;
}
.k-repeat > .part-said {
  color: var(--quiet);
}
.k-repeat > .part-said > span {
  white-space-collapse: preserve-breaks;
}
.k-repeat > .part-free {
  flex: none;
}
@media print {
  .k-repeat > * {
    break-inside: avoid;
  }
}`,
};
