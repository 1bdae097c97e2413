/** The page's HTML: real elements, the controls' names on them, words and attributes escaped. */

import { effectiveNames } from '../document/names.ts';
import { theme } from '../document/theme.ts';
import type { Asset, Control } from '../document/types.ts';
import type { Circumstances } from '../document/values.ts';
import { valuesOf } from '../document/values.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { PageElement } from '../kinds/kind.ts';

const voidTags = new Set(['img', 'input', 'hr']);

export const escapeText = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
const escapeAttribute = (text: string): string =>
  escapeText(text).replaceAll('"', '&quot;').replaceAll('\n', '&#10;');

/** Where a picture of the project lies beside the page; a drawn stand-in where the project has no such picture. */
export function pictureAddress(name: string, assets: readonly Asset[]): string {
  if (assets.some((asset) => asset.name === name)) return `assets/${encodeURIComponent(name)}`;
  const { width, height } = theme.missingPicture;
  return `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="#d8d2c4"/></svg>`)}`;
}

/** What the elements of a screen are made with. */
export interface Elements {
  readonly circumstances: Circumstances;
  readonly assets: readonly Asset[];
  /** Inline style of a control whose look is bound, for the initial values of the state. */
  readonly styleOf: (control: Control, parent: Control | undefined) => string;
}

/** A screen as HTML, indented. */
export function screenHtml(screen: Control, elements: Elements, indent: string): string {
  const names = effectiveNames(screen);
  const control = (at: Control, parent: Control | undefined, space: string): string => {
    const kind = kindOf(at);
    const name = names.get(at.id)!;
    const values = valuesOf(at, kind, elements.circumstances);
    const element = kind.element(values);
    const style = elements.styleOf(at, parent);
    const attributes: Record<string, string | boolean> = {
      class: `k-${kind.name} ${name}`,
      'data-name': name,
      ...element.attributes,
      ...(style ? { style } : {}),
    };
    if (kind.name === 'image') attributes.src = pictureAddress(values.text('src'), elements.assets);
    const children = kind.container
      ? at.children.map((child) => control(child, at, `${space}  `))
      : undefined;
    return printElement({ ...element, attributes }, space, children);
  };
  return control(screen, undefined, indent);
}

function printElement(element: PageElement, indent: string, children: readonly string[] | undefined): string {
  const classes = element.classes ? { class: element.classes.join(' ') } : {};
  const attributes = Object.entries({ ...classes, ...element.attributes })
    .map(([name, value]: [string, string | boolean]) => {
      if (value === false || (value === '' && name !== 'alt' && name !== 'value')) return '';
      return value === true ? ` ${name}` : ` ${name}="${escapeAttribute(String(value))}"`;
    })
    .join('');
  const open = `${indent}<${element.tag}${attributes}>`;
  if (voidTags.has(element.tag)) return open;
  if (element.text !== undefined) return `${open}${escapeText(element.text)}</${element.tag}>`;
  const inner =
    children ?? element.children?.map((child) => printElement(child, `${indent}  `, undefined)) ?? [];
  if (inner.length === 0) return `${open}</${element.tag}>`;
  return `${open}\n${inner.join('\n')}\n${indent}</${element.tag}>`;
}
