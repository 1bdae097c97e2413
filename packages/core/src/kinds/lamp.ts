/** An indicator light with its words, in colour by value. */

import type { Values } from '../cascade/values.ts';
import { amountType, rangesType } from '../property-types/index.ts';
import { noSides } from '../values/css.ts';
import { colourCss } from '../values/theme.ts';
import { content, label } from './field.ts';
import type { Kind, Manner, PageElement } from './kind.ts';
import { colourOf } from './measured.ts';
import { boxLook, padding, placing, sizing, textLook } from './properties.ts';
import { textStyleOf, wordsLook } from './words.ts';

const own = {
  label: label,
  value: content('value', 'Value', amountType, { page: { part: 'part-light', as: 'inside' } }),
  colors: content('colors', 'Colours by value', rangesType, {
    default: '1 accent',
    page: { part: 'part-light', as: 'inside' },
  }),
};

const lit = (values: Values): string | undefined => {
  const value = values.get(own.value);
  return value === undefined ? undefined : colourOf(value, values.get(own.colors));
};

/** The light of a lamp, in the colour of its value. */
export function lightElement(values: Values): PageElement {
  const colour = lit(values);
  const value = values.get(own.value);
  return {
    tag: 'span',
    attributes: {
      role: 'img',
      'aria-label': value === undefined ? 'No value' : colour ? `On, ${value}` : `Off, ${value}`,
      ...(colour ? { style: `background: ${colourCss(colour)}; border-color: ${colourCss(colour)}` } : {}),
    },
  };
}

export const manner: Manner = { anew: (values) => ({ children: [lightElement(values)] }) };

export const lamp: Kind = {
  name: 'lamp',
  label: 'Lamp',
  group: 'show',
  purpose: 'An indicator light that takes its colour from a number; dark where no range holds it.',
  glyph: 'lightbulb',
  findBy: ['led', 'light', 'indicator', 'status', 'signal', 'alarm', 'warning', 'error', 'busy', 'red green'],
  container: false,
  manner,
  properties: [
    own.label,
    own.value,
    own.colors,
    ...sizing,
    ...placing(),
    padding,
    ...boxLook(),
    ...textLook(),
  ],
  events: [],
  starter: { label: 'Generator', value: '1', colors: '1 accent | 2 alert' },
  inside(values, make) {
    const { theme } = make;
    const style = textStyleOf(values, make);
    const side = theme.lampSize * make.scale;
    const colour = lit(values);
    const light = make.blank(
      { width: side, height: side },
      {
        background: make.colour(colour ?? 'sheet'),
        borderColour: make.colour(colour ?? 'quiet'),
        corner: side / 2,
      },
      {
        width: side,
        height: side,
        margin: { ...noSides, top: ((theme.textSize * theme.lineHeight - theme.lampSize) / 2) * make.scale },
        border: { top: 1, end: 1, bottom: 1, start: 1 },
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
      parts: [light, make.words(values.text(own.label), style, wordsLook(values, make, style))],
    };
  },
  element(values) {
    return {
      tag: 'div',
      children: [
        {
          tag: 'span',
          classes: ['part-light'],
          children: [lightElement(values)],
        },
        { tag: 'span', classes: ['part-label'], text: values.text(own.label) },
      ],
    };
  },
  css: (theme) => `.k-lamp {
  display: flex;
  align-items: start;
  gap: ${theme.checkGap}px;
}
.k-lamp > .part-light {
  flex: none;
  margin-top: ${((theme.textSize * theme.lineHeight - theme.lampSize) / 2 / 16).toFixed(4)}rem;
}
.k-lamp > .part-light,
.k-lamp > .part-light > span {
  display: block;
  width: ${theme.lampSize / 16}rem;
  height: ${theme.lampSize / 16}rem;
}
.k-lamp > .part-light > span {
  border: 1px solid var(--quiet);
  border-radius: 50%;
  background: var(--sheet);
}
.k-lamp > .part-label {
  white-space-collapse: preserve-breaks;
}
@media (forced-colors: active) {
  .k-lamp > .part-light > span {
    forced-color-adjust: none;
  }
}`,
};
