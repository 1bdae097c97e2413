/** A picture of the project. */
import { fitType, pictureType, pointType, textType } from '../property-types/index.ts';
import { carried } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { Kind, Manner } from './kind.ts';
import { boxLook, padding, placing, property, sizing } from './properties.ts';

const own = {
  src: property({
    name: 'src',
    label: 'Picture',
    group: 'content',
    type: pictureType,
    effect: 'layout',
    perBand: false,
    page: { as: 'attribute', name: 'src' },
  }),
  alt: property({
    name: 'alt',
    label: 'Description',
    group: 'content',
    type: textType,
    effect: 'behaviour',
    perBand: false,
    page: { as: 'attribute', name: 'alt' },
  }),
  fit: property({
    name: 'fit',
    leads: true,
    label: 'Fit',
    group: 'look',
    type: fitType,
    default: 'cover',
    effect: 'look',
    perBand: true,
  }),
  focus: property({
    name: 'focus',
    label: 'Focus point',
    group: 'look',
    type: pointType,
    effect: 'look',
    perBand: true,
  }),
};

export const manner: Manner = {
  keepsSize: true,
  css(values) {
    const fit = values.own(own.fit);
    const focus = values.own(own.focus);
    return [
      ...(fit ? [['object-fit', fit] as const] : []),
      ...(focus ? [['object-position', focus.map((part) => `${part}%`).join(' ')] as const] : []),
    ];
  },
};

export const image: Kind = {
  name: 'image',
  label: 'Image',
  group: 'show',
  purpose: 'A picture of the project.',
  glyph: 'image',
  findBy: ['picture', 'photo', 'drawing', 'logo', 'avatar', 'portrait'],
  container: false,
  fillsCells: true,
  manner,
  properties: [
    own.src,
    own.alt,
    own.fit,
    own.focus,
    ...sizing,
    ...placing(),
    padding,
    ...boxLook(),
    ...carried,
  ],
  events: shownEvents,
  example:
    '<image src="missing.png" width="120" height="80" corner="20" border-width="2 2 2 8" border-color="accent" />',
  starter: {},
  inside(values, make) {
    const name = values.text(own.src);
    return {
      content: { type: 'picture', ...make.picture(name) },
      look: {
        picture: name,
        pictureFit: values.get(own.fit) ?? 'cover',
        pictureFocus: values.get(own.focus) ?? [50, 50],
      },
    };
  },
  element: (values) => ({ tag: 'img', attributes: { src: values.text(own.src), alt: values.text(own.alt) } }),
  css: () => `.k-image {
  object-fit: cover;
}`,
};
