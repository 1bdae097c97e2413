/** Children side by side. */
import { flexContent } from './flex-inside.ts';
import type { Kind } from './kind.ts';
import { arranging, boxLook, padding, placing, sizing, wrapping } from './properties.ts';

export const row: Kind = {
  name: 'row',
  label: 'Row',
  group: 'arrange',
  purpose: 'Puts controls side by side.',
  findBy: ['horizontal', 'side by side', 'line'],
  container: true,
  properties: [...sizing, ...placing(), padding(), ...arranging, wrapping, ...boxLook()],
  events: [],
  starter: { gap: '12' },
  inside: (values) => ({ content: flexContent(values, 'row') }),
  element: () => ({ tag: 'div' }),
  css: `.k-row {
  display: flex;
}`,
};
