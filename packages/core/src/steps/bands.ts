/** Changes of the project's bands, with everything that hangs on them. */

import { propertyOf } from '../cascade/attributes.ts';
import { bands } from '../collections/bands.ts';
import type { Band, Project } from '../document/types.ts';
import { changing, dropping, putting } from './entities.ts';
import type { Step } from './step.ts';

/** What becomes of a band's changes when it goes. */
export type ChangesGo = 'away' | 'below' | 'above';

/** How many values change from a band. */
export const changesFrom = (project: Project, name: string): number => bands.uses(project, name).length;

/** Adds a band or gives one another width or label; its name stays. */
export function setBand(project: Project, band: Band): Step[] {
  const before = project.bands.find(({ name }) => name === band.name);
  return before ? changing('bands', before, band) : [putting('bands', band)];
}

/** Gives a band another name; what changes from it follows. */
export const renameBand = (project: Project, name: string, to: string): Step[] =>
  name === to || !project.bands.some((band) => band.name === name)
    ? []
    : [{ type: 'rename', of: 'bands', key: name, to }];

/** Takes a band away; its changes go, or to its neighbour, where that does not say something else already. */
export function removeBand(project: Project, name: string, go: ChangesGo): Step[] {
  const sorted = project.bands.toSorted((a, b) => a.from - b.from);
  const at = sorted.findIndex((band) => band.name === name);
  const band = sorted[at];
  if (!band || sorted.length === 1) return [];
  const heir = go === 'away' ? undefined : sorted[go === 'below' ? at - 1 : at + 1];
  return [
    ...bands.uses(project, name).flatMap(({ control, attribute }): Step[] => {
      const property = heir && `${heir.name}.${propertyOf(attribute)}`;
      const take: Step = { type: 'set', control: control.id, property: attribute, value: null };
      return property && !(property in control.props)
        ? [take, { type: 'set', control: control.id, property, value: control.props[attribute]! }]
        : [take];
    }),
    dropping('bands', band),
  ];
}
