/** What a line of Facts shows of a property: its text, where that is from, what is wrong with it. */
import {
  allSaidOf,
  asTyped,
  attributeProblems,
  hasExpression,
  inForce,
  kindOf,
  type Project,
  type Property,
  type PropertyValue,
  prefixesOfScope,
  propertyOf,
  type Said,
  scopeParts,
  themeOf,
  withoutChange,
} from '@hovrin/core';
import type { Controls } from './useSetProperty.ts';

export interface ShownValue {
  /** The attribute that is edited: with the prefix of the widths, where it is for some only. */
  readonly attribute: string;
  /** Whether it is edited for some widths only. */
  readonly forScope: boolean;
  readonly held: PropertyValue | undefined;
  /** Whether the controls hold different values. */
  readonly several: boolean;
  /** What it is where nothing is said here; undefined: nothing. */
  readonly elsewhere: string | undefined;
  /** The style that says it there, in words; undefined: none does. */
  readonly ofStyle: string | undefined;
  /** As it was typed; empty where nothing is held or several are. */
  readonly text: string;
  /** Whether something is said here. */
  readonly own: boolean;
  /** The text in force, of here or of elsewhere. */
  readonly inForce: string;
  /** Whether that is bound to an expression. */
  readonly bound: boolean;
  readonly problem: ReturnType<typeof attributeProblems>[number] | undefined;
  /** The last good text, where another one is being typed. */
  readonly goesOn: string | undefined;
  /** Attributes that say it for other widths. */
  readonly changes: readonly string[];
}

/** What holds where nothing is said here, and the style that says so. */
function saidElsewhere(
  project: Project,
  control: Controls[0],
  property: Property,
  scope: string,
): Partial<Pick<Said, 'text' | 'style'>> {
  const theme = themeOf(project);
  const parts = scopeParts(project, scope);
  if (scope !== '' && parts.state === '') {
    const { name } = property;
    const said = withoutChange(project, {
      control,
      attribute: `${scope}.${name}`,
      prefix: scope,
      property: name,
    });
    const ownBelow = prefixesOfScope(project, parts).some(
      (prefix) => prefix !== `${scope}.` && control.props[prefix + name] !== undefined,
    );
    if (said !== undefined && ownBelow) return { text: said };
  }
  const prefixes = prefixesOfScope(project, parts);
  const all = allSaidOf(control, property, { prefixes, theme });
  return all.find(({ from }) => parts.state !== '' || from !== 'own') ?? {};
}

/** @param scope the widths that are edited: a prefix, or nothing for all. */
export function shownValue(
  project: Project,
  controls: Controls,
  property: Property,
  scope: string,
): ShownValue {
  const [control] = controls;
  const { name } = property;
  const forScope = scope !== '' && property.perBand;
  const attribute = forScope ? `${scope}.${name}` : name;
  const held = control.props[attribute];
  const several = controls.some((other) => asTyped(other.props[attribute]) !== asTyped(held));
  const { text: elsewhere, style } = saidElsewhere(project, control, property, forScope ? scope : '');
  const own = several || held !== undefined;
  // What is not changed for these widths is here as it is elsewhere, bound too.
  const text = own ? (inForce(held) ?? '') : forScope ? (elsewhere ?? '') : '';
  return {
    attribute,
    forScope,
    held,
    several,
    elsewhere,
    ofStyle: style && (style.name ?? `of all ${kindOf(control).label.toLowerCase()}s`),
    text: several ? '' : (asTyped(held) ?? ''),
    own,
    inForce: text,
    bound: hasExpression(text),
    problem: attributeProblems(project, control).find((each) => each.attribute === attribute),
    goesOn: asTyped(held) === inForce(held) ? undefined : inForce(held),
    changes: Object.keys(control.props).filter(
      (key) => key !== name && propertyOf(key) === name && !key.startsWith('on.') && key !== attribute,
    ),
  };
}
