/** The rows of a time line: one for each property of each control, with its keys where they stand. */
import { type Control, inForce, keyControl, keyEase, keyedIn, timeOf } from '@hovrin/core';

/** A key on a row. */
export interface RowKey {
  /** The line that says it: it may stand on several rows. */
  readonly key: Control;
  /** Part of the motion, 0 to 1. */
  readonly at: number;
  readonly text: string;
  readonly ease: string | undefined;
}

export interface TimeRow {
  readonly control: string;
  readonly property: string;
  readonly label: string;
  /** In the order of their times. */
  readonly keys: readonly RowKey[];
}

/** @param seconds how long the motion takes. */
export function rowsOf({ children }: Control, seconds: number): readonly TimeRow[] {
  const rows = new Map<string, { control: string; property: string; label: string; keys: RowKey[] }>();
  for (const key of children) {
    const control = inForce(key.props[keyControl.name]) ?? '';
    const at = timeOf(key, seconds);
    for (const { property, text } of keyedIn(key)) {
      const id = `${control} ${property.name}`;
      const row = rows.get(id) ?? { control, property: property.name, label: property.label, keys: [] };
      rows.set(id, row);
      row.keys.push({ key, at, text, ease: inForce(key.props[keyEase.name]) });
    }
  }
  return [...rows.values()]
    .map((row) => ({ ...row, keys: row.keys.toSorted((a, b) => a.at - b.at) }))
    .toSorted((a, b) => a.control.localeCompare(b.control));
}

/** Where chosen keys come to stand when they are stretched: the first of them stays, the last one comes to a place. */
export function stretched(times: readonly number[], last: number): (time: number) => number {
  const from = Math.min(...times);
  const to = Math.max(...times);
  return (time) => (to === from ? last : from + ((time - from) / (to - from)) * (last - from));
}
