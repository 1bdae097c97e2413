/** Elements as HTML: words and attributes escaped (HTML §13.3, serialising), a level of the tree two spaces further in. */
import type { TreeElement } from './element-tree.ts';

/** Elements that have nothing inside and no end (HTML §13.1.2, void elements), as far as pages have them. */
const voidTags = new Set(['img', 'input', 'hr']);

export const escapeText = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
export const escapeAttribute = (text: string): string =>
  escapeText(text).replaceAll('"', '&quot;').replaceAll('\n', '&#10;');

const attributesText = (attributes: TreeElement['attributes']): string =>
  attributes
    .map(([name, value]) => (value === true ? ` ${name}` : ` ${name}="${escapeAttribute(value)}"`))
    .join('');

/** Shapes close themselves: what is in an `svg` is a foreign element (HTML §13.1.2). */
const shapeText = ({ tag, attributes }: TreeElement): string => `<${tag}${attributesText(attributes)}/>`;

/** An element as HTML. @param indent stands before each of its lines. */
export function htmlOf({ tag, attributes, inside, oneLine }: TreeElement, indent: string): string {
  const open = `${indent}<${tag}${attributesText(attributes)}>`;
  if (voidTags.has(tag)) return open;
  const close = `</${tag}>`;
  if (typeof inside === 'string') return `${open}${escapeText(inside)}${close}`;
  if (oneLine) return `${open}${inside.map(shapeText).join('')}${close}`;
  if (inside.length === 0) return `${open}${close}`;
  return `${open}\n${inside.map((child) => htmlOf(child, `${indent}  `)).join('\n')}\n${indent}${close}`;
}
