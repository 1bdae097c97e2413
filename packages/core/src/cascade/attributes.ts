/**
 * The grammar of attribute names: a property, a change of it from a band (`lap.gap`) or for an orientation
 * (`portrait.gap`), its two-way binding (`value.bind`), an event (`on.press`).
 */

import { didYouMean, quoted } from '../document/nearest.ts';
import type { Band } from '../document/types.ts';
import type { EventEntry, Kind, Property } from '../kinds/kind.ts';

export type Attribute =
  | { readonly role: 'value'; readonly property: Property; readonly prefix: string }
  | { readonly role: 'bind'; readonly property: Property }
  | { readonly role: 'event'; readonly event: EventEntry };

export const orientations = ['portrait', 'landscape'] as const;

/** The property that an attribute is about, without the band or orientation in front of it. */
export const propertyOf = (attribute: string): string => attribute.slice(attribute.indexOf('.') + 1);

/** What an attribute of a kind means, or a sentence that says why it means nothing. */
export function readAttribute(kind: Kind, name: string, bands: readonly Band[]): Attribute | string {
  const own = kind.properties.find((property) => property.name === name);
  if (own) return { role: 'value', property: own, prefix: '' };
  const dot = name.indexOf('.');
  const prefix = name.slice(0, Math.max(0, dot));
  const rest = name.slice(dot + 1);
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
  const prefixes = [...bands.map((band) => band.name), ...orientations];
  if (dot > 0 && prefixes.includes(prefix)) {
    const property = kind.properties.find((entry) => entry.name === rest);
    if (property?.perBand) return { role: 'value', property, prefix: `${prefix}.` };
    if (property) return `\`${rest}\` cannot change from a band.`;
    return unknown(kind, name, rest);
  }
  if (dot > 0 && kind.properties.some((entry) => entry.name === rest))
    return `There is no band ${quoted(prefix)}.${didYouMean(prefix, prefixes)}`;
  return unknown(kind, name, name);
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
  const base = kind.properties.indexOf(attribute.property) * 1000;
  if (attribute.role === 'bind') return base + 999;
  if (attribute.prefix === '') return base;
  const word = attribute.prefix.slice(0, -1);
  const band = bands.toSorted((a, b) => a.from - b.from).findIndex((entry) => entry.name === word);
  return base + (band >= 0 ? 1 + band : 900 + orientations.findIndex((each: string) => each === word));
}
