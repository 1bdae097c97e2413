/** Panels of which one is open, and a tab for each. */

import type { Values } from '../cascade/values.ts';
import { amountType, entriesType } from '../property-types/index.ts';
import type { Sides } from '../values/css.ts';
import { chosenEvents } from './events.ts';
import { columnOf } from './field.ts';
import { gapsOf } from './flex-inside.ts';
import type { Kind, LookPart, Manner, PageElement } from './kind.ts';
import { partLooks } from './look-parts.ts';
import { entriesOf } from './options.ts';
import { boxLook, gap, padding, placing, property, sizing } from './properties.ts';
import { tabindex } from './tabindex.ts';

const own = {
  open: property({
    name: 'open',
    label: 'Open',
    group: 'content',
    type: amountType,
    default: '1',
    effect: 'layout',
    perBand: false,
    twoWay: ['number'],
    page: { part: 'part-tabs', as: 'pane' },
  }),
};

/** Index of the open panel. */
const openOf = (values: Values, count: number): number =>
  Math.max(0, Math.min(count - 1, Math.round(values.get(own.open) ?? 1) - 1));

/** What a tab says: its entry, or its number where there are fewer entries than panels. */
const labelsOf = (values: Values, count: number): string[] =>
  Array.from({ length: count }, (_, index) => entriesOf(values)[index]?.label ?? String(index + 1));

/** The tabs of some panels. @param count how many panels there are. */
export function tabElements(values: Values, name: string, count: number): PageElement[] {
  const open = openOf(values, count);
  return labelsOf(values, count).map((label, index) => ({
    tag: 'button',
    attributes: {
      type: 'button',
      role: 'tab',
      id: `${name}-tab${index + 1}`,
      'aria-controls': `${name}-panel${index + 1}`,
      'aria-selected': String(index === open),
      tabindex: index === open ? '0' : '-1',
    },
    text: label,
  }));
}

export const manner: Manner = {
  anew: (values, name, count) => ({ children: tabElements(values, name, count) }),
};

const tabParts: readonly LookPart[] = [
  { name: 'tab', label: 'Tab', selector: ' > .part-tabs > button:not([aria-selected="true"])' },
  {
    name: 'open',
    label: 'Open tab',
    selector: ' > .part-tabs > button[aria-selected="true"]',
    within: 'tab',
  },
  { name: 'panel', label: 'Panel', selector: ' > .part-panel' },
];

export const tabs: Kind = {
  name: 'tabs',
  label: 'Tabs',
  group: 'arrange',
  purpose: 'Panels of which one is open at a time, with a tab for each.',
  glyph: 'panels-top-left',
  hasHeads: true,
  findBy: ['pages', 'sections', 'switch between', 'panels', 'wizard'],
  container: true,
  manner,
  properties: [
    {
      name: 'options',
      label: 'Tabs',
      group: 'content',
      type: entriesType,
      effect: 'layout',
      perBand: false,
      page: { part: 'part-tabs', as: 'inside' },
    },
    own.open,
    ...sizing,
    ...placing(),
    tabindex,
    padding,
    gap,
    ...boxLook(),
    ...partLooks(tabParts),
  ],
  lookParts: tabParts,
  events: chosenEvents,
  example: '<tabs options="Today | Tomorrow"><text text="one" /><text text="two" /></tabs>',
  starter: { options: 'Stay | Guests', gap: '12' },
  starterChildren: ['column', 'column'],
  inside(values, make, children) {
    const style = make.plain({ weight: make.theme.labelWeight });
    const { cellPaddingBlock: block, cellPaddingInline: inline } = make.theme;
    const tabPadding: Sides = { top: block, bottom: block, start: inline, end: inline };
    const open = openOf(values, children.length);
    const heads = labelsOf(values, children.length).map((label, index) =>
      make.words(
        label,
        style,
        {
          part: index === open ? 'open' : 'tab',
          colour: make.colour(index === open ? 'accent' : 'quiet'),
          text: style,
          borderColour: index === open ? make.colour('accent') : 'transparent',
        },
        { padding: tabPadding, border: { top: 0, end: 0, bottom: 2, start: 0 } },
      ),
    );
    const panel = children[open];
    return {
      content: { ...columnOf, rowGap: gapsOf(values).rowGap },
      parts: [
        make.group({ ...columnOf, direction: 'row' }, heads),
        ...(children.length > 0 ? [make.group(columnOf, panel ? [panel] : [], {}, { part: 'panel' })] : []),
      ],
    };
  },
  element(values, children, name) {
    const open = openOf(values, children.length);
    return {
      tag: 'div',
      children: [
        {
          tag: 'div',
          classes: ['part-tabs'],
          attributes: { role: 'tablist' },
          children: tabElements(values, name, children.length),
        },
        ...children.map((_, index) => ({
          tag: 'div',
          classes: ['part-panel'],
          attributes: {
            role: 'tabpanel',
            id: `${name}-panel${index + 1}`,
            'aria-labelledby': `${name}-tab${index + 1}`,
            hidden: index !== open,
          },
          children: [index],
        })),
      ],
    };
  },
  css: (theme) => `.k-tabs {
  display: flex;
  flex-direction: column;
}
.k-tabs > .part-tabs {
  display: flex;
}
.k-tabs > .part-tabs > button {
  appearance: none;
  display: flex;
  align-items: start;
  padding: ${theme.cellPaddingBlock}px ${theme.cellPaddingInline}px;
  border-bottom: 2px solid transparent;
  background: none;
  color: var(--quiet);
  font-weight: ${theme.labelWeight};
  text-align: start;
  white-space-collapse: preserve-breaks;
  cursor: pointer;
}
.k-tabs > .part-tabs > button[aria-selected="true"] {
  border-bottom-color: var(--accent);
  color: var(--accent);
}
.k-tabs > .part-tabs > button:where(:hover, :active):not([aria-selected="true"]) {
  color: var(--ink);
}
.k-tabs > .part-panel {
  display: flex;
  flex-direction: column;
}
.k-tabs > .part-panel[hidden] {
  display: none;
}`,
};
