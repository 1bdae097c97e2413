/**
 * Values between two others, as animations of CSS have them (CSS Values 4 §3, Interpolation; Web Animations 1 §5.3): numbers,
 * lengths of one unit, sides, colours and shadows go over evenly; all else changes when half of the way is done.
 */
import { converter, formatHex8, parse } from 'culori';
import type { Property } from '../kinds/kind.ts';
import type { Gaps } from '../values/css.ts';
import { shadowText } from '../values/fill-text.ts';
import { isColour } from '../values/fills.ts';
import { type Shadow, shadowsIn } from '../values/shadows.ts';
import { type Colours, colourIn } from '../values/theme.ts';

/** Properties whose numbers stay what they are until half of the way is done: those that no stylesheet of a page blends. */
const stepped = new Set(['z', 'weight', 'line-height', 'aspect']);

/** Least and greatest of what an easing that goes beyond its ends may make of a value. */
const ranges: Readonly<Record<string, readonly [least: number, most: number]>> = {
  opacity: [0, 1],
  'blur-behind': [0, Number.POSITIVE_INFINITY],
};
const notNegative =
  /^(?:(?:min-|max-)?(?:width|height)|padding|(?:row-|column-)?gap|corner|border-width|blur|size)$/;

const rangeOf = (name: string): readonly [number, number] =>
  ranges[name] ?? (notNegative.test(name) ? [0, Number.POSITIVE_INFINITY] : [-Infinity, Infinity]);

/** Halfway from 0 to 6 is 3, not a hair less, which would be cut to a whole px. */
const mix = (from: number, to: number, part: number): number =>
  Math.round((from + (to - from) * part) * 1e6) / 1e6;

const toRgb = converter('rgb');
const toOklab = converter('oklab');

