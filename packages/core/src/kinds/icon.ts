/** A small sign of the icon set that ships. */
import { colourType, iconType, textSizeType, textType } from '../document/property-types.ts';
import { colourValue, theme } from '../document/theme.ts';
import type { Values } from '../document/values.ts';
import { iconAttributes, iconDrawing } from './drawings.ts';
import { shownEvents } from './events.ts';
import type { Kind, PageElement } from './kind.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

/** The element of an icon. */
export function iconElement(values: Values): PageElement {
  const description = values.text('alt');
  return {
    tag: 'span',
    attributes: description ? { role: 'img', 'aria-label': description } : { 'aria-hidden': 'true' },
    children: [{ tag: 'svg', attributes: iconAttributes, icon: values.text('icon') }],
  };
}

export const icon: Kind = {
  name: 'icon',
  label: 'Icon',
  group: 'show',
  purpose: 'A small sign; alone it needs a description, beside words it needs none.',
  findBy: ['sign', 'symbol', 'glyph', 'pictogram'],
  container: false,
  properties: [
    {
      name: 'icon',
      label: 'Icon',
      group: 'content',
      type: iconType,
      effect: 'look',
      perBand: false,
      page: { as: 'inside' },
    },
    {
      name: 'alt',
      label: 'Description',
      group: 'content',
      type: textType,
      effect: 'behaviour',
      perBand: false,
      page: { as: 'attribute', name: 'aria-label' },
    },
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
    {
      name: 'size',
      label: 'Size',
      group: 'look',
      type: textSizeType,
      default: String(theme.iconSize),
      effect: 'layout',
      perBand: true,
    },
    {
      name: 'color',
      label: 'Colour',
      group: 'look',
      type: colourType,
      default: 'ink',
      effect: 'look',
      perBand: true,
    },
  ],
  events: shownEvents,
  starter: { icon: 'mountain' },
  inside(values, make) {
    const side = (values.number('size') ?? theme.iconSize) * make.scale;
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
            colour: colourValue(values.colour('color') ?? 'ink'),
            drawing: iconDrawing(make.icon(values.text('icon'))),
          },
          { width: side, height: side },
        ),
      ],
    };
  },
  element: iconElement,
  css: `.k-icon {
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
