/** Children in rows and columns at once. */
import { gridContent } from './grid-inside.ts';
import type { Kind } from './kind.ts';
import { boxLook, cellArranging, gridArranging, padding, placing, sizing } from './properties.ts';

export const grid: Kind = {
  name: 'grid',
  label: 'Grid',
  group: 'arrange',
  purpose: 'Puts controls in rows and columns that line up.',
  findBy: ['table', 'cells', 'tiles', 'cards', 'places'],
  container: true,
  properties: [...sizing, ...placing(), padding(), ...gridArranging, ...cellArranging, ...boxLook()],
  events: [],
  starter: { columns: '1fr 1fr', gap: '12' },
  inside: (values) => ({ content: gridContent(values) }),
  element: () => ({ tag: 'div' }),
  css: `.k-grid {
  display: grid;
  align-items: stretch;
  justify-items: stretch;
}`,
};
