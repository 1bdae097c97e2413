/**
 * Text sizes that follow the width of the window between two sizes (CSS Values 4 §10.4, `clamp()`), in whole px: the
 * middle value is rounded down (§10.6, `round()`), so that a text keeps its size over a stretch of widths.
 */
import { type StyleSet, stylesOver } from '../document/style-set.ts';
import type { Control } from '../document/types.ts';
import { inForce } from '../document/types.ts';

/** From `min` to `max` px, `vw` hundredths of the width between. */
export interface ClampedSize {
  readonly min: number;
  readonly vw: number;
  readonly max: number;
}

/** A size as it is at a width, before the reader's text scale, which applies to the two ends only. */
export function textSizeAt({ min, vw, max }: ClampedSize, width: number, textScale: number): number {
  const between = Math.floor((vw * width) / 100);
  return Math.max(min * textScale, Math.min(max * textScale, between)) / textScale;
}

const pattern = /^clamp\(\s*([\d.]+)(?:px)?\s*,\s*([\d.]+)vw\s*,\s*([\d.]+)(?:px)?\s*\)$/;

/** Reads `clamp(18, 4vw, 34)`; undefined where it is something else. */
export function readClampedSize(text: string): ClampedSize | undefined {
  const match = pattern.exec(text.trim());
  if (!match) return undefined;
  const [min = 0, vw = 0, max = 0] = match.slice(1).map(Number);
  return [min, vw, max].every(Number.isFinite) && min >= 1 && max >= min && max <= 400 && vw > 0 && vw <= 100
    ? { min, vw, max }
    : undefined;
}

export const printClampedSize = ({ min, vw, max }: ClampedSize): string => `clamp(${min}, ${vw}vw, ${max})`;

/** A size that follows the width, with the id of the control that has it. */
export interface OwnedSize extends ClampedSize {
  readonly control: string;
}

const known = new WeakMap<Control, { readonly styles: StyleSet; readonly found: readonly OwnedSize[] }>();

/** All sizes on a screen that follow the width, those of styles included. */
export function clampedSizesOf(screen: Control, styles: StyleSet): readonly OwnedSize[] {
  const before = known.get(screen);
  if (before?.styles === styles) return before.found;
  const said = [screen, ...stylesOver(screen, styles)].flatMap(({ props }) => Object.values(props));
  const own = said.flatMap((value) => {
    const size = readClampedSize(inForce(value) ?? '');
    return size ? [{ ...size, control: screen.id }] : [];
  });
  const found = [...own, ...screen.children.flatMap((child) => clampedSizesOf(child, styles))];
  known.set(screen, { styles, found });
  return found;
}

/** The widths in a range at which one of a screen's texts takes another size, CSS px. */
export function textSizeTurns(
  screen: Control,
  styles: StyleSet,
  { from, to, textScale }: { readonly from: number; readonly to: number; readonly textScale: number },
): number[] {
  const turns = new Set<number>();
  for (const { min, vw, max } of clampedSizesOf(screen, styles))
    for (let px = Math.ceil(min * textScale); px <= Math.floor(max * textScale) + 1; px++) {
      const width = (px * 100) / vw;
      if (width > from && width <= to) turns.add(width);
    }
  return [...turns];
}
