/** Does something when pressed. */
import { theme } from '../document/theme.ts';
import type { Kind } from './kind.ts';
import { boxLook, disabled, padding, placing, sizing, textLook, words } from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

export const button: Kind = {
  name: 'button',
  label: 'Button',
  group: 'act',
  purpose: 'Does something when it is pressed.',
  findBy: ['press', 'click', 'action', 'submit', 'send', 'save'],
  container: false,
  properties: [
    words('text', 'Text', { as: 'text' }),
    disabled({ as: 'property', name: 'disabled' }),
    ...sizing,
    ...placing(),
    padding({ default: '9 16' }),
    ...boxLook({ background: 'accent', corner: '4' }),
    ...textLook({ weight: '600', colour: 'on-accent' }),
  ],
  events: [{ name: 'press', label: 'On press' }],
  starter: { text: 'Button' },
  inside(values, make) {
    const style = textStyleOf(values);
    const text = values.text('text');
    const isDisabled = values.flag('disabled');
    return {
      content: {
        type: 'flex',
        direction: 'row',
        align: 'center',
        justify: 'center',
        wrap: false,
        rowGap: 0,
        columnGap: 0,
        safe: true,
      },
      parts: text ? [make.words(text, style, wordsLook(values, style, 'center'), { minWidth: 0 })] : [],
      look: isDisabled ? { opacity: 0.5 } : {},
    };
  },
  element: (values) => ({
    tag: 'button',
    attributes: { type: 'button', disabled: values.flag('disabled') },
    text: values.text('text'),
  }),
  css: `.k-button {
  appearance: none;
  padding: 9px 16px;
  border-radius: ${theme.corner}px;
  background: var(--accent);
  color: var(--on-accent);
  font-weight: 600;
  text-align: center;
  white-space-collapse: preserve-breaks;
  cursor: pointer;
}
.k-button:disabled {
  opacity: 0.5;
  cursor: default;
}`,
};
