/** Two panes that become one where there is no room. */
import { flagType, paneType, ratioType } from '../document/property-types.ts';
import type { Values } from '../document/values.ts';
import type { HingeInside, SplitContent } from '../layout/box.ts';
import { gapsOf } from './flex-inside.ts';
import type { Kind } from './kind.ts';
import { boxLook, padding, paneGap, placing, sizing } from './properties.ts';

/** How wide the panes of a split are that lies across a whole screen, on both sides of where the screen folds. */
function sidesOfHinge(
  values: Values,
  { start, width, room }: HingeInside,
): { sides: readonly [number, number]; gap: number } {
  const padding = values.sides('padding');
  const border = values.sides('border-width');
  const before = start - (padding?.start ?? 0) - (border?.start ?? 0);
  const behind = room - start - width - (padding?.end ?? 0) - (border?.end ?? 0);
  return { sides: [Math.max(1, before), Math.max(1, behind)], gap: width };
}

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
  inside(values, make, children) {
    const folded = values.flag('hinge') && make.hinge ? sidesOfHinge(values, make.hinge) : undefined;
    const ratio = folded?.sides ?? values.get<readonly [number, number]>('ratio') ?? [1, 1];
    const show = values.get<SplitContent['show']>('show') ?? 'first';
    // The panes are named by the document, but stand by their `order`.
    const [one, other] = children;
    const swapped = one && other && one.style.order > other.style.order;
    return {
      content: {
        type: 'split',
        ratio: swapped && !folded ? [ratio[1], ratio[0]] : ratio,
        columnGap: folded?.gap ?? gapsOf(values).columnGap,
        show: swapped ? (show === 'first' ? 'second' : 'first') : show,
      },
      // A pane takes its part of the width, whatever width it asks for.
      parts: children.flatMap((child, index) =>
        child
          ? {
              ...child,
              style: { ...child.style, width: { share: ratio[folded && swapped ? 1 - index : index] ?? 1 } },
            }
          : [],
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
