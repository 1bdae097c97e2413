/** What a style may say: the size, the inside and the look of controls, but nothing that belongs to one control alone. */

import { builtInStates } from '../document/control-states.ts';
import { nameProblem } from '../document/names.ts';
import { kindNamed, kinds } from '../kinds/catalogue.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import { pointedAt, type StateSelectors } from '../kinds/states.ts';

/** Properties of the place that mean the same in any parent. */
const anywhere: ReadonlySet<string> = new Set(['margin', 'align-self', 'justify-self', 'hidden']);

const styledGroups: ReadonlySet<Property['group']> = new Set([
  'size',
  'inside',
  'look',
  'letters',
  'effects',
  'parts',
]);

/** Whether a style may say a property: no words, no data, no place in a particular parent. */
export const isStyled = ({ name, group, styled }: Property): boolean =>
  styled !== false && (styledGroups.has(group) || anywhere.has(name));

const byKind = new Map<string, Kind>();

/**
 * A kind that has what styles may say.
 *
 * @param only the kind that a style is for; undefined: any, with all that some kind has.
 * @returns undefined where there is no such kind.
 */
export function stylesOfKind(only: string | undefined): Kind | undefined {
  const known = byKind.get(only ?? '');
  if (known) return known;
  const of = only === undefined ? undefined : kindNamed(only);
  if (only !== undefined && !of) return undefined;
  const properties = new Map<string, Property>();
  for (const each of of ? [of] : kinds)
    for (const property of each.properties)
      if (isStyled(property) && !properties.has(property.name)) properties.set(property.name, property);
  const made: Kind = {
    ...(of ?? (kinds[0] as Kind)),
    name: only === undefined ? 'style' : `style for a ${only}`,
    properties: [...properties.values()],
    states: of ? (of.states ?? pointedAt) : everyState,
    events: [],
  };
  byKind.set(only ?? '', made);
  return made;
}

/** A style without a kind may speak of all states: each kind takes those that it has. */
const everyState: StateSelectors = Object.fromEntries(builtInStates.map((state) => [state, '']));

/** Why a text cannot be the name of a style; undefined where it can, if it is free. */
export const styleNameProblem = (name: string): string | undefined =>
  /^[A-Za-z_][\w-]*$/.test(name) && name.length <= 64
    ? undefined
    : (nameProblem(name) ?? `\`${name.slice(0, 64)}\` cannot be the name of a style.`);
