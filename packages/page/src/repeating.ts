/** What a page and its repeats are to each other; the piece of the script for repeats makes them. */
import type { asText, Dispose, ItemFrame, isSameRow, itemFrame, markOf } from '@hovrin/core/runtime';

/**
 * Binds the controls inside some elements to an item; the functions that it gives end that.
 *
 * @param numbers tells which items they stand in now: `[2]`, `[2][0]`.
 */
export type BindItem = (
  elements: readonly HTMLElement[],
  numbers: () => string,
  frame: ItemFrame,
) => Dispose[];

/** What a repeat needs of the page's own script, which knows rows and their values. */
export interface ForRepeats {
  readonly asText: typeof asText;
  readonly itemFrame: typeof itemFrame;
  readonly isSameRow: typeof isSameRow;
  readonly markOf: typeof markOf;
}

/** A repeat on a page. */
export interface Repeating {
  /** Shows a list, or words in its place. */
  show(list: readonly unknown[], words: Readonly<Record<string, unknown>>): void;
  end(): void;
}

/** Makes a repeat of an element. @param pattern what is copied. @param as what an item is called. */
export type MakeRepeat = (
  page: ForRepeats,
  element: HTMLElement,
  pattern: HTMLTemplateElement,
  as: string,
  around: ItemFrame | undefined,
  bindItem: BindItem,
) => Repeating;
