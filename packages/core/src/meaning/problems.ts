/** What is wrong in a control as it stands: drafts, expressions whose names are gone, values of another type. */

import { readAttribute } from '../cascade/attributes.ts';
import { type Location, locate, pathIn, walk } from '../document/tree.ts';
import { asTyped, type Control, inForce, type Project, type PropertyValue } from '../document/types.ts';
import { sharingBudget } from '../expression/budget.ts';
import { usesIn } from '../expression/renaming.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { circleOf, type Definition, definitionOf, definitionsOf, noComponent } from '../reuse/definition.ts';
import { expansionOf } from '../reuse/expand.ts';
import { isInstance, kindIn, slotProblem } from '../reuse/instance-kinds.ts';
import { type ColumnScope, columnScopeAt, itemsOfNoList, missingColumns } from './column-uses.ts';
import { misfitIn } from './misfits.ts';
import { contextOf, itemNames, readAttributeText } from './property-text.ts';
import { sampleOf } from './readable.ts';

/** An attribute whose text is not valid, or gives something else than is wanted. */
export interface AttributeProblem {
  readonly attribute: string;
  readonly message: string;
  /** UTF-16 index into the attribute's text. */
  readonly at: number;
  /** The text holds nonetheless: only what comes out of it does not fit. */
  readonly holds: boolean;
}

/** Values of items that are set, though their rows are in no list. */
const unkeepable = (
  project: Project,
  control: Control,
  scope: ColumnScope,
  { screen }: Location,
): AttributeProblem[] =>
  itemsOfNoList(control, scope, {
    items: itemNames(pathIn(screen, control.id).slice(0, -1)),
    bands: project.bands,
  }).map(([attribute, item]) => ({
    attribute,
    message: `\`${item}\` is worked out, so that nothing can be put into it: repeat a list itself, or rows that are filtered or sorted from one.`,
    at: 0,
    holds: true,
  }));

/** What an event has that names another control. */
const namesControls = /\b(?:focus|scrollTo)\s*\(/;

/** What is wrong with a control as a part of a component, as an instance, or in a slot. */
function reuseProblems(project: Project, control: Control, place: Location | undefined): AttributeProblem[] {
  const at = (attribute: string, message: string | undefined): AttributeProblem[] =>
    message === undefined ? [] : [{ attribute, message, at: 0, holds: false }];
  const definitions = definitionsOf(project);
  const missing =
    isInstance(control) && !definitions.has(control.kind)
      ? noComponent(control.kind, definitions.keys())
      : undefined;
  const slot = place?.parent && slotProblem(kindIn(project, place.parent), inForce(control.props.slot) ?? '');
  const declared =
    place && kindOf(place.screen).root === 'components'
      ? definitionOf(place.screen).faults.filter((fault) => fault.control.id === control.id)
      : [];
  const circle =
    kindOf(control).root === 'components' ? circleOf(definitions, control.name ?? '') : undefined;
  return [
    ...at('', missing),
    ...at('slot', slot),
    ...declared.flatMap(({ message }) => at('', message)),
    ...at('', kindOf(control).root === 'screens' ? expansionOf(project, control).problem : undefined),
    ...at('', circle && `\`${control.name}\` holds itself: ${circle.join(' → ')}.`),
    ...unassignable(definitions.get(control.kind), control).flatMap(([name, message]) => at(name, message)),
  ];
}

/** Parameters that the component changes, and that an instance gives an expression, into which nothing can be put. */
const unassignable = (definition: Definition | undefined, { props }: Control): [string, string][] =>
  [...(definition?.parameters.values() ?? [])].flatMap(({ name, twoWay }): [string, string][] => {
    const text = inForce(props[name]);
    return twoWay && text !== undefined && hasExpression(text) && assigns(definition!, name)
      ? [[name, `\`${definition!.name}\` changes \`${name}\`: bind it, \`${name}.bind\`, to a variable.`]]
      : [];
  });

/** Whether a component's events or fields change a name. */
const assigns = ({ root }: Definition, name: string): boolean =>
  root !== undefined &&
  [...walk(root)].some((control) =>
    Object.entries(control.props).some(([attribute, value]) => {
      const meaning = readAttribute(kindOf(control), attribute, []);
      return (
        typeof meaning !== 'string' &&
        meaning.role !== 'value' &&
        usesIn(meaning, inForce(value) ?? '').some((use) => use.written && use.name === name)
      );
    }),
  );

const found = new WeakMap<
  Control,
  {
    state: Project['state'];
    screens: string;
    /** The names of the screen's controls, where its events may name some. */
    controls: ReadonlySet<string> | undefined;
    /** The project's components, where it depends on them. */
    components: Project['components'];
    /** The tables whose rows it stands for. */
    scope: ColumnScope | undefined;
    /** The project's screens, where what is missing may be written on another one. */
    written: Project['screens'] | undefined;
    problems: readonly AttributeProblem[];
  }
>();

/** All attributes of a control that are not valid; worked out once for each version of it and of what it names. */
export function attributeProblems(project: Project, control: Control): readonly AttributeProblem[] {
  const screens = project.screens.map((screen) => screen.name).join();
  const known = found.get(control);
  const place = locate(project, control.id);
  const scope = place && columnScopeAt(place.screen, project.state, control.id);
  if (
    known &&
    known.state === project.state &&
    known.screens === screens &&
    known.scope === scope &&
    (!known.written || known.written === project.screens) &&
    (!known.components || known.components === project.components) &&
    (!known.controls || known.controls === contextOf(project, control).controls)
  )
    return known.problems;
  const kind = kindIn(project, control);
  const context = contextOf(project, control);
  const problemOf = ([attribute, value]: [string, PropertyValue]): AttributeProblem[] => {
    const text = asTyped(value) ?? '';
    const reading = readAttributeText(kind, attribute, text, context);
    if (!reading.ok) return [{ attribute, message: reading.message, at: reading.at, holds: false }];
    const misfit = misfitIn(kind, attribute, text, context, (of) => {
      const sample = sampleOf(project, control, of);
      return 'value' in sample ? sample.value : undefined;
    });
    return misfit ? [{ attribute, ...misfit, holds: true }] : [];
  };
  const missing = scope ? missingColumns(project, control, scope) : [];
  const problems = [
    ...sharingBudget(() => Object.entries(control.props).flatMap(problemOf)),
    ...reuseProblems(project, control, place),
    ...missing.map((each) => ({ ...each, holds: true })),
    ...(scope && place ? unkeepable(project, control, scope, place) : []),
  ];
  const points = Object.values(control.props).some((value) => namesControls.test(asTyped(value) ?? ''));
  const controls = points ? context.controls : undefined;
  const dependsOnComponents =
    isInstance(control) ||
    kind.slots !== undefined ||
    (place && (kindOf(place.screen).root === 'components' || (place.parent && isInstance(place.parent))));
  found.set(control, {
    state: project.state,
    screens,
    controls,
    components: dependsOnComponents ? (project.components ?? []) : undefined,
    scope,
    written: missing.length > 0 ? project.screens : undefined,
    problems,
  });
  return problems;
}
