/** Fills as painters need them: layers of colours, gradients (CSS Images 4 §3) and pictures, the top one first. */
import { cssWords } from './css-words.ts';
import { isPainted, layersIn } from './look-css.ts';

/** A place along an axis: a fraction of it, and px more. */
export interface Place {
  readonly fraction: number;
  readonly px: number;
}

/** A colour, and where it stands; without a place, between its neighbours. A stop without a colour is the middle of two. */
export interface Stop {
  readonly colour: string | undefined;
  readonly places: readonly (Place | { readonly degrees: number })[];
}

export type Extent = 'closest-side' | 'closest-corner' | 'farthest-side' | 'farthest-corner';

export type Gradient = {
  readonly repeats: boolean;
  readonly stops: readonly Stop[];
} & (
  | {
      readonly form: 'linear';
      readonly towards: { readonly degrees: number } | { readonly side: readonly [-1 | 0 | 1, -1 | 0 | 1] };
    }
  | {
      readonly form: 'radial';
      readonly circle: boolean;
      readonly size: Extent | readonly Place[];
      readonly at: readonly [Place, Place];
    }
  | { readonly form: 'conic'; readonly from: number; readonly at: readonly [Place, Place] }
);

export type FillLayer =
  | { readonly colour: string }
  | { readonly gradient: Gradient }
  | { readonly picture: string; readonly fit: 'cover' | 'contain' | 'tile' };

/** Most layers of one fill. */
export const mostLayers = 10;
/** Most stops of one gradient. */
const mostStops = 100;

