/** The places of the application: which screens there are, and a way to each of them. */

import type { Values } from '../cascade/values.ts';
import { type MenuSource, menuOf } from '../document/menu.ts';
import type { FlexContent } from '../layout/box.ts';
import {
  chosenType,
  type Entry,
  entriesText,
  navFormType,
  placesType,
  textType,
} from '../property-types/index.ts';
import { iconAttributes, iconDrawing } from './drawings.ts';
import { gapsOf } from './flex-inside.ts';
import type { DeclaredCss, Kind, LookPart, Manner, PageElement } from './kind.ts';
import { addressTo } from './link.ts';
import { partLooks } from './look-parts.ts';
import { inside } from './made-anew.ts';
import { boxLook, gap, padding, placing, property, sizing, textLook, wrap } from './properties.ts';
import { tabindex } from './tabindex.ts';
import { textStyleOf, wordsLook } from './words.ts';

const own = {
  options: property({
    name: 'options',
    label: 'Screens',
    group: 'content',
    type: placesType,
    effect: 'layout',
    perBand: false,
    page: { as: 'inside' },
  }),
  icons: property({
    name: 'icons',
    label: 'Icons',
    group: 'content',
    type: placesType,
    effect: 'layout',
    perBand: false,
    page: { as: 'inside' },
  }),
  omit: property({
    name: 'omit',
    label: 'Left out',
    group: 'content',
    type: chosenType,
    effect: 'layout',
    perBand: false,
    page: { as: 'inside' },
  }),
  label: property({
    name: 'label',
    label: 'Label',
    group: 'content',
    type: textType,
    default: 'Places',
    effect: 'behaviour',
    perBand: false,
    page: { as: 'attribute', name: 'aria-label' },
  }),
  form: property({
    name: 'form',
    label: 'Form',
    group: 'inside',
    type: navFormType,
    default: 'bar',
    effect: 'layout',
    perBand: true,
  }),
};

/** Between an icon and its words, where it stands above or beside them, px. */
const iconGap = { above: 2, beside: 12 };

/** Names of icons by screen. */
const iconsOf = (values: Values): ReadonlyMap<string, string> =>
  new Map((values.get(own.icons) ?? []).map(({ value, label }) => [value, label]));

/** The application's menu as a navigation without places of its own has it. */
function menuTexts(project: MenuSource): Record<string, string> {
  const menu = menuOf(project);
  // A stroke parts entries.
  const places = menu.map(({ screen, title = screen }) => ({
    value: screen,
    label: title.replaceAll('|', '/').trim(),
  }));
  const icons = menu.flatMap(({ screen, icon }) => (icon ? { value: screen, label: icon } : []));
  return {
    ...(places.length > 0 ? { [own.options.name]: entriesText(places) } : {}),
    ...(icons.length > 0 ? { [own.icons.name]: entriesText(icons) } : {}),
  };
}

/** The places that are shown: what is left out stays in the list, for the day it comes back. */
function shownPlaces(values: Values): readonly Entry[] {
  const omitted = values.get(own.omit) ?? [];
  return (values.get(own.options) ?? []).filter(({ value }) => !omitted.includes(value));
}

/** The element of a navigation, with its places. */
export function navElement(values: Values): PageElement {
  const icons = iconsOf(values);
  return {
    tag: 'nav',
    attributes: { 'aria-label': values.text(own.label) },
    children: shownPlaces(values).map(({ value, label }) => {
      const icon = icons.get(value);
      return {
        tag: 'a',
        classes: ['part-place'],
        attributes: { href: addressTo(value) },
        children: [
          ...(icon ? [{ tag: 'svg', attributes: iconAttributes, icon }] : []),
          { tag: 'span', text: label },
        ],
      };
    }),
  };
}

/** How the places stand, as CSS. */
const navCss: DeclaredCss = (values) => {
  const form = values.own(own.form);
  return form
    ? [
        ['flex-direction', form === 'bar' ? 'row' : 'column'],
        ['justify-content', form === 'bar' ? 'space-evenly' : 'start'],
        ['text-align', form === 'panel' ? 'start' : 'center'],
        ['--place', form === 'panel' ? 'row' : 'column'],
        ['--place-justify', form === 'panel' ? 'start' : 'center'],
      ]
    : [];
};

