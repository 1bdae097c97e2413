/** Values of tokens as a person types them, and back: `#2f5d50`, `oklch(0.5 0.1 150)`, `16`, `1.5rem`, `0 4 12 0 #00000033`. */
import { parse } from 'culori';
import { messageOf } from '../document/error-message.ts';
import { quoted } from '../document/nearest.ts';
import { isRecord } from '../document/record.ts';
import type { Json, Token, TokenType } from '../document/token.ts';
import { fillLayers } from '../values/fills.ts';
import { shadowsIn } from '../values/shadows.ts';
import { colourText } from './colour.ts';
import {
  borderTyped,
  borderValue,
  transitionTyped,
  transitionValue,
  typographyTyped,
  typographyValue,
} from './composite-text.ts';
import { aliasIn } from './resolving.ts';
import { textsByType } from './token-text.ts';

export type TypedValue =
  | { readonly ok: true; readonly value: Json }
  | { readonly ok: false; readonly message: string };

const good = (value: Json): TypedValue => ({ ok: true, value });
const bad = (text: string, expects: string): TypedValue => ({
  ok: false,
  message: `${quoted(text)} is not ${expects}.`,
});

/** How culori calls the spaces that the format has, and its channels in their order, with what one is divided by. */
const spaces: Readonly<
  Record<string, readonly [space: string, channels: readonly string[], factors?: readonly number[]]>
> = {
  rgb: ['srgb', ['r', 'g', 'b']],
  hsl: ['hsl', ['h', 's', 'l'], [1, 100, 100]],
  hwb: ['hwb', ['h', 'w', 'b'], [1, 100, 100]],
  lab: ['lab', ['l', 'a', 'b']],
  lch: ['lch', ['l', 'c', 'h']],
  oklab: ['oklab', ['l', 'a', 'b']],
  oklch: ['oklch', ['l', 'c', 'h']],
  lrgb: ['srgb-linear', ['r', 'g', 'b']],
  p3: ['display-p3', ['r', 'g', 'b']],
  a98: ['a98-rgb', ['r', 'g', 'b']],
  prophoto: ['prophoto-rgb', ['r', 'g', 'b']],
  rec2020: ['rec2020', ['r', 'g', 'b']],
  xyz50: ['xyz-d50', ['x', 'y', 'z']],
  xyz65: ['xyz-d65', ['x', 'y', 'z']],
};

/** A colour of CSS as the format has it, in its own space; undefined where a text is none. */
export function colourValue(text: string): Json | undefined {
  const colour = parse(text.trim());
  const known = colour && spaces[colour.mode];
  if (!colour || !known) return undefined;
  const [colorSpace, channels, factors] = known;
  const held = colour as unknown as Readonly<Record<string, number | undefined>>;
  const components = channels.map((channel, index): Json => {
    const value = held[channel];
    return value === undefined ? 'none' : Number((value * (factors?.[index] ?? 1)).toFixed(5));
  });
  const { alpha } = colour;
  const isHex = /^#/.test(text.trim());
  return {
    colorSpace,
    components,
    ...(alpha === undefined || alpha === 1 ? {} : { alpha: Number(alpha.toFixed(4)) }),
    ...(isHex ? { hex: text.trim().toLowerCase().slice(0, 7) } : {}),
  };
}

const dimension = (text: string): Json | undefined => {
  const [, amount, unit = 'px'] = /^(-?\d*\.?\d+)\s*(px|rem)?$/.exec(text.trim()) ?? [];
  return amount === undefined ? undefined : { value: Number(amount), unit };
};

/** A colour in a composite value: one of CSS, or a token by its name. */
function colourPart(
  text: string,
  tokens: readonly Token[],
  nameOf: (path: string) => string,
): Json | undefined {
  const named = tokens.find(({ path, type }) => type === 'color' && nameOf(path) === text);
  return named ? `{${named.path}}` : colourValue(text);
}

interface Known {
  readonly tokens: readonly Token[];
  readonly nameOf: (path: string) => string;
}

function shadowValue(text: string, { tokens, nameOf }: Known): Json | undefined {
  const shadows = shadowsIn(text)?.map(({ x, y, blur, spread, colour, inset }) => {
    const color = colourPart(colour, tokens, nameOf);
    const px = (value: number): Json => ({ value, unit: 'px' });
    return (
      color && {
        color,
        offsetX: px(x),
        offsetY: px(y),
        blur: px(blur),
        spread: px(spread),
        ...(inset ? { inset: true } : {}),
      }
    );
  });
  if (!shadows || shadows.length === 0 || shadows.includes(undefined)) return undefined;
  const [first] = shadows;
  return shadows.length === 1 ? first : (shadows as Json[]);
}

