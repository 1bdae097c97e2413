import { shippedColours } from '../tokens/shipped.ts';

const numeric = (value: unknown): number | undefined => {
  const number = typeof value === 'string' && value.trim() !== '' ? Number(value) : value;
  return typeof number === 'number' && !Number.isNaN(number) ? number : undefined;
};

/** What was given to a range function, as stops in order, and an end. */
export function stopsOf(given: readonly unknown[]): {
  stops: { from: number; value: unknown }[];
  end?: number;
} {
  const stops: { from: number; value: unknown }[] = [];
  for (let at = 0; at + 1 < given.length; at += 2) {
    const from = numeric(given[at]);
    if (from === undefined) throw new Error('numbers and values in turn.');
    stops.push({ from, value: given[at + 1] });
  }
  stops.sort((a, b) => a.from - b.from);
  const end = given.length % 2 === 1 ? numeric(given.at(-1)) : undefined;
  return { stops, ...(end === undefined ? {} : { end }) };
}

/** Red, green and blue of a colour, from 0 to 255; undefined where it is none. */
function channels(value: unknown): readonly number[] | undefined {
  const text = typeof value === 'string' ? (shippedColours[value] ?? value) : '';
  const long = /^#[\da-f]{3}$/i.test(text) ? text.replaceAll(/[\da-f]/gi, '$&$&') : text;
  return /^#[\da-f]{6}$/i.test(long)
    ? [1, 3, 5].map((at) => Number.parseInt(long.slice(at, at + 2), 16))
    : undefined;
}

/** Something between two values: numbers and colours go over, all else is the first. */
function between(one: unknown, other: unknown, part: number): unknown {
  if (typeof one === 'number' && typeof other === 'number') return one + (other - one) * part;
  const [from, to] = [channels(one), channels(other)];
  if (!from || !to) return one;
  const mixed = from.map((channel, index) => Math.round(channel + ((to[index] ?? 0) - channel) * part));
  return `#${mixed.map((channel) => channel.toString(16).padStart(2, '0')).join('')}`;
}

function map(blended: boolean, value: unknown, given: readonly unknown[]): unknown {
  const number = numeric(value);
  const { stops, end } = stopsOf(given);
  if (number === undefined || (end !== undefined && number >= end)) return undefined;
  const at = stops.findLastIndex(({ from }) => number >= from);
  const stop = stops[at];
  const next = stops[at + 1];
  if (!stop || !blended || !next || next.from === stop.from) return stop?.value;
  return between(stop.value, next.value, (number - stop.from) / (next.from - stop.from));
}

/** Functions by the name that expressions call them by. */
export const rangeFunctions: Readonly<Record<string, (...values: unknown[]) => unknown>> = {
  'Range.steps': (value, ...given) => map(false, value, given),
  'Range.blend': (value, ...given) => map(true, value, given),
};
