/** Its children once for each item of a list. */
import { identifierType, listType } from '../document/property-types.ts';
import { arrangedContent, likeProperty } from './arrangement.ts';
import { shownEvents } from './events.ts';
import type { Kind } from './kind.ts';
import { arranging, boxLook, gridTracks, padding, placing, sizing, wrapping } from './properties.ts';

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
    likeProperty('column'),
    ...sizing,
    ...placing(),
    padding(),
    ...arranging,
    wrapping,
    ...gridTracks,
    ...boxLook(),
  ],
  events: shownEvents,
  starter: { each: '{[1, 2, 3]}', gap: '12' },
  inside: (values) => ({ content: arrangedContent(values) }),
  element: () => ({ tag: 'div' }),
  css: `.k-repeat {
  display: flex;
  flex-direction: column;
}`,
};
