/** What fields for files of the device have in common: the browser's own button and words (HTML §4.10.5.1.17). */
import type { Values } from '../cascade/values.ts';
import { lineHeightCss } from '../text/units.ts';
import type { Theme } from '../values/theme.ts';
import { bareLineCss, fieldBox, fieldElement, fieldInside, inputAttributes, middleLine } from './field.ts';
import type { Inside, Making, PageElement } from './kind.ts';

/** @param words what stands in the field on the bench, where a browser has words of its own. */
export const fileInside = (values: Values, make: Making, words: string): Inside =>
  fieldInside(values, make, fieldBox(values, make, words, { line: middleLine(make.theme) }));

/** @param attributes of the input besides those of all fields. */
export const fileElement = (
  values: Values,
  name: string,
  attributes: NonNullable<PageElement['attributes']>,
): PageElement =>
  fieldElement(values, name, {
    tag: 'input',
    classes: ['part-input'],
    attributes: { type: 'file', ...attributes, ...inputAttributes(values, name) },
  });

export const fileCss = (kind: string, theme: Theme): string => `${bareLineCss(kind, theme, middleLine(theme))}
.k-${kind} > .part-input {
  line-height: ${(theme.fieldHeight - 2) / 16}rem;
}
.k-${kind} > .part-input::file-selector-button {
  margin-inline-end: ${theme.fieldPadding}px;
  padding: 2px 8px;
  border: 1px solid var(--line);
  border-radius: ${theme.corner}px;
  background: var(--tint);
  font: inherit;
  line-height: ${lineHeightCss};
  cursor: pointer;
}`;
