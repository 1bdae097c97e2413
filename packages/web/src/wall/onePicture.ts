/** Many screens in one SVG file, row under row. */
import type { ScreenLayout } from '@hovrin/core';
import type { ScreenSize } from '../sizes.ts';

/** A screen at a size, on the wall. */
export interface Hanging {
  readonly size: ScreenSize;
  readonly layout: ScreenLayout;
  /** What is shown of it, CSS px. */
  readonly height: number;
}

/** Between two that hang beside each other, px of the page. */
export const wallGap = 14;

const gap = 60;
const head = 70;

/**
 * @param draw one screen as SVG, with all that it needs in it.
 * @returns the file, and its size in CSS px.
 */
export async function onePicture(
  rows: readonly { readonly title: string; readonly hanging: readonly Hanging[] }[],
  draw: (layout: ScreenLayout, height: number) => Promise<string>,
): Promise<{ svg: string; width: number; height: number }> {
  const parts: string[] = [];
  let width = 0;
  let y = gap;
  for (const { title, hanging } of rows) {
    parts.push(
      `<text x="${gap}" y="${y + 36}" font-family="Hanken Grotesk, sans-serif" font-weight="600" font-size="36" fill="#1f2a24">${title}</text>`,
    );
    let x = gap;
    for (const { size, layout, height } of hanging) {
      const svg = await draw(layout, height);
      // Each has clips of the same names.
      const own = svg.slice(svg.indexOf('<svg')).replaceAll(/\bclip(\d+)\b/g, `clip${parts.length}-$1`);
      parts.push(own.replace('<svg', `<svg x="${x}" y="${y + head}"`));
      parts.push(
        `<rect x="${x}" y="${y + head}" width="${size.width}" height="${height}" fill="none" stroke="#d6cfbf" stroke-width="2"/>`,
      );
      x += size.width + gap;
    }
    width = Math.max(width, x);
    y += head + Math.max(0, ...hanging.map(({ height }) => height)) + gap;
  }
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${y}" viewBox="0 0 ${width} ${y}"><rect width="100%" height="100%" fill="#f5f1e8"/>${parts.join('')}</svg>`;
  return { svg, width, height: y };
}
