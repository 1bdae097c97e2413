/**
 * Tokens of several parts as a person types them: a border as CSS has it (`1 solid line`, CSS Backgrounds 3 §3.4), a transition
 * (`150ms cubic-bezier(0.2, 0, 0, 1) 0ms`, CSS Transitions 1 §2.4), a typography as CSS has fonts with the space between letters
 * behind (`600 20/1.3 Hanken Grotesk, 0.5`, CSS Fonts 4 §2.7). Px are left out.
 */
import { isRecord } from '../document/record.ts';
import type { Json } from '../document/token.ts';
import { aliasIn } from './resolving.ts';

/** Reads a colour: one of CSS, or a token's name; undefined where a text is neither. */
type ColourPart = (text: string) => Json | undefined;

const length = (text: string | undefined): Json | undefined => {
  const [, amount, unit = 'px'] = /^(-?\d*\.?\d+)(px|rem)?$/.exec(text?.trim() ?? '') ?? [];
  return amount === undefined ? undefined : { value: Number(amount), unit };
};

const duration = (text: string | undefined): Json | undefined => {
  const [, amount, unit = 'ms'] = /^(\d*\.?\d+)(ms|s)$/.exec(text ?? '') ?? [];
  return amount === undefined ? undefined : { value: Number(amount), unit };
};

/** All parts, or nothing where one is missing. */
const whole = (parts: Readonly<Record<string, Json | undefined>>): Json | undefined =>
  Object.values(parts).includes(undefined) ? undefined : (parts as Readonly<Record<string, Json>>);

export function borderValue(text: string, colour: ColourPart): Json | undefined {
  const [, thick, style, rest] = /^\s*(\S+)\s+(solid|dashed|dotted|double)\s+(.+?)\s*$/.exec(text) ?? [];
  return rest === undefined ? undefined : whole({ color: colour(rest), width: length(thick), style });
}

/** Curves of CSS with a name (CSS Easing 2 §2.2). */
const curves: Readonly<Record<string, readonly number[]>> = {
  linear: [0, 0, 1, 1],
  ease: [0.25, 0.1, 0.25, 1],
  'ease-in': [0.42, 0, 1, 1],
  'ease-out': [0, 0, 0.58, 1],
  'ease-in-out': [0.42, 0, 0.58, 1],
};

function curve(text: string): Json | undefined {
  const named = curves[text];
  if (named) return named;
  const numbers = /^cubic-bezier\((.*)\)$/.exec(text)?.[1]?.split(',').map(Number);
  return numbers?.length === 4 && numbers.every(Number.isFinite) ? numbers : undefined;
}

export function transitionValue(text: string): Json | undefined {
  const [, long, middle = 'ease', delay = '0ms'] =
    /^\s*(\S+)(?:\s+([a-z-]+(?:\([^)]*\))?))?(?:\s+(\S+))?\s*$/.exec(text) ?? [];
  return whole({ duration: duration(long), delay: duration(delay), timingFunction: curve(middle) });
}

export function typographyValue(text: string): Json | undefined {
  const [, weight = '400', size, line, family, spacing = '0'] =
    /^\s*(?:(\d+)\s+)?([\d.]+(?:px|rem)?)(?:\s*\/\s*([\d.]+))?\s+([^,]*[A-Za-z][^,]*?)(?:\s*,\s*(-?[\d.]+(?:px|rem)?))?\s*$/.exec(
      text,
    ) ?? [];
  if (size === undefined || family === undefined) return undefined;
  const name = family.replace(/^["']|["']$/g, '');
  return whole({
    fontFamily: name,
    fontSize: length(size),
    fontWeight: Number(weight),
    ...(line === undefined ? {} : { lineHeight: Number(line) }),
    letterSpacing: length(spacing),
  });
}

const lengthText = (value: Json | undefined): string | undefined =>
  isRecord(value) && typeof value.value === 'number'
    ? `${value.value}${value.unit === 'rem' ? 'rem' : ''}`
    : undefined;

const durationText = (value: Json | undefined): string | undefined =>
  isRecord(value) && typeof value.value === 'number' ? `${value.value}${String(value.unit)}` : undefined;

/** Parts with a space between; undefined where one is missing. */
const joined = (parts: readonly (string | undefined)[]): string | undefined =>
  parts.includes(undefined) ? undefined : parts.join(' ');

/** A border as it is typed; undefined where it has parts that cannot be typed so. */
export function borderTyped(value: Json, colour: (value: Json) => string | undefined): string | undefined {
  if (!isRecord(value) || typeof value.style !== 'string') return undefined;
  const { color = null, width } = value as Record<string, Json>;
  return joined([lengthText(width), value.style, colour(color ?? null)]);
}

export function transitionTyped(value: Json): string | undefined {
  if (!isRecord(value)) return undefined;
  const { duration: long, delay, timingFunction } = value as Record<string, Json>;
  const key = JSON.stringify(timingFunction);
  const named = Object.keys(curves).find((name) => JSON.stringify(curves[name]) === key);
  const middle =
    named ?? (Array.isArray(timingFunction) ? `cubic-bezier(${timingFunction.join(', ')})` : undefined);
  return joined([durationText(long), middle, durationText(delay)]);
}

export function typographyTyped(value: Json): string | undefined {
  if (!isRecord(value)) return undefined;
  const { fontFamily, fontSize, fontWeight = 400, lineHeight, letterSpacing } = value as Record<string, Json>;
  const isPlain =
    typeof fontFamily === 'string' &&
    typeof fontWeight === 'number' &&
    (lineHeight === undefined || typeof lineHeight === 'number') &&
    ![fontSize, letterSpacing].some((each) => each !== undefined && aliasIn(each) !== undefined);
  if (!isPlain) return undefined;
  const line = lineHeight === undefined ? '' : `/${String(lineHeight)}`;
  const spacing = letterSpacing === undefined ? '0' : lengthText(letterSpacing);
  const size = lengthText(fontSize);
  if (size === undefined || spacing === undefined) return undefined;
  return `${fontWeight} ${size}${line} ${fontFamily}${spacing === '0' ? '' : `, ${spacing}`}`;
}
