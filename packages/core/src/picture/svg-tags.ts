/** Writing elements of SVG. */

export const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
export const number = (value: number): string => String(Number(value.toFixed(3)));

/** An element; attributes that are undefined are left out. */
export function tag(
  name: string,
  attributes: Readonly<Record<string, string | number | undefined>>,
  inside = '',
): string {
  const words = Object.entries(attributes).flatMap(([key, value]) =>
    value === undefined ? [] : [`${key}="${typeof value === 'number' ? number(value) : escaped(value)}"`],
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
