/** All control kinds, in the order in which the interface lists them. */
import type { Control } from '../document/types.ts';
import { button } from './button.ts';
import { checkbox } from './checkbox.ts';
import { column } from './column.ts';
import { divider } from './divider.ts';
import { image } from './image.ts';
import type { Kind } from './kind.ts';
import { row } from './row.ts';
import { screen } from './screen.ts';
import { spacer } from './spacer.ts';
import { text } from './text.ts';
import { textField } from './text-field.ts';

export const kinds: readonly Kind[] = [
  screen,
  row,
  column,
  spacer,
  divider,
  text,
  image,
  textField,
  checkbox,
  button,
];

const byName = new Map(kinds.map((kind) => [kind.name, kind]));

/** The kind of that name; undefined where there is none. */
export const kindNamed = (name: string): Kind | undefined => byName.get(name);

/** The kind of a control of a valid document. @throws Error where the document is not valid. */
export function kindOf(control: Control): Kind {
  const kind = byName.get(control.kind);
  if (!kind) throw new Error(`Unknown kind ${control.kind}`);
  return kind;
}
