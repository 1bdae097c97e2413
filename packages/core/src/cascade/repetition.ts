/** Controls whose children stand there once for each item of a list. */

import { type Control, inForce } from '../document/types.ts';
import { kindNamed } from '../kinds/catalogue.ts';

export interface Repetition {
  /** Name of the property that gives the list. */
  readonly list: string;
  /** What an item is called inside. */
  readonly as: string;
}

/** How a control repeats what is put into it; undefined where that stands there once. */
export function repetitionAround({ kind, props }: Pick<Control, 'kind' | 'props'>): Repetition | undefined {
  const { list, as } = kindNamed(kind)?.repeats ?? {};
  if (!list || as === undefined) return undefined;
  const preset = typeof as === 'string' ? as : as.default;
  const said = typeof as === 'string' ? undefined : inForce(props[as.name]);
  return { list: list.name, as: said ?? String(preset) };
}

/** How a control repeats its children; undefined where it does not, a table without cells among them. */
export function repetitionOf(control: Pick<Control, 'kind' | 'props' | 'children'>): Repetition | undefined {
  const isEmpty = control.children.length === 0 && kindNamed(control.kind)?.repeats?.whenFilled === true;
  return isEmpty ? undefined : repetitionAround(control);
}