const colourPattern =
  /^(?:#(?:[\da-f]{3,4}|[\da-f]{6}|[\da-f]{8})|[A-Za-z_][\w-]*(?:\.[\w-]+)*|(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\([^()]*\))$/i;

const placePattern = /^([+-]?(?:\d+\.?\d*|\.\d+))(%|px|deg|turn|)$/;

const degreesIn: Readonly<Record<string, number>> = { deg: 1, turn: 360 };

/** `40%`, `10`, `10px`; undefined where it is none. */
function placeOf(word: string | undefined): Place | undefined {
  const [, amount, unit] = placePattern.exec(word ?? '') ?? [];
  if (amount === undefined || unit === 'deg' || unit === 'turn') return undefined;
  return unit === '%' ? { fraction: Number(amount) / 100, px: 0 } : { fraction: 0, px: Number(amount) };
}

/** `40deg`, `0.25turn`, `0`; undefined where it is none. */
function degreesOf(word: string | undefined): number | undefined {
  const [, amount, unit = ''] = placePattern.exec(word ?? '') ?? [];
  const factor = degreesIn[unit] ?? (Number(amount) === 0 ? 0 : undefined);
  return amount === undefined || factor === undefined ? undefined : Number(amount) * factor;
}

const sides = new Map([
  ['left', -1],
  ['top', -1],
  ['center', 0],
  ['right', 1],
  ['bottom', 1],
] as const);

/** A point: `at 30% 20%`, `at top right`, `at center` (CSS Values 4 §8.3, without offsets from the far side). */
function pointOf(words: readonly string[]): readonly [Place, Place] | undefined {
  if (words.length === 0 || words.length > 2) return undefined;
  const half: Place = { fraction: 0.5, px: 0 };
  const isDown = (word: string | undefined) => word === 'top' || word === 'bottom';
  const isAcross = (word: string | undefined) => word === 'left' || word === 'right';
  const [one, other = 'center'] = words;
  const inOrder = isDown(one) || isAcross(other) ? [other, one] : [one, other];
  if (isDown(inOrder[0]) || isAcross(inOrder[1])) return undefined;
  const read = (word: string | undefined): Place | undefined => {
    if (word === 'center') return half;
    const side = sides.get(word as 'left');
    return side === undefined ? placeOf(word) : { fraction: side < 0 ? 0 : 1, px: 0 };
  };
  const [x, y] = inOrder.map(read);
  return x && y ? [x, y] : undefined;
}

/** Words in front of the stops: none of them is a colour's name. */
const headWords = new Set(['from', 'to', 'at', 'in', 'circle', 'ellipse']);

function stopOf(text: string, isConic: boolean): Stop | undefined {
  const words = cssWords(text);
  const isPlace = (word: string) => (isConic ? conicPlace(word) : placeOf(word)) !== undefined;
  const places = words.filter(isPlace).map((word) => (isConic ? conicPlace(word)! : placeOf(word)!));
  const colours = words.filter((word) => !isPlace(word));
  const [colour] = colours;
  if (
    colours.length > 1 ||
    headWords.has(colour ?? '') ||
    places.length > 2 ||
    (colour !== undefined && !colourPattern.test(colour))
  )
    return undefined;
  return colour === undefined && places.length !== 1 ? undefined : { colour, places };
}

function conicPlace(word: string): Place | { degrees: number } | undefined {
  if (word.endsWith('%')) return placeOf(word);
  const degrees = degreesOf(word);
  return degrees === undefined ? undefined : { degrees };
}

/** What stands in front of the stops; undefined where it means nothing. */
function linearHead(words: readonly string[]): Extract<Gradient, { form: 'linear' }>['towards'] | undefined {
  if (words[0] === 'to') {
    const at = words.slice(1);
    let [x, y]: (-1 | 0 | 1)[] = [0, 0];
    for (const word of at) {
      if (word === 'left' || word === 'right') x = word === 'left' ? -1 : 1;
      else if (word === 'top' || word === 'bottom') y = word === 'top' ? -1 : 1;
      else return undefined;
    }
    return at.length === Math.abs(x ?? 0) + Math.abs(y ?? 0) && at.length > 0
      ? { side: [x ?? 0, y ?? 0] }
      : undefined;
  }
  const degrees = words.length === 1 ? degreesOf(words[0]) : undefined;
  return degrees === undefined ? undefined : { degrees };
}

const extents = ['closest-side', 'closest-corner', 'farthest-side', 'farthest-corner'];

function radialHead(
  words: readonly string[],
): Pick<Extract<Gradient, { form: 'radial' }>, 'circle' | 'size' | 'at'> | undefined {
  const split = words.indexOf('at');
  const before = split < 0 ? words : words.slice(0, split);
  const at = split < 0 ? pointOf(['center']) : pointOf(words.slice(split + 1));
  const shape = before.find((word) => word === 'circle' || word === 'ellipse');
  const rest = before.filter((word) => word !== shape);
  const lengths = rest.map(placeOf);
  if (!at || rest.length > 2) return undefined;
  if (rest.length === 0) return { circle: shape === 'circle', size: 'farthest-corner', at };
  const [extent = ''] = rest;
  if (rest.length === 1 && extents.includes(extent))
    return { circle: shape === 'circle', size: extent as Extent, at };
  if (lengths.includes(undefined) || lengths.some((each) => (each?.px ?? 0) < 0 || (each?.fraction ?? 0) < 0))
    return undefined;
  if (lengths.length === 1 && shape !== 'ellipse' && lengths[0]?.fraction === 0)
    return { circle: true, size: lengths as Place[], at };
  return lengths.length === 2 && shape !== 'circle'
    ? { circle: false, size: lengths as Place[], at }
    : undefined;
}

function conicHead(words: readonly string[]): { from: number; at: readonly [Place, Place] } | undefined {
  const split = words.indexOf('at');
  const before = split < 0 ? words : words.slice(0, split);
  const at = split < 0 ? pointOf(['center']) : pointOf(words.slice(split + 1));
  const from =
    before.length === 0 ? 0 : before[0] === 'from' && before.length === 2 ? degreesOf(before[1]) : undefined;
  return at && from !== undefined ? { from, at } : undefined;
}

function gradientOf(text: string): Gradient | undefined {
  const [, repeating, form, inside = ''] =
    /^(repeating-)?(linear|radial|conic)-gradient\((.*)\)$/s.exec(text) ?? [];
  if (form === undefined) return undefined;
  const parts = layersIn(inside);
  const repeats = repeating !== undefined;
  const isConic = form === 'conic';
  const first = cssWords(parts[0] ?? '');
  const head = form === 'linear' ? linearHead(first) : isConic ? conicHead(first) : radialHead(first);
  const isHead = head !== undefined && !(form !== 'linear' && stopOf(parts[0] ?? '', isConic)?.colour);
  const stops = (isHead ? parts.slice(1) : parts).map((part) => stopOf(part, isConic));
  const isHint = (stop: Stop | undefined) => stop !== undefined && stop.colour === undefined;
  if (
    stops.length < 2 ||
    stops.length > mostStops ||
    stops.includes(undefined) ||
    isHint(stops[0]) ||
    isHint(stops.at(-1))
  )
    return undefined;
  if (stops.some((stop, index) => isHint(stop) && isHint(stops[index + 1]))) return undefined;
  const common = { repeats, stops: stops as Stop[] };
  if (form === 'linear')
    return { ...common, form, towards: isHead ? (head as { degrees: number }) : { degrees: 180 } };
  if (isConic)
    return {
      ...common,
      form: 'conic',
      ...((isHead ? head : conicHead([])) as { from: number; at: readonly [Place, Place] }),
    };
  return {
    ...common,
    form: 'radial',
    ...((isHead ? head : radialHead([])) as NonNullable<ReturnType<typeof radialHead>>),
  };
}

function layerOf(text: string): FillLayer | undefined {
  if (colourPattern.test(text) && text !== 'none') return { colour: text };
  const [, file, fit = 'cover'] =
    /^picture\(\s*([^()\s,]+)\s*\)(?:\s+(cover|contain|tile))?$/.exec(text) ?? [];
  if (file !== undefined) return { picture: file, fit: fit as 'cover' };
  const gradient = gradientOf(text);
  return gradient && { gradient };
}

const known = new Map<string, readonly FillLayer[] | undefined>();

/** The layers of a fill; undefined where the text is none. Kept, since texts recur. */
export function fillLayers(text: string): readonly FillLayer[] | undefined {
  if (known.has(text)) return known.get(text);
  const layers = text === 'none' ? [] : layersIn(text).map(layerOf);
  const found =
    layers.length > mostLayers || layers.includes(undefined) ? undefined : (layers as FillLayer[]);
  if (known.size > 2000) known.clear();
  known.set(text, found);
  return found;
}

/** The colours in a fill, as they are written. */
export const fillColours = (layers: readonly FillLayer[]): string[] =>
  layers.flatMap((layer) =>
    'colour' in layer
      ? [layer.colour]
      : 'gradient' in layer
        ? layer.gradient.stops.flatMap(({ colour }) => colour ?? [])
        : [],
  );

/** Whether a text is one colour. */
export const isColour = (text: string): boolean => colourPattern.test(text);

/** The first colour of a fill: itself where it is one. */
export const firstColour = (text: string): string =>
  isPainted(text) ? (fillColours(fillLayers(text) ?? [])[0] ?? 'none') : text;
