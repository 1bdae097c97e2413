/** Two panes that become one where there is no room. */

import type { Box } from '../layout/box.ts';
import { flagType, paneType, ratioType } from '../property-types/index.ts';
import type { Size } from '../values/css.ts';
import { gapsOf } from './flex-inside.ts';
import type { Kind, Manner } from './kind.ts';
import { boxLook, gap, padding, placing, property, sizing } from './properties.ts';

const own = {
  ratio: property({
    name: 'ratio',
    leads: true,
    label: 'Ratio',
    group: 'inside',
    type: ratioType,
    default: '1/1',
    effect: 'layout',
    perBand: true,
  }),
  show: property({
    name: 'show',
    leads: true,
    label: 'Show',
    group: 'inside',
    type: paneType,
    default: 'first',
    effect: 'layout',
    perBand: true,
    plainChanges: true,
    page: { as: 'attribute', name: 'data-show' },
  }),
  hinge: property({
    name: 'hinge',
    label: 'Gap at the hinge',
    group: 'inside',
    type: flagType,
    effect: 'layout',
    perBand: false,
  }),
};

export const manner: Manner = { panes: own };

export const split: Kind = {
  name: 'split',
  label: 'Split',
  group: 'arrange',
  purpose: 'Two panes side by side where both have room for their min width, else one at a time.',
  glyph: 'panel-left',
  findBy: [
    'list and detail',
    'two panes',
    'side by side',
    'adaptive',
    'fold',
    'master and detail',
    'two columns',
  ],
  container: true,
  confines: { most: 2 },
  manner,
  properties: [own.ratio, own.show, own.hinge, ...sizing, ...placing(), padding, gap, ...boxLook()],
  events: [],
  example:
    '<split height="80"><column background="tint" min-width="80"><text text="list" /></column><column background="line" min-width="80"><text text="detail" /></column></split>',
  starter: { ratio: '1/2', gap: '16' },
  starterChildren: ['column', 'column'],
  inside(values, make, children) {
    const ratio = values.get(own.ratio) ?? [1, 1];
    const show = values.get(own.show) ?? 'first';
    // The panes are named by the document, but stand by their `order`.
    const [one, other] = children;
    const swapped = one && other && one.style.order > other.style.order;
    // A pane takes its part of the width, whatever width it asks for.
    const pane = (child: Box, width: Size): Box => ({ ...child, style: { ...child.style, width } });
    const share = (index: number) => ({ share: ratio[index] ?? 1 });
    const at = values.flag(own.hinge) ? make.paneAtHinge : undefined;
    const folded =
      at && one && other
        ? {
            panes: [one, other]
              .map((child, index) => pane(child, index === at.pane ? Math.max(0, at.width) : share(index)))
              .toSorted((a, b) => a.style.order - b.style.order),
            columnGap: at.gap,
          }
        : undefined;
    return {
      content: {
        type: 'split',
        ratio: swapped ? [ratio[1], ratio[0]] : ratio,
        columnGap: gapsOf(values).columnGap,
        show: swapped ? (show === 'first' ? 'second' : 'first') : show,
        folded,
      },
      parts: children.flatMap((child, index) => (child ? pane(child, share(index)) : [])),
    };
  },
  element: (values) => ({ tag: 'div', attributes: { 'data-show': values.text(own.show) || 'first' } }),
  css: () => `.k-split {
  display: flex;
  align-items: stretch;
  container-type: inline-size;
}`,
};
