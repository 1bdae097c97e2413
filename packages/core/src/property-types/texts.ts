/** Types of words and of colours. */

import { asText } from '../expression/evaluate.ts';
import { hexPattern } from '../tokens/colour.ts';
import { colourRoles } from '../tokens/shipped.ts';
import { good, type PropertyType } from './property-type.ts';
import { textual } from './textual.ts';

/** Any words. */
export const textType: PropertyType<string> = {
  name: 'text',
  field: 'words',
  ranged: ['low', 'middling', 'high'],
  expects: 'a text',
  words: [],
  read: (text) => good(text, text),
  take: (result) => ({ value: asText(result) }),
};

const colourWords: readonly string[] = [...colourRoles, 'none'];

const colourExpects = 'a colour: #rgb, #rrggbb, #rrggbbaa, `none` or a colour of the theme';

/** Colours as functions (CSS Color 4 §4): numbers, percentages and angles in brackets. */
const colourFunction =
  /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\(\s*(?:[a-z][a-z\d-]*\s+)?(?:(?:[+-]?\d*\.?\d+(?:%|deg|turn|rad)?|none)\s*[,/]?\s*){3,4}\)$/;

/** The name of a colour token. */
const colourName = /^[a-z_][\w-]*(?:\.[\w-]+)*$/i;

/** A colour of the theme by its name, or one as CSS writes it (CSS Color 4 §4, §5.2). */
export const colourType = textual(
  'colour',
  {
    field: 'colour',
    ranged: ['accent', 'warm', 'alert'],
    expects: colourExpects,
    words: colourWords,
    takes: ['color'],
    colours: (value) => (colourName.test(value) && value !== 'none' ? [value] : []),
  },
  (text) => hexPattern.test(text) || colourFunction.test(text) || colourName.test(text),
  // The names of tokens differ by capitals, colours do not.
  (text) => (/^\s*(?:#|[a-z]+\()/i.test(text) ? text.trim().toLowerCase() : text.trim()),
);

export const texts = [colourType, textType];
