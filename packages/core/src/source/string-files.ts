/** `strings/TAG.json`: what the words of a project are in one of its languages, and back. */
import { messageOf } from '../document/error-message.ts';
import { type Locale, mostTranslations, type Translation, translationProblem } from '../document/locale.ts';
import { isRecord } from '../document/record.ts';
import { placeAt, type SourceProblem } from './problem.ts';

/** Where the translations of a language lie in a folder. */
export const stringsFile = (tag: string): string => `strings/${tag}.json`;

/** Whether a path in a folder is that of translations. */
export const isStringsFile = (path: string): boolean => /^strings\/[^/]+\.json$/.test(path);

export type StringsReading =
  | { readonly ok: true; readonly locales: readonly Locale[] }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/** Reads a table of translations from JSON. */
export function readStrings(
  text: string,
  file: string,
):
  | { readonly ok: true; readonly strings: Readonly<Record<string, Translation>> }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] } {
  const fail = (message: string, at = 0) => ({ file, ...placeAt(text, Math.max(0, at)), message });
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch (error) {
    const position = /position (\d+)/.exec(messageOf(error));
    return { ok: false, problems: [fail(messageOf(error), Number(position?.[1] ?? 0))] };
  }
  if (!isRecord(read))
    return { ok: false, problems: [fail('An object is expected: a key and its translation a line.')] };
  const keys = Object.keys(read);
  if (keys.length > mostTranslations)
    return { ok: false, problems: [fail(`A language has at most ${mostTranslations} translations.`)] };
  const problems = keys.flatMap((key) => {
    const message = translationProblem(key, read[key]);
    return message === undefined ? [] : [fail(message, text.indexOf(JSON.stringify(key)))];
  });
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, strings: read as Readonly<Record<string, Translation>> };
}

/** Prints a table of translations: one a line, so that a change of one is a change of a line. */
export function printStrings(strings: Readonly<Record<string, Translation>>): string {
  const lines = Object.keys(strings)
    .toSorted()
    .map((key) => `  ${JSON.stringify(key)}: ${JSON.stringify(strings[key])}`);
  return lines.length === 0 ? '{}\n' : `{\n${lines.join(',\n')}\n}\n`;
}

/** Reads the translations of a folder into its languages. */
export function readStringFiles(
  files: ReadonlyMap<string, string>,
  locales: readonly Locale[],
): StringsReading {
  const problems: SourceProblem[] = [];
  const strange = [...files.keys()].filter(
    (path) => isStringsFile(path) && !locales.slice(1).some(({ tag }) => stringsFile(tag) === path),
  );
  for (const file of strange)
    problems.push({
      file,
      line: 1,
      column: 1,
      message:
        '`locales` of `project.json` has no such language behind the first, which is that of the source.',
    });
  const made = locales.map((locale, index): Locale => {
    const file = stringsFile(locale.tag);
    const text = index === 0 ? undefined : files.get(file);
    if (text === undefined) return locale;
    const read = readStrings(text, file);
    if (read.ok) return { ...locale, strings: read.strings };
    problems.push(...read.problems);
    return locale;
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, locales: made };
}

/** The files of translations, by path. */
export const printStringFiles = (locales: readonly Locale[]): ReadonlyMap<string, string> =>
  new Map(
    locales.flatMap(({ tag, strings }, index) =>
      index > 0 && strings ? [[stringsFile(tag), printStrings(strings)] as const] : [],
    ),
  );
