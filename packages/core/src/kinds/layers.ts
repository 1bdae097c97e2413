/** Children over each other. */
import type { Align } from '../layout/box.ts';
import { carried, takingEvents } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind } from './kind.ts';
import { boxLook, cellArranging, padding, placing, sizing } from './properties.ts';

export const layers: Kind = {
  name: 'layers',
  label: 'Layers',
  group: 'arrange',
  purpose: 'Puts controls over each other; later ones lie on top.',
  findBy: ['over', 'overlay', 'on top', 'behind', 'badge', 'overlap'],
  container: true,
  properties: [...sizing, ...placing(), padding(), ...cellArranging, ...boxLook(), ...carried],
  events: [...shownEvents, ...takingEvents],
  starter: {},
  inside: (values) => ({
    content: {
      type: 'grid',
      columns: [],
      rows: [],
      autoColumns: [],
      autoRows: [],
      flow: 'row',
      dense: false,
      align: values.align('align') ?? 'stretch',
      justify: values.get<Align>('justify') ?? 'stretch',
      rowGap: 0,
      columnGap: 0,
      layers: true,
    },
  }),
  element: () => ({ tag: 'div' }),
  css: `.k-layers {
  display: grid;
  align-items: stretch;
  justify-items: stretch;
}
.k-layers > * {
  grid-area: 1 / 1;
}`,
};
