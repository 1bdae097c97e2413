/** Colours of CSS in sRGB, and how they stand out against each other. */
import { clampChroma, converter, displayable, formatHex, formatHex8, interpolate, parse } from 'culori';

const toRgb = converter('rgb');

export interface InSrgb {
  /** The nearest colour that sRGB has, `#rrggbb` or `#rrggbbaa`. */
  readonly hex: string;
  /** Whether sRGB has the colour itself. */
  readonly isInside: boolean;
}

/** A colour of CSS as sRGB has it; undefined where a text is none. */
export function inSrgb(text: string): InSrgb | undefined {
  const colour = parse(text);
  if (!colour) return undefined;
  const hex = (colour.alpha ?? 1) < 1 ? formatHex8(colour) : formatHex(colour);
  return { hex, isInside: displayable(colour) };
}

/** Relative luminances, by colour: a screen has few colours, held against each other again and again. */
const luminances = new Map<string, number>();
const mostKept = 2000;

/** Relative luminance (WCAG 2.2, definition); the colour is opaque. */
function luminance(text: string): number {
  const known = luminances.get(text);
  if (known !== undefined) return known;
  const found = workedOut(text);
  if (luminances.size >= mostKept) luminances.clear();
  luminances.set(text, found);
  return found;
}

function workedOut(text: string): number {
  const rgb = toRgb(parse(text));
  if (!rgb) return 0;
  const linear = (channel: number) => {
    const c = Math.min(1, Math.max(0, channel));
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * linear(rgb.r) + 0.7152 * linear(rgb.g) + 0.0722 * linear(rgb.b);
}

/** A colour as it looks over an opaque one. */
export function over(text: string, ground: string): string {
  // Most colours are written as an opaque one is.
  if (/^#[0-9a-f]{6}$/.test(text)) return text;
  const [top, below] = [toRgb(parse(text)), toRgb(parse(ground))];
  if (!top || !below) return ground;
  const { alpha = 1 } = top;
  const mixed = (one: number, other: number) => one * alpha + other * (1 - alpha);
  return formatHex({
    mode: 'rgb',
    r: mixed(top.r, below.r),
    g: mixed(top.g, below.g),
    b: mixed(top.b, below.b),
  });
}

/** How much two colours stand out against each other, from 1 to 21 (WCAG 2.2, contrast ratio). @param ground is opaque. */
export function contrastOf(ink: string, ground: string): number {
  const [one, other] = [luminance(over(ink, ground)), luminance(ground)];
  return (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);
}

/** An opaque colour with a part of another in it, from 0 to 1, as `color-mix(in oklab, …)` has it (CSS Color 5 §2.1). */
export function mixed(one: string, other: string, part: number): string {
  // Colours that the browser works out are mixed by it.
  if (one.startsWith('var(') || other.startsWith('var('))
    return `color-mix(in oklab, ${one}, ${other} ${Number((part * 100).toFixed(2))}%)`;
  const [from, to] = [parse(one), parse(other)];
  return from && to ? formatHex(interpolate([from, to], 'oklab')(part)) : one;
}

const toLch = converter('oklch');

/**
 * The colour nearest to one that reaches a ratio against a ground: as much lighter or darker as it takes.
 *
 * @returns `#rrggbb`; undefined where even black and white do not reach it.
 */
export function reaching(ink: string, ground: string, ratio: number): string | undefined {
  const lch = toLch(parse(ink));
  if (!lch) return undefined;
  const at = (l: number) => formatHex(clampChroma({ ...lch, l, alpha: 1 }, 'oklch'));
  const found: { readonly hex: string; readonly by: number }[] = [];
  for (const end of [0, 1]) {
    if (contrastOf(at(end), ground) < ratio) continue;
    // The ratio rises on the way from where it is too small to the end.
    let [least, most] = [lch.l, end];
    for (let step = 0; step < 24; step++) {
      const middle = (least + most) / 2;
      if (contrastOf(at(middle), ground) >= ratio) most = middle;
      else least = middle;
    }
    found.push({ hex: at(most), by: Math.abs(most - lch.l) });
  }
  return found.toSorted((a, b) => a.by - b.by)[0]?.hex;
}
