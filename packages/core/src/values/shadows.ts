/** Shadows of boxes and of words as painters need them (CSS Backgrounds 3 §6.1, CSS Text Decoration 3 §4). */
import { cssWords } from './css-words.ts';
import { isColour } from './fills.ts';
import { layersIn } from './look-css.ts';

export interface Shadow {
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly spread: number;
  readonly colour: string;
  readonly inset: boolean;
}

/** Most shadows of one box. */
export const mostShadows = 20;

function shadowOf(text: string): Shadow | undefined {
  const words = cssWords(text);
  const numbers = words.flatMap((word) =>
    /^[+-]?(?:\d+\.?\d*|\.\d+)(?:px)?$/.test(word) ? Number.parseFloat(word) : [],
  );
  const insets = words.filter((word) => word === 'inset');
  const colours = words.filter((word) => word !== 'inset' && isColour(word));
  const [x, y, blur = 0, spread = 0] = numbers;
  if (x === undefined || y === undefined || numbers.length > 4 || blur < 0) return undefined;
  if (
    insets.length > 1 ||
    colours.length > 1 ||
    numbers.length + insets.length + colours.length !== words.length
  )
    return undefined;
  if (numbers.some((each) => Math.abs(each) > 10_000)) return undefined;
  return { x, y, blur, spread, colour: colours[0] ?? 'ink', inset: insets.length > 0 };
}

const known = new Map<string, readonly Shadow[] | undefined>();

/** The shadows of a text, the top one first; undefined where the text is none. */
export function shadowsIn(text: string): readonly Shadow[] | undefined {
  if (known.has(text)) return known.get(text);
  const shadows = text === 'none' ? [] : layersIn(text).map(shadowOf);
  const found =
    shadows.length > mostShadows || shadows.includes(undefined) ? undefined : (shadows as Shadow[]);
  if (known.size > 2000) known.clear();
  known.set(text, found);
  return found;
}
