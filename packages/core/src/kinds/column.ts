/** Children one below the other. */
import { flexContent } from './flex-inside.ts';
import type { Kind } from './kind.ts';
import { arranging, boxLook, padding, placing, sizing, wrapping } from './properties.ts';

export const column: Kind = {
  name: 'column',
  label: 'Column',
  group: 'arrange',
  purpose: 'Puts controls one below the other.',
  findBy: ['vertical', 'stack', 'below'],
  container: true,
  properties: [...sizing, ...placing(), padding(), ...arranging, wrapping, ...boxLook()],
  events: [],
  starter: { gap: '12' },
  inside: (values) => ({ content: flexContent(values, 'column') }),
  element: () => ({ tag: 'div' }),
  css: `.k-column {
  display: flex;
  flex-direction: column;
}`,
};
