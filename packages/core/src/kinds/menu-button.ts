/** A button that opens a menu of things to do. */
import type { Values } from '../cascade/values.ts';
import { buttonLook, buttonProperties, groundCss, toneCss } from './button.ts';
import { chevron } from './drawings.ts';
import { choose } from './events.ts';
import type { Kind, Manner, PageElement } from './kind.ts';
import { offStates } from './off-states.ts';
import { entriesOf, options } from './options.ts';
import { disabled, disabledBy, words } from './properties.ts';
import { pointedAt } from './states.ts';
import { textStyleOf } from './words.ts';

const own = {
  text: words('text', 'Text', { as: 'text', part: 'part-text' }),
};

const side = 16;

/** The entries of a menu. */
export const entryElements = (values: Values): PageElement[] =>
  entriesOf(values).map(({ value, label }) => ({
    tag: 'button',
    attributes: { type: 'button', role: 'menuitem', tabindex: '-1', value },
    text: label,
  }));

export const manner: Manner = { css: toneCss, anew: (values) => ({ children: entryElements(values) }) };

export const menuButton: Kind = {
  name: 'menuButton',
  label: 'Menu button',
  group: 'act',
  purpose: 'Opens a menu of things to do.',
  glyph: 'ellipsis',
  target: 'ample',
  findBy: ['more', 'actions', 'drop', 'options', 'overflow', 'dots', 'dropdown'],
  container: false,
  manner,
  properties: [
    own.text,
    { ...options({ part: 'part-menu', as: 'inside' }), label: 'Entries', effect: 'behaviour' },
    disabledBy({ part: 'part-button', as: 'property', name: 'disabled' }),
    ...buttonProperties.map((property) =>
      property.name === 'tone' ? { ...property, default: 'plain' } : property,
    ),
  ],
  states: {
    ...pointedAt,
    focus: ':has(> .part-button:focus-visible)',
    disabled: ':has(> .part-button:disabled)',
    open: ':has(> .part-menu:popover-open)',
  },
  statesNow: offStates,
  events: [choose],
  starter: { text: 'More', options: 'Print list | Send a message | Close the hut' },
  inside(values, make) {
    const style = textStyleOf(values, make, 'center');
    const look = buttonLook(values, make);
    const size = side * make.scale;
    return {
      content: {
        type: 'flex',
        direction: 'row',
        align: 'center',
        justify: 'center',
        wrap: false,
        rowGap: 0,
        columnGap: make.theme.checkGap,
        safe: true,
      },
      parts: [
        make.words(values.text(own.text), style, look.words, { minWidth: 0 }),
        make.blank(
          { width: size, height: size },
          {
            ...(look.words.colour ? { colour: look.words.colour } : {}),
            drawing: { ...chevron, place: 'middle' },
          },
          { width: size, height: size },
        ),
      ],
      look: look.box,
    };
  },
  element: (values, _, name) => ({
    tag: 'div',
    children: [
      {
        tag: 'button',
        classes: ['part-button'],
        attributes: {
          type: 'button',
          popovertarget: `${name}-menu`,
          'aria-haspopup': 'menu',
          disabled: values.flag(disabled),
        },
        children: [{ tag: 'span', classes: ['part-text'], text: values.text(own.text) }],
      },
      {
        tag: 'svg',
        classes: ['part-icon'],
        attributes: {
          viewBox: '0 0 16 16',
          fill: 'none',
          stroke: 'currentColor',
          'stroke-width': '1.8',
          'aria-hidden': 'true',
        },
        children: [{ tag: 'path', attributes: { d: 'M4 6l4 4 4-4' } }],
      },
      {
        tag: 'div',
        classes: ['part-menu'],
        attributes: {
          id: `${name}-menu`,
          role: 'menu',
          popover: 'auto',
          'aria-label': values.text(own.text),
        },
        children: entryElements(values),
      },
    ],
  }),
  css: (theme) => `${groundCss('menuButton', 'sheet', ':not(:has(> .part-button:disabled))')}
:where(.k-menuButton) {
  position: relative;
}
.k-menuButton {
  display: flex;
  align-items: safe center;
  justify-content: safe center;
  gap: ${theme.checkGap}px;
  padding: 9px 16px;
  border-radius: ${theme.corner}px;
  box-shadow: inset 0 0 0 1px var(--line);
  color: var(--accent);
  font-weight: 600;
  text-align: center;
  white-space-collapse: preserve-breaks;
}
.k-menuButton > .part-button {
  appearance: none;
  display: flex;
  min-width: 0;
  padding: 0;
  background: none;
  font-weight: inherit;
  line-height: inherit;
  text-align: inherit;
  white-space-collapse: inherit;
  cursor: pointer;
}
.k-menuButton .part-text {
  min-width: 0;
}
.k-menuButton > .part-button::after {
  content: "";
  position: absolute;
  inset: 0;
  border-radius: inherit;
}
.k-menuButton > .part-button:focus-visible {
  outline: none;
}
.k-menuButton:has(> .part-button:focus-visible) {
  outline: 2px solid var(--accent);
  outline-offset: 2px;
}
.k-menuButton:has(> .part-button:disabled) {
  opacity: 0.5;
}
.k-menuButton > .part-icon {
  flex: none;
  width: ${side / 16}rem;
  height: ${side / 16}rem;
}
.k-menuButton > .part-menu {
  position: fixed;
  inset: auto;
  min-width: 160px;
  margin: 4px 0 0;
  padding: 4px;
  border: 1px solid var(--line);
  border-radius: ${theme.corner}px;
  background: var(--sheet);
  color: var(--ink);
  font-weight: 400;
}
.k-menuButton > .part-menu > button {
  display: block;
  width: 100%;
  padding: ${theme.cellPaddingBlock}px ${theme.cellPaddingInline}px;
  border-radius: ${theme.corner}px;
  background: none;
  text-align: start;
  cursor: pointer;
}
.k-menuButton > .part-menu > button:is(:hover, :focus) {
  background: var(--tint);
  outline: none;
}`,
};
