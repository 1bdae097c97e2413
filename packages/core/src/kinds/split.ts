/** Two panes that become one where there is no room. */
import { flagType, paneType, ratioType } from '../document/property-types.ts';
import type { SplitContent } from '../layout/box.ts';
import { gapsOf } from './flex-inside.ts';
import type { Kind } from './kind.ts';
import { boxLook, padding, paneGap, placing, sizing } from './properties.ts';

export const split: Kind = {
  name: 'split',
  label: 'Split',
  group: 'arrange',
  purpose: 'Two panes side by side where both have room for their min width, else one at a time.',
  findBy: ['list and detail', 'two panes', 'side by side', 'adaptive', 'fold'],
  container: true,
  confines: { most: 2 },
  properties: [
    {
      name: 'ratio',
      label: 'Ratio',
      group: 'inside',
      type: ratioType,
      default: '1/1',
      effect: 'layout',
      perBand: true,
    },
    {
      name: 'show',
      label: 'Show',
      group: 'inside',
      type: paneType,
      default: 'first',
      effect: 'layout',
      perBand: false,
      page: { as: 'attribute', name: 'data-show' },
    },
    {
      name: 'hinge',
      label: 'Gap at the hinge',
      // Read and kept; shown once there are folding sizes for it to act on.
      onlyIn: [],
      group: 'inside',
      type: flagType,
      effect: 'layout',
      perBand: false,
    },
    ...sizing,
    ...placing(),
    padding(),
    ...paneGap,
    ...boxLook(),
  ],
  events: [],
  starter: { ratio: '1/2', gap: '16' },
  starterChildren: ['column', 'column'],
  inside(values, _, children) {
    const ratio = values.get<readonly [number, number]>('ratio') ?? [1, 1];
    return {
      content: {
        type: 'split',
        ratio,
        columnGap: gapsOf(values).columnGap,
        show: values.get<SplitContent['show']>('show') ?? 'first',
      },
      // A pane takes its part of the width, whatever width it asks for.
      parts: children.flatMap((child, index) =>
        child ? { ...child, style: { ...child.style, width: { share: ratio[index] ?? 1 } } } : [],
      ),
    };
  },
  element: (values) => ({ tag: 'div', attributes: { 'data-show': values.text('show') || 'first' } }),
  css: `.k-split {
  display: flex;
  align-items: stretch;
  container-type: inline-size;
}`,
};
