/** A window onto children that may be larger than it. */
import { scrollAxisType } from '../document/property-types.ts';
import type { ScrollContent } from '../layout/box.ts';
import { flexContent } from './flex-inside.ts';
import type { Kind } from './kind.ts';
import { arranging, boxLook, padding, placing, sizing } from './properties.ts';
import { tabindex } from './tabindex.ts';

export const scroll: Kind = {
  name: 'scroll',
  label: 'Scroll',
  group: 'arrange',
  purpose: 'Shows a part of what is inside and lets the person scroll to the rest.',
  findBy: ['overflow', 'list', 'long', 'swipe'],
  container: true,
  properties: [
    {
      name: 'axis',
      label: 'Axis',
      group: 'inside',
      type: scrollAxisType,
      default: 'vertical',
      effect: 'layout',
      perBand: true,
    },
    ...sizing,
    ...placing(),
    tabindex,
    padding(),
    ...arranging,
    ...boxLook(),
  ],
  events: [],
  starter: { height: '240', gap: '12' },
  inside(values, make, children) {
    const axis = values.get<ScrollContent['axis']>('axis') ?? 'vertical';
    const content = flexContent(values, axis === 'horizontal' ? 'row' : 'column');
    return {
      content: { type: 'scroll', axis },
      parts: [
        make.group(
          content,
          children.flatMap((child) => child ?? []),
        ),
      ],
      look: { clips: true },
    };
  },
  element: (_, children) => ({
    tag: 'div',
    attributes: { tabindex: '0' },
    children: [{ tag: 'div', classes: ['part-content'], children: children.map((_, index) => index) }],
  }),
  parts: () => [{ selector: '> .part-content', properties: arranging.map(({ name }) => name) }],
  css: `.k-scroll {
  overflow: hidden auto;
}
.k-scroll > .part-content {
  display: flex;
  flex-direction: column;
  min-height: 100%;
}`,
};
