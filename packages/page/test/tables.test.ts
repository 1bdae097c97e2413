/** Tables: sorted by their heads, gone through by keys, rows chosen, the focus kept where they are made anew. */
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { TableElement } from '../src/table-care.ts';
import { focusedIn, markSort, mendTable, startTables } from '../src/tables.ts';
import { key, likeBrowsers, one, shown } from './page.ts';

beforeAll(() => {
  likeBrowsers();
  startTables(document);
});

const row = (...cells: string[]) =>
  `<div class="part-row" role="row">${cells.map((cell) => `<div role="cell" tabindex="-1">${cell}</div>`).join('')}</div>`;
let table: TableElement;
beforeEach(() => {
  table = shown(
    `<div class="k-table" data-sort=""><div class="part-cells"><div class="part-row" role="row"><div role="columnheader" tabindex="0" data-field="guest"><span>Guest</span><i class="part-edge"></i></div><div role="columnheader" tabindex="-1" data-field="nights"><span>Nights</span></div></div>${row('Ilka', '2')}${row('Teo', '<button id="in">x</button>')}</div></div>`,
  );
  table.shownRows = [{ guest: 'Ilka' }, { guest: 'Teo' }];
});
const cells = () => [...table.querySelectorAll<HTMLElement>('[role="cell"]')];
const heads = () => [...table.querySelectorAll<HTMLElement>('[role="columnheader"]')];

describe('a table', () => {
  it('is sorted by a press on a head, the other way by the next', () => {
    let told = 0;
    table.addEventListener('hovrin-sort', () => told++);
    heads()[0]!.querySelector('span')!.click();
    expect(table.dataset.sort).toBe('guest');
    heads()[0]!.click();
    expect(table.dataset.sort).toBe('-guest');
    heads()[1]!.click();
    expect(table.dataset.sort).toBe('nights');
    expect(told).toBe(3);
  });

  it('that nothing sorts is not sorted, and its edges are no heads', () => {
    delete table.dataset.sort;
    heads()[0]!.click();
    expect(table.dataset.sort).toBeUndefined();
    table.dataset.sort = '';
    one('.part-edge').click();
    expect(table.dataset.sort).toBe('');
  });

  it('marks the column that it is sorted by', () => {
    markSort(table, '-nights');
    expect(heads().map((head) => head.getAttribute('aria-sort'))).toEqual([null, 'descending']);
    markSort(table, 'guest');
    expect(heads().map((head) => head.getAttribute('aria-sort'))).toEqual(['ascending', null]);
  });

  it('gives the row that was chosen, not where a control in it was meant', () => {
    const chosen: unknown[] = [];
    table.addEventListener('choose', (event) => chosen.push((event as CustomEvent).detail));
    cells()[1]!.click();
    one('#in').click();
    cells()[2]!.click();
    expect(chosen).toEqual([{ guest: 'Ilka' }, { guest: 'Teo' }]);
  });

  it('is gone through by arrows, Home and End, and stops at its edges', () => {
    const go = (name: string, more: KeyboardEventInit = {}) => {
      key(document.activeElement!, name, more);
      return document.activeElement?.textContent?.trim();
    };
    heads()[0]!.focus();
    expect(go('ArrowDown')).toBe('Ilka');
    expect(go('ArrowRight')).toBe('2');
    expect(go('ArrowRight')).toBe('2');
    expect(go('ArrowUp')).toBe('Nights');
    expect(go('Home')).toBe('Guest');
    expect(go('End', { ctrlKey: true })).toBe('x');
    expect(go('Home', { ctrlKey: true })).toBe('Guest');
    table.style.direction = 'rtl';
    expect(go('ArrowLeft')).toBe('Nights');
  });

  it('leaves the keys to what has the focus in a cell, until Escape', () => {
    const button = one('#in');
    button.focus();
    key(button, 'ArrowUp');
    expect(document.activeElement).toBe(button);
    key(button, 'Escape');
    expect(document.activeElement).toBe(cells()[3]);
  });

  it('finds the focus again after it was made anew, and keeps widths that somebody gave', () => {
    cells()[2]!.focus();
    const where = focusedIn(table);
    table.givenWidths = new Map([[1, 90]]);
    const copy = table.innerHTML;
    table.innerHTML = copy;
    mendTable(table, where);
    expect(document.activeElement?.textContent).toBe('Teo');
    expect(one('.part-cells').style.gridTemplateColumns).toBe('auto 90px');
    heads()[1]!.focus();
    expect(focusedIn(table)).toBe('[data-field="nights"]');
    one('body').focus();
    (document.activeElement as HTMLElement).blur();
    expect(focusedIn(table)).toBeUndefined();
  });
});
