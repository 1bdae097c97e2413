/** Tokens that are made in one go: lengths that grow by a ratio, and a colour from light to dark. */
import { clampChroma, converter, formatHex, parse } from 'culori';
import type { Json, Token } from '../document/token.ts';
import { colourValue } from './typed-value.ts';

/** A row of lengths, each so many times the one before. */
export interface LengthScale {
  /** What their names begin with: `space` makes `space.1`, `space.2`, … */
  readonly name: string;
  /** The length in the place of `at`, CSS px. */
  readonly base: number;
  readonly ratio: number;
  readonly count: number;
  /** Which of them the base is, from 1. */
  readonly at: number;
}

/** Most tokens of one scale. */
export const mostInScale = 16;

/** The lengths of a scale, CSS px: whole ones, or halves below 4. */
export const scaleLengths = ({ base, ratio, count, at }: LengthScale): number[] =>
  Array.from({ length: count }, (_, index) => {
    const exact = base * ratio ** (index + 1 - at);
    return exact < 4 ? Math.round(exact * 2) / 2 : Math.round(exact);
  });

export const scaleTokens = (scale: LengthScale): Token[] =>
  scaleLengths(scale).map((value, index) => ({
    path: `dimension.${scale.name}.${index + 1}`,
    type: 'dimension',
    value: { value, unit: 'px' },
  }));

/** One hue from light to dark. */
export interface ColourRamp {
  /** What their names begin with: `moss` makes `moss.100`, `moss.200`, … */
  readonly name: string;
  /** A colour of CSS, whose hue and strength all have. */
  readonly colour: string;
  readonly count: number;
  /** Whether they stand the other way round in the dark. */
  readonly turnsInDark: boolean;
}

const toLch = converter('oklch');

/** Lightness of the first and the last, in Oklch. */
const [lightest, darkest] = [0.97, 0.2];

/** The colours of a ramp, `#rrggbb`, from light to dark: even steps of lightness in Oklch, pale where sRGB has no stronger ones. */
export function rampColours({ colour, count }: Pick<ColourRamp, 'colour' | 'count'>): string[] | undefined {
  const lch = toLch(parse(colour));
  if (!lch) return undefined;
  return Array.from({ length: count }, (_, index) => {
    const l = count === 1 ? lch.l : lightest + ((darkest - lightest) * index) / (count - 1);
    // Very light and very dark ones are less strong, as paints are.
    const c = lch.c * Math.min(1, 4 * Math.min(1 - l, l) + 0.15);
    return formatHex(
      clampChroma({ mode: 'oklch', l, c, ...(lch.h === undefined ? {} : { h: lch.h }) }, 'oklch'),
    );
  });
}

/** The tokens of a ramp; none where its colour is none. */
export function rampTokens(ramp: ColourRamp): Token[] {
  const colours = (rampColours(ramp) ?? []).map((colour): Json => colourValue(colour) ?? null);
  return colours.map((value, index): Token => {
    const dark = colours[colours.length - 1 - index];
    return {
      path: `color.${ramp.name}.${(index + 1) * 100}`,
      type: 'color',
      value,
      ...(ramp.turnsInDark && dark !== undefined ? { dark } : {}),
    };
  });
}
