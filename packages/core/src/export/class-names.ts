/**
 * Class names of a page. A control's is its name, in which no hyphen can be; all others have one: kinds begin with `k-`, their
 * parts with `part-`, screens with `screen-`, so that no two of different sorts ever meet.
 */
import { effectiveNames } from '../document/names.ts';
import type { Control } from '../document/types.ts';
import { entryOf } from '../sure.ts';

/** A control's name as a class in a selector (CSSOM §2.1, "serialize an identifier"). */
export function classOf(name: string): string {
  return name.replace(/[^\w\u0080-\uffff]/g, (character) => `\\${character}`);
}

/** The class of a screen. */
export const screenClass = (name: string): string => `screen-${name}`;

/** The selectors of the controls of a screen: its own class, and inside of it those of the others. */
export function selectorsIn(screen: Control): (control: Control) => string {
  const names = effectiveNames(screen);
  const nameOf = ({ id }: Control) => classOf(entryOf(names, id));
  const whole = `.${screenClass(nameOf(screen))}`;
  return (control) => (control.id === screen.id ? whole : `${whole} .${nameOf(control)}`);
}
