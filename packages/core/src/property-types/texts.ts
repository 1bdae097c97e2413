/** Types of words and of colours. */

import { asText } from '../expression/evaluate.ts';
import { colourRoles } from '../values/theme.ts';
import { bad, good, type PropertyType } from './property-type.ts';

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

/** A colour of the theme or a hexadecimal one (CSS Color 4 §5.2). */
export const colourType: PropertyType<string> = {
  name: 'colour',
  field: 'colour',
  ranged: ['accent', 'warm', 'alert'],
  beginnings: ['linear-gradient(', 'radial-gradient(', 'conic-gradient(', 'repeating-', 'picture('],
  expects: colourExpects,
  words: colourWords,
  read(text) {
    const plain = text.trim().toLowerCase();
    if (colourWords.includes(plain)) return good(plain, plain);
    return /^#([\da-f]{3,4}|[\da-f]{6}|[\da-f]{8})$/.test(plain)
      ? good(plain, plain)
      : bad(text, colourExpects, colourWords);
  },
};

export const texts = [colourType, textType];
