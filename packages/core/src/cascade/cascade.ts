/**
 * Where a value comes from. What is said about a control lies in layers: its own values, the styles that it names, the style of
 * its kind; the first that says something about a property wins (CSS Cascade 5 §6.4.4). Within a layer the last condition that
 * holds wins: none, the bands in their order, the orientation, states. What nobody says is the kind's default, made of the
 * theme's tokens. Layout, page, Facts, Why and checks all ask here.
 */

import { ownStyleText, type Style, type StyleSet, stylesNamed } from '../document/style-set.ts';
import { type Band, type Control, inForce } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import { withValues } from '../tokens/reading.ts';
import { measureToken } from '../tokens/shipped.ts';
import type { Theme } from '../values/theme.ts';

/** Something that says values of properties, by attribute name, conditions in front (`lap.gap`). */
export interface Layer {
  readonly from: 'own' | 'style' | 'kind style';
  /** The style that it is; absent: the control's own values. */
  readonly style?: Style;
  readonly props: Control['props'];
}

/** The names of styles that a control's plain text says. */
export function plainStyle({ props }: Pick<Control, 'props'>): string {
  const text = ownStyleText(props);
  return hasExpression(text) ? '' : text;
}

/**
 * The layers over a control, the strongest first.
 *
 * @param named the styles that it names; absent: those of its plain text.
 */
export function layersOf(
  control: Pick<Control, 'kind' | 'props'>,
  { all, named: byName, ofKinds }: StyleSet,
  named: string = plainStyle(control),
): readonly Layer[] {
  const own: Layer = { from: 'own', props: control.props };
  if (all.length === 0) return [own];
  const ofKind = ofKinds.get(control.kind);
  return [
    own,
    ...(named === '' ? [] : stylesNamed({ all, named: byName, ofKinds }, named, control.kind)).map(
      (style): Layer => ({ from: 'style', style, props: style.props }),
    ),
    ...(ofKind ? [{ from: 'kind style', style: ofKind, props: ofKind.props } as const] : []),
  ];
}

/** A text that holds, and where it is said. */
export interface Said {
  readonly text: string;
  /** `default`: nobody says it. */
  readonly from: Layer['from'] | 'default';
  readonly style?: Style;
  /** The condition in front of it, such as `lap` or `lap.hover`; empty where there is none. */
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

/** Prefixes with states in force: all that is said in a state is stronger than what is said in none or a weaker one. */
export const withStates = (prefixes: readonly string[], states: readonly string[]): readonly string[] =>
  states.length === 0
    ? prefixes
    : [...prefixes, ...states.flatMap((state) => prefixes.map((prefix) => `${prefix}${state}.`))];

/** Under which conditions values are asked for. */
export interface Conditions {
  /** Bands, orientation and states in front of attributes, weakest first. */
  readonly prefixes: readonly string[];
  readonly theme: Theme;
}

/** What holds for a property of a kind where nothing is said, in canonical form, with the values of tokens. */
export function defaultText(
  { default: preset, type }: Pick<Property, 'default' | 'type'>,
  { tokens }: Pick<Theme, 'tokens'>,
): string | undefined {
  const text = typeof preset === 'object' ? measureToken(preset.theme) : preset;
  return text === undefined ? undefined : withValues(type, text, tokens);
}

/** What a layer says about a property under some prefixes. */
export function saidByLayer(
  { from, style, props }: Layer,
  { name, twoWay }: Pick<Property, 'name' | 'twoWay'>,
  prefixes: readonly string[],
): Said | undefined {
  const place = { from, ...(style ? { style } : {}) };
  const target = twoWay && inForce(props[`${name}.bind`]);
  if (target) return { text: `{${target}}`, ...place, condition: '' };
  for (let index = prefixes.length - 1; index >= 0; index--) {
    const prefix = prefixes[index] ?? '';
    const text = inForce(props[prefix + name]);
    if (text !== undefined) return { text, ...place, condition: prefix.slice(0, -1) };
  }
  return undefined;
}

/**
 * What the layers say about a property under some conditions, the strongest; undefined where none says anything.
 * A two-way binding reads as the expression of its variable, and wins over all else in its layer.
 */
export function saidOf(
  control: Control,
  property: Pick<Property, 'name' | 'twoWay'>,
  { prefixes, theme }: { readonly prefixes: readonly string[]; readonly theme: Pick<Theme, 'styles'> },
): Said | undefined {
  for (const layer of layersOf(control, theme.styles)) {
    const said = saidByLayer(layer, property, prefixes);
    if (said) return said;
  }
  return undefined;
}

/** What each layer says about a property, the strongest first, and the kind's default last. */
export function allSaidOf(control: Control, property: Property, { prefixes, theme }: Conditions): Said[] {
  const text = defaultText(property, theme);
  return [
    ...layersOf(control, theme.styles).flatMap((layer) => saidByLayer(layer, property, prefixes) ?? []),
    ...(text === undefined ? [] : [{ text, from: 'default', condition: '' } as const]),
  ];
}

/** What a control says itself about a property. */
export const textInForce = (
  { props }: Control,
  property: Pick<Property, 'name' | 'twoWay'>,
  prefixes: readonly string[],
): string | undefined => saidByLayer({ from: 'own', props }, property, prefixes)?.text;

/** What holds for a property, the kind's default included; undefined where there is nothing. */
export const inCascade = (control: Control, property: Property, conditions: Conditions): Said | undefined =>
  allSaidOf(control, property, conditions)[0];

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
 *
 * @param named the styles that the control names; absent: those of its plain text.
 */
export function allSaid(
  control: Pick<Control, 'kind' | 'props'>,
  kind: Kind,
  { prefixes, theme }: Conditions,
  named?: string,
): Map<Property, Ranked> {
  const found = new Map<Property, Ranked>();
  for (const { props } of layersOf(control, theme.styles, named)) {
    if (found.size === 0) saidIn(props, kind, { prefixes, theme }, found);
    else
      for (const [property, said] of saidIn(props, kind, { prefixes, theme }, new Map()))
        if (!found.has(property)) found.set(property, said);
  }
  return found;
}

/** Adds the values of a layer to those found so far. */
function saidIn(
  props: Control['props'],
  kind: Kind,
  { prefixes, theme }: Conditions,
  found: Map<Property, Ranked>,
): Map<Property, Ranked> {
  const byName = propertiesOf(kind);
  const say = (property: Property, text: string | undefined, rank: number) => {
    if (text === undefined) return;
    if (property.sets) {
      for (const [name, part] of Object.entries(property.sets(text, theme))) {
        const set = byName.get(name);
        // What is set beside it, under the same condition, wins.
        if (set) say(set, part, rank - 0.5);
      }
      return;
    }
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
    if (attribute.endsWith('.bind')) {
      const bound = byName.get(attribute.slice(0, -5));
      const target = bound?.twoWay && inForce(props[attribute]);
      if (bound && target) say(bound, `{${target}}`, Infinity);
      continue;
    }
    for (let dot = attribute.indexOf('.'); dot > 0; dot = attribute.indexOf('.', dot + 1)) {
      const property = byName.get(attribute.slice(dot + 1));
      if (!property) continue;
      const rank = prefixes.indexOf(attribute.slice(0, dot + 1));
      if (rank > 0) say(property, inForce(props[attribute]), rank);
      break;
    }
  }
  return found;
}
