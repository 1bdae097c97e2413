/** What the page does for its tables as it fills them; the piece of the script for tables does it. */

/** A table's element, with the rows that it shows. */
export interface TableElement extends HTMLElement {
  shownRows?: readonly unknown[];
  /** Widths that somebody gave to columns, px, by the column's place. */
  givenWidths?: Map<number, number>;
}

export interface TableCare {
  /** A selector for the part of a table that has the focus, which finds it again when it was made anew. */
  focusedIn(table: HTMLElement): string | undefined;
  /** Puts the widths that somebody gave back after the table was made anew, and the focus where it was. */
  mendTable(table: TableElement, focused: string | undefined): void;
  /** Tells by which column a table is sorted. */
  markSort(table: TableElement, sort: string): void;
}
