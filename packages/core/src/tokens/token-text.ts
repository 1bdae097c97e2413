/**
 * What the value of a token comes to, as a text of the sort that attributes have: lengths as px without a unit, colours as
 * CSS has them. Where a part of a value is an alias for a colour, the text has the colour's name, so that it follows the mode.
 */
import { isRecord } from '../document/record.ts';
import type { Json, TokenType } from '../document/token.ts';
import { colourText } from './colour.ts';

/** A text for each property that a token sets: `''` where it is one value. */
export type TokenTexts = Readonly<Record<string, string>>;

const number = (value: number): string => String(Number(value.toFixed(4)));

/** A length in px: `{ value, unit }`, or `12px` as older files have it. */
function lengthText(value: Json): string | undefined {
  if (value === 0) return '0';
  if (typeof value === 'string') {
    const [, amount, unit] = /^(-?\d*\.?\d+)(px|rem)$/.exec(value) ?? [];
    return amount === undefined ? undefined : number(Number(amount) * (unit === 'rem' ? 16 : 1));
  }
  if (!isRecord(value) || typeof value.value !== 'number' || !Number.isFinite(value.value)) return undefined;
  if (value.unit !== 'px' && value.unit !== 'rem') return undefined;
  return number(value.value * (value.unit === 'rem' ? 16 : 1));
}

function durationText(value: Json): string | undefined {
  if (typeof value === 'string') return /^\d*\.?\d+m?s$/.test(value) ? value : undefined;
  if (!isRecord(value) || typeof value.value !== 'number' || value.value < 0) return undefined;
  return value.unit === 'ms' || value.unit === 's' ? `${number(value.value)}${value.unit}` : undefined;
}

/** Names of weights (DTCG Format 2025.10 §8.4). */
const weights: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  'extra-light': 200,
  'ultra-light': 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  'semi-bold': 600,
  'demi-bold': 600,
  bold: 700,
  'extra-bold': 800,
  'ultra-bold': 800,
  black: 900,
  heavy: 900,
};

function weightText(value: Json): string | undefined {
  const weight = typeof value === 'string' ? weights[value.toLowerCase()] : value;
  return typeof weight === 'number' && weight >= 1 && weight <= 1000 ? String(weight) : undefined;
}

const familyText = (value: Json): string | undefined => {
  const [first] = Array.isArray(value) ? value : [value];
  return typeof first === 'string' && first !== '' ? first : undefined;
};

const numberText = (value: Json): string | undefined =>
  typeof value === 'number' && Number.isFinite(value) ? number(value) : undefined;

function curveText(value: Json): string | undefined {
  if (!Array.isArray(value) || value.length !== 4 || !value.every((each) => typeof each === 'number'))
    return undefined;
  return `cubic-bezier(${value.map((each) => number(Number(each))).join(', ')})`;
}

/** Texts of parts of a value, in order; undefined where one has none. */
function joined(texts: readonly (string | undefined)[], between = ' '): string | undefined {
  return texts.includes(undefined) ? undefined : texts.join(between);
}

const listOf = (value: Json): readonly Json[] => (Array.isArray(value) ? value : [value]);

const one = (text: string | undefined): TokenTexts | undefined =>
  text === undefined ? undefined : { '': text };

/** A colour in a composite value: the name of the token that it is an alias for, or itself. */
export type ColourOf = (value: Json) => string | undefined;

const shadowText = (value: Json, colour: ColourOf): string | undefined =>
  joined(
    listOf(value).map((each) => {
      if (!isRecord(each)) return undefined;
      const {
        offsetX = null,
        offsetY = null,
        blur = 0,
        spread = 0,
        inset = false,
      } = each as Record<string, Json>;
      const text = joined([
        ...[offsetX, offsetY, blur, spread].map(lengthText),
        colour((each as Record<string, Json>).color ?? null),
      ]);
      return text && (inset === true ? `inset ${text}` : text);
    }),
    ', ',
  );

function gradientText(value: Json, colour: ColourOf): string | undefined {
  const stops = Array.isArray(value)
    ? value.map((stop) => {
        if (!isRecord(stop) || typeof stop.position !== 'number') return undefined;
        const place = number(Math.min(1, Math.max(0, stop.position)) * 100);
        return joined([colour((stop as Record<string, Json>).color ?? null), `${place}%`]);
      })
    : [];
  const list = joined(stops, ', ');
  return stops.length < 2 || list === undefined ? undefined : `linear-gradient(${list})`;
}

function typographyTexts(value: Json): TokenTexts | undefined {
  if (!isRecord(value)) return undefined;
  const parts = value as Record<string, Json>;
  const readers: readonly (readonly [string, string, (value: Json) => string | undefined])[] = [
    ['fontFamily', 'font', familyText],
    ['fontSize', 'size', lengthText],
    ['fontWeight', 'weight', weightText],
    ['lineHeight', 'line-height', numberText],
    ['letterSpacing', 'letter-spacing', lengthText],
  ];
  const texts: Record<string, string> = {};
  for (const [key, property, read] of readers) {
    const part = parts[key];
    if (part === undefined) continue;
    const text = read(part);
    if (text === undefined) return undefined;
    texts[property] = text;
  }
  return Object.keys(texts).length === 0 ? undefined : texts;
}

function borderText(value: Json, colour: ColourOf): string | undefined {
  if (!isRecord(value)) return undefined;
  const { color = null, width = null, style = 'solid' } = value as Record<string, Json>;
  return joined([lengthText(width), typeof style === 'string' ? style : 'solid', colour(color)]);
}

function transitionText(value: Json): string | undefined {
  if (!isRecord(value)) return undefined;
  const { duration = null, delay = '0ms', timingFunction = null } = value as Record<string, Json>;
  const curve = timingFunction === null ? 'ease' : curveText(timingFunction);
  return joined([durationText(duration), curve, durationText(delay)]);
}

/** By type: what a value without aliases comes to; undefined where it is none of that type. */
export const textsByType: Readonly<
  Record<TokenType, (value: Json, colour: ColourOf) => TokenTexts | undefined>
> = {
  color: (value) => one(colourText(value)),
  dimension: (value) => one(lengthText(value)),
  fontFamily: (value) => one(familyText(value)),
  fontWeight: (value) => one(weightText(value)),
  number: (value) => one(numberText(value)),
  duration: (value) => one(durationText(value)),
  cubicBezier: (value) => one(curveText(value)),
  shadow: (value, colour) => one(shadowText(value, colour)),
  gradient: (value, colour) => one(gradientText(value, colour)),
  typography: typographyTexts,
  border: (value, colour) => one(borderText(value, colour)),
  transition: (value) => one(transitionText(value)),
};
