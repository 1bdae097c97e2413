/** A picture of the project. */
import { pictureType, textType } from '../document/property-types.ts';
import type { Kind } from './kind.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';

export const image: Kind = {
  name: 'image',
  label: 'Image',
  group: 'show',
  purpose: 'A picture of the project.',
  findBy: ['picture', 'photo', 'drawing', 'logo'],
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
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
  ],
  events: [],
  starter: {},
  inside(values, make) {
    const name = values.text('src');
    return { content: { type: 'picture', ...make.picture(name) }, look: { picture: name } };
  },
  element: (values) => ({ tag: 'img', attributes: { src: values.text('src'), alt: values.text('alt') } }),
  css: `.k-image {
  object-fit: cover;
}`,
};
