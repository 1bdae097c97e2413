/** Changes of components that take several steps. */

import { readAttribute } from '../cascade/attributes.ts';
import { components } from '../collections/components.ts';
import { freeName } from '../document/names.ts';
import { locate, walk } from '../document/tree.ts';
import { type Control, inForce, type Project, type PropertyValue } from '../document/types.ts';
import { renameIn } from '../expression/names.ts';
import { inEvent, pointedElsewhere, usesIn } from '../expression/renaming.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { surroundOf } from '../kinds/screen.ts';
import { definitionOf, definitionsOf } from '../reuse/definition.ts';
import { isOfEveryInstance } from '../reuse/instance-attributes.ts';
import { kindOfInstances } from '../reuse/instance-kinds.ts';
import type { Step } from './step.ts';

/** A component with an empty column as its root. */
export function newComponent(project: Project, newId: () => string): Control {
  const taken = new Set((project.components ?? []).map(({ name }) => name));
  return {
    id: newId(),
    kind: 'component',
    name: freeName('Part', (name) => taken.has(name)),
    props: {},
    children: [
      { id: newId(), kind: 'column', props: { ...kindOf({ kind: 'column' }).starter }, children: [] },
    ],
  };
}

/** Instances of a component and screens that it stands around. */
export const usesOfComponent = (project: Project, name: string) => components.uses(project, name);

/** An instance as one of another component: what that declares too stays, and what every instance has. */
export function swapInstance(
  project: Project,
  id: string,
  name: string,
): { readonly steps: Step[]; readonly lost: string[] } | string {
  const found = locate(project, id);
  const definition = definitionsOf(project).get(name);
  if (!found?.parent || !definition) return `There is no component \`${name}\`.`;
  const { control, parent, index } = found;
  const kind = kindOfInstances(definition);
  const fits = (attribute: string) => typeof readAttribute(kind, attribute, project.bands) !== 'string';
  const kept = Object.entries(control.props).filter(([attribute]) => fits(attribute));
  const lost = Object.keys(control.props).filter((attribute) => !fits(attribute));
  return {
    steps: [
      { type: 'remove', control: id },
      {
        type: 'insert',
        parent: parent.id,
        index,
        control: { ...control, kind: name, props: Object.fromEntries(kept) },
      },
    ],
    lost,
  };
}

/** A parameter, variable or event of a component under another name, in the component and wherever it is given. */
export function renameDeclared(project: Project, line: Control, to: string): Step[] {
  const component = locate(project, line.id)?.screen;
  const from = inForce(line.props.name);
  const sort = kindOf(line).declares;
  if (!component || from === undefined || !sort) return [];
  const steps: Step[] = [{ type: 'set', control: line.id, property: 'name', value: to }];
  if (sort === 'case') return steps;
  const set = (control: Control, property: string, before: PropertyValue, value: string) => {
    if (inForce(before) !== value) steps.push({ type: 'set', control: control.id, property, value });
  };
  for (const control of walk(component))
    for (const [attribute, value] of Object.entries(control.props)) {
      const text = inForce(value);
      const meaning = readAttribute(kindOf(control), attribute, project.bands);
      if (text === undefined || typeof meaning === 'string' || control === line) continue;
      if (sort === 'motion') {
        if (meaning.role === 'event') set(control, attribute, value, pointedElsewhere(text, sort, from, to));
      } else if (sort !== 'event') {
        set(
          control,
          attribute,
          value,
          inEvent(text, (part) => renameIn(part, usesIn(meaning, part), from, to)),
        );
      } else if (meaning.role === 'event')
        set(
          control,
          attribute,
          value,
          text.replaceAll(new RegExp(`(\\bemit\\(\\s*)(["'\`])${from}\\2`, 'g'), `$1$2${to}$2`),
        );
    }
  if (sort === 'parameter') steps.push(...renamedInCases(component, from, to));
  if (sort === 'variable' || sort === 'motion') return steps;
  for (const { control, attribute: given } of usesOfComponent(project, component.name ?? ''))
    for (const [attribute, value] of Object.entries(control.props)) {
      const front = given === surroundOf.name ? `${surroundOf.name}.` : '';
      const names = sort === 'event' ? [`${front}on.${from}`] : [`${front}${from}`, `${front}${from}.bind`];
      if (!names.includes(attribute)) continue;
      const next = attribute.slice(0, front.length) + attribute.slice(front.length).replace(from, to);
      steps.push(
        { type: 'set', control: control.id, property: attribute, value: null },
        { type: 'set', control: control.id, property: next, value },
      );
    }
  return steps;
}

/** What a component's cases give a parameter, under its new name. */
const renamedInCases = (component: Control, from: string, to: string): Step[] =>
  [...definitionOf(component).cases.values()].flatMap(({ control, given }): Step[] => {
    const text = given.get(from);
    if (text === undefined) return [];
    const { gives } = kindOf(control);
    return [
      { type: 'set', control: control.id, property: `${gives}.${from}`, value: null },
      { type: 'set', control: control.id, property: `${gives}.${to}`, value: text },
    ];
  });

/** Attributes of an instance that say what its component would say else: taken away, all is as the component has it. */
export const resetInstance = ({ id, props }: Control): Step[] =>
  Object.keys(props)
    .filter((attribute) => !isOfEveryInstance(attribute) && !attribute.startsWith('on.'))
    .map((property): Step => ({ type: 'set', control: id, property, value: null }));

/** The screens that something of a component is seen on, through other components too. */
export const screensWith = (project: Project, name: string): readonly Control[] =>
  project.screens.filter((screen) => {
    const seen = new Set<string>();
    const shows = (tree: Control): boolean =>
      [...walk(tree)].some((control) => {
        const used = [control.kind, inForce(control.props[surroundOf.name]) ?? ''];
        return used.some((each) => {
          if (each === name) return true;
          const definition = definitionsOf(project).get(each);
          if (!definition || seen.has(each)) return false;
          seen.add(each);
          return shows(definition.control);
        });
      });
    return shows(screen);
  });
