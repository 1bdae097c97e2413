/** On or off, at once. */

import { noPins } from '../layout/box.ts';
import { noSides } from '../values/css.ts';
import type { Theme } from '../values/theme.ts';
import { feelRules, feltColour, feltIn } from './feel.ts';
import { isChecked, ticked } from './ticked.ts';

/** Room between the track and what moves on it, px. */
const insetOf = ({ switchHeight, switchThumb }: Theme) => (switchHeight - switchThumb) / 2;

export const switchKind = ticked({
  name: 'switch',
  label: 'Switch',
  purpose: 'Turns something on or off, at once.',
  glyph: 'toggle-left',
  target: 'ample',
  findBy: ['yes no', 'on off', 'toggle', 'setting', 'boolean'],
  on: 'On',
  starter: { label: 'Quiet hours' },
  lookParts: [
    { name: 'track', label: 'Track', selector: ' > .part-input' },
    { name: 'thumb', label: 'Thumb', selector: ' > .part-input::before' },
  ],
  box(values, make) {
    const { theme } = make;
    const { switchWidth, switchHeight } = theme;
    const on = isChecked(values);
    const [width, height] = [switchWidth * make.scale, switchHeight * make.scale];
    const side = theme.switchThumb * make.scale;
    const inset = insetOf(theme) * make.scale;
    const atEnd = make.rightToLeft ? !on : on;
    const thumb = make.blank(
      { width: side, height: side },
      { part: 'thumb', background: make.colour('sheet'), corner: side / 2 },
      {
        width: side,
        height: side,
        pins: { ...noPins, left: inset + (atEnd ? width - 2 * inset - side : 0), top: inset },
      },
    );
    // Pinned, it lends its baseline to nobody: that of the track is its lower edge, as that of an input is.
    return make.group(
      { type: 'pinboard', rightToLeft: make.rightToLeft },
      [thumb],
      {
        width,
        height,
        margin: { ...noSides, top: ((theme.textSize * theme.lineHeight - switchHeight) / 2) * make.scale },
      },
      {
        part: 'track',
        background: feltColour(make, on ? 'accent' : 'quiet', feltIn(values)),
        corner: height / 2,
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
  --k-track: var(--quiet);
  background: var(--k-track);
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
  --k-track: var(--accent);
}
${feelRules({ over: '.k-switch', painted: ' > .part-input:not(:disabled)' }, (felt) => `background: ${felt('var(--k-track)')}`)}
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
