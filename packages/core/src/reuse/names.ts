/** Names for everything that a report about a screen may speak of. */
import { effectiveNames } from '../document/names.ts';
import type { Control, Project } from '../document/types.ts';
import { definitionsOf } from './definition.ts';
import { expandedOn } from './expand.ts';

/**
 * Names by id: of the controls that a screen is when it is expanded, of its own, instances among them, and of the controls of
 * components, with the component's name in front (`Bunk.words`).
 */
export function namesOn(project: Project, screen: Control): ReadonlyMap<string, string> {
  const { screen: expanded } = expandedOn(project, screen);
  if (expanded === screen && !project.components) return effectiveNames(screen);
  const before = known.get(screen);
  if (before && before.components === project.components) return before.names;
  const inComponents = [...definitionsOf(project).values()].flatMap(({ name, control }) =>
    [...effectiveNames(control)].map(([id, own]) => [id, `${name}.${own}`] as const),
  );
  const names = new Map([...inComponents, ...effectiveNames(screen), ...effectiveNames(expanded)]);
  known.set(screen, { components: project.components, names });
  return names;
}

const known = new WeakMap<
  Control,
  { readonly components: Project['components']; readonly names: ReadonlyMap<string, string> }
>();
