/** A cell of a table's rows, made of controls: one column of it. */
import { textType } from '../property-types/index.ts';
import { arrangedContent, likeManner, likeProperty } from './arrangement.ts';
import { oneColumn } from './column-names.ts';
import type { Kind, Manner, Property } from './kind.ts';
import { arranging, boxLook, gridTracks, padding, preset, styling, wrap } from './properties.ts';

/** What the head of its column says of it; the table makes it. */
const ofColumn = (name: string, label: string, rest: Partial<Property> = {}): Property => ({
  name,
  label,
  group: 'data',
  type: textType,
  effect: 'layout',
  perBand: false,
  ...rest,
});

export const manner: Manner = likeManner;

export const cell: Kind = {
  name: 'cell',
  label: 'Cell',
  group: 'show',
  purpose: 'One column of a table: what stands in it in each row, which is called `row`.',
  glyph: 'table-cells-merge',
  findBy: ['column', 'table', 'row', 'field'],
  container: true,
  confines: { parents: ['table'] },
  manner,
  properties: [
    ofColumn('head', 'Head'),
    ofColumn('field', 'Field to sort by', { columns: oneColumn('around') }),
    preset(padding, 'cell-padding-block cell-padding-inline'),
    likeProperty('column'),
    ...arranging,
    wrap,
    ...gridTracks,
    ...styling,
    ...boxLook({ borderWidth: '0 0 1' }),
  ],
  events: [],
  example:
    '<table rows="{[{ who: \'Ilka\', beds: 2 }]}"><cell head="Guest" field="who"><text text="{row.who}" /></cell></table>',
  starter: { head: 'Column' },
  inside: (values) => ({ content: arrangedContent(values) }),
  element: () => ({ tag: 'div', attributes: { role: 'cell', tabindex: '-1' } }),
  css: ({ cellPaddingBlock: block, cellPaddingInline: inline }) => `.k-cell {
  display: flex;
  flex-direction: column;
  padding: ${block}px ${inline}px;
  border: 0 solid var(--line);
  border-bottom-width: 1px;
}`,
};
