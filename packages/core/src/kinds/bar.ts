/** A row or column that stays at an edge of the screen. */
import { edgeType } from '../property-types/index.ts';
import { arrangedBy } from './arrangement.ts';
import { flexContent } from './flex-inside.ts';
import type { Kind, Manner } from './kind.ts';
import { arranging, boxLook, padding, placing, property, sizing } from './properties.ts';

const own = {
  edge: property({
    name: 'edge',
    leads: true,
    label: 'Edge',
    group: 'place',
    type: edgeType,
    default: 'top',
    effect: 'layout',
    // The edge decides where the bar stands in the page's elements, which no width can change.
    perBand: false,
  }),
};

export const manner: Manner = {
  arranges: arrangedBy(own.edge, (edge) => (edge === 'start' || edge === 'end' ? 'column' : 'row')),
};

export const bar: Kind = {
  name: 'bar',
  label: 'Bar',
  group: 'arrange',
  purpose: 'Stays at an edge of the screen while the rest scrolls.',
  glyph: 'panel-top-dashed',
  findBy: ['header', 'footer', 'toolbar', 'side bar', 'sticky', 'fixed'],
  container: true,
  confines: { parents: ['screen'] },
  manner,
  properties: [own.edge, ...sizing, ...placing(), padding, ...arranging, ...boxLook({ background: 'sheet' })],
  events: [],
  example: '<bar edge="top"><text text="Velmora Hut" /></bar><text text="soup" />',
  starter: { edge: 'top', padding: '12 16', gap: '12', align: 'center' },
  inside(values) {
    const edge = values.get(own.edge) ?? 'top';
    return {
      content: flexContent(values, edge === 'start' || edge === 'end' ? 'column' : 'row'),
      style: { edge, firm: true },
    };
  },
  element: (values) => ({ tag: 'div', attributes: { 'data-edge': values.text(own.edge) || 'top' } }),
  css: () => `.k-bar {
  display: flex;
  flex: none;
  background: var(--sheet);
}
.k-bar[data-edge='start'],
.k-bar[data-edge='end'] {
  flex-direction: column;
}`,
};
