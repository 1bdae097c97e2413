/** Room that takes what is left over. */
import type { Kind } from './kind.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

export const spacer: Kind = {
  name: 'spacer',
  label: 'Spacer',
  group: 'arrange',
  purpose: 'Empty room that pushes controls apart.',
  glyph: 'move-horizontal',
  findBy: ['gap', 'space', 'push', 'fill', 'apart'],
  container: false,
  properties: [...sizing, ...placing(), padding, ...boxLook()],
  events: [],
  example: '<row><text text="one" /><spacer /><text text="two" /></row>',
  starter: { width: 'share', height: 'share' },
  inside: () => ({ content: { type: 'blank', width: 0, height: 0 } }),
  element: () => ({ tag: 'div', attributes: { 'aria-hidden': 'true' } }),
  css: () => '',
};
