/** Reading how a control's words are set from its values. */
import { colourValue, theme } from '../document/theme.ts';
import type { Values } from '../document/values.ts';
import type { TextAlign, TextStyle } from '../text/paragraph.ts';
import type { Look } from './kind.ts';

/** @param align to which side lines stand; by its `text-align` where nothing is said. */
export function textStyleOf(values: Values, align?: TextAlign): TextStyle {
  return {
    family: values.text('font') || theme.family,
    weight: values.number('weight') ?? 400,
    italic: values.flag('italic'),
    size: values.number('size') ?? theme.textSize,
    lineHeight: values.number('line-height') ?? theme.lineHeight,
    letterSpacing: values.number('letter-spacing') ?? 0,
    noWrap: values.flag('nowrap'),
    align: align ?? values.get<TextAlign>('text-align') ?? 'start',
  };
}

/** The look of words in a style; `size` in the look is before the reader's text scale. */
export function wordsLook(values: Values, style: TextStyle): Look {
  return { colour: colourValue(values.colour('color') ?? 'ink'), text: style };
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
  align: 'start',
  ...rest,
});
