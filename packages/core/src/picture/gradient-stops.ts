/** Colours along a gradient (CSS Images 4 §3.5): stops at places that rise, and colours between them as CSS mixes them. */
import { type Color, formatHex8, interpolate, parse } from 'culori';
import type { Gradient, Place, Stop } from '../values/fills.ts';

/** A colour at a part of the gradient's line. */
export interface PlacedStop {
  readonly at: number;
  readonly colour: string;
}

/** How many colours stand for what lies between two that are not mixed as SVG mixes them; where a middle is said, browsers take few. */
const between = 48;
const betweenWithMiddle = 16;

const isPlace = (place: Stop['places'][number]): place is Place => 'fraction' in place;

/** A place as a part of the line. @param length of the line, px; of a conic gradient it is turned through once. */
const partOf = (place: Stop['places'][number], length: number): number =>
  isPlace(place) ? place.fraction + (length > 0 ? place.px / length : 0) : place.degrees / 360;

/** Stops with a place each: those without stand evenly between their neighbours, and none stands before the one in front of it. */
function withPlaces(stops: readonly Stop[], length: number): { at: number; colour: string | undefined }[] {
  const flat = stops.flatMap(
    ({ colour, places }): { at: number | undefined; colour: string | undefined }[] =>
      places.length === 0
        ? [{ at: undefined, colour }]
        : places.map((place) => ({ at: partOf(place, length), colour })),
  );
  const [first, last] = [flat[0], flat.at(-1)];
  if (first && first.at === undefined) first.at = 0;
  if (last && last.at === undefined) last.at = 1;
  let most = Number.NEGATIVE_INFINITY;
  for (const stop of flat)
    if (stop.at !== undefined) {
      most = Math.max(most, stop.at);
      stop.at = most;
    }
  for (let index = 0; index < flat.length; index++) {
    if (flat[index]?.at !== undefined) continue;
    const before = flat[index - 1]?.at ?? 0;
    const next = flat.findIndex((stop, at) => at > index && stop.at !== undefined);
    const step = ((flat[next]?.at ?? 1) - before) / (next - index + 1);
    for (let at = index; at < next; at++) flat[at] = { ...flat[at]!, at: before + step * (at - index + 1) };
  }
  return flat.map(({ at = 0, colour }) => ({ at, colour }));
}

const opaque = ({ alpha = 1 }: Color): boolean => alpha === 1;
const legacy: ReadonlySet<string> = new Set(['rgb', 'hsl', 'hwb']);

/** Two colours mixed: in sRGB where both are of the older sort, in Oklab otherwise (CSS Color 4 §12.1); alpha premultiplied (§12.3). */
function mixer(from: Color, to: Color): (part: number) => Color {
  const space = legacy.has(from.mode) && legacy.has(to.mode) ? 'rgb' : 'oklab';
  if (space === 'oklab' || (opaque(from) && opaque(to))) return interpolate([from, to], space);
  const premultiplied = ({ alpha = 1, ...rest }: Color & { r?: number; g?: number; b?: number }) =>
    [rest.r ?? 0, rest.g ?? 0, rest.b ?? 0].map((each) => each * alpha);
  const [one, other] = [interpolate([from, from], 'rgb')(0), interpolate([to, to], 'rgb')(0)];
  const [a, b] = [premultiplied(one), premultiplied(other)];
  const [alphaOf, alphaTo] = [one.alpha ?? 1, other.alpha ?? 1];
  return (part) => {
    const alpha = alphaOf + (alphaTo - alphaOf) * part;
    const channel = (index: number) => ((a[index] ?? 0) * (1 - part) + (b[index] ?? 0) * part) / (alpha || 1);
    return { mode: 'rgb', r: channel(0), g: channel(1), b: channel(2), alpha };
  };
}

/** A colour as all programs know it. */
const inRgb = (colour: Color): string => formatHex8(colour);

const transparent: Color = { mode: 'rgb', r: 0, g: 0, b: 0, alpha: 0 };
const readColour = (text: string | undefined): Color =>
  (text === undefined || text === 'transparent' || text === 'none' ? undefined : parse(text)) ?? transparent;

/**
 * The colours of a gradient as SVG can have them, which mixes in sRGB and not premultiplied: more of them where CSS mixes
 * otherwise, or where a middle is said.
 *
 * @param length of the gradient's line, px.
 */
export function placedStops({ stops }: Pick<Gradient, 'stops'>, length: number): PlacedStop[] {
  const placed = withPlaces(stops, length);
  const found: PlacedStop[] = [];
  let before: { at: number; colour: Color } | undefined;
  let hint: number | undefined;
  for (const { at, colour: text } of placed) {
    if (text === undefined) {
      hint = at;
      continue;
    }
    const colour = readColour(text);
    if (before) {
      const isPlain =
        hint === undefined &&
        legacy.has(before.colour.mode) &&
        legacy.has(colour.mode) &&
        (before.colour.alpha ?? 1) === (colour.alpha ?? 1);
      const room = at - before.at;
      if (!isPlain && room > 0) {
        const mix = mixer(before.colour, colour);
        const middle = hint === undefined ? 0.5 : Math.min(1, Math.max(0, (hint - before.at) / room));
        // A middle bends the way between two colours (CSS Images 4 §3.5.2).
        const bend = middle <= 0 || middle >= 1 ? undefined : Math.log(0.5) / Math.log(middle);
        const count = hint === undefined ? between : betweenWithMiddle;
        for (let step = 1; step < count; step++) {
          const part = step / count;
          const mixed = bend === undefined ? (middle <= 0 ? 1 : 0) : part ** bend;
          found.push({ at: before.at + room * part, colour: inRgb(mix(mixed)) });
        }
      }
    }
    found.push({ at, colour: inRgb(colour) });
    before = { at, colour };
    hint = undefined;
  }
  return found;
}

/** The colour at a part of the line. */
export function colourAt(stops: readonly PlacedStop[], at: number): string {
  const next = stops.findIndex((stop) => stop.at >= at);
  const after = stops[next < 0 ? stops.length - 1 : next];
  const before = stops[next <= 0 ? (next < 0 ? stops.length - 1 : 0) : next - 1];
  if (!before || !after) return 'transparent';
  if (after.at <= before.at) return after.colour;
  const part = (at - before.at) / (after.at - before.at);
  return inRgb(mixer(readColour(before.colour), readColour(after.colour))(Math.min(1, Math.max(0, part))));
}
