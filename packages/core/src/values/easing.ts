/** Easings of CSS (Easing Functions 2): how far a change has come at a part of its time. */

/**
 * How far a change is at a part of its time; both from 0 to 1, the result may go beyond.
 *
 * @param isBefore the change has not begun (the before flag of Easing 2 §2.4): a step at its very beginning is not taken yet.
 */
export type Easing = (part: number, isBefore?: boolean) => number;

/** How high a ball rises after each time that it meets the ground, against where it fell from. */
const hops = [0.25, 0.0625, 0.015625];
/** Straight pieces that each fall and each hop is made of. */
const pieces = 8;

/** A ball that falls and bounces, as a piecewise linear easing: it meets the end each time. A hop takes twice as long as falling from its top. */
function bounce(): string {
  const whole = 1 + hops.reduce((sum, height) => sum + 2 * Math.sqrt(height), 0);
  const stops: string[] = [];
  const add = (time: number, value: number) =>
    stops.push(`${Number(value.toFixed(4))} ${Number(((time / whole) * 100).toFixed(2))}%`);
  for (let piece = 0; piece <= pieces; piece++) add(piece / pieces, (piece / pieces) ** 2);
  let from = 1;
  for (const height of hops) {
    const length = 2 * Math.sqrt(height);
    for (let piece = 1; piece <= pieces; piece++) {
      const part = piece / pieces;
      add(from + length * part, 1 - height * 4 * part * (1 - part));
    }
    from += length;
  }
  return `linear(${stops.join(', ')})`;
}

/** Easings by names of our own, as CSS has them. */
export const namedEasings: Readonly<Record<string, string>> = { bounce: bounce() };

const words: Readonly<Record<string, string>> = {
  ease: 'cubic-bezier(0.25, 0.1, 0.25, 1)',
  'ease-in': 'cubic-bezier(0.42, 0, 1, 1)',
  'ease-out': 'cubic-bezier(0, 0, 0.58, 1)',
  'ease-in-out': 'cubic-bezier(0.42, 0, 0.58, 1)',
  'step-start': 'steps(1, jump-start)',
  'step-end': 'steps(1, jump-end)',
};

/** All words that stand for an easing. */
export const easingWords: readonly string[] = ['linear', ...Object.keys(words), ...Object.keys(namedEasings)];

/** An easing as a stylesheet has it. */
export const easingCss = (text: string): string =>
  Object.hasOwn(namedEasings, text) ? namedEasings[text]! : text;

const numberIn = (text: string): number | undefined =>
  /^[+-]?(?:\d+\.?\d*|\.\d+)$/.test(text) ? Number(text) : undefined;

/** A cubic curve from 0, 0 to 1, 1 by its two handles (Easing 2 §2.2). */
function cubicBezier(x1: number, y1: number, x2: number, y2: number): Easing {
  const at = (t: number, a: number, b: number) =>
    ((1 - 3 * b + 3 * a) * t + 3 * b - 6 * a) * t * t + 3 * a * t;
  const slope = (t: number) => 3 * (1 - 3 * x2 + 3 * x1) * t * t + 2 * (3 * x2 - 6 * x1) * t + 3 * x1;
  return (part) => {
    if (part <= 0 || part >= 1) return part <= 0 ? 0 : 1;
    let t = part;
    for (let round = 0; round < 8; round++) {
      const off = at(t, x1, x2) - part;
      const steep = slope(t);
      if (Math.abs(off) < 1e-9) return at(t, y1, y2);
      if (Math.abs(steep) < 1e-6) break;
      t -= off / steep;
    }
    let [low, high] = [0, 1];
    t = part;
    for (let round = 0; round < 60 && high - low > 1e-10; round++) {
      if (at(t, x1, x2) < part) low = t;
      else high = t;
      t = (low + high) / 2;
    }
    return at(t, y1, y2);
  };
}

const stepPositions: Readonly<Record<string, readonly [jumps: number, first: number]>> = {
  'jump-start': [0, 1],
  start: [0, 1],
  'jump-end': [0, 0],
  end: [0, 0],
  'jump-none': [-1, 0],
  'jump-both': [1, 1],
};

