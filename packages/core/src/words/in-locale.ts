/** A project in one of its languages: each text as it is translated; what is not translated stays as the source has it. */
import type { Locale } from '../document/locale.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { translationFault } from './faults.ts';
import { type StandingWords, textsOf, withPieceText } from './places.ts';
import { withShared } from './shared.ts';

const known = new WeakMap<Project, Map<string, Project>>();

/** The language of that tag, but for the one of the source. */
export const translatedLocale = ({ locales = [] }: Project, tag: string): Locale | undefined =>
  locales.slice(1).find((locale) => locale.tag.toLowerCase() === tag.toLowerCase());

function translated(
  control: Control,
  places: ReadonlyMap<string, readonly StandingWords[]>,
  locale: Locale,
): Control {
  const children = control.children.map((child) => translated(child, places, locale));
  const props: Record<string, Control['props'][string]> = {};
  // From behind, so that places before stay where they are.
  for (const place of (places.get(control.id) ?? []).toReversed()) {
    const text = locale.strings?.[place.key]?.text;
    if (!text || translationFault(place, text) !== undefined) continue;
    const before = inForce(props[place.attribute] ?? control.props[place.attribute]) ?? '';
    props[place.attribute] = withPieceText(place.attribute, before, place, text);
  }
  const isSame = children.every((child, index) => child === control.children[index]);
  if (isSame && Object.keys(props).length === 0) return control;
  return { ...control, props: { ...control.props, ...props }, children };
}

/** A project in a language; itself in that of its source, and in one that it does not have. */
export function inLocale(project: Project, tag: string): Project {
  const locale = translatedLocale(project, tag);
  if (!locale) return project;
  const made = known.get(project) ?? new Map<string, Project>();
  known.set(project, made);
  const before = made.get(tag);
  if (before) return before;
  const places = new Map<string, StandingWords[]>();
  const shared: Record<string, string> = {};
  for (const place of textsOf(project)) {
    if (place.control) places.set(place.control.id, [...(places.get(place.control.id) ?? []), place]);
    else {
      const text = locale.strings?.[place.key]?.text;
      if (text && translationFault(place, text) === undefined) shared[place.part] = text;
    }
  }
  const visit = (tree: Control) => translated(tree, places, locale);
  const next: Project = {
    ...withShared(project, shared),
    language: locale.tag,
    screens: project.screens.map(visit),
    ...(project.components ? { components: project.components.map(visit) } : {}),
  };
  made.set(tag, next);
  return next;
}
