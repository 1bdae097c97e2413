/** Where state variables are used: the attributes that read or write them. */

import { readAttribute } from '../cascade/attributes.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, treesOf } from '../document/types.ts';
import { usesIn } from '../expression/renaming.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { declaresValue } from '../reuse/definition.ts';

/** Where a state variable is used. */
export interface StateUse {
  readonly screen: Control;
  readonly control: Control;
  readonly property: string;
  /** Whether it is set there; otherwise it is only read. */
  readonly written: boolean;
}

/** The uses on a screen by the name that is used, worked out once for each version of it and of the bands. */
const usesOnScreen = new WeakMap<
  Control,
  { readonly bands: Project['bands']; readonly uses: ReadonlyMap<string, readonly StateUse[]> }
>();

function usesOn(screen: Control, bands: Project['bands']): ReadonlyMap<string, readonly StateUse[]> {
  const known = usesOnScreen.get(screen);
  if (known?.bands === bands) return known.uses;
  const uses = new Map<string, StateUse[]>();
  for (const control of walk(screen))
    for (const [property, value] of Object.entries(control.props)) {
      const meaning = readAttribute(kindOf(control), property, bands);
      const text = inForce(value);
      if (typeof meaning === 'string' || text === undefined) continue;
      const written = new Map<string, boolean>();
      for (const use of usesIn(meaning, text))
        written.set(use.name, (written.get(use.name) ?? false) || use.written);
      for (const [name, isWritten] of written) {
        const list = uses.get(name) ?? [];
        list.push({ screen, control, property, written: isWritten });
        uses.set(name, list);
      }
    }
  usesOnScreen.set(screen, { bands, uses });
  return uses;
}

/** All attributes that read or write a state variable. */
export const usesOfState = (project: Project, name: string): StateUse[] =>
  treesOf(project).flatMap((screen) =>
    kindOf(screen).root === 'components' && declaresValue(screen, name)
      ? []
      : (usesOn(screen, project.bands).get(name) ?? []),
  );
