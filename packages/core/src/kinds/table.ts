/** Records in rows, their fields in columns. */

import type { Values } from '../cascade/values.ts';
import { plainText } from '../document/plain-text.ts';
import { isRecord } from '../document/record.ts';
import { type Control, inForce } from '../document/types.ts';
import type { GridContent } from '../layout/box.ts';
import { type Entry, entriesType, listType, textType, trackPatternType } from '../property-types/index.ts';
import type { TextStyle } from '../text/paragraph.ts';
import type { Sides, Track } from '../values/css.ts';
import { trackListCss } from '../values/track-list.ts';
import { oneColumn, severalColumns } from './column-names.ts';
import { shownEvents } from './events.ts';
import { columnOf, content } from './field.ts';
import { keptTrack } from './grid-inside.ts';
import type { Kind, LookPart, Manner, PageElement } from './kind.ts';
import { mostItems } from './list-lengths.ts';
import { partLooks } from './look-parts.ts';
import { inside } from './made-anew.ts';
import { plainGrid } from './plain-grid.ts';
import { boxLook, padding, placing, sizing } from './properties.ts';
import { tabindex } from './tabindex.ts';
import { sortedRows, type TableRow } from './table-rows.ts';

const own = {
  rows: content('rows', 'Rows', listType, { effect: 'layout', page: { as: 'inside' } }),
  columns: content('columns', 'Columns', entriesType, {
    effect: 'layout',
    page: { as: 'inside' },
    onlyEmpty: true,
    columns: severalColumns,
    offers: {
      command: 'cells',
      label: 'Make them cells',
      hint: 'Each column becomes a cell, in which any controls can stand',
    },
  }),
  widths: content('widths', 'Widths of columns', trackPatternType, {
    group: 'inside',
    effect: 'layout',
    page: { as: 'inside' },
  }),
  label: content('label', 'Label', textType, {
    effect: 'behaviour',
    page: { as: 'attribute', name: 'aria-label' },
  }),
  sort: content('sort', 'Sorted by', textType, {
    effect: 'layout',
    twoWay: ['text'],
    page: { as: 'sort' },
    columns: oneColumn('own'),
  }),
};

const cellBorder: Sides = { top: 0, end: 0, bottom: 1, start: 0 };

/** A table's columns, and its rows as records. */
interface Contents {
  readonly columns: readonly (Entry & { readonly numeric: boolean })[];
  readonly rows: readonly TableRow[];
}

const rowElement = { tag: 'div', classes: ['part-row'], attributes: { role: 'row' } } as const;

/** The columns that a table's cells are. */
const columnsOfCells = (cells: readonly Control[]): Entry[] =>
  cells.map(({ props }) => {
    const field = inForce(props.field) ?? '';
    return { value: field, label: inForce(props.head) ?? field };
  });

/** Columns that are not said are the fields of the first record. */
function contentsOf(values: Values, cells: readonly Control[] = []): Contents {
  const rows = (values.get(own.rows) ?? [])
    .slice(0, mostItems)
    .map((row) => (isRecord(row) ? row : { value: row }));
  const said = values.get(own.columns) ?? [];
  const columns =
    cells.length > 0
      ? columnsOfCells(cells)
      : said.length > 0
        ? said
        : Object.keys(rows[0] ?? {}).map((key) => ({ value: key, label: key }));
  return {
    rows: sortedRows(rows, values.text(own.sort)),
    columns: columns.map((column) => ({
      ...column,
      numeric: cells.length === 0 && typeof rows[0]?.[column.value] === 'number',
    })),
  };
}

/** The rows of a table as it shows them. */
const shownRows = (values: Values): readonly TableRow[] => contentsOf(values).rows;

const cellText = (row: TableRow, key: string): string => (Object.hasOwn(row, key) ? plainText(row[key]) : '');

/** The tracks of so many columns: as they are said, the others as wide as what is in them. */
const tracksOf = (values: Values, count: number): readonly Track[] => {
  const said = values.get(own.widths) ?? [];
  return Array.from({ length: Math.max(1, count) }, (_, at) => said[at] ?? { min: 'auto', max: 'auto' });
};

const gridOf = (values: Values, count: number): GridContent => ({
  ...plainGrid,
  columns: tracksOf(values, count).map(keptTrack),
});

/** The element of a table, with its rows where it has no cells of its own. */
export function tableElement(values: Values, controls: readonly Control[] = []): PageElement {
  const { columns, rows } = contentsOf(values, controls);
  const sort = values.own(own.sort);
  const cell = (text: string, numeric: boolean): PageElement => ({
    tag: 'div',
    ...(numeric ? { classes: ['part-number'] } : {}),
    attributes: { role: 'cell', tabindex: '-1' },
    text,
  });
  const head = ({ value, label, numeric }: Contents['columns'][number]): PageElement => ({
    tag: 'div',
    ...(numeric ? { classes: ['part-number'] } : {}),
    attributes: {
      role: 'columnheader',
      tabindex: '-1',
      // A column that nothing is said of cannot be sorted by.
      'data-field': value,
      ...(sort === value ? { 'aria-sort': 'ascending' } : {}),
      ...(sort === `-${value}` ? { 'aria-sort': 'descending' } : {}),
    },
    children: [
      { tag: 'span', text: label },
      { tag: 'span', classes: ['part-edge'], attributes: { 'aria-hidden': 'true' } },
    ],
  });
  const line = (cells: PageElement[]): PageElement => ({ ...rowElement, children: cells });
  return {
    tag: 'div',
    attributes: {
      role: 'region',
      tabindex: '0',
      'aria-label': values.text(own.label),
      ...(sort === undefined ? {} : { 'data-sort': sort }),
    },
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
              'aria-label': values.text(own.label),
              style: `grid-template-columns: ${trackListCss(tracksOf(values, columns.length))}`,
            },
            children: [
              line(columns.map(head)),
              ...(controls.length > 0
                ? []
                : rows.map((row) =>
                    line(columns.map(({ value, numeric }) => cell(cellText(row, value), numeric))),
                  )),
            ],
            ...(controls.length > 0 ? { copies: { around: rowElement } } : {}),
          },
        ],
      },
    ],
  };
}

