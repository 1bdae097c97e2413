/** Writing elements of SVG. */
import { formatHex8 } from 'culori';
import type { Rectangle } from '../layout/rectangle.ts';

export const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
export const number = (value: number): string => String(Number(value.toFixed(3)));

/** Attributes of colours. Not all programs know the newer ways of CSS to write one. */
const colours = new Set(['fill', 'stroke', 'stop-color', 'color']);

/** A colour that every program knows, in sRGB; what lies outside of that is cut off, as browsers do it (CSS Color 4 §13.1). */
const plainColour = (text: string): string =>
  /^(?:hwb|lab|lch|oklab|oklch|color)\(/.test(text) ? (formatHex8(text) ?? text) : text;

/** An element; attributes that are undefined are left out. */
export function tag(
  name: string,
  attributes: Readonly<Record<string, string | number | undefined>>,
  inside = '',
): string {
  const words = Object.entries(attributes).flatMap(([key, value]) =>
    value === undefined
      ? []
      : [
          `${key}="${typeof value === 'number' ? number(value) : escaped(colours.has(key) ? plainColour(value) : value)}"`,
        ],
  );
  const start = [name, ...words].join(' ');
  return inside === '' ? `<${start}/>` : `<${start}>${inside}</${name}>`;
}

/** Makes ids that no two elements of one picture have. */
export class Ids {
  private count = 0;
  next(word: string): string {
    this.count++;
    return `${word}${this.count}`;
  }
}

/** Where something stands, as the attributes of SVG that say it. */
export const placed = ({ x, y, width, height }: Rectangle): Rectangle => ({ x, y, width, height });
