/** Lengths as CSS has them. */
import type { Sides } from '../values/css.ts';

export const px = (value: number): string => (value === 0 ? '0' : `${Number(value.toFixed(4))}px`);
export const percent = (fraction: number): string => `${Number((fraction * 100).toFixed(4))}%`;
/** A length, or a part of what it is a part of. */
export const lengthCss = (value: number | { readonly fraction: number }): string =>
  typeof value === 'number' ? px(value) : percent(value.fraction);

/** Four sides; where start and end differ, flow-relative properties let them swap in right-to-left. */
export function sides(css: Map<string, string>, name: string, suffix: string, value: Sides): void {
  const { top, end, bottom, start } = value;
  if (start === end) {
    const list = top === bottom ? (top === end ? [top] : [top, end]) : [top, end, bottom];
    css.set(`${name}${suffix}`, list.map(px).join(' '));
    return;
  }
  css.set(`${name}-block${suffix}`, `${px(top)} ${px(bottom)}`);
  css.set(`${name}-inline${suffix}`, `${px(start)} ${px(end)}`);
}
