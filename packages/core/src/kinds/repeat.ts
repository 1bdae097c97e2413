/** Its children once for each item of a list. */
import { identifierType, likeType, listType } from '../document/property-types.ts';
import { flexContent } from './flex-inside.ts';
import { gridContent } from './grid-inside.ts';
import type { Kind } from './kind.ts';
import { arranging, boxLook, gridArranging, padding, placing, sizing, wrapping } from './properties.ts';

const gapNames = ['gap', 'row-gap', 'column-gap'];

/** Most items that one repeat shows. */
export const mostItems = 10_000;

export const repeat: Kind = {
  name: 'repeat',
  label: 'Repeat',
  group: 'arrange',
  purpose: 'Repeats what is inside for each item of a list.',
  findBy: ['list', 'each', 'rows', 'items', 'table', 'loop'],
  container: true,
  properties: [
    { name: 'each', label: 'Each of', group: 'data', type: listType, effect: 'layout', perBand: false },
    {
      name: 'as',
      label: 'Item called',
      group: 'data',
      type: identifierType,
      default: 'item',
      effect: 'behaviour',
      perBand: false,
    },
    {
      name: 'like',
      label: 'Like',
      group: 'inside',
      type: likeType,
      default: 'column',
      effect: 'layout',
      perBand: true,
    },
    ...sizing,
    ...placing(),
    padding(),
    // Like a row it starts, like a grid it stretches where nothing is said.
    ...arranging.map(({ default: preset, ...rest }) =>
      rest.name === 'justify' || preset === undefined ? rest : { ...rest, default: preset },
    ),
    wrapping,
    ...gridArranging.filter(({ name }) => !gapNames.includes(name)),
    ...boxLook(),
  ],
  events: [],
  starter: { each: '{[1, 2, 3]}', gap: '12' },
  inside(values) {
    const like = values.get<'row' | 'column' | 'grid'>('like') ?? 'column';
    return { content: like === 'grid' ? gridContent(values) : flexContent(values, like) };
  },
  element: () => ({ tag: 'div' }),
  css: `.k-repeat {
  display: flex;
  flex-direction: column;
  align-items: stretch;
  justify-items: stretch;
}`,
};
