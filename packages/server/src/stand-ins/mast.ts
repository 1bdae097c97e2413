/**
 * A weather mast that is not there: readings that look like a mountain's, the same for everybody who asks at the same
 * time with the same seed. With faults on request, for screens that must say so.
 */

export interface MastReading {
  /** Mean and gusts, m/s. */
  readonly wind: number;
  readonly gust: number;
  /** °C. */
  readonly temperature: number;
  /** Per cent. */
  readonly battery: number;
  /** Depth, cm. */
  readonly snow: number;
  /** When it was read (ISO 8601). */
  readonly at: string;
}

/** `silence`: it says nothing for a while; `spikes`: readings that cannot be; `stuck`: always the same. */
export const mastFaults = ['silence', 'spikes', 'stuck'] as const;
export type MastFault = (typeof mastFaults)[number];

/** A number from 0 to 1 that follows from a seed and a place alone (a mix of bits, 32 at a time). */
function chance(seed: number, at: number): number {
  let bits = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(at | 0, 0xc2b2ae35);
  bits = Math.imul(bits ^ (bits >>> 15), 0x2c1b3c6d);
  bits = Math.imul(bits ^ (bits >>> 12), 0x297a2d39);
  return ((bits ^ (bits >>> 15)) >>> 0) / 0x1_0000_0000;
}

/** A smooth curve through chances that lie `length` seconds apart, from 0 to 1. */
function swaying(seed: number, second: number, length: number): number {
  const at = Math.floor(second / length);
  const part = (1 - Math.cos(Math.PI * (second / length - at))) / 2;
  return chance(seed, at) * (1 - part) + chance(seed, at + 1) * part;
}

const rounded = (value: number, places: number) => Number(value.toFixed(places));

/** A reading without a fault. @param second since 1970. */
function plainReading(seed: number, second: number): MastReading {
  const wind = 3 + 16 * swaying(seed, second, 90) ** 2 + 3 * swaying(seed + 1, second, 7);
  const day = Math.sin(((second % 86_400) / 86_400 - 0.375) * 2 * Math.PI);
  return {
    wind: rounded(wind, 1),
    gust: rounded(wind * (1.2 + 0.5 * swaying(seed + 2, second, 11)), 1),
    temperature: rounded(-4 + 5 * day + 2 * swaying(seed + 3, second, 600), 1),
    battery: Math.round(58 + 18 * day + 6 * swaying(seed + 4, second, 3600)),
    snow: Math.round(84 + 20 * swaying(seed + 5, second, 86_400)),
    at: new Date(second * 1000).toISOString(),
  };
}

/** How long a silent mast speaks and is silent, seconds. */
const speaks = 8;
const isSilent = 12;

/**
 * What the mast says.
 *
 * @param second when, in whole seconds since 1970.
 * @returns undefined where it says nothing.
 */
export function readMast(seed: number, second: number, fault?: MastFault): MastReading | undefined {
  if (fault === 'silence' && second % (speaks + isSilent) >= speaks) return undefined;
  if (fault === 'stuck')
    return { ...plainReading(seed, 1_700_000_000), at: new Date(second * 1000).toISOString() };
  const reading = plainReading(seed, second);
  if (fault === 'spikes' && chance(seed + 9, second) < 0.2)
    return { ...reading, wind: 250 + Math.round(100 * chance(seed + 10, second)), temperature: -999 };
  return reading;
}
