/** The whole of what a person sees at once: a column as wide as the window and at least as high. */

import { menuAttributes } from '../document/menu.ts';
import type { Box, FlexContent } from '../layout/box.ts';
import {
  anyType,
  comesType,
  flagType,
  iconType,
  identifierType,
  secondsType,
  textType,
} from '../property-types/index.ts';
import { noSides } from '../values/css.ts';
import { screenEvents } from './events.ts';
import { flexContent } from './flex-inside.ts';
import type { Kind } from './kind.ts';
import { arranging, background, boxLook, padding, property, styling } from './properties.ts';
import { barsOf, hasBars } from './screen-bars.ts';

const own = {
  dialog: property({
    name: 'dialog',
    leads: false,
    label: 'Dialog',
    group: 'content',
    type: flagType,
    effect: 'look',
    perBand: false,
  }),
  menu: property({
    name: menuAttributes.menu,
    leads: false,
    label: 'In the menu',
    group: 'content',
    type: flagType,
    effect: 'behaviour',
    perBand: false,
    plain: true,
  }),
  icon: property({
    name: menuAttributes.icon,
    leads: false,
    label: 'Icon in the menu',
    group: 'content',
    type: iconType,
    effect: 'behaviour',
    perBand: false,
    plain: true,
  }),
  splash: property({
    name: menuAttributes.splash,
    leads: false,
    label: 'Splash, s',
    group: 'content',
    type: secondsType,
    effect: 'behaviour',
    perBand: false,
    plain: true,
  }),
  surround: property({
    name: 'surround',
    label: 'Surround',
    group: 'content',
    type: identifierType,
    effect: 'layout',
    perBand: false,
    plain: true,
  }),
};

/** The property by which a screen names the component around it. */
export const surroundOf = own.surround;

const plainRow = (direction: 'row' | 'column'): FlexContent => ({
  type: 'flex',
  direction,
  align: 'stretch',
  justify: 'start',
  wrap: false,
  rowGap: 0,
  columnGap: 0,
});

