/** A button that shows a sign instead of words; what it does is still said to those who cannot see it. */
import { iconType } from '../document/property-types.ts';
import { theme } from '../document/theme.ts';
import type { Values } from '../document/values.ts';
import { buttonLook, buttonProperties } from './button.ts';
import { iconAttributes, iconDrawing } from './drawings.ts';
import { pressedEvents } from './events.ts';
import type { Kind, PageElement } from './kind.ts';
import { disabled, words } from './properties.ts';

const textProperties = ['font', 'weight', 'italic', 'line-height', 'letter-spacing'];

/** The element of an icon button. */
export const iconButtonElement = (values: Values): PageElement => ({
  tag: 'button',
  attributes: {
    type: 'button',
    'aria-label': values.text('text'),
    title: values.text('text'),
    disabled: values.flag('disabled'),
  },
  children: [{ tag: 'svg', attributes: iconAttributes, icon: values.text('icon') }],
});

export const iconButton: Kind = {
  name: 'iconButton',
  label: 'Icon button',
  group: 'act',
  purpose: 'A button with a sign in place of words.',
  findBy: ['press', 'tool', 'sign', 'symbol'],
  container: false,
  properties: [
    {
      name: 'icon',
      label: 'Icon',
      group: 'content',
      type: iconType,
      effect: 'look',
      perBand: false,
      page: { as: 'inside' },
    },
    { ...words('text', 'What it does', { as: 'attribute', name: 'aria-label' }), effect: 'behaviour' },
    disabled({ as: 'property', name: 'disabled' }),
    ...buttonProperties
      .filter(({ name }) => !textProperties.includes(name))
      .map((property) =>
        property.name === 'padding'
          ? { ...property, default: '8' }
          : property.name === 'size'
            ? { ...property, default: String(theme.iconSize) }
            : property.name === 'tone'
              ? { ...property, default: 'plain' }
              : property,
      ),
  ],
  events: pressedEvents,
  starter: { icon: 'pencil', text: 'Edit' },
  inside(values, make) {
    const look = buttonLook(values);
    const side = (values.number('size') ?? theme.iconSize) * make.scale;
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
            drawing: iconDrawing(make.icon(values.text('icon'))),
          },
          { width: side, height: side },
        ),
      ],
      look: look.box,
    };
  },
  element: iconButtonElement,
  css: `.k-iconButton {
  appearance: none;
  display: flex;
  align-items: safe center;
  justify-content: safe center;
  padding: 8px;
  border-radius: ${theme.corner}px;
  background: var(--sheet);
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
