/** Children side by side. */
import { arrangedContent, arrangingAlong, likeManner } from './arrangement.ts';
import { carried, takingEvents } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind, Manner } from './kind.ts';
import { containerElement, pairs } from './pairs.ts';

export const manner: Manner = likeManner;

export const row: Kind = {
  name: 'row',
  label: 'Row',
  group: 'arrange',
  purpose: 'Puts controls side by side.',
  glyph: 'columns-2',
  findBy: ['horizontal', 'side by side', 'line', 'align', 'toolbar', 'two columns'],
  container: true,
  manner,
  properties: [...arrangingAlong('row'), pairs, ...carried],
  events: [...shownEvents, ...takingEvents],
  starter: { gap: '12' },
  inside: (values) => ({ content: arrangedContent(values) }),
  element: containerElement,
  css: () => `.k-row {
  display: flex;
}`,
};
