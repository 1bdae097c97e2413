/** Lengths as CSS has them. */
import type { Sides } from '../values/css.ts';

export const px = (value: number): string => (value === 0 ? '0' : `${Number(value.toFixed(4))}px`);
export const percent = (fraction: number): string => `${Number((fraction * 100).toFixed(4))}%`;
/** A length, or a part of what it is a part of. */
export const lengthCss = (value: number | { readonly fraction: number }): string =>
  typeof value === 'number' ? px(value) : percent(value.fraction);

/**
 * Words for four sides: top, end, bottom, start, of which the last ones may be left out (CSS Backgrounds 3 §3.1). Where start and end
 * differ, flow-relative properties let them swap in right-to-left.
 */
export function sideWords(
  css: Map<string, string>,
  name: string,
  suffix: string,
  [top = '', end = top, bottom = top, start = end]: readonly string[],
): void {
  if (start === end) {
    const list = top === bottom ? (top === end ? [top] : [top, end]) : [top, end, bottom];
    css.set(`${name}${suffix}`, list.join(' '));
    return;
  }
  css.set(`${name}-block${suffix}`, `${top} ${bottom}`);
  css.set(`${name}-inline${suffix}`, `${start} ${end}`);
}

/** Lengths of four sides. */
export const sides = (
  css: Map<string, string>,
  name: string,
  suffix: string,
  { top, end, bottom, start }: Sides,
): void => sideWords(css, name, suffix, [top, end, bottom, start].map(px));
