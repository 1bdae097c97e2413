/** Classes that the parts of a component have in all its instances, so that what they say alike is written once. */
import { effectiveNames } from '../document/names.ts';
import { walk } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { definitionsOf } from '../reuse/definition.ts';
import { sourceId } from '../steps/source-steps.ts';
import { classOf } from './class-names.ts';

/** The class of a part of an instance, `in-Bunk-cell`; undefined for all other controls. */
export type PartClassOf = (control: Pick<Control, 'id'>) => string | undefined;

/**
 * The classes of parts that are there more than once.
 *
 * @param project one whose components are not expanded yet. @param screens its expanded screens.
 */
export function partClassesOf(project: Project, screens: readonly Control[]): PartClassOf {
  const counts = new Map<string, number>();
  for (const screen of screens)
    for (const { id } of walk(screen))
      if (id.includes('/')) counts.set(sourceId(id), (counts.get(sourceId(id)) ?? 0) + 1);
  const classes = new Map(
    [...definitionsOf(project).values()].flatMap(({ name, control }) =>
      [...effectiveNames(control)].flatMap(([id, own]) =>
        (counts.get(id) ?? 0) > 1 ? [[id, `in-${name}-${own}`] as const] : [],
      ),
    ),
  );
  return ({ id }) => (id.includes('/') ? classes.get(sourceId(id)) : undefined);
}

/** Classes by the selectors of controls, and how many controls each of them has. */
export interface PartSelectors {
  readonly classes: ReadonlyMap<string, string>;
  readonly counts: ReadonlyMap<string, number>;
}

/** The selectors of all parts of instances. @param controls each with its selector. */
export function partSelectors(
  controls: Iterable<readonly [selector: string, control: Control]>,
  partClass: PartClassOf,
): PartSelectors {
  const classes = new Map<string, string>();
  const counts = new Map<string, number>();
  for (const [selector, control] of controls) {
    const name = partClass(control);
    if (name === undefined) continue;
    classes.set(selector, name);
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  return { classes, counts };
}

/** A control's own selector, and what stands behind it: a state, a part of the control. */
const ofControl = /^(\.\S+ \.[^\s:>[]*(?:\\\[\\\][^\s:>[]*)*)(.*)$/s;

/**
 * Selectors that say the same, with one in place of those of all parts of a component. It is as specific as they are: a screen's
 * class and its own.
 */
export function withPartClasses(
  selectors: readonly string[],
  { classes, counts }: PartSelectors,
): readonly string[] {
  if (classes.size === 0) return selectors;
  const found = new Map<string, string[]>();
  for (const selector of selectors) {
    const [, own = '', rest = ''] = ofControl.exec(selector) ?? [];
    const name = classes.get(own);
    if (name === undefined) continue;
    const key = `.k-screen .${name.split('-').map(classOf).join('-')}${rest}`;
    found.set(key, [...(found.get(key) ?? []), selector]);
  }
  const instead = new Map<string, string>();
  for (const [key, each] of found) {
    const name = classes.get(ofControl.exec(each[0] ?? '')?.[1] ?? '') ?? '';
    if (each.length > 1 && each.length === counts.get(name))
      for (const selector of each) instead.set(selector, key);
  }
  return [...new Set(selectors.map((selector) => instead.get(selector) ?? selector))];
}
