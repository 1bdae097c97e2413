/** A picture of the project. */
import { fitType, pictureType, pointType, textType } from '../document/property-types.ts';
import { carried } from './carrying.ts';
import { shownEvents } from './events.ts';
import type { DeclaredCss, Kind } from './kind.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

/** How a picture fills its box, as CSS. */
export const imageCss: DeclaredCss = (own) => [
  ...(own.has('fit') ? [['object-fit', own.get('fit') as string] as const] : []),
  ...(own.has('focus')
    ? [
        [
          'object-position',
          (own.get('focus') as readonly number[]).map((part) => `${part}%`).join(' '),
        ] as const,
      ]
    : []),
];

export const image: Kind = {
  name: 'image',
  label: 'Image',
  group: 'show',
  purpose: 'A picture of the project.',
  findBy: ['picture', 'photo', 'drawing', 'logo', 'avatar', 'portrait'],
  container: false,
  properties: [
    {
      name: 'src',
      label: 'Picture',
      group: 'content',
      type: pictureType,
      effect: 'layout',
      perBand: false,
      page: { as: 'attribute', name: 'src' },
    },
    {
      name: 'alt',
      label: 'Description',
      group: 'content',
      type: textType,
      effect: 'behaviour',
      perBand: false,
      page: { as: 'attribute', name: 'alt' },
    },
    {
      name: 'fit',
      label: 'Fit',
      group: 'look',
      type: fitType,
      default: 'cover',
      effect: 'look',
      perBand: true,
    },
    {
      name: 'focus',
      label: 'Focus point',
      group: 'look',
      type: pointType,
      effect: 'look',
      perBand: true,
    },
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
    ...carried,
  ],
  events: shownEvents,
  starter: {},
  inside(values, make) {
    const name = values.text('src');
    return {
      content: { type: 'picture', ...make.picture(name) },
      look: {
        picture: name,
        pictureFit: values.get<'cover'>('fit') ?? 'cover',
        pictureFocus: values.get<readonly [number, number]>('focus') ?? [50, 50],
      },
    };
  },
  element: (values) => ({ tag: 'img', attributes: { src: values.text('src'), alt: values.text('alt') } }),
  css: `.k-image {
  object-fit: cover;
}`,
};
