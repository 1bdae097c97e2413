/** Changes of the project's bands, with everything that hangs on them. */
import { propertyOf } from '../document/attributes.ts';
import { walk } from '../document/tree.ts';
import type { Band, Project } from '../document/types.ts';
import type { Step } from './step.ts';

/** What becomes of a band's changes when it goes. */
export type ChangesGo = 'away' | 'below' | 'above';

const bandsStep = (bands: readonly Band[]): Step => ({
  type: 'project',
  key: 'bands',
  value: bands.toSorted((a, b) => a.from - b.from),
});

/** The attributes of a band on all screens: control, attribute, value. */
function attributesOf(project: Project, name: string) {
  return project.screens.flatMap((screen) =>
    [...walk(screen)].flatMap((control) =>
      Object.entries(control.props).flatMap(([attribute, value]) =>
        attribute.startsWith(`${name}.`) ? [{ control, attribute, value }] : [],
      ),
    ),
  );
}

/** How many values change from a band. */
export const changesFrom = (project: Project, name: string): number => attributesOf(project, name).length;

/** Adds a band or gives one another width or label; its name stays. */
export const setBand = (project: Project, band: Band): Step[] => [
  bandsStep([...project.bands.filter(({ name }) => name !== band.name), band]),
];

/** Gives a band another name; what changes from it follows. */
export function renameBand(project: Project, name: string, to: string): Step[] {
  const band = project.bands.find((each) => each.name === name);
  if (!band || name === to) return [];
  const others = project.bands.filter((each) => each !== band);
  const found = attributesOf(project, name);
  return [
    // Both names are there while the changes move.
    bandsStep([...project.bands, { ...band, name: to }]),
    ...found.flatMap(({ control, attribute, value }): Step[] => [
      { type: 'set', control: control.id, property: attribute, value: null },
      { type: 'set', control: control.id, property: `${to}.${propertyOf(attribute)}`, value },
    ]),
    bandsStep([...others, { ...band, name: to }]),
  ];
}

/** Takes a band away; its changes go, or to its neighbour, where that does not say something else already. */
export function removeBand(project: Project, name: string, go: ChangesGo): Step[] {
  const sorted = project.bands.toSorted((a, b) => a.from - b.from);
  const at = sorted.findIndex((band) => band.name === name);
  if (at < 0 || sorted.length === 1) return [];
  const heir = go === 'away' ? undefined : sorted[go === 'below' ? at - 1 : at + 1];
  return [
    ...attributesOf(project, name).flatMap(({ control, attribute, value }): Step[] => {
      const property = heir && `${heir.name}.${propertyOf(attribute)}`;
      const take: Step = { type: 'set', control: control.id, property: attribute, value: null };
      return property && !(property in control.props)
        ? [take, { type: 'set', control: control.id, property, value }]
        : [take];
    }),
    bandsStep(sorted.filter((band) => band.name !== name)),
  ];
}
