/** The whole of what a person sees at once: a column as wide as the window and at least as high. */
import { textType } from '../document/property-types.ts';
import { flexInside } from './flex-inside.ts';
import type { Kind } from './kind.ts';
import { arranging, boxLook, padding } from './properties.ts';

export const screen: Kind = {
  name: 'screen',
  label: 'Screen',
  group: 'arrange',
  purpose: 'A whole screen of the application.',
  findBy: ['page', 'view'],
  container: true,
  properties: [
    { name: 'title', label: 'Title', group: 'content', type: textType, effect: 'behaviour', perBand: false },
    padding(),
    ...arranging,
    ...boxLook({ background: 'page' }),
  ],
  events: [],
  starter: { padding: '24', gap: '16' },
  inside: (values) => flexInside(values, 'column'),
  element: () => ({ tag: 'main', children: [] }),
  css: `.k-screen {
  display: flex;
  flex-direction: column;
  min-height: 100vh;
  background: var(--page);
}`,
};
