/** Which conditions values have in front, and which states a project speaks of at all. */
import { builtInStates } from '../document/control-states.ts';
import { type StyleSet, stylesOver } from '../document/style-set.ts';
import { walk } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { conditionsOf } from './attributes.ts';
import { declaredStates } from './own-states.ts';

/** The words in front of the values of a control and of its styles. */
export function asksOf(control: Control, styles: StyleSet): ReadonlySet<string> {
  const found = new Set<string>();
  for (const { props } of [control, ...stylesOver(control, styles)])
    for (const name in props)
      if (name.includes('.') && !name.startsWith('on.'))
        for (const word of conditionsOf(name)) found.add(word);
  return found;
}

/** The states that anything in a project speaks of, the weakest first. */
export function statesAsked(project: Project, styles: StyleSet): string[] {
  const words = new Set<string>();
  const declared: string[] = [];
  for (const screen of project.screens)
    for (const control of walk(screen)) {
      for (const word of asksOf(control, styles)) words.add(word);
      for (const name of declaredStates(control)) if (!declared.includes(name)) declared.push(name);
    }
  return [
    ...builtInStates.filter((state) => words.has(state)),
    ...declared.filter((name) => words.has(name)),
  ];
}
