/** A thin line between controls: across a column, down a row. */
import { colourType } from '../document/property-types.ts';
import { colourValue } from '../document/theme.ts';
import type { Kind } from './kind.ts';
import { placing, sizing } from './properties.ts';

export const divider: Kind = {
  name: 'divider',
  label: 'Divider',
  group: 'arrange',
  purpose: 'A thin line between controls.',
  findBy: ['line', 'rule', 'separator'],
  container: false,
  properties: [
    ...sizing,
    ...placing({ alignSelf: 'stretch' }),
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
    content: { type: 'blank', width: 1, height: 1 },
    look: { background: colourValue(values.colour('color') ?? 'line') },
    style: { minWidth: 1, minHeight: 1 },
  }),
  element: () => ({ tag: 'hr' }),
  css: `.k-divider {
  align-self: stretch;
  min-width: 1px;
  min-height: 1px;
  margin: 0;
  border: 0;
  background: var(--line);
}`,
};
