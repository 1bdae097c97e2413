/** Colours of tokens as CSS has them (DTCG Color Module 2025.10; CSS Color 4). */
import { isRecord } from '../document/record.ts';
import type { Json } from '../document/token.ts';

/** Colour spaces, and how CSS writes them: a function of their own, or `color()` with the name that CSS gives them. */
const spaces: Readonly<Record<string, string>> = {
  srgb: 'rgb',
  hsl: 'hsl',
  hwb: 'hwb',
  lab: 'lab',
  lch: 'lch',
  oklab: 'oklab',
  oklch: 'oklch',
  'srgb-linear': 'srgb-linear',
  'display-p3': 'display-p3',
  'a98-rgb': 'a98-rgb',
  'prophoto-rgb': 'prophoto-rgb',
  rec2020: 'rec2020',
  'xyz-d50': 'xyz-d50',
  'xyz-d65': 'xyz-d65',
};
const functions = new Set(['hsl', 'hwb', 'lab', 'lch', 'oklab', 'oklch']);

/** `#rgb`, `#rrggbb`, with alpha too. */
export const hexPattern = /^#(?:[\da-f]{3,4}|[\da-f]{6}|[\da-f]{8})$/i;

const plain = (value: number): string => String(Number(value.toFixed(5)));

/** A colour that eight bits a channel hold exactly, in hexadecimal. */
function hexOf(channels: readonly Json[], alpha: number): string | undefined {
  const bytes = [...channels, ...(alpha === 1 ? [] : [alpha])].map((each) =>
    typeof each === 'number' ? each * 255 : Number.NaN,
  );
  if (bytes.some((byte) => !(Math.abs(byte - Math.round(byte)) < 0.02 && byte >= 0 && byte <= 255.02)))
    return undefined;
  return `#${bytes.map((byte) => Math.round(byte).toString(16).padStart(2, '0')).join('')}`;
}

/** The value of a colour token as CSS; undefined where it is none. */
export function colourText(value: Json): string | undefined {
  if (typeof value === 'string') return hexPattern.test(value) ? value.toLowerCase() : undefined;
  if (!isRecord(value)) return undefined;
  const { colorSpace, components, alpha = 1 } = value;
  const space = typeof colorSpace === 'string' ? spaces[colorSpace] : undefined;
  if (space === undefined || !Array.isArray(components) || components.length !== 3) return undefined;
  if (typeof alpha !== 'number' || !(alpha >= 0 && alpha <= 1)) return undefined;
  if (!components.every((each) => each === 'none' || (typeof each === 'number' && Number.isFinite(each))))
    return undefined;
  const hex = space === 'rgb' ? hexOf(components, alpha) : undefined;
  if (hex) return hex;
  const written = components.map((each: unknown) => (typeof each === 'number' ? plain(each) : 'none'));
  const through = alpha === 1 ? '' : ` / ${plain(alpha)}`;
  if (space === 'rgb') return `color(srgb ${written.join(' ')}${through})`;
  if (space === 'hsl' || space === 'hwb')
    return `${space}(${written[0]} ${written[1]}% ${written[2]}%${through})`;
  return functions.has(space)
    ? `${space}(${written.join(' ')}${through})`
    : `color(${space} ${written.join(' ')}${through})`;
}
