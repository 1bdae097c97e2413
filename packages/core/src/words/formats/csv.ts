/** Strings as CSV: a line each, with key, source, text and note (RFC 4180). */
import Papa from 'papaparse';
import { longestTranslation } from '../../document/locale.ts';
import type { SourceProblem } from '../../source/problem.ts';
import type { StringFormat, TravellingString } from './string-format.ts';

const heads = ['key', 'source', 'text', 'note'] as const;

/** Spreadsheets take a text that begins like that for a formula: it is handed over with a stroke in front, and read without. */
const guarded = (text: string): string => (/^[=+\-@\t\r']/.test(text) ? `'${text}` : text);
const unguarded = (text: string): string => (/^'[=+\-@\t\r']/.test(text) ? text.slice(1) : text);

export const csv: StringFormat = {
  id: 'csv',
  label: 'CSV',
  endings: ['.csv'],
  print: ({ strings }) =>
    `${Papa.unparse({
      fields: [...heads],
      data: strings.map(({ key, source, text, note = '' }) => [key, source, text, note].map(guarded)),
    })}\r\n`,
  read(text, file) {
    const fail = (line: number, message: string): SourceProblem => ({ file, line, column: 1, message });
    const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: true });
    const [first = [], ...lines] = data;
    const columns = heads.map((head) => first.findIndex((each) => each.trim().toLowerCase() === head));
    const [key, , target] = columns as [number, number, number, number];
    if (key < 0 || target < 0)
      return {
        strings: [],
        problems: [fail(1, 'The first line names the columns: `key`, `source`, `text` and `note`.')],
      };
    const problems = errors
      .filter(({ type }) => type === 'Quotes')
      .map(({ row = 0, message }) => fail(row + 1, `${message}.`));
    const seen = new Set<string>();
    const strings = lines.flatMap((cells, index): TravellingString[] => {
      const [id = '', source = '', words = '', note = ''] = columns.map((at) =>
        at < 0 ? '' : unguarded(cells[at] ?? ''),
      );
      const wrong =
        id === ''
          ? 'This line has no key.'
          : seen.has(id)
            ? `\`${id}\` stands there twice.`
            : [source, words, note].some((each) => each.length > longestTranslation)
              ? `\`${id}\` is longer than ${longestTranslation} characters.`
              : undefined;
      seen.add(id);
      if (wrong) {
        problems.push(fail(index + 2, wrong));
        return [];
      }
      return [{ key: id, source, text: words, ...(note === '' ? {} : { note }) }];
    });
    return { strings, problems };
  },
};