export const screen: Kind = {
  name: 'screen',
  label: 'Screen',
  group: 'arrange',
  purpose: 'A whole screen of the application.',
  glyph: 'panel-top',
  root: 'screens',
  gives: own.surround.name,
  findBy: ['page', 'view'],
  container: true,
  properties: [
    { name: 'title', label: 'Title', group: 'content', type: textType, effect: 'behaviour', perBand: false },
    {
      name: 'every',
      label: 'Timer, s',
      group: 'content',
      type: secondsType,
      effect: 'behaviour',
      perBand: false,
    },
    {
      name: 'when',
      label: 'Waits for',
      group: 'data',
      type: anyType,
      effect: 'behaviour',
      perBand: false,
    },
    {
      name: 'address',
      label: 'In the address',
      group: 'data',
      type: anyType,
      effect: 'behaviour',
      perBand: false,
      leads: false,
    },
    {
      name: 'leaving',
      label: 'Asks on leaving',
      group: 'content',
      type: textType,
      effect: 'behaviour',
      perBand: false,
      leads: false,
    },
    {
      name: 'comes',
      label: 'Comes by',
      group: 'content',
      type: comesType,
      effect: 'behaviour',
      perBand: false,
      leads: false,
    },
    {
      name: 'comes-seconds',
      label: 'Comes in, s',
      group: 'content',
      type: secondsType,
      effect: 'behaviour',
      perBand: false,
      leads: false,
    },
    own.dialog,
    own.menu,
    own.icon,
    own.splash,
    own.surround,
    padding,
    ...arranging,
    ...boxLook({ background: 'page' }),
    ...styling,
  ],
  events: screenEvents,
  starter: { padding: '24', gap: '16' },
  inside(values, make, children, controls) {
    const shown = children.flatMap((child) => child ?? []);
    const content = flexContent(values, 'column');
    // Nothing lies under a screen but the page itself; under a dialog there is another screen.
    const isBare = values.get(background) === 'none' && !values.flag(own.dialog);
    const look = isBare ? { background: make.colour('page') } : {};
    if (!hasBars(controls)) return { content, look };
    const at = (edge: Box['style']['edge']) => shown.filter(({ style }) => style.edge === edge);
    // Children that are no bars scroll in the room between the bars; bars follow each other from the edge inwards.
    const body = make.group({ type: 'scroll', axis: 'vertical' }, [make.group(content, at(undefined))], {
      width: { share: 1 },
      padding: values.get(padding) ?? noSides,
    });
    const middle = make.group(plainRow('row'), [...at('start'), body, ...at('end').toReversed()], {
      height: { share: 1 },
    });
    return {
      content: plainRow('column'),
      parts: [...at('top'), middle, ...at('bottom').toReversed()],
      look,
      style: { firm: true, padding: noSides },
    };
  },
  element(values, children, name) {
    // A dialog is a landmark itself.
    const isDialog = values.flag(own.dialog);
    const main = isDialog ? 'div' : 'main';
    if (!hasBars(children)) return { tag: main };
    const { top, bottom, start, end, rest } = barsOf(children);
    const body = `${name.slice(0, name.indexOf('-'))}-content`;
    // One bar before the content and one behind it are landmarks (HTML §4.3.8, §4.3.9); in the others their navigation is.
    const head = top[0] ?? start[0];
    const foot = bottom[0];
    const bar = (child: number) => {
      const tag = child === head ? 'header' : child === foot ? 'footer' : undefined;
      return tag === undefined || isDialog ? child : { child, tag };
    };
    return {
      tag: 'div',
      classes: ['has-bars'],
      children: [
        ...(isDialog
          ? []
          : [
              {
                tag: 'a',
                classes: ['part-skip'],
                attributes: { href: `#${encodeURIComponent(body)}` },
                text: 'Skip to content',
              },
            ]),
        ...top.map(bar),
        {
          tag: 'div',
          classes: ['part-middle'],
          children: [
            ...start.map(bar),
            {
              tag: main,
              classes: ['part-body'],
              attributes: { 'data-scrolls': '', ...(isDialog ? {} : { id: body }) },
              children: [{ tag: 'div', classes: ['part-content'], children: rest }],
            },
            ...end.toReversed().map(bar),
          ],
        },
        ...bottom.toReversed().map(bar),
      ],
    };
  },
  parts: (children) =>
    hasBars(children)
      ? [
          { selector: '> .part-middle > .part-body', properties: ['padding'] },
          {
            selector: '> .part-middle > .part-body > .part-content',
            properties: arranging.map(({ name }) => name),
          },
        ]
      : [],
  css: (theme) => `.k-screen {
  display: flex;
  flex-direction: column;
  min-height: var(--screen-height);
  background: var(--page);
}
.k-screen.has-bars {
  height: var(--screen-height);
}
.k-screen > .part-skip {
  position: absolute;
  z-index: 1;
  inset-block-start: calc(8px + var(--safe-top));
  inset-inline-start: calc(8px + var(--safe-left));
  padding: 8px 12px;
  border-radius: ${theme.corner}px;
  background: var(--ink);
  color: var(--page);
}
.k-screen > .part-skip:not(:focus) {
  width: 1px;
  height: 1px;
  padding: 0;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
}
.k-screen > .part-middle {
  display: flex;
  flex: 1 1 0px;
  min-height: 0;
}
.k-screen > .part-middle > .part-body {
  flex: 1 1 0px;
  min-width: 0;
  overflow: hidden auto;
}
.k-screen > .part-middle > .part-body > .part-content {
  display: flex;
  flex-direction: column;
  min-height: 100%;
}
@media print {
  .k-screen.has-bars {
    height: auto;
  }
  .k-screen > .part-middle {
    display: block;
  }
  .k-screen > .part-middle > .part-body {
    overflow: visible;
  }
}`,
};
