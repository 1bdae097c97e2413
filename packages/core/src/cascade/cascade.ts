/**
 * Where a value comes from. What is said about a control lies in layers, and the first layer that says something about a
 * property wins (CSS Cascade 5 §6.4.4); within a layer the last condition that holds wins: none, the bands in their order,
 * the orientation. What nobody says is the kind's default, made of the theme. Layout, page, Facts, Why and checks all ask here.
 */

import { type Band, type Control, inForce } from '../document/types.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import type { Theme } from '../values/theme.ts';

/** Something that says values of properties, by attribute name, conditions in front (`lap.gap`). */
export interface Layer {
  readonly from: 'own';
  readonly props: Control['props'];
}

/** The layers over a control, the strongest first. */
export const layersOf = ({ props }: Control): readonly Layer[] => [{ from: 'own', props }];

/** A text that holds, and where it is said. */
export interface Said {
  readonly text: string;
  /** `default`: nobody says it. */
  readonly from: Layer['from'] | 'default';
  /** The condition in front of it, such as `lap`; empty where there is none. */
  readonly condition: string;
}

/** The prefixes whose values hold, weakest first; the empty one is what holds without a condition. */
export function prefixesInForce({
  bands,
  width,
  height,
}: {
  readonly bands: readonly Band[];
  readonly width: number;
  readonly height: number;
}): string[] {
  const reached = bands.filter((band) => width >= band.from).toSorted((a, b) => a.from - b.from);
  return ['', ...reached.map((band) => `${band.name}.`), width > height ? 'landscape.' : 'portrait.'];
}

/** Under which conditions values are asked for. */
export interface Conditions {
  /** Bands and orientation in front of attributes, weakest first. */
  readonly prefixes: readonly string[];
  readonly theme: Theme;
}

/** What holds for a property of a kind where nothing is said, in canonical form. */
export function defaultText(
  { default: preset }: Pick<Property, 'default'>,
  theme: Theme,
): string | undefined {
  if (typeof preset !== 'object') return preset;
  const measure = theme[preset.theme];
  return typeof measure === 'object' ? Object.values(measure).join(' ') : String(measure);
}

/**
 * What the layers say about a property under some prefixes, weakest first; undefined where none says anything.
 * A two-way binding reads as the expression of its variable, and wins over all else in its layer.
 */
export function saidOf(
  control: Control,
  { name, twoWay }: Pick<Property, 'name' | 'twoWay'>,
  prefixes: readonly string[],
): Said | undefined {
  for (const { from, props } of layersOf(control)) {
    const target = twoWay && inForce(props[`${name}.bind`]);
    if (target) return { text: `{${target}}`, from, condition: '' };
    for (let index = prefixes.length - 1; index >= 0; index--) {
      const prefix = prefixes[index] ?? '';
      const text = inForce(props[prefix + name]);
      if (text !== undefined) return { text, from, condition: prefix.slice(0, -1) };
    }
  }
  return undefined;
}

/** The text that the layers say, as `saidOf` has it. */
export const textInForce = (
  control: Control,
  property: Pick<Property, 'name' | 'twoWay'>,
  prefixes: readonly string[],
): string | undefined => saidOf(control, property, prefixes)?.text;

/** What holds for a property, the kind's default included; undefined where there is nothing. */
export function inCascade(
  control: Control,
  property: Property,
  prefixes: readonly string[],
  theme: Theme,
): Said | undefined {
  const text = defaultText(property, theme);
  return (
    saidOf(control, property, prefixes) ??
    (text === undefined ? undefined : { text, from: 'default', condition: '' })
  );
}

/** A kind's properties by name. */
export function propertiesOf(kind: Kind): ReadonlyMap<string, Property> {
  let known = byKind.get(kind);
  if (!known) {
    known = new Map(kind.properties.map((property) => [property.name, property]));
    byKind.set(kind, known);
  }
  return known;
}
const byKind = new WeakMap<Kind, ReadonlyMap<string, Property>>();

/** A text and how strong its condition is. */
interface Ranked {
  text: string;
  rank: number;
}

/**
 * The texts that the layers say about all properties of a control, as `saidOf` has them for one: in one go, since a
 * screen has many controls and a control few attributes.
 */
export function allSaid(control: Control, kind: Kind, prefixes: readonly string[]): Map<Property, Ranked> {
  const found = new Map<Property, Ranked>();
  for (const { props } of layersOf(control)) {
    if (found.size === 0) saidIn(props, kind, prefixes, found);
    else
      for (const [property, said] of saidIn(props, kind, prefixes, new Map()))
        if (!found.has(property)) found.set(property, said);
  }
  return found;
}

/** Adds the values of a layer to those found so far. */
function saidIn(
  props: Control['props'],
  kind: Kind,
  prefixes: readonly string[],
  found: Map<Property, Ranked>,
): Map<Property, Ranked> {
  const byName = propertiesOf(kind);
  const say = (property: Property, text: string | undefined, rank: number) => {
    if (text === undefined) return;
    const before = found.get(property);
    if (!before) found.set(property, { text, rank });
    else if (rank >= before.rank) {
      before.text = text;
      before.rank = rank;
    }
  };
  for (const attribute in props) {
    const own = byName.get(attribute);
    if (own) {
      say(own, inForce(props[attribute]), 0);
      continue;
    }
    const dot = attribute.indexOf('.');
    if (dot <= 0) continue;
    const rest = attribute.slice(dot + 1);
    const property = byName.get(rest === 'bind' ? attribute.slice(0, dot) : rest);
    if (!property) continue;
    if (rest === 'bind') {
      const target = property.twoWay && inForce(props[attribute]);
      if (target) say(property, `{${target}}`, Infinity);
      continue;
    }
    const rank = prefixes.indexOf(attribute.slice(0, dot + 1));
    if (rank > 0) say(property, inForce(props[attribute]), rank);
  }
  return found;
}
