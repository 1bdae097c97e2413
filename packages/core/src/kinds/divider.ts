/** A thin line between controls: across a column, down a row. */
import { colourType } from '../document/property-types.ts';
import { colourValue } from '../document/theme.ts';
import type { Kind } from './kind.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

export const divider: Kind = {
  name: 'divider',
  label: 'Divider',
  group: 'arrange',
  purpose: 'A thin line between controls.',
  findBy: ['line', 'rule', 'separator', 'border'],
  container: false,
  properties: [
    ...sizing,
    ...placing({ alignSelf: 'stretch' }),
    // Half a px on each side keeps it one px thick, whatever its size is said to be.
    padding({ default: '0.5' }),
    ...boxLook().filter(({ name }) => name.startsWith('border')),
    {
      name: 'color',
      label: 'Colour',
      group: 'look',
      type: colourType,
      default: 'line',
      effect: 'look',
      perBand: true,
    },
  ],
  events: [],
  starter: {},
  inside: (values) => ({
    content: { type: 'blank', width: 0, height: 0 },
    look: { background: colourValue(values.colour('color') ?? 'line') },
  }),
  element: () => ({ tag: 'hr' }),
  css: `.k-divider {
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
