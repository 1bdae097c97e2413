/** Children one below the other. */
import { flexInside } from './flex-inside.ts';
import type { Kind } from './kind.ts';
import { arranging, boxLook, padding, placing, sizing } from './properties.ts';

export const column: Kind = {
  name: 'column',
  label: 'Column',
  group: 'arrange',
  purpose: 'Puts controls one below the other.',
  findBy: ['vertical', 'stack', 'below'],
  container: true,
  properties: [...sizing, ...placing(), padding(), ...arranging, ...boxLook()],
  events: [],
  starter: { gap: '12' },
  inside: (values) => flexInside(values, 'column'),
  element: () => ({ tag: 'div', children: [] }),
  css: `.k-column {
  display: flex;
  flex-direction: column;
}`,
};
