/** Which children of a screen are bars, and where they stand. */
import { type Control, inForce } from '../document/types.ts';
import type { Edge } from '../values/css.ts';

const edges: readonly Edge[] = ['top', 'bottom', 'start', 'end'];

/** The edge of a bar, by its own words; undefined for other controls. */
export function edgeOf(control: Control): Edge | undefined {
  if (control.kind !== 'bar') return undefined;
  const text = inForce(control.props.edge);
  return edges.find((edge) => edge === text) ?? 'top';
}

export const hasBars = (children: readonly Control[]): boolean =>
  children.some((child) => child.kind === 'bar');

/** Indexes of children by edge, in document order. */
export function barsOf(children: readonly Control[]): Record<Edge | 'rest', number[]> {
  const found: Record<Edge | 'rest', number[]> = { top: [], bottom: [], start: [], end: [], rest: [] };
  for (const [index, child] of children.entries()) found[edgeOf(child) ?? 'rest'].push(index);
  return found;
}
