import { carried, takingEvents } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind, Manner } from './kind.ts';
import { layered } from './plain-grid.ts';
import { align, boxLook, cellArranging, cellJustify, padding, placing, sizing } from './properties.ts';

export const manner: Manner = { arranges: 'layers' };

export const layers: Kind = {
  name: 'layers',
  label: 'Layers',
  group: 'arrange',
  purpose: 'Puts controls over each other; later ones lie on top.',
  glyph: 'layers',
  findBy: ['over', 'overlay', 'on top', 'behind', 'badge', 'overlap'],
  container: true,
  manner,
  properties: [...sizing, ...placing(), padding, ...cellArranging, cellJustify, ...boxLook(), ...carried],
  events: [...shownEvents, ...takingEvents],
  starter: {},
  inside: (values) => ({
    content: {
      ...layered,
      align: values.get(align) ?? 'stretch',
      justify: values.get(cellJustify) ?? 'stretch',
    },
  }),
  element: () => ({ tag: 'div' }),
  css: () => `.k-layers {
  display: grid;
  align-items: stretch;
  justify-items: stretch;
}
.k-layers > * {
  grid-area: 1 / 1;
}`,
};
