/** A small sign of the icon set that ships. */

import type { Values } from '../cascade/values.ts';
import { colourType, iconType, textSizeType, textType } from '../property-types/index.ts';
import { shownEvents } from './events.ts';
import type { Kind, Manner, PageElement } from './kind.ts';
import { inside } from './made-anew.ts';
import { directedDrawing, iconPart, mirror, mirrorCss } from './mirroring.ts';
import { boxLook, padding, placing, property, sizing } from './properties.ts';
import { textSizeOf } from './words.ts';

const own = {
  icon: property({
    name: 'icon',
    label: 'Icon',
    group: 'content',
    type: iconType,
    effect: 'look',
    perBand: false,
    page: { as: 'inside' },
  }),
  alt: property({
    name: 'alt',
    label: 'Description',
    group: 'content',
    type: textType,
    effect: 'behaviour',
    perBand: false,
    page: { as: 'attribute', name: 'aria-label' },
  }),
  size: property({
    name: 'size',
    label: 'Size',
    group: 'look',
    type: textSizeType,
    default: { theme: 'iconSize' },
    effect: 'layout',
    perBand: true,
  }),
  color: property({
    name: 'color',
    label: 'Colour',
    group: 'look',
    type: colourType,
    default: 'ink',
    effect: 'look',
    perBand: true,
  }),
};

/** The element of an icon. */
export function iconElement(values: Values): PageElement {
  const description = values.text(own.alt);
  return {
    tag: 'span',
    attributes: description ? { role: 'img', 'aria-label': description } : { 'aria-hidden': 'true' },
    children: [iconPart(values, values.text(own.icon))],
  };
}

export const manner: Manner = { anew: (values) => inside(iconElement(values)) };

export const icon: Kind = {
  name: 'icon',
  label: 'Icon',
  group: 'show',
  purpose: 'A small sign; alone it needs a description, beside words it needs none.',
  glyph: 'star',
  findBy: ['sign', 'symbol', 'glyph', 'pictogram'],
  container: false,
  manner,
  properties: [
    own.icon,
    own.alt,
    ...sizing,
    ...placing(),
    padding,
    ...boxLook(),
    own.size,
    own.color,
    mirror,
  ],
  events: shownEvents,
  starter: { icon: 'mountain' },
  inside(values, make) {
    const side = textSizeOf(values, make.theme.iconSize) * make.scale;
    return {
      content: {
        type: 'flex',
        direction: 'row',
        align: 'center',
        justify: 'center',
        wrap: false,
        rowGap: 0,
        columnGap: 0,
      },
      parts: [
        make.blank(
          { width: side, height: side },
          {
            colour: make.colour(values.get(own.color) ?? 'ink'),
            drawing: directedDrawing(values, make.icon(values.text(own.icon)), make.rightToLeft),
          },
          { width: side, height: side },
        ),
      ],
    };
  },
  element: iconElement,
  sharedCss: [mirrorCss],
  css: (theme) => `.k-icon {
  display: flex;
  align-items: center;
  justify-content: center;
  font-size: ${theme.iconSize / 16}rem;
}
.k-icon > svg {
  flex: none;
  width: 1em;
  height: 1em;
}`,
};
