/** The steps that put a kit into a project, with an answer for each name that both have. */
import { freeName } from '../document/names.ts';
import { styleKey } from '../document/style-set.ts';
import type { Control, Project } from '../document/types.ts';
import { dropping, putting } from '../steps/entities.ts';
import type { Step } from '../steps/step.ts';
import { type Clash, clashesOf, type Kit } from './kit.ts';

/** Mine stays; theirs takes its place; theirs comes beside it under another name. */
export type ClashChoice = 'mine' | 'theirs' | 'both';

/** A component in which others have other names. */
const renamedIn = (control: Control, names: ReadonlyMap<string, string>): Control => ({
  ...control,
  kind: names.get(control.kind) ?? control.kind,
  children: control.children.map((child) => renamedIn(child, names)),
});

/**
 * @param choose what is done about each clash. `both` is for components; of a style or token mine stays.
 */
export function kitSteps(project: Project, kit: Kit, choose: (clash: Clash) => ClashChoice): Step[] {
  const choices = new Map(
    clashesOf(project, kit).map((clash) => [`${clash.of} ${clash.name}`, choose(clash)] as const),
  );
  const choiceFor = (of: Clash['of'], name: string) => choices.get(`${of} ${name}`);
  const own = project.components ?? [];
  const names = new Map<string, string>();
  const isTaken = (name: string) =>
    own.some((each) => each.name === name) ||
    kit.components.some((each) => each.name === name) ||
    [...names.values()].includes(name);
  for (const { name = '' } of kit.components)
    if (choiceFor('components', name) === 'both') names.set(name, freeName(name, isTaken));
  const steps: Step[] = [];
  for (const token of kit.tokens) {
    const known = (project.tokens ?? []).find(({ path }) => path === token.path);
    if (!known) steps.push(putting('tokens', token));
    else if (choiceFor('tokens', token.path) === 'theirs')
      steps.push(dropping('tokens', known), putting('tokens', token));
  }
  for (const style of kit.styles) {
    const known = (project.styles ?? []).find((each) => styleKey(each) === styleKey(style));
    if (!known) steps.push(putting('styles', style));
    else if (choiceFor('styles', styleKey(style)) === 'theirs')
      steps.push(dropping('styles', known), putting('styles', style));
  }
  let index = own.length;
  for (const component of kit.components) {
    const { name = '' } = component;
    const known = own.find((each) => each.name === name);
    const choice = choiceFor('components', name);
    if (known && choice !== 'both' && choice !== 'theirs') continue;
    if (known && choice === 'theirs') {
      steps.push({ type: 'remove', control: known.id });
      index--;
    }
    const control = { ...renamedIn(component, names), name: names.get(name) ?? name };
    steps.push({ type: 'insert', parent: null, index: index++, control });
  }
  return steps;
}
