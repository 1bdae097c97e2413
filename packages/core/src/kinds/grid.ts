/** Children in rows and columns at once. */
import { arrangedContent, likeManner, likeProperty } from './arrangement.ts';
import { carried, takingEvents } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind, Manner } from './kind.ts';
import { containerElement, pairs } from './pairs.ts';
import { boxLook, cellArranging, gridArranging, padding, placing, sizing, wrap } from './properties.ts';

/** Gaps are those of rows and columns, too. */
const tracks = gridArranging.map((property) =>
  property.name.endsWith('gap') ? property : { ...property, onlyLike: ['grid'] as const },
);

export const manner: Manner = likeManner;

export const grid: Kind = {
  name: 'grid',
  label: 'Grid',
  group: 'arrange',
  purpose: 'Puts controls in rows and columns that line up.',
  glyph: 'layout-grid',
  findBy: ['table', 'cells', 'tiles', 'cards', 'places', 'gallery', 'responsive', 'two columns'],
  container: true,
  manner,
  properties: [
    ...sizing,
    ...placing(),
    padding,
    likeProperty('grid'),
    ...tracks,
    ...cellArranging,
    wrap,
    ...boxLook(),
    pairs,
    ...carried,
  ],
  events: [...shownEvents, ...takingEvents],
  starter: { columns: '1fr 1fr', gap: '12' },
  inside: (values) => ({ content: arrangedContent(values) }),
  element: containerElement,
  css: () => `.k-grid {
  display: grid;
  align-items: stretch;
  justify-items: stretch;
}
@media print {
  .k-grid > * {
    break-inside: avoid;
  }
}`,
};
