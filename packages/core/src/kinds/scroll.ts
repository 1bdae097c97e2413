/** A window onto children that may be larger than it. */
import { flagType, scrollAxisType } from '../property-types/index.ts';
import { arrangedBy } from './arrangement.ts';
import { flexContent } from './flex-inside.ts';
import type { Kind, Manner } from './kind.ts';
import { arranging, boxLook, padding, placing, property, sizing } from './properties.ts';
import { tabindex } from './tabindex.ts';

const own = {
  axis: property({
    name: 'axis',
    leads: true,
    label: 'Axis',
    group: 'inside',
    type: scrollAxisType,
    default: 'vertical',
    effect: 'layout',
    perBand: true,
  }),
  end: property({
    name: 'at-end',
    leads: true,
    label: 'Stays at its end',
    group: 'inside',
    type: flagType,
    effect: 'behaviour',
    perBand: false,
  }),
};

const overflows = { horizontal: 'auto hidden', both: 'auto', vertical: 'hidden auto' };

export const manner: Manner = {
  arranges: arrangedBy(own.axis, (axis) => (axis === 'horizontal' ? 'row' : 'column')),
  css(values) {
    const axis = values.own(own.axis);
    return axis === undefined ? [] : [['overflow', overflows[axis]]];
  },
  partCss(values) {
    const axis = values.own(own.axis);
    if (axis === undefined) return [];
    return [
      ['flex-direction', axis === 'horizontal' ? 'row' : 'column'],
      ['width', axis === 'vertical' ? 'auto' : 'max-content'],
      ['min-width', axis === 'vertical' ? '0' : '100%'],
      ['height', axis === 'horizontal' ? '100%' : 'auto'],
      ['min-height', axis === 'horizontal' ? '0' : '100%'],
    ];
  },
};

export const scroll: Kind = {
  name: 'scroll',
  label: 'Scroll',
  group: 'arrange',
  purpose: 'Shows a part of what is inside and lets the person scroll to the rest.',
  glyph: 'rows-4',
  scrolls: true,
  findBy: ['overflow', 'list', 'long', 'swipe'],
  container: true,
  manner,
  properties: [own.axis, own.end, ...sizing, ...placing(), tabindex, padding, ...arranging, ...boxLook()],
  events: [],
  example:
    '<scroll height="60"><text text="one" /><text text="two" /><text text="three" /><text text="four" /></scroll>',
  starter: { height: '240', gap: '12' },
  inside(values, make, children) {
    const axis = values.get(own.axis) ?? 'vertical';
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
  element: (values, children) => ({
    tag: 'div',
    attributes: { 'data-scrolls': '', ...(values.flag(own.end) ? { 'data-end': '' } : {}) },
    children: [{ tag: 'div', classes: ['part-content'], children: children.map((_, index) => index) }],
  }),
  parts: () => [{ selector: '> .part-content', properties: arranging.map(({ name }) => name) }],
  css: () => `.k-scroll {
  overflow: hidden auto;
}
.k-scroll > .part-content {
  display: flex;
  flex-direction: column;
  min-height: 100%;
}
@media print {
  .k-scroll {
    height: auto !important;
    max-height: none !important;
    overflow: visible !important;
  }
}`,
};
