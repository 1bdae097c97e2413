/** Children held at edges or centre lines. */
import type { Kind, Manner } from './kind.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

export const manner: Manner = { arranges: 'pins' };

export const pinboard: Kind = {
  name: 'pinboard',
  label: 'Pinboard',
  group: 'arrange',
  purpose: 'Holds each control at edges or centre lines of its own.',
  glyph: 'pin',
  findBy: ['pin', 'absolute', 'free', 'position', 'map'],
  container: true,
  manner,
  properties: [...sizing, ...placing(), padding, ...boxLook()],
  events: [],
  starter: { height: '240' },
  inside: (_, make) => ({ content: { type: 'pinboard', rightToLeft: make.rightToLeft } }),
  element: () => ({ tag: 'div' }),
  css: () => `.k-pinboard {
  position: relative;
}
.k-pinboard > * {
  position: absolute;
}`,
};
