/** Children one below the other. */
import { arrangedContent, arrangingAlong, likeManner } from './arrangement.ts';
import { carried, takingEvents } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind, Manner } from './kind.ts';
import { containerElement, pairs } from './pairs.ts';

export const manner: Manner = likeManner;

export const column: Kind = {
  name: 'column',
  label: 'Column',
  group: 'arrange',
  purpose: 'Puts controls one below the other.',
  glyph: 'rows-2',
  findBy: ['vertical', 'stack', 'below', 'card', 'align'],
  container: true,
  manner,
  properties: [...arrangingAlong('column'), pairs, ...carried],
  events: [...shownEvents, ...takingEvents],
  starter: { gap: '12' },
  inside: (values) => ({ content: arrangedContent(values) }),
  element: containerElement,
  css: () => `.k-column {
  display: flex;
  flex-direction: column;
}`,
};
