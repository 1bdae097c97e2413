/** A cell of a table's rows, made of controls: one column of it. */
import { textType } from '../document/property-types.ts';
import { theme } from '../document/theme.ts';
import { arrangedContent, likeProperty } from './arrangement.ts';
import type { Kind, Property } from './kind.ts';
import { arranging, boxLook, gridTracks, padding, wrapping } from './properties.ts';

const { block, inline } = theme.cellPadding;

/** What the head of its column says of it; the table makes it. */
const ofColumn = (name: string, label: string): Property => ({
  name,
  label,
  group: 'data',
  type: textType,
  effect: 'layout',
  perBand: false,
});

export const cell: Kind = {
  name: 'cell',
  label: 'Cell',
  group: 'show',
  purpose: 'One column of a table: what stands in it in each row, which is called `row`.',
  findBy: ['column', 'table', 'row', 'field'],
  container: true,
  confines: { parents: ['table'] },
  properties: [
    ofColumn('head', 'Head'),
    ofColumn('field', 'Field to sort by'),
    padding({ default: `${block} ${inline}` }),
    likeProperty('column'),
    ...arranging,
    wrapping,
    ...gridTracks,
    ...boxLook({ borderWidth: '0 0 1' }),
  ],
  events: [],
  starter: { head: 'Column' },
  inside: (values) => ({ content: arrangedContent(values) }),
  element: () => ({ tag: 'div', attributes: { role: 'cell', tabindex: '-1' } }),
  css: `.k-cell {
  display: flex;
  flex-direction: column;
  padding: ${block}px ${inline}px;
  border: 0 solid var(--line);
  border-bottom-width: 1px;
}`,
};
