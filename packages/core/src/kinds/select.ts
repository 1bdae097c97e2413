/** One of a few things to choose from, in a list that opens. */

import type { Values } from '../cascade/values.ts';
import { textType } from '../property-types/index.ts';
import { asBackground, chevron, signColour } from './drawings.ts';
import { chosenEvents } from './events.ts';
import {
  bareLineCss,
  entered,
  fieldBox,
  fieldCss,
  fieldElement,
  fieldInside,
  fieldProperties,
  fieldStates,
  inputAttributes,
  inputCss,
  middleLine,
  placeholder,
} from './field.ts';
import type { Kind, Manner, PageElement } from './kind.ts';
import { entriesOf, optionElement, options } from './options.ts';

const own = {
  value: entered(textType, ['text', 'number', 'boolean', 'date']),
};

const labelOf = (values: Values): string =>
  entriesOf(values).find(({ value }) => value === values.text(own.value))?.label ?? '';

/** What a select offers, in front the words for nothing chosen. */
export function choiceElements(values: Values): PageElement[] {
  const chosen = values.text(own.value);
  const empty = values.text(placeholder);
  return [
    ...(empty ? [{ tag: 'option', attributes: { value: '', selected: chosen === '' }, text: empty }] : []),
    ...entriesOf(values).map((entry) => optionElement(entry, chosen)),
  ];
}

export const manner: Manner = { anew: (values) => ({ children: choiceElements(values) }) };

export const select: Kind = {
  name: 'select',
  label: 'Select',
  group: 'ask',
  purpose: 'Asks to choose one of a few things, in a list that opens.',
  glyph: 'square-chevron-down',
  findBy: ['choice', 'one of', 'drop', 'options', 'pick', 'list', 'dropdown', 'combo', 'country'],
  container: false,
  manner,
  properties: fieldProperties([
    own.value,
    options({ part: 'part-input', as: 'inside' }),
    { ...placeholder, page: { part: 'part-input', as: 'inside' } },
  ]),
  ...fieldStates,
  events: chosenEvents,
  starter: { label: 'Kind of bunk', options: 'Dormitory | Twin room | Family room' },
  inside: (values, make) =>
    fieldInside(
      values,
      make,
      fieldBox(
        values,
        make,
        labelOf(values) || (values.text(placeholder) ? '' : (entriesOf(values)[0]?.label ?? '')),
        {
          look: { drawing: chevron },
          line: middleLine(make.theme),
        },
      ),
    ),
  element(values, _, name) {
    return fieldElement(values, name, {
      tag: 'select',
      classes: ['part-input'],
      attributes: inputAttributes(values, name),
      children: choiceElements(values),
    });
  },
  sharedCss: [fieldCss, inputCss],
  css: (theme) => `${bareLineCss('select', theme, middleLine(theme))}
.k-select > .part-input {
  padding-inline-end: ${theme.fieldPadding * 2 + 8}px;
  background: var(--sheet) ${asBackground(chevron, signColour)} right ${theme.fieldPadding - 2}px center / 16px no-repeat;
}
.k-select > .part-input:dir(rtl) {
  background-position-x: ${theme.fieldPadding - 2}px;
}`,
};
