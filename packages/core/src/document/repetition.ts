/** Controls whose children stand there once for each item of a list. */
import { type Control, inForce } from './types.ts';

export interface Repetition {
  /** The property that gives the list. */
  readonly list: 'each' | 'rows';
  /** What an item is called inside. */
  readonly as: string;
}

/** How a control repeats what stands in it; undefined where that stands there once. */
export function repetitionAround({ kind, props }: Pick<Control, 'kind' | 'props'>): Repetition | undefined {
  if (kind === 'repeat') return { list: 'each', as: inForce(props.as) ?? 'item' };
  // What a table has in it are the cells of a row.
  return kind === 'table' ? { list: 'rows', as: 'row' } : undefined;
}

/** How a control repeats its children; undefined where it does not, a table without cells among them. */
export function repetitionOf(control: Pick<Control, 'kind' | 'props' | 'children'>): Repetition | undefined {
  return control.kind === 'table' && control.children.length === 0 ? undefined : repetitionAround(control);
}
