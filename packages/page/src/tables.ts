/**
 * What tables do by themselves: sorting by their heads, wider and narrower columns, going from cell to cell by the
 * arrow keys, choosing a row (ARIA Authoring Practices, grid). One listener each on the document.
 */
import { nextSort } from '@hovrin/core/runtime';
import type { CopyElement } from './repeats.ts';
import type { TableElement } from './table-care.ts';

const tableOf = (target: EventTarget | null): TableElement | null =>
  target instanceof Element ? target.closest<TableElement>('.k-table') : null;
const cellOf = (target: EventTarget | null): HTMLElement | null =>
  target instanceof Element
    ? target.closest<HTMLElement>('.k-table [role="cell"], .k-table [role="columnheader"]')
    : null;

const isEdge = (target: EventTarget | null): boolean =>
  target instanceof Element && target.classList.contains('part-edge');

const rowsIn = (table: HTMLElement) =>
  [...table.querySelectorAll<HTMLElement>('.part-row')].map((row) => [...row.children] as HTMLElement[]);

/** Least width of a column, and by how much a key changes it, px. */
const leastWidth = 32;
const keyStep = 8;

/** Puts the widths that somebody gave back after the table was made anew, and the focus where it was. */
export function mendTable(table: TableElement, focused: string | undefined): void {
  const cells = table.querySelector<HTMLElement>('.part-cells');
  if (cells && table.givenWidths?.size) {
    const heads = rowsIn(table)[0] ?? [];
    cells.style.gridTemplateColumns = heads
      .map((_, column) => {
        const given = table.givenWidths!.get(column);
        return given === undefined ? 'auto' : `${given}px`;
      })
      .join(' ');
  }
  if (focused !== undefined) table.querySelector<HTMLElement>(focused)?.focus();
}

/** A selector for the part of a table that has the focus, which finds it again when it was made anew. */
export function focusedIn(table: HTMLElement): string | undefined {
  const active = document.activeElement;
  if (!(active instanceof HTMLElement) || active === table || !table.contains(active)) return undefined;
  const head = active.closest<HTMLElement>('[data-field]');
  if (head) return `[data-field="${CSS.escape(head.dataset.field!)}"]`;
  const row = active.parentElement!;
  const [at, column] = [[...row.parentElement!.children].indexOf(row), [...row.children].indexOf(active)];
  return `.part-row:nth-child(${at + 1}) > :nth-child(${column + 1})`;
}

function sortBy(head: HTMLElement): void {
  const table = tableOf(head)!;
  if (table.dataset.sort === undefined || head.dataset.field === undefined) return;
  table.dataset.sort = nextSort(table.dataset.sort, head.dataset.field);
  table.dispatchEvent(new Event('hovrin-sort'));
}

function choose(cell: HTMLElement): void {
  const table = tableOf(cell)!;
  const line = cell.parentElement as CopyElement;
  const index = [...line.parentElement!.children].indexOf(line) - 1;
  const row = line.item ? line.item() : table.shownRows?.[index];
  if (row !== undefined) table.dispatchEvent(new CustomEvent('choose', { detail: row }));
}

function press(cell: HTMLElement): void {
  if (cell.role === 'columnheader') sortBy(cell);
  else choose(cell);
}

/** Whether something that was pressed in a cell does something itself. */
const isForControl = (target: EventTarget | null, cell: HTMLElement): boolean => {
  const pressed = (target as Element).closest('a, button, input, select, textarea, label, [data-press]');
  return pressed !== null && pressed !== cell && cell.contains(pressed);
};

/** Tells by which column a table is sorted. */
export function markSort(table: TableElement, sort: string): void {
  for (const head of table.querySelectorAll<HTMLElement>('[data-field]')) {
    const { field } = head.dataset;
    head.ariaSort = sort === field ? 'ascending' : sort === `-${field}` ? 'descending' : null;
  }
}

/** Gives a column another width. */
function widen(head: HTMLElement, width: number): void {
  const table = tableOf(head)!;
  table.givenWidths ??= new Map();
  const column = [...head.parentElement!.children].indexOf(head);
  table.givenWidths.set(column, Math.max(leastWidth, Math.round(width)));
  mendTable(table, undefined);
}

function step(event: KeyboardEvent, cell: HTMLElement | null, table: TableElement): HTMLElement | undefined {
  const rows = rowsIn(table);
  if (!cell) return event.key === 'ArrowDown' ? rows[0]?.[0] : undefined;
  const row = rows.findIndex((cells) => cells.includes(cell));
  const column = rows[row]!.indexOf(cell);
  const rightToLeft = getComputedStyle(table).direction === 'rtl';
  const forward = rightToLeft ? 'ArrowLeft' : 'ArrowRight';
  const back = rightToLeft ? 'ArrowRight' : 'ArrowLeft';
  switch (event.key) {
    case 'ArrowDown':
      return rows[row + 1]?.[column];
    case 'ArrowUp':
      return rows[row - 1]?.[column];
    case forward:
      return rows[row]![column + 1];
    case back:
      return rows[row]![column - 1];
    case 'Home':
      return event.ctrlKey ? rows[0]?.[0] : rows[row]![0];
    case 'End':
      return event.ctrlKey ? rows.at(-1)?.at(-1) : rows[row]!.at(-1);
    default:
      return undefined;
  }
}

export function startTables(page: Document): void {
  page.addEventListener('click', (event) => {
    const cell = cellOf(event.target);
    if (cell && !isEdge(event.target) && !isForControl(event.target, cell)) press(cell);
  });
  page.addEventListener('keydown', (event) => {
    const table = tableOf(event.target);
    if (!table) return;
    const cell = cellOf(event.target);
    // What has the focus inside a cell has the keys, too; Escape gives them back.
    if (cell && event.target !== cell) {
      if (event.key === 'Escape') cell.focus();
      return;
    }
    const by = event.altKey ? { ArrowLeft: -1, ArrowRight: 1 }[event.key] : undefined;
    if (cell?.role === 'columnheader' && by !== undefined) {
      event.preventDefault();
      widen(cell, cell.getBoundingClientRect().width + by * keyStep);
      return;
    }
    if (cell && (event.key === 'Enter' || event.key === ' ')) {
      event.preventDefault();
      press(cell);
      return;
    }
    const next = step(event, cell, table);
    if (!next) return;
    event.preventDefault();
    next.focus();
    next.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  });
  page.addEventListener('pointerdown', (event) => {
    const head = isEdge(event.target) ? cellOf(event.target) : null;
    if (!head) return;
    const begun = head.getBoundingClientRect().width;
    const way = getComputedStyle(head).direction === 'rtl' ? -1 : 1;
    event.preventDefault();
    const ending = new AbortController();
    const { signal } = ending;
    page.addEventListener(
      'pointermove',
      ({ clientX }) => widen(head, begun + way * (clientX - event.clientX)),
      { signal },
    );
    for (const type of ['pointerup', 'pointercancel'])
      page.addEventListener(type, () => ending.abort(), { signal });
  });
}
