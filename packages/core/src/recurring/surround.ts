/** What several screens have at their top and bottom becomes a surround, which stands around what is their own. */

import { readAttribute } from '../cascade/attributes.ts';
import type { Control, Project } from '../document/types.ts';
import { inForce } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { surroundOf } from '../kinds/screen.ts';
import { hasBars } from '../kinds/screen-bars.ts';
import type { Step } from '../steps/step.ts';
import { areAlike, partAt, partsOf } from './alike.ts';
import { componentName, parameterName, typeFor } from './plan.ts';

/** Something at the top of screens that each of them has. */
interface Common {
  /** On the first screen, and its counterparts on the others, in the order of the screens. */
  readonly controls: readonly Control[];
}

export interface SurroundPlan {
  readonly name: string;
  readonly screens: readonly Control[];
  readonly common: readonly Common[];
}

/**
 * Whether two controls say the same, but for texts that a parameter can say: of those that are called alike. Others say the same
 * in all.
 */
function isShared(one: Control, other: Control): boolean {
  const isCalledAlike = one.name !== undefined && one.name === other.name;
  return (
    areAlike(one, other, false) &&
    partsOf(one).every((part) =>
      Object.entries(part.control.props).every(([attribute, value]) => {
        const its = inForce(partAt(other, part.path)!.props[attribute]);
        return its === inForce(value) || (isCalledAlike && takesText(part.control, attribute));
      }),
    )
  );
}

function takesText(control: Control, attribute: string): boolean {
  const meaning = readAttribute(kindOf(control), attribute, []);
  return (
    typeof meaning !== 'string' &&
    meaning.role === 'value' &&
    meaning.property.type.field === 'words' &&
    !meaning.property.plain
  );
}

/**
 * What some screens have in common among what stands directly on them.
 *
 * @returns why there is nothing to share, where there is nothing.
 */
export function surroundPlan(project: Project, screens: readonly Control[]): SurroundPlan | string {
  const [first, ...others] = screens;
  if (!first || others.length === 0) return 'Choose at least two screens.';
  const surrounded = screens.find(({ props }) => props[surroundOf.name] !== undefined);
  if (surrounded) return `\`${surrounded.name}\` has a surround already.`;
  const common = first.children.flatMap((control): Common[] => {
    const its = others.map((screen) => screen.children.find((each) => isShared(control, each)));
    return its.every((each) => each !== undefined) ? [{ controls: [control, ...its] }] : [];
  });
  if (common.length === 0) return 'These screens have nothing in common that stands directly on them.';
  return { name: componentName(project, 'surround'), screens, common };
}

/** The steps that make the surround, put the screens into it and take from them what it has. */
export function makeSurround(
  project: Project,
  { screens, common }: SurroundPlan,
  name: string,
  newId: () => string,
): { readonly steps: Step[]; readonly component: string } {
  const taken = new Set<string>();
  const parameters: { name: string; texts: readonly string[]; line: Control }[] = [];
  const asPart = (controls: readonly Control[]): Control => {
    const [control] = controls as [Control];
    const props = Object.fromEntries(
      Object.entries(control.props).flatMap(([attribute, value]) => {
        const texts = controls.map(({ props: its }) => inForce(its[attribute]) ?? '');
        if (new Set(texts).size < 2) return [[attribute, inForce(value) ?? '']];
        const parameter = parameterName(control.name, control.kind, attribute, (each) => taken.has(each));
        taken.add(parameter);
        const meaning = readAttribute(kindOf(control), attribute, []);
        const { type } =
          typeof meaning !== 'string' && meaning.role === 'value'
            ? typeFor(meaning.property)
            : { type: 'text' as const };
        parameters.push({
          name: parameter,
          texts,
          line: {
            id: newId(),
            kind: 'parameter',
            props: { name: parameter, ...(type === 'text' ? {} : { type }) },
            children: [],
          },
        });
        return [[attribute, `{${parameter}}`]];
      }),
    );
    return {
      id: newId(),
      kind: control.kind,
      ...(control.name === undefined ? {} : { name: control.name }),
      props,
      children: control.children.map((_, index) => asPart(controls.map((each) => each.children[index]!))),
    };
  };
  const [first] = screens as [Control];
  const isCommon = (control: Control) => common.some(({ controls }) => controls[0] === control);
  const own = first.children.findIndex((child) => !isCommon(child) && !hasBars([child]));
  const parts = common.map(({ controls }) => ({
    part: asPart(controls),
    isBefore: own < 0 || first.children.indexOf(controls[0]!) < own,
  }));
  const slot: Control = { id: newId(), kind: 'slot', props: {}, children: [] };
  const root: Control = {
    id: newId(),
    kind: 'column',
    props: {},
    children: [
      ...parts.flatMap(({ part, isBefore }) => (isBefore ? part : [])),
      slot,
      ...parts.flatMap(({ part, isBefore }) => (isBefore ? [] : part)),
    ],
  };
  const component: Control = {
    id: newId(),
    kind: 'component',
    name,
    props: { surround: 'true' },
    children: [...parameters.map(({ line }) => line), root],
  };
  const steps: Step[] = [
    ...common.flatMap(({ controls }) => controls.map(({ id }): Step => ({ type: 'remove', control: id }))),
    { type: 'insert', parent: null, index: (project.components ?? []).length, control: component },
    ...screens.flatMap(({ id }, at): Step[] => [
      { type: 'set', control: id, property: surroundOf.name, value: name },
      ...parameters.map(
        (parameter): Step => ({
          type: 'set',
          control: id,
          property: `${surroundOf.name}.${parameter.name}`,
          value: parameter.texts[at] ?? '',
        }),
      ),
    ]),
  ];
  return { steps, component: component.id };
}
