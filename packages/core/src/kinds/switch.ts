/** On or off, at once. */

import { noSides } from '../values/css.ts';
import type { Theme } from '../values/theme.ts';
import type { Drawing } from './kind.ts';
import { isChecked, ticked } from './ticked.ts';

/** Room between the track and what moves on it, px. */
const insetOf = ({ switchHeight, switchThumb }: Theme) => (switchHeight - switchThumb) / 2;

function thumb(theme: Theme, on: boolean): Drawing {
  const { switchWidth, switchHeight, switchThumb } = theme;
  const fromEnd = insetOf(theme) + switchThumb / 2;
  const cx = on ? switchWidth - fromEnd : fromEnd;
  return {
    size: [switchWidth, switchHeight],
    shapes: [['circle', { cx, cy: switchHeight / 2, r: switchThumb / 2, fill: 'currentColor' }]],
    place: 'middle',
  };
}

export const switchKind = ticked({
  name: 'switch',
  label: 'Switch',
  purpose: 'Turns something on or off, at once.',
  glyph: 'toggle-left',
  target: 'ample',
  findBy: ['yes no', 'on off', 'toggle', 'setting', 'boolean'],
  on: 'On',
  starter: { label: 'Quiet hours' },
  box(values, make) {
    const { theme } = make;
    const { switchWidth, switchHeight } = theme;
    const on = isChecked(values);
    const [width, height] = [switchWidth * make.scale, switchHeight * make.scale];
    return make.blank(
      { width, height },
      {
        background: make.colour(on ? 'accent' : 'quiet'),
        colour: make.colour('sheet'),
        corner: height / 2,
        drawing: thumb(theme, make.rightToLeft ? !on : on),
      },
      {
        width,
        height,
        margin: { ...noSides, top: ((theme.textSize * theme.lineHeight - switchHeight) / 2) * make.scale },
      },
    );
  },
  input: { classes: [], role: 'switch' },
  css: (theme) => `.k-switch > .part-input {
  appearance: none;
  flex: none;
  width: ${theme.switchWidth / 16}rem;
  height: ${theme.switchHeight / 16}rem;
  margin: ${((theme.textSize * theme.lineHeight - theme.switchHeight) / 2 / 16).toFixed(4)}rem 0 0;
  padding: ${insetOf(theme) / 16}rem;
  border-radius: ${theme.switchHeight / 32}rem;
  background: var(--quiet);
  cursor: pointer;
}
.k-switch > .part-input::before {
  content: "";
  display: block;
  width: ${theme.switchThumb / 16}rem;
  height: ${theme.switchThumb / 16}rem;
  border-radius: 50%;
  background: var(--sheet);
}
.k-switch > .part-input:checked {
  background: var(--accent);
}
.k-switch > .part-input:checked::before {
  margin-inline-start: ${(theme.switchWidth - 2 * insetOf(theme) - theme.switchThumb) / 16}rem;
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
