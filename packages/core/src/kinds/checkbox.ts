/** A yes or no, with its label beside it. */
import { flagType } from '../document/property-types.ts';
import { colourValue, theme } from '../document/theme.ts';
import { noSides } from '../layout/box.ts';
import type { Kind } from './kind.ts';
import { boxLook, disabled, padding, placing, sizing, textLook, words } from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

export const checkbox: Kind = {
  name: 'checkbox',
  label: 'Checkbox',
  group: 'ask',
  purpose: 'Asks for a yes or no.',
  findBy: ['yes no', 'tick', 'agree', 'option', 'boolean'],
  container: false,
  properties: [
    words('label', 'Label', { as: 'text', part: 'part-label' }),
    {
      name: 'checked',
      label: 'Checked',
      group: 'content',
      type: flagType,
      effect: 'look',
      perBand: false,
      twoWay: ['boolean'],
      page: { part: 'part-input', as: 'property', name: 'checked' },
    },
    disabled({ part: 'part-input', as: 'property', name: 'disabled' }),
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
    ...textLook(),
  ],
  events: [],
  starter: { label: 'Label' },
  inside(values, make) {
    const style = textStyleOf(values);
    const side = theme.checkSize * make.scale;
    const checked = values.flag('checked');
    // The box sits in the middle of the first line.
    const above = ((theme.textSize * theme.lineHeight - theme.checkSize) / 2) * make.scale;
    const box = make.blank(
      { width: side, height: side },
      {
        background: colourValue(checked ? 'accent' : 'sheet'),
        borderColour: colourValue(checked ? 'accent' : 'quiet'),
        corner: theme.corner,
        ...(checked ? { sign: 'tick' as const, colour: colourValue('on-accent') } : {}),
      },
      {
        width: side,
        height: side,
        margin: { ...noSides, top: above },
        border: { top: 1, end: 1, bottom: 1, start: 1 },
      },
    );
    return {
      content: {
        type: 'flex',
        direction: 'row',
        align: 'start',
        justify: 'start',
        wrap: false,
        rowGap: 0,
        columnGap: theme.checkGap,
      },
      parts: [box, make.words(values.text('label'), style, wordsLook(values, style, 'start'))],
      look: values.flag('disabled') ? { opacity: 0.5 } : {},
    };
  },
  element: (values) => ({
    tag: 'label',
    children: [
      {
        tag: 'input',
        classes: ['part-input'],
        attributes: { type: 'checkbox', checked: values.flag('checked'), disabled: values.flag('disabled') },
      },
      { tag: 'span', classes: ['part-label'], text: values.text('label') },
    ],
  }),
  css: `.k-checkbox {
  display: flex;
  align-items: start;
  gap: ${theme.checkGap}px;
}
.k-checkbox > .part-input {
  appearance: none;
  flex: none;
  width: ${theme.checkSize / 16}rem;
  height: ${theme.checkSize / 16}rem;
  margin: ${((theme.textSize * theme.lineHeight - theme.checkSize) / 2 / 16).toFixed(4)}rem 0 0;
  border: 1px solid var(--quiet);
  border-radius: ${theme.corner}px;
  background: var(--sheet) center / 75% no-repeat;
}
.k-checkbox > .part-input:checked {
  border-color: var(--accent);
  background-color: var(--accent);
  background-image: url('data:image/svg+xml,<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 16 16"><path d="M3 8.5l3.2 3.2L13 4.8" fill="none" stroke="%23fffdf8" stroke-width="2.2"/></svg>');
}
.k-checkbox > .part-label {
  white-space-collapse: preserve-breaks;
}
.k-checkbox:has(> .part-input:disabled) {
  opacity: 0.5;
}`,
};