export const manner: Manner = { anew: (values) => inside(tableElement(values)), rows: shownRows };

const tableParts: readonly LookPart[] = [
  { name: 'head', label: 'Head', selector: ' .part-row > [role="columnheader"]' },
  { name: 'row', label: 'Row', selector: ' .part-row > [role="cell"]:not(.k-cell)' },
];

export const table: Kind = {
  name: 'table',
  label: 'Table',
  group: 'show',
  purpose: 'Records in rows, their fields in columns; it scrolls sideways where it is too wide.',
  glyph: 'table',
  repeats: { list: own.rows, as: 'row', whenFilled: true },
  findBy: ['grid', 'rows', 'columns', 'records', 'list', 'data', 'spreadsheet', 'sort'],
  container: true,
  confines: { children: ['cell'] },
  items: shownRows,
  manner,
  properties: [
    own.rows,
    own.columns,
    own.widths,
    own.label,
    own.sort,
    ...sizing,
    ...placing(),
    tabindex,
    padding,
    ...boxLook(),
    ...partLooks(tableParts),
  ],
  lookParts: tableParts,
  events: [
    { name: 'choose', label: 'On choosing a row', dom: 'choose', gives: 'row', givesItem: true },
    ...shownEvents.filter(({ name }) => name === 'visible'),
  ],
  starter: {
    rows: '{[{guest: "Ilva Maren", nights: 2}, {guest: "Teo Brandal", nights: 1}]}',
    columns: 'guest: Guest | nights: Nights',
    label: 'Guests',
  },
  inside(values, make, children, controls) {
    const { theme } = make;
    const headStyle = make.plain({ weight: theme.captionWeight, size: theme.labelSize });
    const cellStyle = make.plain();
    const { cellPaddingBlock: block, cellPaddingInline: inline } = theme;
    const cellPadding: Sides = { top: block, bottom: block, start: inline, end: inline };
    const { columns, rows } = contentsOf(values, controls);
    const cell = (text: string, plain: TextStyle, numeric: boolean, ground?: string) => {
      const style: TextStyle = { ...plain, align: numeric ? 'end' : 'start' };
      return make.words(
        text,
        style,
        {
          colour: make.colour('ink'),
          borderColour: make.colour('line'),
          part: ground ? 'head' : 'row',
          ...(ground ? { background: make.colour(ground) } : {}),
          text: style,
        },
        { padding: cellPadding, border: cellBorder },
      );
    };
    const cells = [
      ...columns.map(({ label, numeric }) => cell(label, headStyle, numeric, 'page')),
      ...(controls.length > 0
        ? children.flatMap((child) => child ?? [])
        : rows.flatMap((row) =>
            columns.map(({ value, numeric }) => cell(cellText(row, value), cellStyle, numeric)),
          )),
    ];
    return {
      content: { type: 'scroll', axis: 'both' },
      parts: [make.group(columnOf, [make.group(gridOf(values, columns.length), cells)])],
      look: { clips: true },
    };
  },
  element: tableElement,
  css: (theme) => `.k-table {
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
.k-table .part-row > :not(.k-cell) {
  padding: ${theme.cellPaddingBlock}px ${theme.cellPaddingInline}px;
  border-bottom: 1px solid var(--line);
}
.k-table .part-row > [role="cell"]:not(.k-cell),
.k-table [role="columnheader"] > span:first-child {
  white-space-collapse: preserve-breaks;
}
.k-table .part-row > [role="columnheader"] {
  position: sticky;
  top: 0;
  background: var(--page);
  font-size: ${theme.labelSize / 16}rem;
  font-weight: ${theme.captionWeight};
}
.k-table .part-number {
  text-align: end;
}
.k-table .part-free {
  grid-column: 1 / -1;
}
.k-table[data-sort] [data-field] {
  cursor: pointer;
}
.k-table [aria-sort] > span:first-child {
  text-decoration: underline 2px;
  text-underline-offset: 3px;
}
.k-table [aria-sort="descending"] > span:first-child {
  text-decoration-line: overline;
}
.k-table .part-edge {
  position: absolute;
  inset-block: 0;
  inset-inline-end: 0;
  width: 8px;
  cursor: col-resize;
  touch-action: none;
}
@media print {
  .k-table {
    overflow: visible;
  }
  .k-table .part-row > * {
    break-inside: avoid;
  }
}`,
};
