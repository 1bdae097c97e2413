/** Which properties Facts shows of a control: in which section, and which wait until they are asked for. */
import {
  allSaidOf,
  arrangementsOf,
  type Control,
  isInstance,
  kindIn,
  type Project,
  type Property,
  type PropertyGroup,
  propertyOf,
  themeOf,
  whatItDoes,
} from '@hovrin/core';
import { hasWords } from '../../parts/words.ts';

/** The sections, in the order in which one asks: what it says, how it arranges, how large it is, where it stands. */
const sections: readonly (readonly [PropertyGroup, string])[] = [
  ['content', 'Content'],
  ['inside', 'Arrange'],
  ['size', 'Size and room'],
  ['place', 'Place'],
  ['letters', 'Letters'],
  ['look', 'Look'],
  ['effects', 'Effects'],
  ['parts', 'Parts'],
  ['data', 'Data'],
];

export interface Fact {
  readonly property: Property;
  /** Shown at once: something says it, or it matters for every control of the kind. */
  readonly atHand: boolean;
}

export interface FactsSection {
  readonly group: PropertyGroup;
  readonly title: string;
  readonly facts: readonly Fact[];
}

/** What a way of arranging is called by the property `like`. */
const likeOf: Readonly<Record<string, 'row' | 'column' | 'grid'>> = {
  row: 'row',
  column: 'column',
  cells: 'grid',
};

const isSaid = (control: Control, { name }: Property): boolean =>
  Object.keys(control.props).some((key) => propertyOf(key) === name);

/** The slot that a control is in, where it stands in an instance. */
const isSlotOf = ({ name }: Property, parent: Control | undefined): boolean =>
  name === 'slot' && parent !== undefined && isInstance(parent);

/** Whether a property means something where the control stands, or says something all the same. */
export function means(property: Property, control: Control, parent: Control | undefined): boolean {
  const { name, onlyIn, notIn, onlyLike } = property;
  // Findings that are let stand are looked at among the checks; the name has a field of its own.
  if (name === 'ignore' || name === 'name') return false;
  if (isSaid(control, property) || isSlotOf(property, parent)) return true;
  const around = parent ? [...arrangementsOf(parent)] : [];
  if (onlyIn && !around.some((each) => onlyIn.includes(each))) return false;
  if (around.length > 0 && around.every((each) => notIn?.includes(each))) return false;
  return !onlyLike || [...arrangementsOf(control)].some((each) => onlyLike.includes(likeOf[each] ?? 'row'));
}

/** Whether a style, or the kind's own look, says a property of a control. */
function isStyled(project: Project, control: Control, property: Property): boolean {
  const said = allSaidOf(control, property, { prefixes: [''], theme: themeOf(project) });
  return said.some(({ style }) => style !== undefined);
}

/** Whether a property is shown before somebody asks for it. */
const isAtHand = (project: Project, control: Control, property: Property): boolean =>
  (property.leads ?? property.group === 'content') ||
  isSaid(control, property) ||
  isStyled(project, control, property);

/** @param parent that it stands in; undefined: it is a screen, or a component. */
export function factsOf(
  project: Project,
  control: Control,
  parent: Control | undefined,
): readonly FactsSection[] {
  const { properties } = kindIn(project, control);
  return sections.flatMap(([group, title]) => {
    const facts = properties
      .filter((property) => sectionOf(property) === group)
      .filter((property) => means(property, control, parent))
      .map((property) => ({ property, atHand: isAtHand(project, control, property) }));
    return facts.length > 0 ? [{ group, title, facts }] : [];
  });
}

/** Padding and margin are room around the size. */
const sectionOf = ({ name, group }: Property): PropertyGroup =>
  name === 'padding' || name === 'margin' ? 'size' : group;

/** What several controls can be given at once: properties that all of them have and that mean something for each. */
export function sharedFacts(
  project: Project,
  controls: readonly [Control, ...Control[]],
  parents: readonly (Control | undefined)[],
): readonly FactsSection[] {
  const [first, ...others] = controls;
  const shared = (property: Property) =>
    others.every((other, index) =>
      kindIn(project, other).properties.some(
        ({ name, type }) =>
          name === property.name && type === property.type && means(property, other, parents[index + 1]),
      ),
    );
  return factsOf(project, first, parents[0]).flatMap((section) => {
    const facts = section.facts
      .filter(({ property }) => shared(property))
      .map(({ property, atHand }) => ({
        property,
        atHand: atHand || others.some((other) => isAtHand(project, other, property)),
      }));
    return facts.length > 0 ? [{ ...section, facts }] : [];
  });
}

/** What people call properties that the trade also knows by other names. */
const otherNames: Readonly<Record<string, string>> = {
  align: 'center centre vertical horizontal items',
  justify: 'center centre distribute space',
  'align-self': 'center centre align',
  'justify-self': 'center centre align',
  corner: 'radius rounded round border-radius',
  'border-width': 'stroke outline line',
  'border-color': 'stroke outline line',
  color: 'color foreground text font ink',
  background: 'color fill image picture gradient',
  gap: 'spacing space between gutter',
  padding: 'spacing inset space inside',
  margin: 'spacing space outside',
  hidden: 'visible show hide visibility display',
  z: 'index stack front back',
  clip: 'overflow mask cut',
  size: 'font text px',
  weight: 'bold font',
  'line-height': 'leading',
  'letter-spacing': 'tracking kerning',
  aspect: 'ratio proportion',
  opacity: 'transparent alpha',
  shadow: 'elevation box drop',
  transition: 'animation motion duration',
  'text-align': 'center centre left right',
  lines: 'clamp truncate ellipsis',
  nowrap: 'truncate line break',
  tabindex: 'tab focus keyboard',
};

/** The facts that answer what was typed: those whose own name begins with it first. */
export function findFacts(all: readonly FactsSection[], typed: string): readonly Property[] {
  const asked = typed.trim().toLowerCase();
  const found = all
    .flatMap(({ facts, title }) => facts.map(({ property }) => ({ property, title })))
    .filter(({ property, title }) =>
      hasWords(
        `${property.label} ${property.name} ${title} ${otherNames[property.name] ?? ''} ${whatItDoes(property)}`,
        asked,
      ),
    )
    .map(({ property }) => property);
  const rank = ({ label, name }: Property) =>
    [label.toLowerCase(), name].some((each) => each === asked)
      ? 0
      : [label.toLowerCase(), name].some((each) => each.startsWith(asked))
        ? 1
        : (otherNames[name] ?? '').split(' ').some((each) => each.startsWith(asked))
          ? 2
          : 3;
  return asked === '' ? found : found.toSorted((one, other) => rank(one) - rank(other));
}