function gradientValue(text: string, { tokens, nameOf }: Known): Json | undefined {
  const [layer] = fillLayers(/gradient\(/.test(text) ? text : `linear-gradient(${text})`) ?? [];
  if (!layer || !('gradient' in layer)) return undefined;
  const { stops } = layer.gradient;
  const values = stops.map(({ colour, places }, index) => {
    const [place] = places;
    const color = colour === undefined ? undefined : colourPart(colour, tokens, nameOf);
    const position = place && 'fraction' in place ? place.fraction : index / (stops.length - 1);
    return color && { color, position: Number(position.toFixed(4)) };
  });
  return values.includes(undefined) ? undefined : (values as Json[]);
}

const readers: Readonly<
  Record<TokenType, { readonly expects: string; read(text: string, known: Known): Json | undefined }>
> = {
  color: {
    expects: 'a colour such as `#2f5d50`, `hsl(160 33% 27%)` or `oklch(0.45 0.06 170)`',
    read: colourValue,
  },
  dimension: { expects: 'a length such as `16`, `16px` or `1.5rem`', read: dimension },
  fontFamily: {
    expects: 'the name of a font',
    read: (text) => (text.trim() === '' ? undefined : text.trim()),
  },
  fontWeight: {
    expects: 'a weight such as `600` or `bold`',
    read: (text) => (/^\d+$/.test(text.trim()) ? Number(text) : text.trim()),
  },
  number: {
    expects: 'a number',
    read: (text) => (text.trim() !== '' && Number.isFinite(Number(text)) ? Number(text) : undefined),
  },
  duration: {
    expects: 'a time such as `150ms` or `0.2s`',
    read(text) {
      const [, amount, unit] = /^(\d*\.?\d+)\s*(ms|s)$/.exec(text.trim()) ?? [];
      return amount === undefined ? undefined : { value: Number(amount), unit: unit ?? 'ms' };
    },
  },
  cubicBezier: {
    expects: 'four numbers such as `0.2, 0, 0, 1`',
    read(text) {
      const numbers = text
        .replace(/^cubic-bezier\(|\)$/g, '')
        .split(',')
        .map((part) => Number(part.trim() || Number.NaN));
      return numbers.length === 4 && numbers.every(Number.isFinite) ? numbers : undefined;
    },
  },
  shadow: { expects: 'shadows such as `0 4 12 0 #00000033`, several with commas', read: shadowValue },
  gradient: { expects: 'colours with places such as `accent 0%, page 100%`', read: gradientValue },
  typography: {
    expects: 'letters such as `600 20/1.3 Hanken Grotesk`, with the space between them behind a comma',
    read: typographyValue,
  },
  border: {
    expects: 'a border such as `1 solid line`',
    read: (text, { tokens, nameOf }) => borderValue(text, (colour) => colourPart(colour, tokens, nameOf)),
  },
  transition: { expects: 'a transition such as `150ms ease-out 0ms`', read: transitionValue },
};

/**
 * Reads what is typed as the value of a token: a value, an alias in braces, the name of another token of the same type, or
 * JSON as the format has it.
 */
export function readTypedValue(type: TokenType, text: string, known: Known): TypedValue {
  const plain = text.trim();
  if (aliasIn(plain) !== undefined) return good(plain);
  const named = known.tokens.find((token) => token.type === type && known.nameOf(token.path) === plain);
  if (named) return good(`{${named.path}}`);
  if (/^[[{]/.test(plain)) return readJson(type, plain);
  const value = readers[type].read(plain, known);
  if (value === undefined) return bad(plain, readers[type].expects);
  const isOne = textsByType[type](value, (colour) => colourText(colour) ?? 'ink') !== undefined;
  return isOne ? good(value) : bad(plain, readers[type].expects);
}

function readJson(type: TokenType, text: string): TypedValue {
  try {
    const value = JSON.parse(text) as Json;
    const isOne = textsByType[type](value, (colour) => colourText(colour) ?? 'ink') !== undefined;
    return isOne || JSON.stringify(value).includes('"{') ? good(value) : bad(text, readers[type].expects);
  } catch (error) {
    return { ok: false, message: messageOf(error) };
  }
}

/** A value as a person would type it. */
export function typedText(type: TokenType, value: Json, nameOf: (path: string) => string): string {
  const alias = aliasIn(value);
  if (alias !== undefined) return nameOf(alias);
  if (type === 'color') return colourText(value) ?? JSON.stringify(value);
  if (type === 'dimension' && isRecord(value) && value.unit === 'rem') return `${String(value.value)}rem`;
  if (type === 'gradient' && Array.isArray(value)) {
    const text = textsByType.gradient(value, (colour) => nameOrColour(colour, nameOf))?.[''];
    return text?.replace(/^linear-gradient\(|\)$/g, '') ?? JSON.stringify(value);
  }
  if (type === 'cubicBezier' && Array.isArray(value)) return value.join(', ');
  const composite = compositeText(type, value, nameOf);
  if (composite !== undefined) return composite;
  if (type === 'typography') return JSON.stringify(value);
  return textsByType[type](value, (colour) => nameOrColour(colour, nameOf))?.[''] ?? JSON.stringify(value);
}

/** A value of several parts as it is typed; undefined where it is none, or has parts that are not typed so. */
function compositeText(type: TokenType, value: Json, nameOf: (path: string) => string): string | undefined {
  if (type === 'typography') return typographyTyped(value);
  if (type === 'border') return borderTyped(value, (colour) => nameOrColour(colour, nameOf));
  return type === 'transition' ? transitionTyped(value) : undefined;
}

const nameOrColour = (value: Json, nameOf: (path: string) => string): string | undefined => {
  const alias = aliasIn(value);
  return alias === undefined ? colourText(value) : nameOf(alias);
};
