/** On or off, at once. */
import { flagType } from '../document/property-types.ts';
import { colourValue, theme } from '../document/theme.ts';
import { noSides } from '../layout/box.ts';
import { change } from './events.ts';
import type { Drawing, Kind } from './kind.ts';
import { boxLook, disabled, padding, placing, sizing, textLook, words } from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

const { switchWidth, switchHeight, switchThumb } = theme;
const inset = (switchHeight - switchThumb) / 2;
const thumb = (on: boolean): Drawing => ({
  size: [switchWidth, switchHeight],
  shapes: [
    [
      'circle',
      {
        cx: on ? switchWidth - inset - switchThumb / 2 : inset + switchThumb / 2,
        cy: switchHeight / 2,
        r: switchThumb / 2,
        fill: 'currentColor',
      },
    ],
  ],
  place: 'middle',
});

export const switchKind: Kind = {
  name: 'switch',
  label: 'Switch',
  group: 'ask',
  purpose: 'Turns something on or off, at once.',
  findBy: ['yes no', 'on off', 'toggle', 'setting', 'boolean'],
  container: false,
  properties: [
    words('label', 'Label', { as: 'text', part: 'part-label' }),
    {
      name: 'checked',
      label: 'On',
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
  events: [change],
  starter: { label: 'Quiet hours' },
  inside(values, make) {
    const style = textStyleOf(values);
    const on = values.flag('checked');
    const [width, height] = [switchWidth * make.scale, switchHeight * make.scale];
    const track = make.blank(
      { width, height },
      {
        background: colourValue(on ? 'accent' : 'quiet'),
        colour: colourValue('sheet'),
        corner: height / 2,
        drawing: thumb(make.rightToLeft ? !on : on),
      },
      {
        width,
        height,
        margin: { ...noSides, top: ((theme.textSize * theme.lineHeight - switchHeight) / 2) * make.scale },
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
      parts: [track, make.words(values.text('label'), style, wordsLook(values, style, 'start'))],
      look: values.flag('disabled') ? { opacity: 0.5 } : {},
    };
  },
  element: (values) => ({
    tag: 'label',
    children: [
      {
        tag: 'input',
        classes: ['part-input'],
        attributes: {
          type: 'checkbox',
          role: 'switch',
          checked: values.flag('checked'),
          disabled: values.flag('disabled'),
        },
      },
      { tag: 'span', classes: ['part-label'], text: values.text('label') },
    ],
  }),
  css: `.k-switch {
  display: flex;
  align-items: start;
  gap: ${theme.checkGap}px;
}
.k-switch > .part-input {
  appearance: none;
  flex: none;
  width: ${switchWidth / 16}rem;
  height: ${switchHeight / 16}rem;
  margin: ${((theme.textSize * theme.lineHeight - switchHeight) / 2 / 16).toFixed(4)}rem 0 0;
  padding: ${inset / 16}rem;
  border-radius: ${switchHeight / 32}rem;
  background: var(--quiet);
  cursor: pointer;
}
.k-switch > .part-input::before {
  content: "";
  display: block;
  width: ${switchThumb / 16}rem;
  height: ${switchThumb / 16}rem;
  border-radius: 50%;
  background: var(--sheet);
}
.k-switch > .part-input:checked {
  background: var(--accent);
}
.k-switch > .part-input:checked::before {
  margin-inline-start: auto;
}
.k-switch > .part-label {
  white-space-collapse: preserve-breaks;
}
.k-switch:has(> .part-input:disabled) {
  opacity: 0.5;
}`,
};
