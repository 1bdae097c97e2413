/** What is done with gradients by hand. */
import type { FillLayer, Gradient, Place, Stop } from '@hovrin/core';

/** The gradient of a fill that is edited: the topmost. */
export const firstGradient = (layers: readonly FillLayer[]): Gradient | undefined =>
  layers.flatMap((layer) => ('gradient' in layer ? layer.gradient : []))[0];

/** A fill with another gradient in the place of its topmost; all of it, where it has none. */
export function withFirstGradient(layers: readonly FillLayer[], gradient: Gradient): FillLayer[] {
  const at = layers.findIndex((layer) => 'gradient' in layer);
  return at < 0 ? [{ gradient }] : layers.map((layer, index) => (index === at ? { gradient } : layer));
}

/** Where each stop stands, from 0 to 1; those without a place stand evenly between their neighbours. Px count for a line of so many px. */
export function stopPlaces({ form, stops }: Pick<Gradient, 'form' | 'stops'>, length: number): number[] {
  const said = stops.map(({ places }) => {
    const [place] = places;
    if (!place) return undefined;
    if ('degrees' in place) return place.degrees / 360;
    return place.fraction + (form === 'conic' || length <= 0 ? 0 : place.px / length);
  });
  const found = said.map((at, index) => at ?? (index === 0 ? 0 : index === said.length - 1 ? 1 : Number.NaN));
  return found.map((at, index) => {
    if (!Number.isNaN(at)) return at;
    const before = found.findLastIndex((each, place) => place < index && !Number.isNaN(each));
    const after = found.findIndex((each, place) => place > index && !Number.isNaN(each));
    const [from, to] = [found[before] ?? 0, found[after] ?? 1];
    return from + ((to - from) * (index - before)) / (after - before);
  });
}

/** A place as a stop has it: a part of the line, in whole per cent. */
export const placeAt = (part: number): Place => ({
  fraction: Math.round(Math.min(1, Math.max(0, part)) * 100) / 100,
  px: 0,
});

/** A gradient with a stop somewhere else. */
export const withStopAt = (gradient: Gradient, index: number, part: number): Gradient => ({
  ...gradient,
  stops: gradient.stops.map((stop, at) =>
    at === index ? { ...stop, places: [placeAt(part), ...stop.places.slice(1)] } : stop,
  ),
});

/** A gradient with one more stop, of the colour in front of it. @returns it, and which one that is. */
export function withNewStop(gradient: Gradient, part: number, length: number): readonly [Gradient, number] {
  const places = stopPlaces(gradient, length);
  const next = places.findIndex((place) => place > part);
  const at = next < 0 ? gradient.stops.length : next;
  const before = gradient.stops.slice(0, at).findLast(({ colour }) => colour !== undefined);
  const stop: Stop = { colour: before?.colour ?? gradient.stops[0]?.colour, places: [placeAt(part)] };
  return [{ ...gradient, stops: gradient.stops.toSpliced(at, 0, stop) }, at];
}

/** A gradient of another form with the same stops. */
export function inForm(gradient: Gradient, form: Gradient['form']): Gradient {
  const { repeats, stops } = gradient;
  const middle: Place = { fraction: 0.5, px: 0 };
  const at = gradient.form === 'linear' ? ([middle, middle] as const) : gradient.at;
  const plain = stops.map(
    (stop): Stop => ({
      ...stop,
      places: stop.places.map((place) => ('degrees' in place ? placeAt(place.degrees / 360) : place)),
    }),
  );
  if (form === 'linear') return { repeats, stops: plain, form, towards: { degrees: 180 } };
  if (form === 'conic') return { repeats, stops: plain, form, from: 0, at };
  return { repeats, stops: plain, form, circle: false, size: 'farthest-corner', at };
}

/** The angle of a linear gradient, degrees from the top, clockwise; of one towards a corner as in a square. */
export function angleOf({ towards }: Extract<Gradient, { form: 'linear' }>): number {
  if ('degrees' in towards) return towards.degrees;
  const [x, y] = towards.side;
  return (Math.round((Math.atan2(x, -y) * 180) / Math.PI) + 360) % 360;
}
