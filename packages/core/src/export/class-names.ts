/** Class names of a page: a control's is its name, a kind's begins with `k-`. */
import { effectiveNames } from '../document/names.ts';
import type { Control } from '../document/types.ts';
import { entryOf } from '../sure.ts';

/** A control's name as a class in a selector (CSSOM §2.1, "serialize an identifier"). */
export function classOf(name: string): string {
  return name.replace(/[^\w\u0080-\uffff]/g, (character) => `\\${character}`);
}

/** The selectors of the controls of a screen: its own class, and inside of it those of the others. */
export function selectorsIn(screen: Control): (control: Control) => string {
  const names = effectiveNames(screen);
  const own = ({ id }: Control) => `.${classOf(entryOf(names, id))}`;
  return (control) => (control.id === screen.id ? own(screen) : `${own(screen)} ${own(control)}`);
}
