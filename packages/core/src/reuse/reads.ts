/** What a component reads and changes of its project, besides what its instances give it. */
import { readAttribute } from '../cascade/attributes.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { usesIn } from '../expression/renaming.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { declaresValue } from './definition.ts';

/** Names of the project's state variables that a component names, in the order of the project. */
export function readsOf(project: Pick<Project, 'state'>, component: Control): readonly string[] {
  const named = new Set<string>();
  for (const control of walk(component))
    for (const [attribute, value] of Object.entries(control.props)) {
      const meaning = readAttribute(kindOf(control), attribute, []);
      if (typeof meaning === 'string') continue;
      for (const { name } of usesIn(meaning, inForce(value) ?? '')) named.add(name);
    }
  return project.state.flatMap(({ name }) =>
    named.has(name) && !declaresValue(component, name) ? name : [],
  );
}
