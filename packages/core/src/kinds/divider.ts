/** A thin line between controls: across a column, down a row. */
import { colourType } from '../property-types/index.ts';
import type { Kind, Manner } from './kind.ts';
import { boxLook, padding, placing, preset, property, sizing } from './properties.ts';

const own = {
  color: property({
    name: 'color',
    label: 'Colour',
    group: 'look',
    type: colourType,
    default: 'line',
    effect: 'look',
    perBand: true,
  }),
};

export const manner: Manner = { paints: 'background' };

export const divider: Kind = {
  name: 'divider',
  label: 'Divider',
  group: 'arrange',
  purpose: 'A thin line between controls.',
  glyph: 'minus',
  findBy: ['line', 'rule', 'separator', 'border'],
  container: false,
  manner,
  properties: [
    ...sizing,
    ...placing({ alignSelf: 'stretch' }),
    // Half a px on each side keeps it one px thick, whatever its size is said to be.
    preset(padding, '0.5'),
    ...boxLook().filter(({ name }) => name.startsWith('border')),
    own.color,
  ],
  events: [],
  starter: {},
  inside: (values, make) => ({
    content: { type: 'blank', width: 0, height: 0 },
    look: { background: make.colour(values.get(own.color) ?? 'line') },
  }),
  element: () => ({ tag: 'hr' }),
  css: () => `.k-divider {
  align-self: stretch;
  margin: 0;
  padding: 0.5px;
  border: 0;
  overflow: visible;
  background: var(--line);
}
.k-pinboard > .k-divider {
  align-self: auto;
}`,
};