/** Equal steps (Easing 2 §2.4). */
function steps(count: number, [jumps, first]: readonly [number, number]): Easing {
  const all = count + jumps;
  return (part, isBefore) => {
    const exact = Math.min(1, Math.max(0, part)) * count;
    const step = Math.floor(exact) + first - (isBefore && Number.isInteger(exact) ? 1 : 0);
    return Math.min(all, Math.max(0, step)) / all;
  };
}

/** A point of a piecewise linear easing: how far, at which part of the time. */
interface Stop {
  readonly value: number;
  at: number | undefined;
}

/** Gives stops without a place of their own one between their neighbours, and keeps all in order (Easing 2 §2.3.1). */
function placed(stops: Stop[]): { readonly value: number; readonly at: number }[] {
  const [first, last] = [stops[0]!, stops.at(-1)!];
  first.at ??= 0;
  last.at ??= 1;
  let largest = Number.NEGATIVE_INFINITY;
  for (const stop of stops) {
    if (stop.at === undefined) continue;
    largest = Math.max(largest, stop.at);
    stop.at = largest;
  }
  stops.forEach((stop, index) => {
    if (stop.at !== undefined) return;
    const before = stops[index - 1]!.at!;
    const next = stops.findIndex((each, at) => at > index && each.at !== undefined);
    stop.at = before + (stops[next]!.at! - before) / (next - index + 1);
  });
  return stops.map(({ value, at }) => ({ value, at: at! }));
}

function piecewise(list: string): Easing | undefined {
  const stops: Stop[] = [];
  for (const part of list.split(',')) {
    const pieces = part.trim().split(/\s+/);
    const percents = pieces
      .filter((piece) => piece.endsWith('%'))
      .map((piece) => numberIn(piece.slice(0, -1)));
    const numbers = pieces.filter((piece) => !piece.endsWith('%')).map(numberIn);
    const [value] = numbers;
    if (numbers.length !== 1 || value === undefined || percents.length > 2 || percents.includes(undefined))
      return undefined;
    if (percents.length === 0) stops.push({ value, at: undefined });
    for (const percent of percents) stops.push({ value, at: percent! / 100 });
  }
  if (stops.length < 2) return undefined;
  const points = placed(stops);
  return (part) => {
    // Of several points at one place the last one counts.
    let index = points.findLastIndex(({ at }) => at <= part);
    if (index < 0) index = 0;
    if (index === points.length - 1) index--;
    const [from, to] = [points[index]!, points[index + 1]!];
    if (from.at === to.at) return to.value;
    return from.value + ((part - from.at) / (to.at - from.at)) * (to.value - from.value);
  };
}

/** The easing of a text (Easing 2 §2); undefined where it is none. */
export function easingOf(text: string): Easing | undefined {
  const plain = text.trim();
  if (plain === 'linear') return (part) => part;
  const css = words[plain] ?? easingCss(plain);
  const [, name, list = ''] = /^([a-z-]+)\(([^()]*)\)$/.exec(css) ?? [];
  const given = list.split(',').map((part) => part.trim());
  if (name === 'linear') return piecewise(list);
  if (name === 'steps') {
    const count = numberIn(given[0] ?? '');
    const position = stepPositions[given[1] ?? 'end'];
    if (count === undefined || !Number.isInteger(count) || given.length > 2 || !position) return undefined;
    return count >= 1 && count <= 10_000 && count + position[0] >= 1 ? steps(count, position) : undefined;
  }
  if (name !== 'cubic-bezier' || given.length !== 4) return undefined;
  const [x1, y1, x2, y2] = given.map(numberIn);
  if (x1 === undefined || y1 === undefined || x2 === undefined || y2 === undefined) return undefined;
  return x1 >= 0 && x1 <= 1 && x2 >= 0 && x2 <= 1 ? cubicBezier(x1, y1, x2, y2) : undefined;
}
