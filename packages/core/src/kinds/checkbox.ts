/** A yes or no, with its label beside it. */
import { flagType } from '../document/property-types.ts';
import { theme } from '../document/theme.ts';
import { change } from './events.ts';
import type { Kind } from './kind.ts';
import { checkBox, checkCss } from './options.ts';
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
    {
      name: 'required',
      label: 'Required',
      group: 'content',
      type: flagType,
      effect: 'behaviour',
      perBand: false,
      page: { part: 'part-input', as: 'property', name: 'required' },
    },
    disabled({ part: 'part-input', as: 'property', name: 'disabled' }),
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
    ...textLook(),
  ],
  events: [change],
  starter: { label: 'Label' },
  inside(values, make) {
    const style = textStyleOf(values);
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
      parts: [
        checkBox(make, { round: false, checked: values.flag('checked') }),
        make.words(values.text('label'), style, wordsLook(values, style, 'start')),
      ],
      look: values.flag('disabled') ? { opacity: 0.5 } : {},
    };
  },
  element: (values) => ({
    tag: 'label',
    children: [
      {
        tag: 'input',
        classes: ['part-input', 'part-check'],
        attributes: {
          type: 'checkbox',
          checked: values.flag('checked'),
          required: values.flag('required'),
          disabled: values.flag('disabled'),
        },
      },
      { tag: 'span', classes: ['part-label'], text: values.text('label') },
    ],
  }),
  sharedCss: [checkCss],
  css: `.k-checkbox {
  display: flex;
  align-items: start;
  gap: ${theme.checkGap}px;
}
.k-checkbox > .part-label {
  white-space-collapse: preserve-breaks;
}
.k-checkbox:has(> .part-input:disabled) {
  opacity: 0.5;
}`,
};
