/** A button that shows a sign instead of words; what it does is still said to those who cannot see it. */

import type { Values } from '../cascade/values.ts';
import { iconType, textType } from '../property-types/index.ts';
import { buttonLook, buttonProperties, groundCss, toneCss } from './button.ts';
import { pressedEvents } from './events.ts';
import { content } from './field.ts';
import type { Kind, Manner, PageElement } from './kind.ts';
import { inside } from './made-anew.ts';
import { directedDrawing, iconPart, mirror, mirrorCss } from './mirroring.ts';
import { offStates } from './off-states.ts';
import { disabled, disabledBy, preset, property } from './properties.ts';
import { pressable } from './states.ts';
import { textSizeOf } from './words.ts';

const own = {
  text: content('text', 'What it does', textType, {
    effect: 'behaviour',
    page: { as: 'attribute', name: 'aria-label' },
  }),
  icon: property({
    name: 'icon',
    label: 'Icon',
    group: 'content',
    type: iconType,
    effect: 'look',
    perBand: false,
    page: { as: 'inside' },
  }),
};

/** What holds where nothing is said, otherwise than on a button with words. */
const presets = { padding: '8', size: { theme: 'iconSize' }, tone: 'plain' } as const;
const textProperties = ['font', 'weight', 'italic', 'line-height', 'letter-spacing'];

/** The element of an icon button. */
export const iconButtonElement = (values: Values): PageElement => ({
  tag: 'button',
  attributes: {
    type: 'button',
    'aria-label': values.text(own.text),
    title: values.text(own.text),
    disabled: values.flag(disabled),
  },
  children: [iconPart(values, values.text(own.icon))],
});

export const manner: Manner = {
  css: toneCss,
  keepsSize: true,
  anew: (values) => inside(iconButtonElement(values)),
};

export const iconButton: Kind = {
  name: 'iconButton',
  label: 'Icon button',
  group: 'act',
  purpose: 'A button with a sign in place of words.',
  glyph: 'crosshair',
  target: 'ample',
  findBy: ['press', 'tool', 'sign', 'symbol'],
  container: false,
  manner,
  properties: [
    own.icon,
    own.text,
    mirror,
    disabledBy({ as: 'property', name: 'disabled' }),
    ...buttonProperties
      .filter(({ name }) => !textProperties.includes(name))
      .map((each) =>
        each.name in presets ? preset(each, presets[each.name as keyof typeof presets]) : each,
      ),
  ],
  states: pressable,
  statesNow: offStates,
  events: pressedEvents,
  starter: { icon: 'pencil', text: 'Edit' },
  inside(values, make) {
    const look = buttonLook(values, make);
    const side = textSizeOf(values, make.theme.iconSize) * make.scale;
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
      style: { fillsPins: true },
      parts: [
        make.blank(
          { width: side, height: side },
          {
            ...(look.words.colour ? { colour: look.words.colour } : {}),
            drawing: directedDrawing(values, make.icon(values.text(own.icon)), make.rightToLeft),
          },
          { width: side, height: side },
        ),
      ],
      look: look.box,
    };
  },
  element: iconButtonElement,
  sharedCss: [mirrorCss],
  css: (theme) => `${groundCss('iconButton', 'sheet', ':not(:disabled)')}
.k-iconButton {
  appearance: none;
  display: flex;
  align-items: safe center;
  justify-content: safe center;
  padding: 8px;
  border-radius: ${theme.corner}px;
  box-shadow: inset 0 0 0 1px var(--line);
  color: var(--accent);
  font-size: ${theme.iconSize / 16}rem;
  line-height: 1;
  cursor: pointer;
}
.k-iconButton > svg {
  flex: none;
  width: 1em;
  height: 1em;
}
.k-iconButton:disabled {
  opacity: 0.5;
  cursor: default;
}`,
};
