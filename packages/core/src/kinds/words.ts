/** Reading how a control's words are set from its values. */

import type { Values } from '../cascade/values.ts';
import type { TextAlign, TextStyle } from '../text/paragraph.ts';
import type { Theme } from '../values/theme.ts';
import type { Look, Making } from './kind.ts';
import {
  colour,
  font,
  italic,
  letterSpacing,
  lineHeight,
  nowrap,
  size,
  textAlign,
  uppercase,
  weight,
} from './properties.ts';

/** A text size in px, before the reader's text scale; one that follows the window is a number by then. */
export function textSizeOf(values: Values, otherwise: number): number {
  const held = values.get(size);
  return typeof held === 'number' ? held : otherwise;
}

/** @param align to which side lines stand; by its `text-align` where nothing is said. */
export function textStyleOf(values: Values, { theme }: Making, align?: TextAlign): TextStyle {
  return {
    family: values.get(font) ?? theme.family,
    weight: values.get(weight) ?? 400,
    italic: values.flag(italic),
    size: textSizeOf(values, theme.textSize),
    lineHeight: values.get(lineHeight) ?? theme.lineHeight,
    letterSpacing: values.get(letterSpacing) ?? 0,
    noWrap: values.flag(nowrap),
    align: align ?? values.get(textAlign) ?? 'start',
    ...(values.flag(uppercase) ? { uppercase: true } : {}),
  };
}

/** The look of words in a style; `size` in the look is before the reader's text scale. */
export const wordsLook = (values: Values, make: Making, style: TextStyle): Look => ({
  colour: make.colour(values.get(colour) ?? 'ink'),
  text: style,
});

/** Plain words of a theme, for the kinds' own parts. */
export const plainWords = (theme: Theme, rest: Partial<TextStyle> = {}): TextStyle => ({
  family: theme.family,
  weight: 400,
  italic: false,
  size: theme.textSize,
  lineHeight: theme.lineHeight,
  letterSpacing: 0,
  noWrap: false,
  align: 'start',
  ...rest,
});
