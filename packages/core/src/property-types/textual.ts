/** Types whose values are their texts. A page takes every text: what one is held against stays behind. */
import { bad, good, type PropertyType } from './property-type.ts';

const collapsed = (text: string): string =>
  text
    .trim()
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/\s*,\s*/g, ', ');

/** A type whose value is its text. */
export const textual = (
  name: string,
  rest: Pick<PropertyType<string>, 'expects' | 'words'> & Partial<PropertyType<string>>,
  isGood: (text: string) => boolean,
  tidied: (text: string) => string = collapsed,
): PropertyType<string> => ({
  name,
  ...rest,
  read(text) {
    const plain = tidied(text);
    return isGood(plain) ? good(plain, plain) : bad(text, rest.expects, rest.words);
  },
});
