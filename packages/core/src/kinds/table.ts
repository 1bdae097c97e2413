/** Records in rows, their fields in columns. */
import { type Entry, entriesType, listType, textType } from '../document/property-types.ts';
import { colourValue, theme } from '../document/theme.ts';
import type { Values } from '../document/values.ts';
import { asText } from '../expression/evaluate.ts';
import type { GridContent, Sides } from '../layout/box.ts';
import { shownEvents } from './events.ts';
import { content, fieldContent } from './field.ts';
import type { Kind, PageElement } from './kind.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';
import { mostItems } from './repeat.ts';
import { tabindex } from './tabindex.ts';
import { plainWords } from './words.ts';

const headStyle = plainWords({ weight: theme.captionWeight, size: theme.labelSize });
const cellStyle = plainWords();
const { block, inline } = theme.cellPadding;
const cellPadding: Sides = { top: block, bottom: block, start: inline, end: inline };
const cellBorder: Sides = { top: 0, end: 0, bottom: 1, start: 0 };

/** A table's columns, and its rows as records. */
interface Contents {
  readonly columns: readonly (Entry & { readonly numeric: boolean })[];
  readonly rows: readonly Readonly<Record<string, unknown>>[];
}

/** Columns that are not said are the fields of the first record. */
function contentsOf(values: Values): Contents {
  const rows = (values.get<readonly unknown[]>('rows') ?? [])
    .slice(0, mostItems)
    .map((row) =>
      typeof row === 'object' && row !== null ? (row as Record<string, unknown>) : { value: row },
    );
  const said = values.get<readonly Entry[]>('columns') ?? [];
  const columns =
    said.length > 0 ? said : Object.keys(rows[0] ?? {}).map((key) => ({ value: key, label: key }));
  return {
    rows,
    columns: columns.map((column) => ({ ...column, numeric: typeof rows[0]?.[column.value] === 'number' })),
  };
}

const cellText = (row: Readonly<Record<string, unknown>>, key: string): string =>
  Object.hasOwn(row, key) ? asText(row[key]) : '';

const gridOf = (count: number): GridContent => ({
  type: 'grid',
  columns: Array.from({ length: Math.max(1, count) }, () => ({ min: 'auto', max: 'auto' })),
  rows: [],
  autoColumns: [],
  autoRows: [],
  flow: 'row',
  dense: false,
  align: 'stretch',
  justify: 'stretch',
  rowGap: 0,
  columnGap: 0,
  layers: false,
});

export const table: Kind = {
  name: 'table',
  label: 'Table',
  group: 'show',
  purpose: 'Records in rows, their fields in columns; it scrolls sideways where it is too wide.',
  findBy: ['grid', 'rows', 'columns', 'records', 'list', 'data', 'spreadsheet'],
  container: false,
  properties: [
    content('rows', 'Rows', listType, { group: 'data', effect: 'layout', page: { as: 'inside' } }),
    content('columns', 'Columns', entriesType, { effect: 'layout', page: { as: 'inside' } }),
    content('label', 'Label', textType, {
      effect: 'behaviour',
      page: { as: 'attribute', name: 'aria-label' },
    }),
    ...sizing,
    ...placing(),
    tabindex,
    padding(),
    ...boxLook(),
  ],
  events: shownEvents,
  starter: {
    rows: '{[{guest: "Ilva Maren", nights: 2}, {guest: "Teo Brandal", nights: 1}]}',
    columns: 'guest: Guest | nights: Nights',
    label: 'Guests',
  },
  inside(values, make) {
    const { columns, rows } = contentsOf(values);
    const cell = (text: string, style: typeof cellStyle, numeric: boolean) =>
      make.words(
        text,
        style,
        {
          colour: colourValue('ink'),
          borderColour: colourValue('line'),
          text: { ...style, align: numeric ? 'end' : 'start' },
        },
        { padding: cellPadding, border: cellBorder },
      );
    const cells = [
      ...columns.map(({ label, numeric }) => cell(label, headStyle, numeric)),
      ...rows.flatMap((row) =>
        columns.map(({ value, numeric }) => cell(cellText(row, value), cellStyle, numeric)),
      ),
    ];
    return {
      content: { type: 'scroll', axis: 'both' },
      parts: [make.group({ ...fieldContent, rowGap: 0 }, [make.group(gridOf(columns.length), cells)])],
      look: { clips: true },
    };
  },
  element(values) {
    const { columns, rows } = contentsOf(values);
    const cell = (text: string, role: string, numeric: boolean): PageElement => ({
      tag: 'div',
      ...(numeric ? { classes: ['part-number'] } : {}),
      attributes: { role },
      text,
    });
    const line = (cells: PageElement[]): PageElement => ({
      tag: 'div',
      classes: ['part-row'],
      attributes: { role: 'row' },
      children: cells,
    });
    return {
      tag: 'div',
      attributes: { role: 'region', tabindex: '0', 'aria-label': values.text('label') },
      children: [
        {
          tag: 'div',
          classes: ['part-content'],
          children: [
            {
              tag: 'div',
              classes: ['part-cells'],
              attributes: {
                role: 'table',
                'aria-label': values.text('label'),
                style: `grid-template-columns: repeat(${Math.max(1, columns.length)}, auto)`,
              },
              children: [
                line(columns.map(({ label, numeric }) => cell(label, 'columnheader', numeric))),
                ...rows.map((row) =>
                  line(columns.map(({ value, numeric }) => cell(cellText(row, value), 'cell', numeric))),
                ),
              ],
            },
          ],
        },
      ],
    };
  },
  css: `.k-table {
  overflow: auto;
}
.k-table > .part-content {
  display: flex;
  flex-direction: column;
  width: max-content;
  min-width: 100%;
  min-height: 100%;
}
.k-table .part-cells {
  display: grid;
}
.k-table .part-row {
  display: contents;
}
.k-table .part-row > * {
  padding: ${block}px ${inline}px;
  border-bottom: 1px solid var(--line);
  white-space-collapse: preserve-breaks;
}
.k-table .part-row > [role="columnheader"] {
  font-size: ${theme.labelSize / 16}rem;
  font-weight: ${theme.captionWeight};
}
.k-table .part-number {
  text-align: end;
}`,
};
