/** On or off, at once. */
import { colourValue, theme } from '../document/theme.ts';
import { noSides } from '../layout/box.ts';
import type { Drawing } from './kind.ts';
import { ticked } from './ticked.ts';

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

export const switchKind = ticked({
  name: 'switch',
  label: 'Switch',
  purpose: 'Turns something on or off, at once.',
  findBy: ['yes no', 'on off', 'toggle', 'setting', 'boolean'],
  on: 'On',
  starter: { label: 'Quiet hours' },
  box(values, make) {
    const on = values.flag('checked');
    const [width, height] = [switchWidth * make.scale, switchHeight * make.scale];
    return make.blank(
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
  },
  input: { classes: [], role: 'switch' },
  css: `.k-switch > .part-input {
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
  margin-inline-start: ${(switchWidth - 2 * inset - switchThumb) / 16}rem;
}
@media (prefers-reduced-motion: no-preference) {
  :root:not([data-motion="less"]) .k-switch > .part-input {
    transition: background-color 120ms;
  }
  :root:not([data-motion="less"]) .k-switch > .part-input::before {
    transition: margin-inline-start 120ms;
  }
}`,
});
