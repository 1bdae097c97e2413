/** One line of words to type, under its label. */
import { textType } from '../document/property-types.ts';
import { colourValue, theme } from '../document/theme.ts';
import type { Kind } from './kind.ts';
import { boxLook, disabled, padding, placing, sizing, words } from './properties.ts';
import { plainWords } from './words.ts';

export const textField: Kind = {
  name: 'textField',
  label: 'Text field',
  group: 'ask',
  purpose: 'Asks for a line of text.',
  findBy: ['input', 'type', 'name', 'entry', 'form'],
  container: false,
  properties: [
    words('label', 'Label', { as: 'text', part: 'part-label' }),
    {
      name: 'value',
      label: 'Value',
      group: 'content',
      type: textType,
      effect: 'look',
      perBand: false,
      twoWay: ['text', 'number'],
      page: { part: 'part-input', as: 'property', name: 'value' },
    },
    {
      name: 'placeholder',
      label: 'Placeholder',
      group: 'content',
      type: textType,
      effect: 'look',
      perBand: false,
      page: { part: 'part-input', as: 'attribute', name: 'placeholder' },
    },
    disabled({ part: 'part-input', as: 'property', name: 'disabled' }),
    ...sizing,
    ...placing(),
    padding(),
    ...boxLook(),
  ],
  events: [],
  starter: { label: 'Label' },
  inside(values, make) {
    const labelStyle = plainWords({ weight: theme.labelWeight, size: theme.labelSize });
    const inputStyle = plainWords({ noWrap: true });
    const height = theme.fieldHeight * make.scale;
    const label = values.text('label');
    const value = values.text('value');
    const input = make.blank(
      {
        width: theme.fieldWidth - 2,
        height,
        baseline: make.centredBaseline(inputStyle, height - 2),
      },
      {
        background: colourValue('sheet'),
        borderColour: colourValue('quiet'),
        corner: theme.corner,
        colour: colourValue(value ? 'ink' : 'quiet'),
        text: { ...inputStyle, align: 'start' },
        inner: { text: value || values.text('placeholder'), padding: theme.fieldPadding },
      },
      { height, border: { top: 1, end: 1, bottom: 1, start: 1 } },
    );
    return {
      content: {
        type: 'flex',
        direction: 'column',
        align: 'stretch',
        justify: 'start',
        wrap: false,
        rowGap: theme.labelGap,
        columnGap: 0,
      },
      parts: label
        ? [
            make.words(label, labelStyle, {
              colour: colourValue('ink'),
              text: { ...labelStyle, align: 'start' },
            }),
            input,
          ]
        : [input],
      look: values.flag('disabled') ? { opacity: 0.5 } : {},
    };
  },
  element: (values) => ({
    tag: 'label',
    children: [
      { tag: 'span', classes: ['part-label'], text: values.text('label') },
      {
        tag: 'input',
        classes: ['part-input'],
        attributes: {
          type: 'text',
          value: values.text('value'),
          placeholder: values.text('placeholder'),
          disabled: values.flag('disabled'),
        },
      },
    ],
  }),
  css: `.k-textField {
  display: flex;
  flex-direction: column;
  gap: ${theme.labelGap}px;
}
.k-textField > .part-label {
  font-size: ${theme.labelSize / 16}rem;
  font-weight: ${theme.labelWeight};
  white-space-collapse: preserve-breaks;
}
.k-textField > .part-label:empty {
  display: none;
}
.k-textField > .part-input {
  flex: none;
  width: ${theme.fieldWidth}px;
  min-width: 100%;
  max-width: 100%;
  height: ${theme.fieldHeight / 16}rem;
  padding: 0 ${theme.fieldPadding}px;
  border: 1px solid var(--quiet);
  border-radius: ${theme.corner}px;
  background: var(--sheet);
}
.k-textField > .part-input::placeholder {
  color: var(--quiet);
  opacity: 1;
}
.k-textField > .part-input:disabled,
.k-textField:has(> .part-input:disabled) > .part-label {
  opacity: 0.5;
}`,
};