/** Colours of the sorts that older stylesheets know blend in sRGB, all others in Oklab (CSS Color 4 §12.1). */
const isLegacy = (text: string): boolean => /^(?:#|rgb|hsl|[a-z]+$)/i.test(text);

/** A colour between two, by premultiplied components (CSS Color 4 §12.3); undefined where one is none. */
export function mixedColour(from: string, to: string, part: number): string | undefined {
  const clear = (text: string) => (text === 'none' ? '#00000000' : text);
  const [one, other] = [clear(from), clear(to)];
  const isSrgb = isLegacy(one) && isLegacy(other);
  const [a, b] = [one, other].map((text) => {
    const colour = parse(text);
    return colour && ((isSrgb ? toRgb(colour) : toOklab(colour)) as unknown as Record<string, number>);
  });
  if (!a || !b) return undefined;
  const alpha = Math.min(1, Math.max(0, mix(a.alpha ?? 1, b.alpha ?? 1, part)));
  const channel = (key: string) =>
    alpha === 0 ? 0 : mix((a[key] ?? 0) * (a.alpha ?? 1), (b[key] ?? 0) * (b.alpha ?? 1), part) / alpha;
  const keys = isSrgb ? ['r', 'g', 'b'] : ['l', 'a', 'b'];
  const made = Object.fromEntries(keys.map((key) => [key, channel(key)]));
  return formatHex8({ mode: isSrgb ? 'rgb' : 'oklab', ...made, alpha } as never);
}

type Fractional = { readonly fraction: number };
const isFraction = (value: unknown): value is Fractional =>
  typeof value === 'object' && value !== null && 'fraction' in value;
const isShare = (value: unknown): value is { readonly share: number } =>
  typeof value === 'object' && value !== null && 'share' in value;

/** A length, a part or a share between two of the same sort; undefined where they are not. */
function mixedLength(
  from: unknown,
  to: unknown,
  part: number,
  [least, most]: readonly [number, number],
): unknown {
  const inside = (value: number) => Math.min(most, Math.max(least, value));
  if (typeof from === 'number' && typeof to === 'number') return inside(mix(from, to, part));
  if (isFraction(from) && isFraction(to)) return { fraction: inside(mix(from.fraction, to.fraction, part)) };
  if (isShare(from) && isShare(to)) return { share: Math.max(0, mix(from.share, to.share, part)) };
  return undefined;
}

/** Lists and records of lengths, member by member. */
function mixedParts(from: unknown, to: unknown, part: number, range: readonly [number, number]): unknown {
  if (Array.isArray(from) && Array.isArray(to) && from.length === to.length) {
    const parts = from.map((each, index) => mixedLength(each, to[index], part, range));
    return parts.includes(undefined) ? undefined : parts;
  }
  if (typeof from !== 'object' || typeof to !== 'object' || !from || !to) return undefined;
  const keys = Object.keys(from);
  if (keys.length === 0 || keys.some((key) => !(key in to))) return undefined;
  const parts = keys.map((key) => {
    const [one, other] = [from[key as never], to[key as never]] as [unknown, unknown];
    return [key, mixedLength(one, other, part, range) ?? mixedParts(one, other, part, range)] as const;
  });
  return parts.some(([, value]) => value === undefined) ? undefined : Object.fromEntries(parts);
}

/** A shadow of no size and no colour: what a shorter list is filled up with (CSS Backgrounds 3 §6.1). */
const noShadow = (inset: boolean): Shadow => ({ x: 0, y: 0, blur: 0, spread: 0, colour: '#00000000', inset });

function mixedShadows(from: string, to: string, part: number, theme: Colours): string | undefined {
  const [one, other] = [shadowsIn(from), shadowsIn(to)];
  if (!one || !other) return undefined;
  const count = Math.max(one.length, other.length);
  const made: Shadow[] = [];
  for (let index = 0; index < count; index++) {
    const a = one[index] ?? noShadow(other[index]!.inset);
    const b = other[index] ?? noShadow(a.inset);
    if (a.inset !== b.inset) return undefined;
    const colour = mixedColour(colourIn(theme, a.colour), colourIn(theme, b.colour), part);
    if (colour === undefined) return undefined;
    const between = (key: 'x' | 'y' | 'spread') => mix(a[key], b[key], part);
    made.push({
      x: between('x'),
      y: between('y'),
      blur: Math.max(0, mix(a.blur, b.blur, part)),
      spread: between('spread'),
      colour,
      inset: a.inset,
    });
  }
  return shadowText(made);
}

function mixedTexts(
  { type: { name } }: Pick<Property, 'type'>,
  from: string,
  to: string,
  part: number,
  theme: Colours,
): string | undefined {
  if (name === 'shadow' || name === 'text shadow') return mixedShadows(from, to, part, theme);
  if (name !== 'background' && name !== 'ink' && name !== 'border colour') return undefined;
  const isOne = (text: string) => text === 'none' || isColour(text);
  return isOne(from) && isOne(to) ? mixedColour(colourIn(theme, from), colourIn(theme, to), part) : undefined;
}

/** Widths of borders are whole px before they blend (CSS Backgrounds 3 §3.3, snapped as a border width). */
const snapped = (widths: unknown): unknown =>
  Object.fromEntries(
    Object.entries(widths as Readonly<Record<string, number>>).map(([side, px]) => [
      side,
      px > 0 ? Math.max(1, Math.floor(px)) : 0,
    ]),
  );

/**
 * A value between two of a property.
 *
 * @param part how far from the first to the second; an easing may go below 0 and beyond 1.
 * @returns undefined where there is none between: the two do not blend.
 */
export function blended(
  property: Pick<Property, 'name' | 'type'>,
  from: unknown,
  to: unknown,
  part: number,
  theme: Colours,
): unknown {
  if (from === undefined || to === undefined || stepped.has(property.name)) return undefined;
  if (typeof from === 'string' && typeof to === 'string') return mixedTexts(property, from, to, part, theme);
  const range = rangeOf(property.name);
  const [one, other] = property.name === 'border-width' ? [snapped(from), snapped(to)] : [from, to];
  return mixedLength(one, other, part, range) ?? mixedParts(one, other, part, range);
}

const sides = { top: 0, end: 0, bottom: 0, start: 0 };

/** Initial values (CSS) of properties that blend from there. */
const initial: Readonly<Record<string, unknown>> = {
  margin: sides,
  padding: sides,
  'border-width': sides,
  corner: 0,
  opacity: 1,
  rotate: 0,
  scale: 1,
  shift: [0, 0],
  blur: 0,
  'blur-behind': 0,
  'letter-spacing': 0,
  background: 'none',
  shadow: 'none',
  'text-shadow': 'none',
};

/** A property's value without a motion. @param held values that the control says or its kind gives. */
export const underneath = (
  { name }: Pick<Property, 'name'>,
  held: (property: string) => unknown,
): unknown => {
  const own = held(name);
  if (own !== undefined) return own;
  const gaps = held('gap') as Gaps | undefined;
  if (name === 'row-gap') return gaps?.row ?? 0;
  if (name === 'column-gap') return gaps?.column ?? 0;
  return initial[name];
};

/** A property's value between two others: blended, or the one until half of the way is done, and then the other. */
export const between = (
  property: Pick<Property, 'name' | 'type'>,
  from: unknown,
  to: unknown,
  part: number,
  theme: Colours,
): unknown => blended(property, from, to, part, theme) ?? (part < 0.5 ? from : to);
