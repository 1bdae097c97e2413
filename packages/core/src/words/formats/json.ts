/** Strings as JSON: as they lie in a project's folder, `strings/TAG.json`. */
import type { Translation } from '../../document/locale.ts';
import { printStrings, readStrings } from '../../source/string-files.ts';
import type { StringFormat } from './string-format.ts';

export const json: StringFormat = {
  id: 'json',
  label: 'JSON',
  endings: ['.json'],
  print: ({ strings }) =>
    printStrings(
      Object.fromEntries(
        strings.map(({ key, text, source, note }): [string, Translation] => [
          key,
          { text, source, ...(note === undefined ? {} : { note }) },
        ]),
      ),
    ),
  read(text, file) {
    const read = readStrings(text, file);
    if (!read.ok) return { strings: [], problems: read.problems };
    const strings = Object.entries(read.strings).map(([key, { source = '', ...rest }]) => ({
      key,
      source,
      ...rest,
    }));
    return { strings, problems: [] };
  },
};