export const manner: Manner = { css: navCss, anew: (values) => inside(navElement(values)) };

const navParts: readonly LookPart[] = [
  { name: 'place', label: 'Place', selector: ' > .part-place:not([aria-current="page"])' },
  {
    name: 'here',
    label: 'Place where one is',
    selector: ' > .part-place[aria-current="page"]',
    within: 'place',
  },
];

export const nav: Kind = {
  name: 'nav',
  label: 'Navigation',
  group: 'act',
  purpose: 'The places of the application, as a bar, a rail or a panel.',
  glyph: 'compass',
  acrossFold: true,
  findBy: ['menu', 'places', 'screens', 'pages', 'go to', 'home', 'tabs', 'bottom'],
  container: false,
  manner,
  properties: [
    own.options,
    own.icons,
    own.omit,
    own.label,
    own.form,
    ...sizing,
    ...placing(),
    tabindex,
    padding,
    gap,
    { ...wrap, onlyLike: ['row', 'column', 'grid'] },
    ...boxLook(),
    ...textLook({ weight: { theme: 'labelWeight' }, colour: 'accent' }),
    ...partLooks(navParts),
  ],
  lookParts: navParts,
  events: [],
  starter: {},
  fromProject: { unless: own.options.name, props: menuTexts },
  inside(values, make) {
    const form = values.get(own.form) ?? 'bar';
    const style = textStyleOf(values, make, form === 'panel' ? 'start' : 'center');
    const look = wordsLook(values, make, style);
    const { cellPaddingBlock: block, cellPaddingInline: inline } = make.theme;
    const content: FlexContent = {
      type: 'flex',
      direction: form === 'bar' ? 'row' : 'column',
      align: 'stretch',
      justify: form === 'bar' ? 'evenly' : 'start',
      wrap: values.flag(wrap),
      ...gapsOf(values),
    };
    const place: FlexContent = {
      type: 'flex',
      direction: form === 'panel' ? 'row' : 'column',
      align: 'center',
      justify: form === 'panel' ? 'start' : 'center',
      wrap: false,
      rowGap: iconGap.above,
      columnGap: iconGap.beside,
    };
    const side = make.theme.iconSize * make.scale;
    const icons = iconsOf(values);
    return {
      content,
      parts: shownPlaces(values).map(({ value, label }) => {
        const icon = icons.get(value);
        const drawn = make.blank(
          { width: side, height: side },
          { ...(look.colour ? { colour: look.colour } : {}), drawing: iconDrawing(make.icon(icon ?? '')) },
          { width: side, height: side },
        );
        return make.group(
          place,
          [...(icon ? [drawn] : []), make.words(label, style, look)],
          { padding: { top: block, bottom: block, start: inline, end: inline } },
          value === make.here()
            ? { part: 'here', background: make.colour('tint'), corner: make.theme.corner }
            : { part: 'place' },
        );
      }),
    };
  },
  element: navElement,
  css: (theme) => `.k-nav {
  display: flex;
  justify-content: space-evenly;
  color: var(--accent);
  font-weight: ${theme.labelWeight};
  text-align: center;
}
.k-nav > .part-place {
  display: flex;
  flex-direction: var(--place, column);
  align-items: center;
  justify-content: var(--place-justify, center);
  gap: ${iconGap.above}px ${iconGap.beside}px;
  padding: ${theme.cellPaddingBlock}px ${theme.cellPaddingInline}px;
  border-radius: ${theme.corner}px;
  color: inherit;
  text-decoration: none;
  white-space-collapse: preserve-breaks;
}
.k-nav > .part-place > svg {
  flex: none;
  width: ${theme.iconSize / 16}rem;
  height: ${theme.iconSize / 16}rem;
}
.k-nav > .part-place[aria-current="page"] {
  background: var(--tint);
}
@media (hover: hover) {
  :root:not([data-pointer="touch"]) .k-nav > .part-place:hover {
    text-decoration: underline;
  }
}
@media print {
  .k-nav,
  .k-bar:has(.k-nav) {
    display: none !important;
  }
}`,
};
