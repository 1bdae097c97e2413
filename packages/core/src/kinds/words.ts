/** Reading how a control's words are set from its values. */
import { colourValue, theme } from '../document/theme.ts';
import type { Values } from '../document/values.ts';
import type { TextStyle } from '../text/paragraph.ts';
import type { Look } from './kind.ts';

export function textStyleOf(values: Values): TextStyle {
  return {
    family: values.text('font') || theme.family,
    weight: values.number('weight') ?? 400,
    italic: values.flag('italic'),
    size: values.number('size') ?? theme.textSize,
    lineHeight: values.number('line-height') ?? theme.lineHeight,
    letterSpacing: values.number('letter-spacing') ?? 0,
    noWrap: values.flag('nowrap'),
  };
}

/** The look of words in a style; `size` in the look is before the reader's text scale. */
export function wordsLook(values: Values, style: TextStyle, align: 'start' | 'center' | 'end'): Look {
  return { colour: colourValue(values.colour('color') ?? 'ink'), text: { ...style, align } };
}

/** Plain words of the theme, for the kinds' own parts. */
export const plainWords = (rest: Partial<TextStyle> = {}): TextStyle => ({
  family: theme.family,
  weight: 400,
  italic: false,
  size: theme.textSize,
  lineHeight: theme.lineHeight,
  letterSpacing: 0,
  noWrap: false,
  ...rest,
});
