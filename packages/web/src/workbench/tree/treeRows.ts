/** The lines of the tree, and what is selected by pressing one. */
import type { Control } from '@hovrin/core';

/** A line of the tree. */
export interface Row {
  readonly control: Control;
  readonly level: number;
  /** Which of its siblings it is, counted from 1, and how many they are. */
  readonly place: number;
  readonly of: number;
}

/** @param shown where something is looked for: what is to be seen of the screen, open or closed. */
export function rowsOf(screen: Control, closed: ReadonlySet<string>, shown?: ReadonlySet<string>): Row[] {
  const rows: Row[] = [];
  const visit = (control: Control, level: number, place: number, of: number) => {
    rows.push({ control, level, place, of });
    if (!shown && closed.has(control.id)) return;
    const children = shown ? control.children.filter(({ id }) => shown.has(id)) : control.children;
    children.forEach((child, index) => {
      visit(child, level + 1, index + 1, children.length);
    });
  };
  if (!shown || shown.has(screen.id)) visit(screen, 0, 1, 1);
  return rows;
}

/**
 * What is selected when a line is pressed.
 *
 * @param more `one`: as well, or no more; `range`: all from the last one to here.
 */
export function selectedWith(
  rows: readonly Row[],
  selection: readonly string[],
  id: string,
  more: 'one' | 'range' | undefined,
): readonly string[] {
  if (more === 'one')
    return selection.includes(id) ? selection.filter((each) => each !== id) : [...selection, id];
  const from = rows.findIndex(({ control }) => control.id === selection.at(-1));
  if (more === undefined || from < 0) return [id];
  const to = rows.findIndex(({ control }) => control.id === id);
  const range = rows.slice(Math.min(from, to), Math.max(from, to) + 1).map(({ control }) => control.id);
  return [...new Set([...selection, ...range])].filter((each) => each !== rows[0]?.control.id);
}
