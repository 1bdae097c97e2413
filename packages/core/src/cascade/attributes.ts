/**
 * The grammar of attribute names: a property, a change of it from a band (`lap.gap`), for an orientation (`portrait.gap`), in
 * a state (`hover.gap`, `lap.hover.gap`), its two-way binding (`value.bind`), an event (`on.press`).
 */

import { builtInStates, isOwnStateName } from '../document/control-states.ts';
import { valueNameProblem } from '../document/names.ts';
import { didYouMean, quoted } from '../document/nearest.ts';
import type { Band } from '../document/types.ts';
import { unknownParameter } from '../kinds/instance.ts';
import type { EventEntry, Kind, Property } from '../kinds/kind.ts';
import { statesOf } from '../kinds/states.ts';

export type Attribute =
  | { readonly role: 'value'; readonly property: Property; readonly prefix: string }
  | { readonly role: 'bind'; readonly property: Property }
  | { readonly role: 'event'; readonly event: EventEntry };

export const orientations = ['portrait', 'landscape'] as const;

/** The property that an attribute is about, without the bands, orientations and states in front of it. */
export const propertyOf = (attribute: string): string => attribute.replace(/^(?:(?!part\()[^.]+\.)+/, '');

/** The conditions in front of an attribute's property, in the order in which they stand. */
export const conditionsOf = (attribute: string): string[] =>
  attribute
    .slice(0, attribute.length - propertyOf(attribute).length)
    .split('.')
    .filter(Boolean);

/**
 * What an attribute of a kind means, or a sentence that says why it means nothing.
 *
 * @param states names of states that are declared around it; absent: any name may be one.
 */
export function readAttribute(
  kind: Kind,
  name: string,
  bands: readonly Band[],
  states?: ReadonlySet<string>,
): Attribute | string {
  const own = kind.properties.find((property) => property.name === name);
  if (own) return { role: 'value', property: own, prefix: '' };
  const dot = name.indexOf('.');
  const prefix = name.slice(0, Math.max(0, dot));
  const rest = name.slice(dot + 1);
  const given = givenToComponent(kind, name);
  if (given) return given;
  if (prefix === 'on') {
    const event = kind.events.find((entry) => entry.name === rest);
    return event
      ? { role: 'event', event }
      : `A ${kind.name} has no event ${quoted(rest)}.${didYouMean(
          rest,
          kind.events.map((entry) => entry.name),
        )}`;
  }
  if (rest === 'bind' && dot > 0) {
    const property = kind.properties.find((entry) => entry.name === prefix);
    if (property?.twoWay) return { role: 'bind', property };
    return `\`${prefix}\` of a ${kind.name} cannot be bound in both directions.`;
  }
  return conditional(kind, name, bands, states);
}

/** What an attribute means that gives something to a component of which nothing is known here; undefined where it gives nothing. */
function givenToComponent(kind: Kind, name: string): Attribute | undefined {
  const given = kind.open ? name : parameterGiven(kind, name);
  if (given === undefined) return undefined;
  const [first = '', second, ...more] = given.split('.');
  const isName = (word: string) => valueNameProblem(word) === undefined;
  if (more.length > 0) return undefined;
  if (second === undefined)
    return isName(first) ? { role: 'value', property: unknownParameter(first), prefix: '' } : undefined;
  if (first === 'on' && isName(second))
    return { role: 'event', event: { name: second, label: second, dom: '' } };
  return second === 'bind' && isName(first) ? { role: 'bind', property: unknownParameter(first) } : undefined;
}

/** What an attribute gives to a component, as an instance would have it: `title` for `surround.title` and `with.title`. */
export const parameterGiven = ({ gives }: Kind, attribute: string): string | undefined =>
  gives !== undefined && attribute.startsWith(`${gives}.`) ? attribute.slice(gives.length + 1) : undefined;

/** What an attribute with conditions in front means: at most a band or an orientation, and a state behind it. */
function conditional(
  kind: Kind,
  name: string,
  bands: readonly Band[],
  own: ReadonlySet<string> | undefined,
): Attribute | string {
  const conditions = conditionsOf(name);
  const rest = propertyOf(name);
  const property = kind.properties.find((entry) => entry.name === rest);
  if (conditions.length === 0) return unknown(kind, name, name);
  const widths = [...bands.map((band) => band.name), ...orientations];
  const ofKind: readonly string[] = statesOf(kind);
  const known = [...widths, ...ofKind, ...(own ?? [])];
  const isState = (word: string) => ofKind.includes(word) || (own ? own.has(word) : isOwnStateName(word));
  const [first = '', second] = conditions;
  const [band, state] = widths.includes(first) ? [first, second] : [undefined, first];
  if (state !== undefined && !isState(state)) {
    if (!property) return unknown(kind, name, name);
    return builtInStates.some((each) => each === state)
      ? `A ${kind.name} has no state ${quoted(state)}.`
      : `There is no band or state ${quoted(state)}.${didYouMean(state, known)}`;
  }
  if (conditions.length > (band === undefined ? 1 : 2))
    return `\`${name}\` has more conditions than a band or orientation and a state behind it.`;
  if (!property) return unknown(kind, name, rest);
  if (!property.perBand) return `\`${rest}\` cannot change from a band or in a state.`;
  if (state !== undefined && property.inStates === false) return `\`${rest}\` cannot change in a state.`;
  return { role: 'value', property, prefix: `${conditions.join('.')}.` };
}

const unknown = (kind: Kind, name: string, word: string) =>
  `A ${kind.name} has no attribute ${quoted(name)}.${didYouMean(word, [
    'name',
    ...kind.properties.flatMap((property) =>
      property.twoWay ? [property.name, `${property.name}.bind`] : [property.name],
    ),
    ...kind.events.map((event) => `on.${event.name}`),
  ])}`;

/** Every attribute that a kind's element may have, besides `name`: in canonical order, those of bands included. */
export function attributeNames(kind: Kind, bands: readonly Band[]): string[] {
  const prefixes = [...bands.map((band) => band.name), ...orientations];
  return [
    ...kind.properties.flatMap((property) => [
      property.name,
      ...(property.twoWay ? [`${property.name}.bind`] : []),
    ]),
    ...kind.events.map((event) => `on.${event.name}`),
    ...kind.properties.flatMap((property) =>
      property.perBand ? prefixes.map((prefix) => `${prefix}.${property.name}`) : [],
    ),
  ];
}

/**
 * Where an attribute stands in the canonical order: by the catalogue; a property's own value, its changes by
 * band, then by orientation, then its two-way binding; events last.
 */
export function attributeRank(kind: Kind, name: string, bands: readonly Band[]): number {
  const attribute = readAttribute(kind, name, bands);
  if (typeof attribute === 'string') return Number.POSITIVE_INFINITY;
  if (attribute.role === 'event')
    return (kind.properties.length + kind.events.indexOf(attribute.event)) * 1000;
  // What a screen gives its surround comes behind the surround.
  const place =
    parameterGiven(kind, name) === undefined
      ? kind.properties.indexOf(attribute.property)
      : Math.max(
          0,
          kind.properties.findIndex((property) => property.name === kind.gives),
        );
  const base = place * 1000 + (attribute.property === kind.properties[place] ? 0 : 1);
  if (attribute.role === 'bind') return base + 999;
  if (attribute.prefix === '') return base;
  const words = conditionsOf(attribute.prefix);
  const inOrder = bands.toSorted((a, b) => a.from - b.from);
  const placeOf = (word: string): number => {
    const band = inOrder.findIndex((entry) => entry.name === word);
    if (band >= 0) return 1 + band;
    const turned = orientations.findIndex((each: string) => each === word);
    if (turned >= 0) return 60 + turned;
    const state = builtInStates.findIndex((each: string) => each === word);
    return 100 + 70 * (state >= 0 ? state : builtInStates.length);
  };
  return base + words.reduce((sum, word) => sum + placeOf(word), 0);
}
